import type { Analysis } from '@/core/analyse';
import type { Card, CardLine } from '@/files/cards/cardPdf';
import type { DisplayUnits } from '@/words/formatQuantity';
import { DEED_WORDS } from './fieldWords';
import { expectedOf, wantsOf } from './expectedWords';

const FLIGHTS = 6;

/** What is taken to the field, on one page: the list, what it should do, and room for six flights. */
export function fieldCard(name: string, items: readonly string[], analysis: Analysis, units: DisplayUnits): Card {
  return {
    title: `${name}: field card`,
    under: 'Local rules and the club come first. One change between two flights.',
    blocks: [
      { heading: 'Before it flies', lines: items.map((words): CardLine => ({ words, isTick: true })) },
      {
        heading: 'What it should do',
        lines: [
          ...expectedOf(analysis, units).map(([words, value]): CardLine => ({ words, value })),
          ...wantsOf(analysis).map((words): CardLine => ({ words })),
        ],
      },
      {
        heading: 'What it did: mark what fits',
        lines: DEED_WORDS.map(([, words], index): CardLine => ({
          words: `${String.fromCharCode(65 + index)}  ${words}`,
        })),
      },
      {
        heading: 'Flights',
        lines: Array.from({ length: FLIGHTS }, (_, index): readonly CardLine[] => [
          { words: `${index + 1}.`, blanks: ['minutes', 'wind', 'did', 'better?'] },
          { words: 'trims', blanks: ['pitch', 'roll', 'changed', ''] },
        ]).flat(),
      },
    ],
    caution:
      'Armed last, hand clear of the disc; spectators behind the line; first flights over empty ground. A list ticked off does not make it safe.',
  };
}
