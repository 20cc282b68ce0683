import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { analyse } from '@/core/analyse';
import { gatesOf } from '@/core/8-bench/gates';
import { judgeGates } from '@/core/8-bench/judgeGate';
import { METRIC } from '@/words/formatQuantity';
import { benchCard } from '../bench/benchCard';
import { fieldCard } from './fieldCard';
import { preflightItems } from './preflightItems';
import { newDocument } from '@/files/plans/page';
import { type Card, cardPdf, fitted } from '@/files/cards/cardPdf';

/** What stands on a card, row by row, and how many pages its PDF has. */
function readBack(card: Card): { readonly words: string; readonly pages: number; readonly size: number } {
  const { size, columns } = fitted(newDocument(), card);
  const rows = columns.flat(2).map(({ words, line }) => [words, line?.value ?? ''].join(' '));
  const text = new TextDecoder('latin1').decode(cardPdf(card));
  return { words: [card.title, ...rows].join('\n'), pages: text.match(/\/Type \/Page\b(?!s)/g)!.length, size };
}

const design = demoDesign('lagoon-postman');
const analysis = analyse(design);

test('the bench card holds every gate with what it bears, throws, balance and weights, on one page', () => {
  const verdicts = judgeGates(design, gatesOf(design));
  const { words, pages } = readBack(benchCard(design, verdicts, analysis, METRIC));
  expect(pages).toBe(1);
  expect(words).toContain('Lagoon Postman: bench card');
  expect(verdicts.length).toBeGreaterThan(2);
  for (const { gate } of verdicts) expect(words).toContain(gate.name);
  expect(words).toMatch(/Balances at\s+[\d.]+ mm/);
  for (const { name } of design.massItems) if (name) expect(words).toContain(name.slice(0, 12));
});

test('the field card holds the list, what it should do and room for flights, on one page', () => {
  const items = preflightItems(design, ['Float line coiled']);
  const { words, pages } = readBack(fieldCard(design.name, items, analysis, METRIC));
  expect(pages).toBe(1);
  expect(words).toContain('Float line coiled');
  expect(words).toMatch(/Stalls at\s+\d/);
  expect(words).toMatch(/club/);
});

test('a card that is far too long is still one page, and says that something is left out', () => {
  const lines = Array.from({ length: 900 }, (_, index) => ({ words: `Part ${index}`, blanks: ['weighed'] }));
  const { words, pages, size } = readBack({
    title: 'Long: card',
    under: '',
    blocks: [
      { heading: 'Few', lines: lines.slice(0, 3) },
      { heading: 'Weights', lines },
    ],
    caution: 'Caution.',
  });
  expect(pages).toBe(1);
  expect(words).toContain('more on the screen');
  expect(size).toBeGreaterThanOrEqual(5.5);
});
