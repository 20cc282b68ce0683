import { isAnyOf } from '@reduxjs/toolkit';
import type { Design } from '@/core/2-document/schema/design';
import { fileFault, type FileResult } from '@/files/designFile';
import type { DocumentIssue } from '@/core/2-document/readDesign';
import { type Autosave, createAutosave } from '@/storage/autosave';
import { isUnreadable } from '@/storage/readStored';
import { storageFault } from '@/storage/storageFault';
import { analysisCleared } from './analysisSlice';
import { computing } from './computing';
import { documentFollowed, documentOpened } from './documentSlice';
import { reduxStore, type RootState, type Services } from './reduxStore';
import { dragEnded, saveChanged, sessionOpened, unsavedChanged } from './sessionSlice';
import { followSettings, keepsSettings } from './settings';
import { setAside, type SetAside } from './setAside';
import { sizingCleared } from './sizingSlice';

/** What opening a design came to. */
export type Opening =
  | { readonly kind: 'open' }
  | { readonly kind: 'missing' }
  | { readonly kind: 'unreadable'; readonly name: string; readonly issues: readonly DocumentIssue[] };

/** A losing state that could not be kept is tried again after so long [ms]. */
const KEEP_AGAIN_AFTER = 2000;

/** One bench: the store, computed and saved as it changes, and opening, following and mending what other tabs did. */
export function makeStore(services: Services) {
  const { store, listeners } = reduxStore(services);
  const { designs } = services;
  const tell = (text: string) => services.tell?.(text);
  const { ask, retryRemedies } = computing(store, services.jobs);
  let autosave: Autosave | null = null;
  /** Designs that were left before they could be saved: they are tried until they are. */
  const leftBehind = new Map<string, Autosave>();
  /** The state of this tab that lost against another one, kept among the revisions at once. */
  let aside: { readonly opened: Promise<SetAside>; isKept: boolean } | null = null;
  let isLossTold = false;

  listeners.startListening({
    predicate: (action, now, before) => {
      const present = (now as RootState).document.present;
      return present !== (before as RootState).document.present || dragEnded.match(action);
    },
    effect: (action) => {
      const { present } = store.getState().document;
      const { dragging } = store.getState().session;
      const isFromStorage = documentOpened.match(action) || documentFollowed.match(action);
      // A drag is saved when it ends: what is under way is not a state to come back to.
      if (!isFromStorage && present && !dragging) autosave?.change(present);
      ask();
    },
  });
  listeners.startListening({
    matcher: isAnyOf(...keepsSettings),
    effect: (action) =>
      void followSettings(store, designs, action).catch((error: unknown) =>
        tell(`The setting holds for this tab only: ${storageFault(error)}.`),
      ),
  });

  const showDocument = (design: Design | null) => {
    store.dispatch(documentOpened(design));
  };

  const listLeftBehind = () =>
    store.dispatch(
      unsavedChanged(
        [...leftBehind].map(([id, { unsaved }]) => ({
          id,
          name: unsaved()?.name ?? '',
          detail: detailOf.get(id) ?? '',
        })),
      ),
    );
  const detailOf = new Map<string, string>();

  const autosaveOf = (id: string, generation: number): Autosave => {
    const saver: Autosave = createAutosave(designs, id, generation, {
      onState: (state, detail) => {
        if (detail !== undefined) detailOf.set(id, detail);
        if (saver === autosave) store.dispatch(saveChanged({ state, detail }));
        if (!leftBehind.has(id)) return;
        if (state === 'saved') leftBehind.delete(id);
        listLeftBehind();
      },
      onHeld: (mine) => void keepAside(id, mine, saver),
      onBroughtBack: () =>
        tell(`“${saver.unsaved()?.name ?? nameNow()}” had been removed elsewhere: your change brought it back.`),
    });
    return saver;
  };
  const nameNow = () => store.getState().document.present?.name ?? 'The design';

  /** The losing state becomes a revision before anything else happens to it. */
  const keepAside = async (id: string, mine: Design, saver: Autosave): Promise<boolean> => {
    try {
      aside ??= { opened: setAside(designs, id), isKept: false };
      const mineOpened = aside;
      const revision = await mineOpened.opened;
      await revision.keep(mine);
      mineOpened.isKept = true;
      if (saver === autosave) store.dispatch(saveChanged({ state: 'conflict', detail: revision.name }));
      // Left meanwhile: it is safe among the revisions, and nobody is there to choose.
      else leftBehind.delete(id);
      return true;
    } catch (error) {
      if (saver === autosave) store.dispatch(saveChanged({ state: 'conflict' }));
      if (!isLossTold)
        tell(`Your state could not be kept among the revisions: ${storageFault(error)}. Export it before you go on.`);
      isLossTold = true;
      aside = null;
      setTimeout(() => void keepUnkept(id, saver), KEEP_AGAIN_AFTER);
      return false;
    } finally {
      listLeftBehind();
    }
  };

  /** Once more, when there may be space. */
  const keepUnkept = async (id: string, saver: Autosave) => {
    const mine = saver.unsaved();
    if (mine && saver.isHeld() && saver === autosave && !aside?.isKept) await keepAside(id, mine, saver);
  };

  const leave = async () => {
    const id = store.getState().session.id;
    const saver = autosave;
    await saver?.flush();
    autosave = null;
    aside = null;
    isLossTold = false;
    if (saver && id !== null && saver.hasUnsaved() && !saver.isHeld()) {
      leftBehind.set(id, saver);
      listLeftBehind();
    }
  };

  /** Opens a stored design, or closes the open one with null. */
  const open = async (id: string | null): Promise<Opening> => {
    await leave();
    store.dispatch(analysisCleared());
    store.dispatch(sizingCleared());
    showDocument(null);
    store.dispatch(sessionOpened(id));
    if (id === null) return { kind: 'open' };
    const stored = await designs.load(id);
    if (store.getState().session.id !== id) return { kind: 'missing' };
    const waiting = leftBehind.get(id);
    if (stored && isUnreadable(stored)) return { kind: 'unreadable', name: stored.name, issues: stored.issues };
    if (!stored && !waiting) return { kind: 'missing' };
    leftBehind.delete(id);
    listLeftBehind();
    autosave = waiting ?? autosaveOf(id, stored!.generation);
    showDocument(waiting?.unsaved() ?? stored!.design);
    if (waiting) void waiting.flush();
    return { kind: 'open' };
  };

  return {
    store,
    open,
    retryRemedies,
    /** Writes what is unsaved at once, as when the tab is hidden or space was made. */
    flush: async () => {
      await Promise.all([...(autosave ? [autosave] : []), ...leftBehind.values()].map((saver) => saver.flush()));
    },
    /** True when leaving now would lose something: it could be saved neither as the design nor among its revisions. */
    wouldLose: () =>
      leftBehind.size > 0 ||
      (autosave !== null && autosave.hasUnsaved() && (autosave.isHeld() ? !aside?.isKept : autosave.isFailing())),
    /** A design that was left unsaved, to be exported. */
    leftBehind: (id: string): Design | null => leftBehind.get(id)?.unsaved() ?? null,
    /** Another tab saved a newer state: take it when nothing here is unsaved, else say so. */
    followOtherTabs: async (id: string, generation: number) => {
      if (store.getState().session.id !== id || !autosave || generation <= autosave.generation()) return;
      if (autosave.hasUnsaved()) return;
      const saver = autosave;
      const stored = await designs.load(id);
      if (!stored || isUnreadable(stored) || saver !== autosave) return;
      if (saver.hasUnsaved() || stored.generation <= saver.generation()) return;
      saver.continueFrom(stored.generation);
      const steps = store.getState().document.past.length;
      store.dispatch(documentFollowed(stored.design));
      if (steps > 0 && store.getState().document.past.length === 0)
        tell('Another tab added or removed parts: undo starts anew from here.');
    },
    /** After a conflict: take the state of the other tab, or keep this one as a copy. This tab's state is kept either way. */
    resolveConflict: async (choice: 'theirs' | 'copy'): Promise<string | null> => {
      const { id } = store.getState().session;
      const mine = store.getState().document.present;
      const saver = autosave;
      if (id === null || !mine || !saver) return null;
      if (choice === 'copy') {
        const copy = await designs.create({ ...mine, name: `${mine.name} (this tab)`.slice(0, 200) });
        await (await aside?.opened)?.drop();
        saver.continueFrom(saver.generation());
        await open(copy.id);
        return copy.id;
      }
      if (!(await keepAside(id, mine, saver))) return null;
      const { name } = await aside!.opened;
      saver.continueFrom(saver.generation());
      await open(id);
      tell(`Your state is among the revisions as “${name}”.`);
      return id;
    },
    /** Reads a chosen file off this thread. @throws when it could not be read at all */
    readFile: async (file: Blob): Promise<FileResult> => {
      const fault = await fileFault(file);
      if (fault) return fault;
      const bytes = new Uint8Array(await file.arrayBuffer());
      const outcome = await services.jobs.ask('readFile', { bytes }, { lane: 'long' });
      if (outcome.kind === 'done') return outcome.output;
      throw new Error(outcome.kind === 'failed' ? outcome.message : 'It was not read to its end. Choose it again');
    },
    /** Takes settings as they lie in the browser: at the start, and when another tab changed them. */
    loadSettings: () => followSettings(store, designs),
  };
}

export type Session = ReturnType<typeof makeStore>;
export type { AppDispatch, AppStore, AppThunk, RootState, Services } from './reduxStore';
