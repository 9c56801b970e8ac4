import '@fontsource-variable/bitter/index.css';
import '@fontsource-variable/figtree/index.css';
import './app/tokens.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import ConfigProvider from 'antd/es/config-provider';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Outlet, RouterProvider, ScrollRestoration } from 'react-router';
import { Gate } from './app/gate/Gate';
import { keepApp } from './app/offlineApp';
import { RouteError } from './app/RouteError';
import { furtherPages, stages } from './app/stages';
import { theme } from './app/theme';

const client = new QueryClient({
  // Also without a connection it is asked: then what this device keeps answers.
  defaultOptions: { queries: { refetchOnWindowFocus: false, networkMode: 'always' } },
});

/** A page begins at its top, and is found again where it was left; what only its search says moves nothing. */
function Pages() {
  return (
    <>
      <Gate>
        <Outlet />
      </Gate>
      <ScrollRestoration getKey={({ pathname }) => pathname} />
    </>
  );
}

/** Every stage is a chunk of its own; the start page loads none of them. */
const router = createBrowserRouter([
  {
    element: <Pages />,
    children: [
      {
        path: '/',
        lazy: async () => ({ Component: (await import('./stages/projects/ProjectsPage')).ProjectsPage }),
        ErrorBoundary: RouteError,
        HydrateFallback: () => null,
      },
      {
        path: '/new',
        lazy: async () => ({ Component: (await import('./stages/brief/NewProjectPage')).NewProjectPage }),
        ErrorBoundary: RouteError,
        HydrateFallback: () => null,
      },
      {
        path: '/devices',
        lazy: async () => ({ Component: (await import('./stages/devices/DevicesPage')).DevicesPage }),
        ErrorBoundary: RouteError,
        HydrateFallback: () => null,
      },
      {
        path: '/waiting',
        lazy: async () => ({ Component: (await import('./stages/waiting/WaitingPage')).WaitingPage }),
        ErrorBoundary: RouteError,
        HydrateFallback: () => null,
      },
      {
        path: '/sheet',
        lazy: async () => ({ Component: (await import('./stages/sheet/SheetPage')).SheetPage }),
        ErrorBoundary: RouteError,
        HydrateFallback: () => null,
      },
      {
        path: '/enter',
        lazy: async () => ({ Component: (await import('./app/gate/SignIn')).SignIn }),
        ErrorBoundary: RouteError,
        HydrateFallback: () => null,
      },
      {
        path: '/house',
        lazy: async () => ({ Component: (await import('./stages/house/HousePage')).HousePage }),
        ErrorBoundary: RouteError,
        HydrateFallback: () => null,
      },
      {
        path: '/history',
        lazy: async () => ({ Component: (await import('./stages/history/HistoryPage')).HistoryPage }),
        ErrorBoundary: RouteError,
        HydrateFallback: () => null,
      },
      {
        path: '/p/:projectId',
        lazy: async () => ({ Component: (await import('./app/ProjectShell')).ProjectShell }),
        ErrorBoundary: RouteError,
        HydrateFallback: () => null,
        children: [
          { index: true, lazy: async () => ({ Component: (await import('./app/OwnPart')).ProjectHome }) },
          ...[...stages, ...furtherPages].map(({ path, load }) => ({
            path,
            lazy: async () => ({ Component: await load() }),
            ErrorBoundary: RouteError,
          })),
        ],
      },
      {
        path: '*',
        loader: () => {
          throw new Error('There is no such page.');
        },
        ErrorBoundary: RouteError,
        element: null,
      },
    ],
  },
]);

const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
createRoot(root).render(
  <StrictMode>
    <ConfigProvider theme={theme}>
      <QueryClientProvider client={client}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </ConfigProvider>
  </StrictMode>,
);

// After all that the page itself needs.
addEventListener('load', () => setTimeout(() => void keepApp(), 1500));
