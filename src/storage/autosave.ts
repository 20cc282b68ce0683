import type { Design } from '@/core/2-document/schema/design';
import type { DesignStore } from './designStore';
import { storageFault } from './storageFault';

/** Longest time that a change stays unsaved [ms]. */
export const SAVE_WITHIN = 300;

/** Waits after each failure in a row before it is tried again [ms]; the last one from then on. */
export const RETRY_AFTER = [1000, 2000, 5000, 10_000] as const;

export interface AutosaveEvents {
  readonly onState: (state: 'saving' | 'saved' | 'failed', detail?: string) => void;
  /** Another tab saved a newer state; this one is held back, and told anew whenever it changes. */
  readonly onHeld: (mine: Design) => void;
  /** It had been removed meanwhile, and lies among the designs again. */
  readonly onBroughtBack: () => void;
}

/**
 * Saves each change within a third of a second of the first one, one write at
 * a time, always the newest state. A write that fails is tried again until it
 * works. After a conflict it holds still until it is told which state counts.
 */
export function createAutosave(store: DesignStore, id: string, loadedGeneration: number, events: AutosaveEvents) {
  let generation = loadedGeneration;
  let newest: Design | null = null;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let writing: Promise<void> | null = null;
  let held = false;
  let failures = 0;

  const schedule = (wait: number) => {
    if (timer) clearTimeout(timer);
    timer = setTimeout(() => void flush(), wait);
  };

  const write = async (): Promise<void> => {
    while (newest && !held) {
      const design = newest;
      newest = null;
      events.onState('saving');
      try {
        const outcome = await store.save(id, design, generation);
        failures = 0;
        if (outcome.kind === 'saved') {
          generation = outcome.generation;
          if (outcome.broughtBack) events.onBroughtBack();
          continue;
        }
        held = true;
        newest = newest ?? design;
        return;
      } catch (error) {
        newest = newest ?? design;
        events.onState('failed', storageFault(error));
        schedule(RETRY_AFTER[Math.min(failures++, RETRY_AFTER.length - 1)]!);
        return;
      }
    }
    if (!held && failures === 0) events.onState('saved');
  };

  const flush = async (): Promise<void> => {
    if (timer) clearTimeout(timer);
    timer = null;
    // What goes on may have begun with an older state, or before there was space.
    await writing;
    writing ??= write().finally(() => (writing = null));
    await writing;
    if (held && newest) events.onHeld(newest);
  };

  return {
    change: (design: Design): void => {
      newest = design;
      // A failed write waits for its turn; the newest state goes with it.
      if (timer && failures === 0) return;
      schedule(SAVE_WITHIN);
      if (!held && failures === 0) events.onState('saving');
    },
    flush,
    hasUnsaved: (): boolean => newest !== null || writing !== null,
    isFailing: (): boolean => failures > 0,
    isHeld: (): boolean => held,
    /** What is not on disk yet. */
    unsaved: (): Design | null => newest,
    generation: (): number => generation,
    /** Goes on from a state that someone else saved. */
    continueFrom: (theirs: number): void => {
      generation = theirs;
      newest = null;
      held = false;
      failures = 0;
      if (timer) clearTimeout(timer);
      timer = null;
    },
    stop: (): Promise<void> => flush(),
  };
}

export type Autosave = ReturnType<typeof createAutosave>;
