import type { Design } from '@/core/2-document/schema/design';
import { type Autosave, createAutosave } from '@/storage/autosave';
import type { StoredDesign } from '@/storage/database';
import type { DesignStore } from '@/storage/designStore';
import { storageFault } from '@/storage/storageFault';
import type { AppStore } from './reduxStore';
import { saveChanged, unsavedChanged } from './sessionSlice';
import { setAside, type SetAside } from './setAside';

/** A losing state that could not be kept is tried again after so long [ms]. */
const KEEP_AGAIN_AFTER = 2000;

/** What is saved of one design, and what became of it. */
interface Saver {
  readonly id: string;
  readonly autosave: Autosave;
  /** Why the last write failed. */
  detail: string;
  /** The state of this tab that lost against another one, kept among the revisions. */
  aside: Promise<SetAside> | null;
  isKept: boolean;
  isLossTold: boolean;
}

/** Whether something of it is neither on disk as the design nor among its revisions. */
const isAtRisk = ({ autosave, isKept }: Saver): boolean =>
  autosave.hasUnsaved() && (autosave.isHeld() ? !isKept : autosave.isFailing());

/** Saves the open design, and those that were left before they could be saved. @param tell says what nobody asked for */
export function saving(store: AppStore, designs: DesignStore, tell: (text: string) => void) {
  let current: Saver | null = null;
  /** Designs that were left before they could be saved: they are tried until they are. */
  const leftBehind = new Map<string, Saver>();

  const listLeftBehind = () =>
    store.dispatch(
      unsavedChanged(
        [...leftBehind.values()].map(({ id, autosave, detail }) => ({
          id,
          name: autosave.unsaved()?.name ?? '',
          detail,
        })),
      ),
    );

  /** It is safe now, and nobody is there to look at it. */
  const settle = (saver: Saver) => {
    if (leftBehind.get(saver.id) === saver) leftBehind.delete(saver.id);
    listLeftBehind();
  };

  const saverOf = ({ id, name, generation }: StoredDesign): Saver => {
    const saver: Saver = {
      id,
      detail: '',
      aside: null,
      isKept: false,
      isLossTold: false,
      autosave: createAutosave(designs, id, generation, {
        onState: (state, detail) => {
          saver.detail = detail ?? saver.detail;
          if (saver === current) store.dispatch(saveChanged({ state, detail }));
          else if (state === 'saved') settle(saver);
          else listLeftBehind();
        },
        onHeld: (mine) => void keepAside(saver, mine),
        onBroughtBack: () => tell(`“${name}” had been removed elsewhere: your change brought it back.`),
      }),
    };
    return saver;
  };

  /** The losing state becomes a revision before anything else happens to it. */
  const keepAside = async (saver: Saver, mine: Design): Promise<SetAside | null> => {
    try {
      saver.aside ??= setAside(designs, saver.id);
      const revision = await saver.aside;
      await revision.keep(mine);
      saver.isKept = true;
      if (saver === current) store.dispatch(saveChanged({ state: 'conflict', detail: revision.name }));
      else settle(saver);
      return revision;
    } catch (error) {
      saver.aside = null;
      saver.isKept = false;
      saver.detail = storageFault(error);
      if (saver === current) store.dispatch(saveChanged({ state: 'conflict' }));
      if (!saver.isLossTold)
        tell(`Your state could not be kept among the revisions: ${saver.detail}. Export it before you go on.`);
      saver.isLossTold = true;
      setTimeout(() => void keepAgain(saver), KEEP_AGAIN_AFTER);
      return null;
    }
  };

  /** Once more, when there may be space. */
  const keepAgain = async (saver: Saver) => {
    const mine = saver.autosave.unsaved();
    const isWanted = saver === current || leftBehind.get(saver.id) === saver;
    if (mine && isWanted && saver.autosave.isHeld() && !saver.isKept) await keepAside(saver, mine);
  };

  return {
    change: (design: Design) => current?.autosave.change(design),
    /** The open design is left; what could not be saved of it is tried again until it is. */
    leave: async () => {
      const saver = current;
      await saver?.autosave.flush();
      current = null;
      if (!saver || !saver.autosave.hasUnsaved() || (saver.autosave.isHeld() && saver.isKept)) return;
      leftBehind.set(saver.id, saver);
      listLeftBehind();
    },
    /** A design is opened: the state to be shown, which is what was left unsaved, if anything was. Null when there is none. */
    begin: (id: string, stored: StoredDesign | undefined): Design | null => {
      const waiting = leftBehind.get(id);
      if (!waiting && !stored) return null;
      current = waiting ?? saverOf(stored!);
      const unsaved = waiting?.autosave.unsaved();
      if (waiting) settle(waiting);
      if (waiting) void waiting.autosave.flush();
      return unsaved ?? stored?.design ?? null;
    },
    /** Writes what is unsaved at once. */
    flush: async () => {
      await Promise.all(
        [...(current ? [current] : []), ...leftBehind.values()].map(({ autosave }) => autosave.flush()),
      );
    },
    wouldLose: () => leftBehind.size > 0 || (current !== null && isAtRisk(current)),
    leftBehind: (id: string): Design | null => leftBehind.get(id)?.autosave.unsaved() ?? null,
    /** The autosave of the open design. */
    current: (): Autosave | null => current?.autosave ?? null,
    /** Keeps the losing state of the open design; its revision, or null when it could not be kept. */
    keepLosing: async (mine: Design): Promise<SetAside | null> => (current ? keepAside(current, mine) : null),
    /** The losing state lives on as a design of its own. */
    dropLosing: async () => void (await (await current?.aside)?.drop()),
  };
}
