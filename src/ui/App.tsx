import { createContext, useContext } from 'react';
import { Provider } from 'react-redux';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { Toaster } from 'sonner';
import type { DesignStore } from '@/storage/designStore';
import type { Session } from '@/store/store';
import { DesignsPage } from './designs/DesignsPage';
import { Workbench } from './shell/Workbench';

interface Surroundings {
  readonly session: Session;
  readonly designs: DesignStore;
}

const SurroundingsContext = createContext<Surroundings | null>(null);

/** The open session and the stored designs. */
export function useSurroundings(): Surroundings {
  const surroundings = useContext(SurroundingsContext);
  if (!surroundings) throw new Error('Surroundings are missing.');
  return surroundings;
}

const router = createBrowserRouter([
  { path: '/', element: <DesignsPage /> },
  { path: '/design/:id', element: <Navigate to="wing" replace /> },
  { path: '/design/:id/:stage', element: <Workbench /> },
  { path: '*', element: <Navigate to="/" replace /> },
]);

export function App({ session, designs }: Surroundings) {
  return (
    <SurroundingsContext value={{ session, designs }}>
      <Provider store={session.store}>
        <RouterProvider router={router} />
        <Toaster position="bottom-left" toastOptions={{ duration: 10_000 }} />
      </Provider>
    </SurroundingsContext>
  );
}
