import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect } from 'react';
import { Provider } from 'react-redux';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { Toaster } from 'sonner';
import { DesignsPage } from './designs/DesignsPage';
import { keepFocus } from './shell/keepFocus';
import { PageFault } from './shell/PageFault';
import { Waiting } from './shell/Waiting';
import { type Surroundings, SurroundingsContext } from './surroundings';

const loadBench = () => import('./shell/Workbench');
/** After the first page stands, so that opening a design does not wait [ms]. */
const BENCH_AFTER = 1500;

const router = createBrowserRouter([
  { path: '/', element: <DesignsPage />, errorElement: <PageFault /> },
  { path: '/design/:id', element: <Navigate to="wing" replace /> },
  {
    path: '/design/:id/:stage',
    // The bench is loaded with the first design: the list stands without it.
    lazy: async () => ({ Component: (await loadBench()).Workbench }),
    hydrateFallbackElement: <Waiting what="Opening…" />,
    errorElement: <PageFault />,
  },
  {
    path: '/take',
    lazy: async () => ({ Component: (await import('./share/TakePage')).TakePage }),
    hydrateFallbackElement: <Waiting what="Reading…" />,
    errorElement: <PageFault />,
  },
  { path: '*', element: <Navigate to="/" replace /> },
]);

export function App({ session, designs }: Surroundings) {
  useEffect(() => keepFocus(document), []);
  useEffect(() => {
    const timer = setTimeout(() => void loadBench().catch(() => undefined), BENCH_AFTER);
    return () => clearTimeout(timer);
  }, []);
  // What another tab put in the drawer is in this one's too.
  const settings = useLiveQuery(() => designs.readSetting('settings'));
  useEffect(() => {
    if (settings !== undefined) void session.loadSettings().catch(() => undefined);
  }, [session, settings]);
  return (
    <SurroundingsContext value={{ session, designs }}>
      <Provider store={session.store}>
        <RouterProvider router={router} />
        <Toaster position="bottom-left" toastOptions={{ duration: 10_000, style: { fontFamily: 'inherit' } }} />
      </Provider>
    </SurroundingsContext>
  );
}
