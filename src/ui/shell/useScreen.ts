import { useSyncExternalStore } from 'react';

/** The same bounds as the variants of the style sheet. */
const QUERIES = {
  phone: 'screen and (width < 768px) and (height > 500px)',
  low: 'screen and (height <= 500px)',
} as const;

/** How the bench is laid out: `phone` with the picture on top, `low` in one row without the beam, `whole`. */
export type Screen = keyof typeof QUERIES | 'whole';

/** Asked for once: a list follows the screen by itself. */
let known: readonly (MediaQueryList | undefined)[] | null = null;
const lists = () => (known ??= Object.values(QUERIES).map((query) => globalThis.matchMedia?.(query)));

function follow(listener: () => void): () => void {
  const all = lists();
  for (const list of all) list?.addEventListener('change', listener);
  return () => {
    for (const list of all) list?.removeEventListener('change', listener);
  };
}

function now(): Screen {
  const [phone, low] = lists();
  return phone?.matches ? 'phone' : low?.matches ? 'low' : 'whole';
}

export const useScreen = (): Screen => useSyncExternalStore(follow, now);
