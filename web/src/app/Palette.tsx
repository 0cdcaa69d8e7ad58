import { Box, Dialog, Portal } from '@chakra-ui/react';
import { Command } from 'cmdk';
import { useNavigate } from 'react-router';
import useSWR from 'swr';
import { STATIONS, STATION_NAMES } from '@rubbet/core/order';
import type { OrderList } from '../data/types.ts';
import { Title } from '../parts/Text.tsx';
import { PLACES } from './places.ts';
import { toggleTheme } from './lightDark.ts';
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

/** Finds anything by typing, and lists the keys. */
export const Palette = ({ mode, close }: { readonly mode: 'find' | 'keys'; readonly close: () => void }) => {
  const navigate = useNavigate();
  const { data } = useSWR<OrderList>('/orders?limit=200');
  const go = (to: string) => () => {
    close();
    void navigate(to);
  };
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
          pt="12vh"
          zIndex={41}
        >
          <Dialog.Content bg="sheet" color="ink" width="min(620px, 92vw)" border="2px solid" borderColor="ink" p={4}>
            <Dialog.Title className="sr">{mode === 'find' ? 'Find' : 'Keys'}</Dialog.Title>
            {mode === 'keys' ? (
              <Box>
                <Title>Keys</Title>
                <table>
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
              <Command label="Find" className="palette">
                <Command.Input autoFocus placeholder="An order, a customer, a place …" />
                <Command.List>
                  <Command.Empty>Nothing by that name.</Command.Empty>
                  <Command.Group heading="Places">
                    {PLACES.map(([to, name]) => (
                      <Command.Item key={to} onSelect={go(to)}>
                        {name}
                      </Command.Item>
                    ))}
                    <Command.Item
                      onSelect={() => {
                        toggleTheme();
                        close();
                      }}
                    >
                      Change between light and dark
                    </Command.Item>
                  </Command.Group>
                  <Command.Group heading="Orders">
                    {(data?.rows ?? []).map((o) => (
                      <Command.Item
                        key={o.id}
                        value={`${o.id} ${o.title} ${o.customer}`}
                        onSelect={go(`/orders/${o.id}`)}
                      >
                        {o.id} · {o.title} · {o.customer}
                        <Box as="span" color="soft" ml={2}>
                          {o.station === 'done'
                            ? 'handed over'
                            : STATION_NAMES[STATIONS.find((s) => s === o.station) ?? 'flock']}
                        </Box>
                      </Command.Item>
                    ))}
                  </Command.Group>
                </Command.List>
              </Command>
            )}
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
};
