import type { DesignHead } from '@/storage/designLists';

/** What the list can be sorted by. */
export const ORDERS = [
  ['changed', 'last change'],
  ['name', 'name'],
  ['span', 'span'],
  ['mass', 'mass'],
  ['verdict', 'verdict, worst first'],
] as const;
export type Order = (typeof ORDERS)[number][0];

const plain = (text: string) => text.normalize('NFKD').replaceAll(/\p{M}/gu, '').toLowerCase();

/** Every word that is looked for is a part of the name or of a tag, whatever its accents and capitals. */
export function matches({ name, tags }: Pick<DesignHead, 'name' | 'tags'>, words: string): boolean {
  const hay = plain([name, ...tags].join('\n'));
  return plain(words)
    .split(/\s+/)
    .every((word) => hay.includes(word));
}

const GRAVITY = { inside: 0, unknown: 1, noWindow: 2, forward: 3, aft: 3 } as const;

/** How much is wrong with it: stops before cautions before where it balances; what is not known comes last. */
function gravity({ summary }: DesignHead): number {
  if (!summary) return -1;
  const { findings, balance } = summary;
  return findings.stop * 1e4 + findings.caution * 100 + GRAVITY[balance.kind];
}

/** Largest first; what is not known comes last. */
const falling = (of: (head: DesignHead) => number | null) => (a: DesignHead, b: DesignHead) =>
  (of(b) ?? -Infinity) - (of(a) ?? -Infinity) || 0;

const BY: Record<Order, (a: DesignHead, b: DesignHead) => number> = {
  changed: falling(({ updatedAt }) => updatedAt),
  name: (a, b) => a.name.localeCompare(b.name, undefined, { numeric: true }),
  span: falling(({ summary }) => summary?.span ?? null),
  mass: falling(({ summary }) => summary?.mass ?? null),
  verdict: falling(gravity),
};

export interface Wanted {
  readonly words: string;
  readonly tag: string | null;
  readonly order: Order;
}

/** Designs that are looked for, in the order that is wanted; alike ones stay as they were. */
export function arranged(heads: readonly DesignHead[], { words, tag, order }: Wanted): DesignHead[] {
  return heads
    .filter((head) => (tag === null || head.tags.includes(tag)) && matches(head, words.trim()))
    .sort(BY[order]);
}

/** Tags in use, each once, in the order of the alphabet. */
export const tagsInUse = (heads: readonly DesignHead[]): string[] =>
  [...new Set(heads.flatMap(({ tags }) => tags))].sort((a, b) => a.localeCompare(b));

/** Tags as they are typed in one line: between commas, each once, at most as many as a design may have. */
export const tagsFrom = (line: string): string[] =>
  [...new Set(line.split(',').flatMap((tag) => tag.trim().slice(0, 60) || []))].slice(0, 20);
