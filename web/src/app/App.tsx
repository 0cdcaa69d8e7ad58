import { ChakraProvider } from '@chakra-ui/react';
import { createBrowserRouter, Outlet, RouterProvider } from 'react-router';
import { SWRConfig } from 'swr';
import { fetcher } from '../data/api.ts';
import { ShowForMe } from '../data/useShow.tsx';
import { AskProvider } from '../parts/Ask.tsx';
import { Loading } from '../parts/Loading.tsx';
import { NoticeProvider } from '../parts/Notice.tsx';
import { Fault } from './Fault.tsx';
import { NoSuchPage } from './NoSuchPage.tsx';
import { OfficeOnly } from './OfficeOnly.tsx';
import { Shell } from './Shell.tsx';
import { system } from './theme.ts';

interface Lazily {
  readonly lazy: () => Promise<{ readonly Component: React.ComponentType }>;
}
/** A page that comes with what it needs before it is shown: all that a place is made of is fetched at once. */
const page = <K extends string>(load: () => Promise<Record<K, React.ComponentType>>, name: K): Lazily => ({
  lazy: async () => ({ Component: (await load())[name] }),
});
const office = (what: string, { lazy }: Lazily): Lazily => ({
  lazy: async () => {
    const { Component } = await lazy();
    const ForOffice = () => (
      <OfficeOnly what={what}>
        <Component />
      </OfficeOnly>
    );
    return { Component: ForOffice };
  },
});

/** What every page stands in: units and money of the reader, messages, questions. */
const Root = () => (
  <ShowForMe>
    <NoticeProvider>
      <AskProvider>
        <Outlet />
      </AskProvider>
    </NoticeProvider>
  </ShowForMe>
);

const settings = [
  {
    path: 'business',
    ...office(
      'The business',
      page(() => import('../pages/settings/BusinessPage.tsx'), 'BusinessPage'),
    ),
  },
  {
    path: 'people',
    ...office(
      'The book of people',
      page(() => import('../pages/settings/PeoplePage.tsx'), 'PeoplePage'),
    ),
  },
  {
    path: 'crews',
    ...office(
      'Setting up crews',
      page(() => import('../pages/settings/CrewsPage.tsx'), 'CrewsPage'),
    ),
  },
  {
    path: 'fleet',
    ...office(
      'Setting up trailers',
      page(() => import('../pages/settings/FleetPage.tsx'), 'FleetPage'),
    ),
  },
  {
    path: 'calendar',
    ...office(
      'The calendar',
      page(() => import('../pages/settings/CalendarPage.tsx'), 'CalendarPage'),
    ),
  },
  {
    path: 'rates',
    ...office(
      'What the business charges',
      page(() => import('../pages/settings/Rates.tsx'), 'Rates'),
    ),
  },
  { path: 'mine', ...page(() => import('../pages/settings/MyPage.tsx'), 'MyPage') },
  {
    path: 'book',
    ...office(
      'The book',
      page(() => import('../pages/settings/BookPage.tsx'), 'BookPage'),
    ),
  },
  {
    path: 'export',
    ...office(
      'Taking records out',
      page(() => import('../pages/settings/ExportPage.tsx'), 'ExportPage'),
    ),
  },
];

const rack = [
  { index: true, ...page(() => import('../pages/rack/Rack.tsx'), 'Rack') },
  { path: 'count', ...page(() => import('../pages/rack/CountPage.tsx'), 'CountPage') },
  { path: 'saw', ...page(() => import('../pages/rack/Batches.tsx'), 'Batches') },
  { path: 'saw/:id', ...page(() => import('../pages/rack/BatchPage.tsx'), 'BatchPage') },
  {
    path: 'buying',
    ...office(
      'What is bought',
      page(() => import('../pages/rack/Buying.tsx'), 'Buying'),
    ),
  },
  { path: 'buying/:id', ...page(() => import('../pages/rack/PurchasePage.tsx'), 'PurchasePage') },
  {
    path: 'yield',
    ...office(
      'What orders took',
      page(() => import('../pages/rack/Yield.tsx'), 'Yield'),
    ),
  },
  {
    path: 'items',
    ...office(
      'What the business pays',
      page(() => import('../pages/rack/Items.tsx'), 'Items'),
    ),
  },
];

const router = createBrowserRouter([
  {
    element: <Root />,
    errorElement: <Fault />,
    hydrateFallbackElement: <Loading />,
    children: [
      {
        path: '/sign-in',
        ...page(() => import('../pages/sign-in/SignIn.tsx'), 'SignIn'),
        errorElement: <Fault />,
      },
      { path: '/setup', ...page(() => import('../pages/setup/Setup.tsx'), 'Setup'), errorElement: <Fault /> },
      {
        path: '/welcome/:token',
        ...page(() => import('../pages/welcome/Welcome.tsx'), 'Welcome'),
        errorElement: <Fault />,
      },
      {
        path: '/visit/:token',
        ...page(() => import('../pages/visit/Visit.tsx'), 'Visit'),
        errorElement: <Fault />,
      },
      { path: '/p/:id/:part', ...page(() => import('../pages/bench/Labelled.tsx'), 'Labelled') },
      {
        path: '/print/:id',
        ...page(() => import('../pages/print/WorkOrderPaper.tsx'), 'WorkOrderPaper'),
        errorElement: <Fault />,
      },
      { path: '/saw/:id', ...page(() => import('../pages/saw/Saw.tsx'), 'Saw'), errorElement: <Fault /> },
      { path: '/bench/:id', ...page(() => import('../pages/bench/Bench.tsx'), 'Bench'), errorElement: <Fault /> },
      {
        path: '/',
        element: <Shell />,
        errorElement: <Fault />,
        children: [
          {
            errorElement: <Fault />,
            children: [
              { index: true, ...page(() => import('../pages/today/Today.tsx'), 'Today') },
              { path: 'orders', ...page(() => import('../pages/orders/Orders.tsx'), 'Orders') },
              {
                path: 'orders/:id',
                ...page(() => import('../pages/order/OrderPage.tsx'), 'OrderPage'),
                children: [
                  { index: true, ...page(() => import('../pages/order/OrderPage.tsx'), 'ToStation') },
                  { path: 'flock', ...page(() => import('../pages/order/FlockStation.tsx'), 'FlockStation') },
                  {
                    path: 'build',
                    ...page(() => import('../pages/order/configure/BuildStation.tsx'), 'BuildStation'),
                  },
                  { path: 'ground', ...page(() => import('../pages/order/GroundStation.tsx'), 'GroundStation') },
                  {
                    path: 'price',
                    ...office(
                      'The price',
                      page(() => import('../pages/order/PriceStation.tsx'), 'PriceStation'),
                    ),
                  },
                  { path: 'bench', ...page(() => import('../pages/order/BenchStation.tsx'), 'BenchStation') },
                  { path: 'days', ...page(() => import('../pages/order/DaysStation.tsx'), 'DaysStation') },
                  { path: 'road', ...page(() => import('../pages/order/RoadStation.tsx'), 'RoadStation') },
                  {
                    path: 'hand-over',
                    ...page(() => import('../pages/order/HandOverStation.tsx'), 'HandOverStation'),
                  },
                ],
              },
              {
                path: 'customers',
                ...office(
                  'The book of customers',
                  page(() => import('../pages/customers/Customers.tsx'), 'Customers'),
                ),
              },
              {
                path: 'customers/:id',
                ...office(
                  'The book of customers',
                  page(() => import('../pages/customers/CustomerPage.tsx'), 'CustomerPage'),
                ),
              },
              { path: 'models', ...page(() => import('../pages/models/Models.tsx'), 'Models') },
              { path: 'models/:id', ...page(() => import('../pages/models/ModelPage.tsx'), 'ModelPage') },
              {
                path: 'rack',
                ...page(() => import('../pages/rack/RackFrame.tsx'), 'RackFrame'),
                children: rack,
              },
              { path: 'crews', ...page(() => import('../pages/crews/Crews.tsx'), 'Crews') },
              { path: 'crews/morning', ...page(() => import('../pages/crews/Morning.tsx'), 'Morning') },
              { path: 'crews/my-day', ...page(() => import('../pages/crews/MyDay.tsx'), 'MyDay') },
              { path: 'crews/figures', ...page(() => import('../pages/crews/Figures.tsx'), 'Figures') },
              { path: 'crews/calendars', ...page(() => import('../pages/crews/Calendars.tsx'), 'Calendars') },
              { path: 'roads', ...page(() => import('../pages/roads/Roads.tsx'), 'Roads') },
              {
                path: 'settings',
                ...page(() => import('../pages/settings/SettingsFrame.tsx'), 'SettingsFrame'),
                children: settings,
              },
              { path: '*', element: <NoSuchPage /> },
            ],
          },
        ],
      },
    ],
  },
]);

/** The whole web: theme, data, routes. */
export const App = () => (
  <ChakraProvider value={system}>
    <SWRConfig value={{ fetcher, revalidateOnFocus: false, shouldRetryOnError: false }}>
      <RouterProvider router={router} />
    </SWRConfig>
  </ChakraProvider>
);
