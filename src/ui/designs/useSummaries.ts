import { useEffect, useRef, useState } from 'react';
import type { DesignSummary } from '@/core/7-verdict/designSummary';
import { designSummary } from '@/core/7-verdict/designSummary';
import type { StoredSummary } from '@/storage/database';
import type { DesignHead } from '@/storage/designLists';
import { isUnreadable } from '@/storage/readStored';
import { useSurroundings } from '../surroundings';

/** Summaries are kept in the browser in lots: a write for each would make the list read itself again each time. */
const LOT = 12;
/** The list stands first, then what takes computing [ms]. */
const QUIET_AFTER = 600;

/**
 * Designs with what the list tells of them. What is not known yet is computed
 * one by one while the list is open, in the order it stands in, and kept for
 * the state it was computed from.
 */
export function useSummaries(heads: readonly DesignHead[] | undefined): readonly DesignHead[] | undefined {
  const { session, designs } = useSurroundings();
  const [found, setFound] = useState<ReadonlyMap<string, StoredSummary>>(new Map());
  const known = heads?.map((head) => {
    const own = found.get(head.id);
    const summary: DesignSummary | null = head.summary ?? (own?.generation === head.generation ? own.summary : null);
    return summary === head.summary ? head : { ...head, summary };
  });
  const next = known?.find(({ summary, id }) => summary === null && !found.has(id));
  const [id, generation] = [next?.id, next?.generation];
  const kept = useRef(0);
  const [isQuiet, setQuiet] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setQuiet(true), QUIET_AFTER);
    return () => clearTimeout(timer);
  }, []);
  useEffect(() => {
    if (!isQuiet || id === undefined || generation === undefined) return undefined;
    let isWanted = true;
    const work = async () => {
      const [entry] = await designs.some([id]);
      const analysis = entry && !isUnreadable(entry) ? await session.analyseAside(entry.design) : null;
      if (!isWanted) return;
      // What cannot be computed is not tried again.
      const summary = entry && !isUnreadable(entry) && analysis ? designSummary(entry.design, analysis) : NOTHING;
      setFound((before) => new Map(before).set(id, { generation, summary }));
    };
    void work().catch(() => undefined);
    return () => {
      isWanted = false;
    };
  }, [isQuiet, id, generation, designs, session]);
  const isDone = next === undefined;
  useEffect(() => {
    if (found.size === kept.current || !(isDone || found.size - kept.current >= LOT)) return;
    kept.current = found.size;
    // The list stands without it: it is only computed again next time.
    void designs.keepSummaries(found).catch(() => undefined);
  }, [found, isDone, designs]);
  return known;
}

const NOTHING: DesignSummary = {
  span: null,
  mass: null,
  staticMargin: null,
  balance: { kind: 'unknown' },
  findings: { stop: 0, caution: 0, note: 0 },
};
