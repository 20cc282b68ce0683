import { describe, expect, test } from 'vitest';
import type { DesignHead } from '@/storage/designLists';
import type { DesignSummary } from '@/core/7-verdict/designSummary';
import { arranged, matches, type Order, tagsFrom, tagsInUse } from './arrange';

const summary = (part: Partial<DesignSummary>): DesignSummary => ({
  span: 1,
  mass: 1,
  staticMargin: 0.1,
  balance: { kind: 'inside' },
  findings: { stop: 0, caution: 0, note: 0 },
  ...part,
});
const head = (
  name: string,
  updatedAt: number,
  part: Partial<DesignSummary> | null,
  tags: string[] = [],
): DesignHead => ({
  id: name,
  name,
  updatedAt,
  generation: 1,
  tags,
  summary: part && summary(part),
});
const LIST = [
  head('Tern 10', 1, { span: 1.2, mass: 0.4, findings: { stop: 0, caution: 3, note: 9 } }, ['float']),
  head('Tern 9', 4, { span: 0.9, mass: null, balance: { kind: 'aft', by: 0.01 } }),
  head('Égret', 3, { span: 2, mass: 0.9, findings: { stop: 1, caution: 0, note: 0 } }, ['Float', 'winter']),
  head('plover', 2, null),
];
const names = (order: Order) => arranged(LIST, { words: '', tag: null, order }).map(({ name }) => name);

describe('the list in order', () => {
  test.each([
    ['changed', ['Tern 9', 'Égret', 'plover', 'Tern 10']],
    ['name', ['Égret', 'plover', 'Tern 9', 'Tern 10']],
    ['span', ['Égret', 'Tern 10', 'Tern 9', 'plover']],
    ['mass', ['Égret', 'Tern 10', 'Tern 9', 'plover']],
    ['verdict', ['Égret', 'Tern 10', 'Tern 9', 'plover']],
  ] as const)('by %s; what is not known comes last', (order, expected) => {
    expect(names(order)).toEqual(expected);
  });
});

test('words are found in names and tags, in any order, whatever accents and capitals', () => {
  const [, , egret] = LIST;
  expect(['egret', 'ÉG', 'winter egr', 'FLOAT', ''].every((words) => matches(egret!, words))).toBe(true);
  expect(['egrets', 'summer', 'egret summer'].some((words) => matches(egret!, words))).toBe(false);
  expect(arranged(LIST, { words: ' tern ', tag: 'float', order: 'name' }).map(({ id }) => id)).toEqual(['Tern 10']);
});

test('tags in use stand once, in order; a line of tags is read between commas, each once', () => {
  expect(tagsInUse(LIST)).toEqual(['float', 'Float', 'winter']);
  expect(tagsFrom(' float, second build,,float , ')).toEqual(['float', 'second build']);
  expect(tagsFrom(Array.from({ length: 30 }, (_, index) => `t${index}`).join(','))).toHaveLength(20);
  expect(tagsFrom('x'.repeat(100))[0]).toHaveLength(60);
});
