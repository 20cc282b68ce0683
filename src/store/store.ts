import {
  configureStore,
  createListenerMiddleware,
  isAnyOf,
  type ThunkAction,
  type UnknownAction,
} from '@reduxjs/toolkit';
import type { Design } from '@/core/2-document/schema/design';
import { type Autosave, createAutosave } from '@/storage/autosave';
import type { DesignStore } from '@/storage/designStore';
import type { JobClient } from '@/workers/lanes';
import {
  analysisArrived,
  analysisCleared,
  analysisFailed,
  analysisReducer,
  remediesArrived,
  remediesAsked,
  remediesFailed,
} from './analysisSlice';
import { documentOpened, documentReducer } from './documentSlice';
import { dragEnded, saveChanged, sessionOpened, sessionSlice } from './sessionSlice';
import { sizingCleared, sizingSlice } from './sizingSlice';
import {
  keptInDrawer,
  settingsLoaded,
  settingsSchema,
  settingsSlice,
  takenFromDrawer,
  unitsChanged,
} from './settingsSlice';

/** What hangs off the store: the browser's storage and the computing workers. */
export interface Services {
  readonly designs: DesignStore;
  readonly jobs: JobClient;
}

export function makeStore(services: Services) {
  const listeners = createListenerMiddleware();
  const store = configureStore({
    reducer: {
      document: documentReducer,
      session: sessionSlice.reducer,
      analysis: analysisReducer,
      settings: settingsSlice.reducer,
      sizing: sizingSlice.reducer,
    },
    // Documents and analyses are large and replaced whole: walking them at every drag step would cost frames.
    middleware: (defaults) =>
      defaults({
        serializableCheck: false,
        immutableCheck: false,
        thunk: { extraArgument: services },
      }).prepend(listeners.middleware),
  });
  type State = ReturnType<typeof store.getState>;
  let autosave: Autosave | null = null;

  /** A drag asks at most so often [ms]: every second frame, so that the drawing keeps its own. */
  const ASK_EVERY = 33;
  let askedAt = 0;
  let later: ReturnType<typeof setTimeout> | null = null;
  const ask = () => {
    if (later !== null) return;
    const wait = store.getState().session.dragging ? askedAt + ASK_EVERY - performance.now() : 0;
    const begin = () => {
      later = null;
      askedAt = performance.now();
      void compute();
    };
    if (wait > 0) later = setTimeout(begin, wait);
    else begin();
  };

  const compute = async () => {
    const { document, session } = store.getState();
    const { present: design, key } = document;
    if (!design) return;
    const options = { without: ['remedies'], quick: session.dragging } as const;
    const outcome = await services.jobs.live({ design, options });
    if (store.getState().session.id !== session.id) return;
    if (outcome.kind === 'failed') store.dispatch(analysisFailed(outcome.message));
    if (outcome.kind !== 'done') return;
    const settled = !session.dragging && store.getState().document.key === key;
    store.dispatch(analysisArrived({ ...outcome.output, key, remediesFollow: !session.dragging }));
    // Remedies are tried one by one, each a whole analysis: the numbers do not wait for them.
    if (settled) await findRemedies(design, key);
  };

  /** Tries what may help, in the long lane; a newer state of the document ends it. */
  const findRemedies = async (design: Design, key: number) => {
    const outcome = await services.jobs.ask('remedies', { design }, { lane: 'long', slot: 'remedies' });
    if (outcome.kind === 'done') store.dispatch(remediesArrived({ findings: outcome.output, key }));
    if (outcome.kind === 'failed') store.dispatch(remediesFailed({ message: outcome.message, key }));
  };

  listeners.startListening({
    predicate: (action, now, before) => {
      const present = (now as State).document.present;
      return present !== (before as State).document.present || dragEnded.match(action);
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
    /** Tries the remedies again after that failed. */
    retryRemedies: async () => {
      const { present, key } = store.getState().document;
      if (!present || store.getState().analysis.key !== key) return;
      store.dispatch(remediesAsked());
      await findRemedies(present, key);
    },
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
export type AppStore = Session['store'];
export type RootState = ReturnType<AppStore['getState']>;
export type AppDispatch = AppStore['dispatch'];
export type AppThunk<Result = void> = ThunkAction<Result, RootState, Services, UnknownAction>;
