import { isAnyOf } from '@reduxjs/toolkit';
import type { Design } from '@/core/2-document/schema/design';
import { type Autosave, createAutosave } from '@/storage/autosave';
import { analysisCleared } from './analysisSlice';
import { computing } from './computing';
import { documentOpened } from './documentSlice';
import { reduxStore, type RootState, type Services } from './reduxStore';
import { dragEnded, saveChanged, sessionOpened } from './sessionSlice';
import { keptInDrawer, settingsLoaded, settingsSchema, takenFromDrawer, unitsChanged } from './settingsSlice';
import { sizingCleared } from './sizingSlice';

/** One bench: the store, computed and saved as it changes, and opening, following and mending what other tabs did. */
export function makeStore(services: Services) {
  const { store, listeners } = reduxStore(services);
  const { ask, retryRemedies } = computing(store, services.jobs);
  let autosave: Autosave | null = null;

  listeners.startListening({
    predicate: (action, now, before) => {
      const present = (now as RootState).document.present;
      return present !== (before as RootState).document.present || dragEnded.match(action);
    },
    effect: (action) => {
      const { present } = store.getState().document;
      const { dragging } = store.getState().session;
      // A drag is saved when it ends: what is under way is not a state to come back to.
      if (!documentOpened.match(action) && present && !dragging) autosave?.change(present);
      ask();
    },
  });
  listeners.startListening({
    matcher: isAnyOf(unitsChanged, keptInDrawer, takenFromDrawer),
    effect: () => void services.designs.writeSetting('settings', store.getState().settings),
  });

  const showDocument = (design: Design | null) => {
    store.dispatch(documentOpened(design));
  };

  /** Opens a stored design, or closes the open one with null. */
  const open = async (id: string | null): Promise<boolean> => {
    await autosave?.stop();
    autosave = null;
    store.dispatch(analysisCleared());
    store.dispatch(sizingCleared());
    showDocument(null);
    store.dispatch(sessionOpened(id));
    if (id === null) return true;
    const stored = await services.designs.load(id);
    if (!stored || store.getState().session.id !== id) return false;
    autosave = createAutosave(services.designs, id, stored.generation, {
      onState: (state, detail) => store.dispatch(saveChanged({ state, detail })),
      onConflict: (outcome) => store.dispatch(saveChanged({ state: outcome.kind })),
    });
    showDocument(stored.design);
    return true;
  };

  return {
    store,
    open,
    retryRemedies,
    /** Writes what is unsaved at once, as when the tab is hidden. */
    flush: () => autosave?.flush() ?? Promise.resolve(),
    /** Another tab saved a newer state: take it when nothing here is unsaved, else say so. */
    followOtherTabs: async (id: string, generation: number) => {
      if (store.getState().session.id !== id || !autosave || generation <= autosave.generation()) return;
      if (autosave.hasUnsaved()) return;
      const stored = await services.designs.load(id);
      if (!stored || store.getState().session.id !== id || stored.generation <= autosave.generation()) return;
      autosave.continueFrom(stored.generation);
      showDocument(stored.design);
    },
    /** After a conflict: take the state of the other tab, or keep this one as a copy. */
    resolveConflict: async (choice: 'theirs' | 'copy'): Promise<string | null> => {
      const { id } = store.getState().session;
      const mine = store.getState().document.present;
      if (id === null) return null;
      if (choice === 'copy' && mine) {
        const copy = await services.designs.create({
          ...mine,
          name: `${mine.name} (this tab)`.slice(0, 200),
        });
        autosave = null;
        await open(copy.id);
        return copy.id;
      }
      autosave = null;
      await open(id);
      return id;
    },
    loadSettings: async () => {
      const read = settingsSchema.safeParse(await services.designs.readSetting('settings'));
      if (read.success) store.dispatch(settingsLoaded(read.data));
    },
  };
}

export type Session = ReturnType<typeof makeStore>;
export type { AppDispatch, AppStore, AppThunk, RootState, Services } from './reduxStore';
