import { Provider } from 'react-redux';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { Toaster } from 'sonner';
import { DesignsPage } from './designs/DesignsPage';
import { Workbench } from './shell/Workbench';
import { type Surroundings, SurroundingsContext } from './surroundings';

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
