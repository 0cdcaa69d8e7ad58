import { Box, Dialog, Portal } from '@chakra-ui/react';
import { Command } from 'cmdk';
import { useDeferredValue, useEffect, useState } from 'react';
import { useMatch, useNavigate } from 'react-router';
import useSWR from 'swr';
import { judgeAct, lifeOf } from '@rubbet/core/order';
import { api } from '../data/api.ts';
import { isOffice } from '../data/roles.ts';
import type { Customer, Me, Order, OrderList } from '../data/types.ts';
import { placeName } from '../parts/MiniTape.tsx';
import { useNotice } from '../parts/Notice.tsx';
import { Title } from '../parts/Text.tsx';
import { SECTIONS } from '../pages/settings/SettingsFrame.tsx';
import { toggleTheme } from './lightDark.ts';
import { PLACES } from './places.ts';
import './palette.css';

const KEYS = [
  ['Ctrl K', 'find an order, a place or an action'],
  ['?', 'this list'],
  ['Ctrl Z, Ctrl Y', 'undo and redo at the Build station'],
  ['1 to 8', 'stations of the order in view'],
  ['Arrows', 'turn the view; move the block in hand on the board'],
  ['Enter', 'done, at the bench'],
  ['Esc', 'close, put down'],
] as const;

/** Something that the palette does. */
interface Action {
  readonly name: string;
  readonly run: () => void;
}

/** What can be done with the order in view. */
const useOrderActions = (me: Me, close: () => void): Action[] => {
  const inOrder = useMatch('/orders/:id/*');
  const atBench = useMatch('/bench/:id');
  const id = inOrder?.params.id ?? atBench?.params.id;
  const navigate = useNavigate();
  const { tell, fail } = useNotice();
  const { data: order } = useSWR<Order>(id === undefined ? null : `/orders/${id}`);
  if (!order) return [];
  const open = (path: string) => (): void => {
    close();
    window.open(path, '_blank', 'noopener');
  };
  const may = (act: 'plan days' | 'make work order'): boolean =>
    judgeAct(lifeOf(order), act, me.roles).refusal === undefined;
  const post = (path: string, said: string, to: string) => (): void => {
    close();
    api(path, { method: 'POST', body: {} })
      .then(() => {
        tell(said);
        void navigate(to);
      })
      .catch(fail);
  };
  return [
    ...(order.revision
      ? [
          { name: `Print the work order of ${order.id}`, run: open(`/print/${order.id}`) },
          { name: `Print the site sheet of ${order.id}`, run: open(`/api/orders/${order.id}/site-sheet.pdf`) },
        ]
      : []),
    ...(may('plan days')
      ? [
          {
            name: `Put ${order.id} on the board`,
            run: post(`/board/plan/${order.id}`, 'It stands on the board.', `/orders/${order.id}/days`),
          },
        ]
      : []),
    ...(order.workOrder
      ? [
          {
            name: `Open the bench of ${order.id}`,
            run: () => {
              close();
              void navigate(`/bench/${order.id}`);
            },
          },
        ]
      : []),
  ];
};

/** Finds anything by typing, does what can be done, and lists the keys. */
export const Palette = ({
  mode,
  me,
  close,
  signOut,
}: {
  readonly mode: 'find' | 'keys';
  readonly me: Me;
  readonly close: () => void;
  readonly signOut: () => void;
}) => {
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const asked = useDeferredValue(text.trim());
  const office = isOffice(me);
  const search = encodeURIComponent(asked);
  const { data } = useSWR<OrderList>(`/orders?limit=30&search=${search}`, { keepPreviousData: true });
  const { data: customers } = useSWR<Customer[]>(office && asked.length > 1 ? `/customers?search=${search}` : null, {
    keepPreviousData: true,
  });
  const go = (to: string) => (): void => {
    close();
    void navigate(to);
  };
  const actions: Action[] = [
    ...useOrderActions(me, close),
    ...(office ? [{ name: 'Take an enquiry', run: go('/orders?enquiry=new') }] : []),
    {
      name: 'Change between light and dark',
      run: () => {
        toggleTheme();
        close();
      },
    },
    {
      name: 'Print this page',
      run: () => {
        close();
        setTimeout(() => window.print(), 50);
      },
    },
    { name: 'Sign out', run: signOut },
  ];
  const fits = (name: string): boolean => name.toLowerCase().includes(asked.toLowerCase());
  const places = [
    ...PLACES.map(([to, name]) => [to, name] as const),
    ...(office ? ([['/customers', 'Customers']] as const) : []),
    ...SECTIONS.filter(([, , only]) => office || !only).map(
      ([to, name]) => [`/settings/${to}`, `Settings: ${name}`] as const,
    ),
  ].filter(([, name]) => fits(name));
  const fitting = actions.filter((a) => fits(a.name));
  // What is listed first is what Enter does, however late it arrives.
  const top =
    fitting[0]?.name ??
    (data?.rows[0] ? `order ${data.rows[0].id}` : undefined) ??
    (customers?.[0] ? `customer ${customers[0].id}` : undefined) ??
    places[0]?.[1] ??
    '';
  const [selected, setSelected] = useState(top);
  useEffect(() => setSelected(top), [top]);
  return (
    <Dialog.Root open onOpenChange={(e) => !e.open && close()}>
      <Portal>
        <Dialog.Backdrop position="fixed" inset={0} bg="rgba(15,20,17,.45)" zIndex={40} />
        <Dialog.Positioner
          position="fixed"
          inset={0}
          display="flex"
          justifyContent="center"
          alignItems="flex-start"
          pt={{ base: '4vh', md: '12vh' }}
          zIndex={41}
        >
          <Dialog.Content bg="sheet" color="ink" width="min(620px, 94vw)" border="2px solid" borderColor="ink" p={4}>
            <Dialog.Title className="sr">{mode === 'find' ? 'Find' : 'Keys'}</Dialog.Title>
            {mode === 'keys' ? (
              <Box>
                <Title>Keys</Title>
                <table>
                  <thead className="sr">
                    <tr>
                      <th>Key</th>
                      <th>What it does</th>
                    </tr>
                  </thead>
                  <tbody>
                    {KEYS.map(([key, what]) => (
                      <tr key={key}>
                        <td className="cond">{key}</td>
                        <td>{what}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </Box>
            ) : (
              // What is listed is what fits already: the server searches orders and customers, by telephone and place as well.
              <Command
                label="Find"
                className="palette"
                shouldFilter={false}
                value={selected}
                onValueChange={setSelected}
              >
                <Command.Input
                  autoFocus
                  value={text}
                  onValueChange={setText}
                  placeholder="An order, a customer, a telephone, an action …"
                />
                <Command.List>
                  <Command.Empty>Nothing by that name.</Command.Empty>
                  {fitting.length > 0 && (
                    <Command.Group heading="Do">
                      {fitting.map((a) => (
                        <Command.Item key={a.name} value={a.name} onSelect={a.run}>
                          {a.name}
                        </Command.Item>
                      ))}
                    </Command.Group>
                  )}
                  {(data?.rows ?? []).length > 0 && (
                    <Command.Group heading="Orders">
                      {(data?.rows ?? []).map((o) => (
                        <Command.Item key={o.id} value={`order ${o.id}`} onSelect={go(`/orders/${o.id}`)}>
                          {o.id} · {o.title} · {o.customer}
                          <Box as="span" color="soft" ml={2}>
                            {placeName(o.station)}
                          </Box>
                        </Command.Item>
                      ))}
                    </Command.Group>
                  )}
                  {(customers ?? []).length > 0 && asked.length > 1 && (
                    <Command.Group heading="Customers">
                      {(customers ?? []).slice(0, 12).map((c) => (
                        <Command.Item key={c.id} value={`customer ${c.id}`} onSelect={go(`/customers/${c.id}`)}>
                          {c.name}
                          <Box as="span" color="soft" ml={2}>
                            {[c.phone, c.address].filter(Boolean).join(' · ')}
                          </Box>
                        </Command.Item>
                      ))}
                    </Command.Group>
                  )}
                  {places.length > 0 && (
                    <Command.Group heading="Places">
                      {places.map(([to, name]) => (
                        <Command.Item key={to} value={name} onSelect={go(to)}>
                          {name}
                        </Command.Item>
                      ))}
                    </Command.Group>
                  )}
                </Command.List>
              </Command>
            )}
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
};
