import { configureStore, createListenerMiddleware, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import type { DesignStore } from '@/storage/designStore';
import type { JobClient } from '@/workers/lanes';
import { analysisReducer } from './analysisSlice';
import { benchSlice } from './benchSlice';
import { besideSlice } from './besideSlice';
import { choiceSlice } from './choiceSlice';
import { documentReducer } from './documentSlice';
import { fieldSlice } from './fieldSlice';
import { compareSlice } from './compareSlice';
import { gliderSlice } from './gliderSlice';
import { plansSlice } from './plansSlice';
import { sessionSlice } from './sessionSlice';
import { settingsSlice } from './settingsSlice';
import { sizingSlice } from './sizingSlice';
import { tailSlice } from './tailSlice';

/** What hangs off the store: the browser's storage and the computing workers. */
export interface Services {
  readonly designs: DesignStore;
  readonly jobs: JobClient;
  /** Says something that nobody asked for: it stands for a while and goes. */
  readonly tell?: (text: string) => void;
}

/** The state of the bench, and the listeners that answer to what happens to it. */
export function reduxStore(services: Services) {
  const listeners = createListenerMiddleware();
  const store = configureStore({
    reducer: {
      document: documentReducer,
      session: sessionSlice.reducer,
      analysis: analysisReducer,
      settings: settingsSlice.reducer,
      sizing: sizingSlice.reducer,
      tail: tailSlice.reducer,
      choice: choiceSlice.reducer,
      plans: plansSlice.reducer,
      glider: gliderSlice.reducer,
      compare: compareSlice.reducer,
      field: fieldSlice.reducer,
      bench: benchSlice.reducer,
      beside: besideSlice.reducer,
    },
    // Documents and analyses are large and replaced whole: walking them at every drag step would cost frames.
    middleware: (defaults) =>
      defaults({
        serializableCheck: false,
        immutableCheck: false,
        thunk: { extraArgument: services },
      }).prepend(listeners.middleware),
  });
  return { store, listeners };
}

export type AppStore = ReturnType<typeof reduxStore>['store'];
export type RootState = ReturnType<AppStore['getState']>;
export type AppDispatch = AppStore['dispatch'];
export type AppThunk<Result = void> = ThunkAction<Result, RootState, Services, UnknownAction>;
