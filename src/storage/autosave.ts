import type { Design } from '@/core/2-document/schema/design';
import type { DesignStore, SaveOutcome } from './designStore';

/** Longest time that a change stays unsaved [ms]. */
export const SAVE_WITHIN = 300;

export interface AutosaveEvents {
  readonly onState: (state: 'saving' | 'saved' | 'failed', detail?: string) => void;
  readonly onConflict: (outcome: Exclude<SaveOutcome, { kind: 'saved' }>) => void;
}

/**
 * Saves each change within a third of a second of the first one, one write at
 * a time, always the newest state. After a conflict it holds still until it is
 * told which state counts.
 */
export function createAutosave(store: DesignStore, id: string, loadedGeneration: number, events: AutosaveEvents) {
  let generation = loadedGeneration;
  let newest: Design | null = null;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let writing: Promise<void> | null = null;
  let held = false;

  const write = async (): Promise<void> => {
    while (newest && !held) {
      const design = newest;
      newest = null;
      events.onState('saving');
      try {
        const outcome = await store.save(id, design, generation);
        if (outcome.kind === 'saved') {
          generation = outcome.generation;
          continue;
        }
        held = true;
        newest = newest ?? design;
        events.onConflict(outcome);
        return;
      } catch (error) {
        newest = newest ?? design;
        events.onState('failed', error instanceof Error ? error.message : String(error));
        return;
      }
    }
    if (!held) events.onState('saved');
  };

  const flush = async (): Promise<void> => {
    if (timer) clearTimeout(timer);
    timer = null;
    if (!writing) writing = write().finally(() => (writing = null));
    await writing;
  };

  return {
    change: (design: Design): void => {
      newest = design;
      if (held || timer) return;
      timer = setTimeout(() => void flush(), SAVE_WITHIN);
      events.onState('saving');
    },
    flush,
    hasUnsaved: (): boolean => newest !== null || writing !== null,
    generation: (): number => generation,
    /** Goes on from a state that someone else saved. */
    continueFrom: (theirs: number): void => {
      generation = theirs;
      newest = null;
      held = false;
    },
    stop: (): Promise<void> => flush(),
  };
}

export type Autosave = ReturnType<typeof createAutosave>;
