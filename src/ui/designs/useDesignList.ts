import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { useSurroundings } from '../surroundings';
import { arranged, type Wanted } from './arrange';
import { useSummaries } from './useSummaries';

/** Designs drawn at first, and how many more each time the end comes into sight. */
const PAGE = 40;

/** The designs of this browser as they are wanted, drawn page by page; undefined is not read yet. */
export function useDesignList() {
  const { designs } = useSurroundings();
  const [wanted, setWanted] = useState<Wanted>({ words: '', tag: null, order: 'changed' });
  const [shown, setShown] = useState(PAGE);
  const heads = useSummaries(useLiveQuery(() => designs.heads(), [designs]));
  const strays = useLiveQuery(() => designs.strays(), [designs]) ?? [];
  const found = useMemo(() => heads && arranged(heads, wanted), [heads, wanted]);
  const ids = useMemo(() => found?.slice(0, shown).map(({ id }) => id), [found, shown]);
  // The newest ones stand there before all are known.
  const entries = useLiveQuery(
    () => (ids ? designs.some(ids) : designs.list(PAGE)),
    [designs, ids?.join(' '), heads?.map(({ generation }) => generation).join(' ')],
  );
  // Until the page asked for last is there, there is no end to come into sight.
  const left = found && entries && ids && entries.length >= ids.length ? found.length - shown : 0;
  return {
    wanted,
    heads,
    found,
    list: entries && [...strays, ...entries.filter(({ id }) => !strays.some((stray) => stray.id === id))],
    left: Math.max(0, left),
    change: (part: Partial<Wanted>) => {
      setWanted({ ...wanted, ...part });
      setShown(PAGE);
    },
    more: () => setShown(shown + PAGE),
  };
}
