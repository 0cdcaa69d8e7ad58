import { Box } from '@chakra-ui/react';
import { addDays } from '@rubbet/core/days';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import useSWR from 'swr';
import { judgeAct, lifeOf, UNDONE_WORDS } from '@rubbet/core/order';
import type { OrderAct } from '@rubbet/core/order';
import { api } from '../../data/api.ts';
import type { KeepOrder, WriteOrder } from '../../data/hooks.ts';
import { today } from '../../data/days.ts';
import type { Customer, CustomerDetail, Order } from '../../data/types.ts';
import { isSame } from '../../data/drafts.ts';
import { useKept } from '../../data/useKept.ts';
import { useAsk } from '../../parts/Ask.tsx';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { CustomerChooser } from '../../parts/CustomerChooser.tsx';
import { DraftBar } from '../../parts/DraftBar.tsx';
import { Field, Input, Select, TextArea } from '../../parts/Fields.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft, Title } from '../../parts/Text.tsx';
import { CustomerLink } from './CustomerLink.tsx';
import { detailsOf, readDetails } from './details.ts';

const LABELS = {
  title: 'What for',
  wantedBy: 'Wanted by',
  quantity: 'How many',
  customerId: 'Customer',
  siteId: 'Where it goes',
  notes: 'Notes',
} as const;

/** What can be done to an order as a whole, beside its stations. */
const ACTS: readonly {
  readonly act: OrderAct;
  readonly path: string;
  readonly verb: string;
  readonly title: string;
  readonly reason: string;
  readonly done: string;
}[] = [
  {
    act: 'take back acceptance',
    path: '/take-back',
    verb: 'Take back the acceptance',
    title: 'Take back the acceptance?',
    reason: 'Why is it taken back?',
    done: 'The acceptance is taken back.',
  },
  {
    act: 'hold',
    path: '/hold',
    verb: 'Put it on hold',
    title: 'Put this order on hold?',
    reason: 'What does it wait for?',
    done: 'It is on hold.',
  },
  {
    act: 'cancel',
    path: '/cancel',
    verb: 'Cancel the order',
    title: 'Cancel this order?',
    reason: 'Why is it cancelled?',
    done: 'It is cancelled. It can be taken up again.',
  },
];

/** Details of an order: what it is called, for whom, how many, until when; copied, held, cancelled. */
export const OrderDetails = ({
  order,
  write,
  keep,
  close,
}: {
  readonly order: Order;
  readonly write: WriteOrder;
  readonly keep: KeepOrder;
  readonly close: () => void;
}) => {
  const dialog = useRef<HTMLDialogElement>(null);
  const { tell, fail } = useNotice();
  const ask = useAsk();
  const navigate = useNavigate();
  const [picked, setPicked] = useState<readonly Customer[]>([]);
  const kept = useKept(`order ${order.id} details`, detailsOf(order));
  const [copyDay, setCopyDay] = useState(addDays(today(), 28));
  const { value, set } = kept;
  const { errors, change } = readDetails(value, order);
  const life = lifeOf(order);
  const why = (act: OrderAct): string | undefined => judgeAct(life, act).refusal?.why;
  useEffect(() => dialog.current?.showModal(), []);
  const { data: customer } = useSWR<CustomerDetail>(value.customerId === 0 ? null : `/customers/${value.customerId}`);
  const name = (id: number): string =>
    picked.find((c) => c.id === id)?.name ?? (id === customer?.id ? customer.name : order.customer.name);
  const save = async (): Promise<void> => {
    try {
      await keep(
        '',
        'PATCH',
        (o) => ({ ...change, version: o.version }),
        (o) => isSame(detailsOf(o), detailsOf(order)),
      );
      tell('The order is changed.');
      close();
    } catch (e) {
      fail(e);
    }
  };
  const act = async (a: (typeof ACTS)[number]): Promise<void> => {
    const { undoes } = judgeAct(life, a.act);
    const answer = await ask({
      title: a.title,
      lines: undoes.length > 0 ? ['This goes with it:', ...undoes.map((u) => UNDONE_WORDS[u])] : [],
      yes: a.verb,
      reason: a.reason,
    });
    if (!answer) return;
    try {
      await write(a.path, 'POST', { version: order.version, why: answer.why, undo: undoes });
      tell(a.done);
      close();
    } catch (e) {
      fail(e);
    }
  };
  const copy = async (): Promise<void> => {
    try {
      const made = await api<Order>(`/orders/${order.id}/copy`, { method: 'POST', body: { wantedBy: copyDay } });
      tell(`Order ${made.id} is a copy of ${order.id}.`);
      close();
      void navigate(`/orders/${made.id}`);
    } catch (e) {
      fail(e);
    }
  };
  const field = (key: 'title' | 'wantedBy' | 'quantity', act: OrderAct, type = 'text') => (
    <Field label={LABELS[key]} error={errors[key]} {...(why(act) ? { help: why(act) } : {})}>
      {(id) => (
        <Input
          id={id}
          type={type}
          value={value[key]}
          disabled={why(act) !== undefined}
          aria-invalid={errors[key] !== undefined}
          onChange={(e) => set((v) => ({ ...v, [key]: e.target.value }))}
        />
      )}
    </Field>
  );
  return (
    <dialog ref={dialog} className="sheet wide" aria-label="Order details" onClose={close} data-testid="order-details">
      <Box display="flex" alignItems="baseline" mb={3}>
        <Title>Order {order.id}</Title>
        <QuietButton ml="auto" onClick={close}>
          Close
        </QuietButton>
      </Box>
      <DraftBar
        kept={kept}
        both={() => {
          const theirs = detailsOf(order);
          return (Object.keys(LABELS) as (keyof typeof LABELS)[])
            .filter((k) => theirs[k] !== value[k])
            .map((k) => ({
              label: LABELS[k],
              mine: k === 'customerId' ? name(value.customerId) : value[k],
              theirs: k === 'customerId' ? order.customer.name : theirs[k],
            }));
        }}
      />
      <Box display="grid" gap={3} gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }}>
        {field('title', 'write')}
        <Box>
          <CustomerChooser
            label={LABELS.customerId}
            chosen={value.customerId === 0 ? undefined : { id: value.customerId, name: name(value.customerId) }}
            disabled={why('customer') !== undefined}
            onChoose={(c) => {
              if (c) setPicked((p) => [...p, c]);
              set((v) => ({ ...v, customerId: c?.id ?? 0, siteId: 0 }));
            }}
          />
          {why('customer') !== undefined && <Soft>{why('customer')}</Soft>}
        </Box>
        <Field label={LABELS.siteId}>
          {(id) => (
            <Select
              id={id}
              value={value.siteId}
              disabled={why('customer') !== undefined}
              onChange={(e) => set((v) => ({ ...v, siteId: Number(e.target.value) }))}
            >
              <option value={0}>their own address</option>
              {(customer?.sites ?? (order.site ? [order.site] : [])).map((x) => (
                <option key={x.id} value={x.id}>
                  {x.name}, {x.address}
                </option>
              ))}
            </Select>
          )}
        </Field>
        {field('wantedBy', 'wanted day', 'date')}
        {field('quantity', 'quantity')}
      </Box>
      <Box mt={3}>
        <Field label={LABELS.notes} error={errors.notes}>
          {(id) => (
            <TextArea
              id={id}
              value={value.notes}
              disabled={why('write') !== undefined}
              onChange={(e) => set((v) => ({ ...v, notes: e.target.value }))}
            />
          )}
        </Field>
      </Box>
      <Box mt={3}>
        <Button
          disabled={Object.keys(errors).length > 0 || Object.keys(change).length === 0 || kept.standing === 'both'}
          onClick={() => void save()}
        >
          Keep the changes
        </Button>
      </Box>
      <Box
        borderTop="2px solid"
        borderColor="ink"
        mt={5}
        pt={3}
        display="flex"
        gap={3}
        alignItems="end"
        flexWrap="wrap"
      >
        <Box>
          <Heading mb={1}>Again like this</Heading>
          <Box display="flex" gap={3} alignItems="end">
            <Field label="The copy is wanted by">
              {(id) => <Input id={id} type="date" value={copyDay} onChange={(e) => setCopyDay(e.target.value)} />}
            </Field>
            <QuietButton onClick={() => void copy()} disabled={copyDay === ''}>
              Copy the order
            </QuietButton>
          </Box>
        </Box>
      </Box>
      <CustomerLink order={order} write={write} />
      <Box borderTop="1px solid" borderColor="rule" mt={4} pt={3} display="grid" gap={2}>
        {ACTS.map((a) => {
          const refused = why(a.act);
          return (
            <Box key={a.act} display="flex" gap={3} alignItems="center">
              <QuietButton disabled={refused !== undefined} onClick={() => void act(a)} minW="210px">
                {a.verb}
              </QuietButton>
              {refused !== undefined && <Soft>{refused}</Soft>}
            </Box>
          );
        })}
      </Box>
    </dialog>
  );
};
