import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect } from 'react';
import { Provider } from 'react-redux';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { Toaster } from 'sonner';
import { DesignsPage } from './designs/DesignsPage';
import { keepFocus } from './shell/keepFocus';
import { PageFault } from './shell/PageFault';
import { Workbench } from './shell/Workbench';
import { type Surroundings, SurroundingsContext } from './surroundings';

const router = createBrowserRouter([
  { path: '/', element: <DesignsPage />, errorElement: <PageFault /> },
  { path: '/design/:id', element: <Navigate to="wing" replace /> },
  { path: '/design/:id/:stage', element: <Workbench />, errorElement: <PageFault /> },
  { path: '*', element: <Navigate to="/" replace /> },
]);

export function App({ session, designs }: Surroundings) {
  useEffect(() => keepFocus(document), []);
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
