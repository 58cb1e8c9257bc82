import { createBrowserRouter, Navigate } from 'react-router';
import { Frame } from '#web/app/Frame.tsx';
import { RouteError } from '#web/app/RouteError.tsx';
import { REMEMBERED, remembered } from '#web/session/stored.ts';
import { Problem } from '#web/ui/Problem.tsx';

const NOT_FOUND = (
  <Problem
    title="There is nothing here"
    text="The address leads to no page of Ulu. Your record is untouched."
    to="/now"
    action="Go to Now"
  />
);

/** Opens where the player was last. */
function Home() {
  const last = remembered(REMEMBERED.instrument);
  return <Navigate to={last ? `/now/${last}` : '/now'} replace />;
}

export const router = createBrowserRouter([
  {
    element: <Frame />,
    errorElement: <RouteError />,
    HydrateFallback: () => null,
    children: [
      { path: '/', element: <Home /> },
      {
        path: '/now',
        lazy: async () => ({ Component: (await import('#web/features/now/TodayPage.tsx')).TodayPage }),
      },
      {
        path: '/now/:instrumentId',
        lazy: async () => ({ Component: (await import('#web/features/now/NowPage.tsx')).NowPage }),
      },
      {
        path: '/pack-up',
        lazy: async () => ({ Component: (await import('#web/features/packup/PackUpAllPage.tsx')).PackUpAllPage }),
      },
      {
        path: '/pack-up/:instrumentId/:runKey',
        lazy: async () => ({ Component: (await import('#web/features/packup/RunPage.tsx')).RunPage }),
      },
      {
        path: '/pack-up/:instrumentId',
        lazy: async () => ({ Component: (await import('#web/features/packup/PackUpPage.tsx')).PackUpPage }),
      },
      {
        path: '/care',
        lazy: async () => ({ Component: (await import('#web/features/care/CareAllPage.tsx')).CareAllPage }),
      },
      ...['/reeds', '/reeds/:instrumentId'].map((path) => ({
        path,
        lazy: async () => ({ Component: (await import('#web/features/reeds/ReedsPage.tsx')).ReedsPage }),
      })),
      {
        path: '/double-reeds/:instrumentId/looks',
        lazy: async () => ({ Component: (await import('#web/features/doublereeds/LooksPage.tsx')).LooksPage }),
      },
      {
        path: '/double-reeds/:instrumentId',
        lazy: async () => ({
          Component: (await import('#web/features/doublereeds/ChooseReedPage.tsx')).ChooseReedPage,
        }),
      },
      {
        path: '/double-reeds/:instrumentId/:boxKey/:number',
        lazy: async () => ({ Component: (await import('#web/features/doublereeds/TablePage.tsx')).TablePage }),
      },
      {
        path: '/double-reeds/:instrumentId/:boxKey/:number/card',
        lazy: async () => ({ Component: (await import('#web/features/doublereeds/CardPage.tsx')).CardPage }),
      },
      ...['/calendar', '/calendar/:instrumentId'].map((path) => ({
        path,
        lazy: async () => ({ Component: (await import('#web/features/calendar/CalendarPage.tsx')).CalendarPage }),
      })),
      {
        path: '/calendar/:instrumentId/case-lid',
        lazy: async () => ({ Component: (await import('#web/features/calendar/CaseLidPage.tsx')).CaseLidPage }),
      },
      {
        path: '/faults',
        lazy: async () => ({ Component: (await import('#web/features/faults/FaultsAllPage.tsx')).FaultsAllPage }),
      },
      {
        path: '/faults/:instrumentId',
        lazy: async () => ({ Component: (await import('#web/features/faults/FaultsPage.tsx')).FaultsPage }),
      },
      {
        path: '/bench',
        lazy: async () => ({ Component: (await import('#web/features/bench/BenchAllPage.tsx')).BenchAllPage }),
      },
      {
        path: '/bench/:instrumentId/ticket',
        lazy: async () => ({ Component: (await import('#web/features/bench/TicketPage.tsx')).TicketPage }),
      },
      {
        path: '/bench/:instrumentId/pack',
        lazy: async () => ({ Component: (await import('#web/features/bench/HandoverPage.tsx')).PackPage }),
      },
      {
        path: '/bench/:instrumentId/fetch',
        lazy: async () => ({ Component: (await import('#web/features/bench/HandoverPage.tsx')).FetchPage }),
      },
      {
        path: '/bench/:instrumentId/year',
        lazy: async () => ({ Component: (await import('#web/features/bench/YearPage.tsx')).YearPage }),
      },
      {
        path: '/bench/:instrumentId',
        lazy: async () => ({ Component: (await import('#web/features/bench/BenchPage.tsx')).BenchPage }),
      },
      {
        path: '/may-i-use',
        lazy: async () => ({ Component: (await import('#web/features/agents/MayIUsePage.tsx')).MayIUsePage }),
      },
      {
        path: '/care/:instrumentId',
        lazy: async () => ({ Component: (await import('#web/features/care/CarePage.tsx')).CarePage }),
      },
      {
        path: '/care/:instrumentId/methods',
        lazy: async () => ({ Component: (await import('#web/features/methods/MethodsPage.tsx')).MethodsPage }),
      },
      // Its address of before: somebody may have kept it.
      { path: '/care/:instrumentId/your-way', element: <Navigate to="../methods" relative="path" replace /> },
      {
        path: '/add',
        lazy: async () => ({
          Component: (await import('#web/features/instruments/AddInstrumentPage.tsx')).AddInstrumentPage,
        }),
      },
      {
        path: '/add/:instrumentId/history',
        lazy: async () => ({ Component: (await import('#web/features/care/HistoryPage.tsx')).HistoryPage }),
      },
      ...['/data', '/data/:instrumentId'].map((path) => ({
        path,
        lazy: async () => ({ Component: (await import('#web/features/data/DataPage.tsx')).DataPage }),
      })),
      {
        path: '/settings',
        lazy: async () => ({ Component: (await import('#web/features/settings/SettingsPage.tsx')).SettingsPage }),
      },
      {
        path: '/players',
        lazy: async () => ({ Component: (await import('#web/features/players/PlayersPage.tsx')).PlayersPage }),
      },
      { path: '*', element: NOT_FOUND },
    ],
  },
]);
