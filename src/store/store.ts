import { isAnyOf } from '@reduxjs/toolkit';
import type { Analysis } from '@/core/analyse';
import type { Design } from '@/core/2-document/schema/design';
import { fileFault, type FileResult } from '@/files/designFile';
import type { DocumentIssue } from '@/core/2-document/readDesign';
import { isUnreadable } from '@/storage/readStored';
import { storageFault } from '@/storage/storageFault';
import { analysisCleared } from './analysisSlice';
import { besideForgotten } from './besideSlice';
import { computing } from './computing';
import { documentFollowed, documentOpened } from './documentSlice';
import { reduxStore, type RootState, type Services } from './reduxStore';
import { saving } from './saving';
import { dragEnded, sessionOpened } from './sessionSlice';
import { followSettings, keepsSettings } from './settings';
import { keptInDrawer } from './settingsSlice';
import { plansCleared } from './plansSlice';
import { choosingCleared } from './choiceSlice';
import { sizingCleared } from './sizingSlice';
import { tailsForgotten } from './tailSlice';

/** What opening a design came to. */
export type Opening =
  | { readonly kind: 'open' }
  | { readonly kind: 'missing' }
  | { readonly kind: 'unreadable'; readonly name: string; readonly issues: readonly DocumentIssue[] };

/** One bench: the store, computed and saved as it changes, and opening, following and mending what other tabs did. */
export function makeStore(services: Services) {
  const { store, listeners } = reduxStore(services);
  const { designs } = services;
  const tell = (text: string) => services.tell?.(text);
  const { ask, retryRemedies } = computing(store, services.jobs);
  const saves = saving(store, designs, tell);

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
      if (!isFromStorage && present && !dragging) saves.change(present);
      ask();
    },
  });
  listeners.startListening({
    matcher: isAnyOf(...keepsSettings),
    effect: (action) =>
      void followSettings(store, designs, action)
        // Said once it lies there: whoever leaves the page then finds it again.
        .then(
          () => keptInDrawer.match(action) && tell(`${action.payload.name} lies in your drawer now, for every design.`),
        )
        .catch((error: unknown) => tell(`The setting holds for this tab only: ${storageFault(error)}.`)),
  });

  const showDocument = (design: Design | null) => {
    store.dispatch(documentOpened(design));
  };

  /** Opens a stored design, or closes the open one with null. */
  const open = async (id: string | null): Promise<Opening> => {
    await saves.leave();
    store.dispatch(analysisCleared());
    store.dispatch(sizingCleared());
    store.dispatch(choosingCleared());
    store.dispatch(plansCleared());
    store.dispatch(tailsForgotten());
    store.dispatch(besideForgotten());
    showDocument(null);
    store.dispatch(sessionOpened(id));
    if (id === null) return { kind: 'open' };
    const stored = await designs.load(id);
    if (store.getState().session.id !== id) return { kind: 'missing' };
    if (stored && isUnreadable(stored)) return { kind: 'unreadable', name: stored.name, issues: stored.issues };
    const design = saves.begin(id, stored);
    if (!design) return { kind: 'missing' };
    showDocument(design);
    return { kind: 'open' };
  };

  return {
    store,
    open,
    retryRemedies,
    /** Writes what is unsaved at once, as when the tab is hidden or space was made. */
    flush: saves.flush,
    /** True when leaving now would lose something: it could be saved neither as the design nor among its revisions. */
    wouldLose: saves.wouldLose,
    /** A design that was left unsaved, to be exported. */
    leftBehind: saves.leftBehind,
    /** Another tab saved a newer state: take it when nothing here is unsaved, else say so. */
    followOtherTabs: async (id: string, generation: number) => {
      const saver = saves.current();
      if (store.getState().session.id !== id || !saver || generation <= saver.generation()) return;
      if (saver.hasUnsaved()) return;
      const stored = await designs.load(id);
      if (!stored || isUnreadable(stored) || saver !== saves.current()) return;
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
      const saver = saves.current();
      if (id === null || !mine || !saver) return null;
      if (choice === 'copy') {
        const copy = await designs.create({ ...mine, name: `${mine.name} (this tab)`.slice(0, 200) });
        await saves.dropLosing();
        saver.continueFrom(saver.generation());
        await open(copy.id);
        return copy.id;
      }
      const kept = await saves.keepLosing(mine);
      if (!kept) return null;
      saver.continueFrom(saver.generation());
      await open(id);
      tell(`Your state is among the revisions as “${kept.name}”.`);
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
    /** Analyses a design that is not open, when nothing more urgent waits; null where it was not done. */
    analyseAside: async (design: Design): Promise<Analysis | null> => {
      const outcome = await services.jobs.ask('analyse', { design }, { lane: 'long' });
      return outcome.kind === 'done' ? outcome.output.analysis : null;
    },
    /** Takes settings as they lie in the browser: at the start, and when another tab changed them. */
    loadSettings: () => followSettings(store, designs),
  };
}

export type Session = ReturnType<typeof makeStore>;
export type { AppDispatch, AppStore, AppThunk, RootState, Services } from './reduxStore';
