import { ChakraProvider } from '@chakra-ui/react';
import { lazy, Suspense } from 'react';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { SWRConfig } from 'swr';
import { fetcher } from '../data/api.ts';
import { AskProvider } from '../parts/Ask.tsx';
import { Loading } from '../parts/Loading.tsx';
import { NoticeProvider } from '../parts/Notice.tsx';
import { Shell } from './Shell.tsx';
import { Fault } from './Fault.tsx';
import { system } from './theme.ts';

const page = <K extends string>(load: () => Promise<Record<K, React.ComponentType>>, name: K) => {
  const Page: React.ComponentType = lazy(async () => ({ default: (await load())[name] as React.ComponentType }));
  return (
    <Suspense fallback={<Loading />}>
      <Page />
    </Suspense>
  );
};

const router = createBrowserRouter([
  { path: '/sign-in', element: page(() => import('../pages/sign-in/SignIn.tsx'), 'SignIn'), errorElement: <Fault /> },
  { path: '/visit/:token', element: page(() => import('../pages/visit/Visit.tsx'), 'Visit'), errorElement: <Fault /> },
  { path: '/bench/:id', element: page(() => import('../pages/bench/Bench.tsx'), 'Bench'), errorElement: <Fault /> },
  {
    path: '/',
    element: <Shell />,
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
          { path: 'build', element: page(() => import('../pages/order/configure/BuildStation.tsx'), 'BuildStation') },
          { path: 'ground', element: page(() => import('../pages/order/GroundStation.tsx'), 'GroundStation') },
          { path: 'price', element: page(() => import('../pages/order/PriceStation.tsx'), 'PriceStation') },
          { path: 'bench', element: page(() => import('../pages/order/BenchStation.tsx'), 'BenchStation') },
          { path: 'days', element: page(() => import('../pages/order/DaysStation.tsx'), 'DaysStation') },
          { path: 'road', element: page(() => import('../pages/order/RoadStation.tsx'), 'RoadStation') },
          { path: 'hand-over', element: page(() => import('../pages/order/HandOverStation.tsx'), 'HandOverStation') },
        ],
      },
      { path: 'models', element: page(() => import('../pages/models/Models.tsx'), 'Models') },
      { path: 'models/:id', element: page(() => import('../pages/models/ModelPage.tsx'), 'ModelPage') },
      { path: 'rack', element: page(() => import('../pages/rack/Rack.tsx'), 'Rack') },
      { path: 'crews', element: page(() => import('../pages/crews/Crews.tsx'), 'Crews') },
      { path: 'roads', element: page(() => import('../pages/roads/Roads.tsx'), 'Roads') },
      { path: 'settings', element: page(() => import('../pages/settings/Settings.tsx'), 'Settings') },
      { path: '*', element: <Navigate to="/" replace /> },
    ],
  },
]);

/** The whole web: theme, data, routes. */
export const App = () => (
  <ChakraProvider value={system}>
    <SWRConfig value={{ fetcher, revalidateOnFocus: false, shouldRetryOnError: false }}>
      <NoticeProvider>
        <AskProvider>
          <RouterProvider router={router} />
        </AskProvider>
      </NoticeProvider>
    </SWRConfig>
  </ChakraProvider>
);
