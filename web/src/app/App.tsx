import { ChakraProvider } from '@chakra-ui/react';
import { lazy, Suspense } from 'react';
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

const page = <K extends string>(load: () => Promise<Record<K, React.ComponentType>>, name: K) => {
  const Page: React.ComponentType = lazy(async () => ({ default: (await load())[name] as React.ComponentType }));
  return (
    <Suspense fallback={<Loading />}>
      <Page />
    </Suspense>
  );
};
const office = (what: string, element: React.ReactElement) => <OfficeOnly what={what}>{element}</OfficeOnly>;

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
    element: office(
      'The business',
      page(() => import('../pages/settings/BusinessPage.tsx'), 'BusinessPage'),
    ),
  },
  {
    path: 'people',
    element: office(
      'The book of people',
      page(() => import('../pages/settings/PeoplePage.tsx'), 'PeoplePage'),
    ),
  },
  {
    path: 'crews',
    element: office(
      'Setting up crews',
      page(() => import('../pages/settings/CrewsPage.tsx'), 'CrewsPage'),
    ),
  },
  {
    path: 'fleet',
    element: office(
      'Setting up trailers',
      page(() => import('../pages/settings/FleetPage.tsx'), 'FleetPage'),
    ),
  },
  {
    path: 'calendar',
    element: office(
      'The calendar',
      page(() => import('../pages/settings/CalendarPage.tsx'), 'CalendarPage'),
    ),
  },
  {
    path: 'rates',
    element: office(
      'What the business charges',
      page(() => import('../pages/settings/Rates.tsx'), 'Rates'),
    ),
  },
  { path: 'mine', element: page(() => import('../pages/settings/MyPage.tsx'), 'MyPage') },
  {
    path: 'book',
    element: office(
      'The book',
      page(() => import('../pages/settings/BookPage.tsx'), 'BookPage'),
    ),
  },
  {
    path: 'export',
    element: office(
      'Taking records out',
      page(() => import('../pages/settings/ExportPage.tsx'), 'ExportPage'),
    ),
  },
];

const rack = [
  { index: true, element: page(() => import('../pages/rack/Rack.tsx'), 'Rack') },
  { path: 'count', element: page(() => import('../pages/rack/CountPage.tsx'), 'CountPage') },
  { path: 'saw', element: page(() => import('../pages/rack/Batches.tsx'), 'Batches') },
  { path: 'saw/:id', element: page(() => import('../pages/rack/BatchPage.tsx'), 'BatchPage') },
  {
    path: 'buying',
    element: office(
      'What is bought',
      page(() => import('../pages/rack/Buying.tsx'), 'Buying'),
    ),
  },
  { path: 'buying/:id', element: page(() => import('../pages/rack/PurchasePage.tsx'), 'PurchasePage') },
  {
    path: 'yield',
    element: office(
      'What orders took',
      page(() => import('../pages/rack/Yield.tsx'), 'Yield'),
    ),
  },
  {
    path: 'items',
    element: office(
      'What the business pays',
      page(() => import('../pages/rack/Items.tsx'), 'Items'),
    ),
  },
];

const router = createBrowserRouter([
  {
    element: <Root />,
    errorElement: <Fault />,
    children: [
      {
        path: '/sign-in',
        element: page(() => import('../pages/sign-in/SignIn.tsx'), 'SignIn'),
        errorElement: <Fault />,
      },
      { path: '/setup', element: page(() => import('../pages/setup/Setup.tsx'), 'Setup'), errorElement: <Fault /> },
      {
        path: '/welcome/:token',
        element: page(() => import('../pages/welcome/Welcome.tsx'), 'Welcome'),
        errorElement: <Fault />,
      },
      {
        path: '/visit/:token',
        element: page(() => import('../pages/visit/Visit.tsx'), 'Visit'),
        errorElement: <Fault />,
      },
      { path: '/p/:id/:part', element: page(() => import('../pages/bench/Labelled.tsx'), 'Labelled') },
      {
        path: '/print/:id',
        element: page(() => import('../pages/print/WorkOrderPaper.tsx'), 'WorkOrderPaper'),
        errorElement: <Fault />,
      },
      { path: '/saw/:id', element: page(() => import('../pages/saw/Saw.tsx'), 'Saw'), errorElement: <Fault /> },
      { path: '/bench/:id', element: page(() => import('../pages/bench/Bench.tsx'), 'Bench'), errorElement: <Fault /> },
      {
        path: '/',
        element: <Shell />,
        errorElement: <Fault />,
        children: [
          {
            errorElement: <Fault />,
            children: [
              { index: true, element: page(() => import('../pages/today/Today.tsx'), 'Today') },
              { path: 'orders', element: page(() => import('../pages/orders/Orders.tsx'), 'Orders') },
              {
                path: 'orders/:id',
                element: page(() => import('../pages/order/OrderPage.tsx'), 'OrderPage'),
                children: [
                  { index: true, element: page(() => import('../pages/order/OrderPage.tsx'), 'ToStation') },
                  { path: 'flock', element: page(() => import('../pages/order/FlockStation.tsx'), 'FlockStation') },
                  {
                    path: 'build',
                    element: page(() => import('../pages/order/configure/BuildStation.tsx'), 'BuildStation'),
                  },
                  { path: 'ground', element: page(() => import('../pages/order/GroundStation.tsx'), 'GroundStation') },
                  {
                    path: 'price',
                    element: office(
                      'The price',
                      page(() => import('../pages/order/PriceStation.tsx'), 'PriceStation'),
                    ),
                  },
                  { path: 'bench', element: page(() => import('../pages/order/BenchStation.tsx'), 'BenchStation') },
                  { path: 'days', element: page(() => import('../pages/order/DaysStation.tsx'), 'DaysStation') },
                  { path: 'road', element: page(() => import('../pages/order/RoadStation.tsx'), 'RoadStation') },
                  {
                    path: 'hand-over',
                    element: page(() => import('../pages/order/HandOverStation.tsx'), 'HandOverStation'),
                  },
                ],
              },
              {
                path: 'customers',
                element: office(
                  'The book of customers',
                  page(() => import('../pages/customers/Customers.tsx'), 'Customers'),
                ),
              },
              {
                path: 'customers/:id',
                element: office(
                  'The book of customers',
                  page(() => import('../pages/customers/CustomerPage.tsx'), 'CustomerPage'),
                ),
              },
              { path: 'models', element: page(() => import('../pages/models/Models.tsx'), 'Models') },
              { path: 'models/:id', element: page(() => import('../pages/models/ModelPage.tsx'), 'ModelPage') },
              {
                path: 'rack',
                element: page(() => import('../pages/rack/RackFrame.tsx'), 'RackFrame'),
                children: rack,
              },
              { path: 'crews', element: page(() => import('../pages/crews/Crews.tsx'), 'Crews') },
              { path: 'crews/morning', element: page(() => import('../pages/crews/Morning.tsx'), 'Morning') },
              { path: 'crews/my-day', element: page(() => import('../pages/crews/MyDay.tsx'), 'MyDay') },
              { path: 'crews/figures', element: page(() => import('../pages/crews/Figures.tsx'), 'Figures') },
              { path: 'crews/calendars', element: page(() => import('../pages/crews/Calendars.tsx'), 'Calendars') },
              { path: 'roads', element: page(() => import('../pages/roads/Roads.tsx'), 'Roads') },
              {
                path: 'settings',
                element: page(() => import('../pages/settings/SettingsFrame.tsx'), 'SettingsFrame'),
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
