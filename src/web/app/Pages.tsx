import { type ComponentType, lazy, Suspense } from 'react';
import { matchRoutes, type RouteObject, useLocation, useRoutes } from 'react-router';
import { Contained } from './Contained';
import { Gate } from './gate/Gate';
import { furtherPages, stages } from './stages';
import { useFoundAgain } from './useFoundAgain';
import { WentWrong } from './WentWrong';

/** Where a page is, and what stands in it further on. */
interface Place {
  path: string;
  load(): Promise<ComponentType>;
  within?: readonly Place[];
}
/** A route, with what asks for its page. */
type PageRoute = RouteObject & { ask?(): void };

/** All pages; each is a chunk of its own, and the start page loads none of the others. */
const places: readonly Place[] = [
  { path: '/', load: async () => (await import('../stages/projects/ProjectsPage')).ProjectsPage },
  { path: '/new', load: async () => (await import('../stages/brief/NewProjectPage')).NewProjectPage },
  { path: '/devices', load: async () => (await import('../stages/devices/DevicesPage')).DevicesPage },
  { path: '/waiting', load: async () => (await import('../stages/waiting/WaitingPage')).WaitingPage },
  { path: '/sheet', load: async () => (await import('../stages/sheet/SheetPage')).SheetPage },
  { path: '/enter', load: async () => (await import('./gate/SignIn')).SignIn },
  { path: '/house', load: async () => (await import('../stages/house/HousePage')).HousePage },
  { path: '/history', load: async () => (await import('../stages/history/HistoryPage')).HistoryPage },
  {
    path: '/p/:projectId',
    load: async () => (await import('./ProjectShell')).ProjectShell,
    within: [
      { path: '', load: async () => (await import('./OwnPart')).ProjectHome },
      ...[...stages, ...furtherPages].map(({ path, load }) => ({ path, load })),
    ],
  },
];

function routeOf({ path, load, within = [] }: Place): PageRoute {
  const Page = lazy(async () => ({ default: await load() }));
  return {
    path,
    element: <Page />,
    children: within.map(routeOf),
    // Where it does not come, the page itself says so.
    ask: () => void load().catch(() => undefined),
  };
}

const routes: PageRoute[] = [
  ...places.map(routeOf),
  { path: '*', element: <WentWrong message="There is no such page." /> },
];

/** The page of the present address. Until it is there, the one before it stays. */
export function Pages() {
  const location = useLocation();
  // What stands one in another is asked for at once, not one after the other.
  for (const { route } of matchRoutes(routes, location) ?? []) route.ask?.();
  const page = useRoutes(routes);
  useFoundAgain();
  return (
    <Gate>
      <Contained>
        <Suspense fallback={null}>{page}</Suspense>
      </Contained>
    </Gate>
  );
}
