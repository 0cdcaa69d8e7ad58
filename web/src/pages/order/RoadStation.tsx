import { Box } from '@chakra-ui/react';
import { useEffect } from 'react';
import { useForm } from 'react-hook-form';
import { Link } from 'react-router';
import useSWR from 'swr';
import { judgeAct, lifeOf } from '@rubbet/core/order';
import { addDays } from '@rubbet/core/days';
import type { ApiError } from '../../data/api.ts';
import { longDay, moment, today } from '../../data/days.ts';
import type { LoadOn } from '../../data/types.ts';
import { useAsk } from '../../parts/Ask.tsx';
import { Button, LinkButton, QuietButton } from '../../parts/Button.tsx';
import { Field, Input, Select, TextArea } from '../../parts/Fields.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Len, Soft, Title } from '../../parts/Text.tsx';
import { useStation } from './OrderPage.tsx';
import { useShow } from '../../data/useShow.tsx';

interface Entry {
  readonly day: string;
  readonly arrives: string;
  readonly trailerId: string;
  readonly notes: string;
}

/** Road station: the load on each trailer, the delivery day, the customer's page and sheet. */
export const RoadStation = () => {
  const show = useShow();
  const { order, write } = useStation();
  const { tell, fail } = useNotice();
  const ask = useAsk();
  const { data, error } = useSWR<LoadOn[], ApiError>(order.revision ? `/orders/${order.id}/loads` : null);
  const { register, handleSubmit, formState, setValue, getValues } = useForm<Entry>({
    defaultValues: {
      day: order.delivery?.day ?? addDays(today(), 14),
      arrives: order.delivery?.arrives ?? '09:30',
      trailerId: order.delivery?.trailerId ?? '',
      notes: order.delivery?.notes ?? '',
    },
  });
  // The smallest trailer that takes it is the one to begin with.
  const best = [...(data ?? [])].sort(
    (a, b) => a.load.problems.length - b.load.problems.length || a.trailer.carries - b.trailer.carries,
  )[0]?.trailer.id;
  useEffect(() => {
    if (best !== undefined && getValues('trailerId') === '') setValue('trailerId', best);
  }, [best, getValues, setValue]);
  if (!order.revision)
    return (
      <Box p={6}>
        <Empty>
          Nothing is built yet, so nothing can be weighed. <Link to={`/orders/${order.id}/build`}>Build it first.</Link>
        </Empty>
      </Box>
    );
  if (error && !data) throw error;
  if (!data) return <Loading />;
  const save = handleSubmit(async (entry) => {
    try {
      await write('/delivery', 'PUT', { ...entry, version: order.delivery?.version ?? 0 });
      tell(`We come on ${longDay(entry.day)}. The customer’s page says so.`);
    } catch (e) {
      fail(e);
    }
  });
  const life = lifeOf(order);
  const notYet = judgeAct(life, 'deliver').refusal;
  const noDay = judgeAct(life, 'set delivery').refusal;
  const deliver = async (): Promise<void> => {
    const answer = await ask({
      title: 'Has it been delivered?',
      lines: [
        `Order ${order.id}, ${order.title}, stands on its ground at ${order.customer.name}’s.`,
        'Until it is handed over this can be taken back.',
      ],
      yes: 'It has been delivered',
      no: 'Not yet',
    });
    if (!answer) return;
    try {
      await write('/deliver', 'POST', { version: order.version });
      tell('Delivered.');
    } catch (e) {
      fail(e);
    }
  };
  const takeBack = async (): Promise<void> => {
    const answer = await ask({
      title: 'It was not delivered after all?',
      lines: ['The time of delivery is taken off; its load and drive are open again.'],
      yes: 'Take it back',
      reason: 'What happened?',
    });
    if (!answer) return;
    try {
      await write('/take-back-delivery', 'POST', { version: order.version, why: answer.why });
      tell('The delivery is taken back.');
    } catch (e) {
      fail(e);
    }
  };
  const visit = order.token === null ? undefined : `/visit/${order.token}`;
  return (
    <Box p={6} display="grid" gridTemplateColumns={{ base: '1fr', lg: '1fr 380px' }} gap={10} pb={16}>
      <Box minW={0}>
        <Title mb={3}>The load</Title>
        <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }} gap={6}>
          {data.map(({ trailer, load, vehicles }) => (
            <Box key={trailer.id} borderTop="2px solid" borderColor="ink" pt={3}>
              <Heading>On the {trailer.name}</Heading>
              <Box className="cond" fontSize="25px" data-load={Math.round(load.weight)}>
                {show.weight(load.weight)}
              </Box>
              <Box color="soft">
                <Len inches={load.size[0]} feet /> long, <Len inches={load.size[1]} feet /> wide,{' '}
                <Len inches={load.size[2]} feet /> high; the trailer carries {show.weight(trailer.carries)}
              </Box>
              {load.problems.map((p) => (
                <Box key={p} mt={2} bg="amberwash" borderLeft="4px solid" borderColor="amber" px={3} py={2}>
                  {show.text(p)}
                </Box>
              ))}
              <Box asChild mt={2} pl={5} listStyleType="disc">
                <ul>
                  {load.instructions.map((t) => (
                    <Box as="li" key={t} listStyleType="disc">
                      {show.text(t)}
                    </Box>
                  ))}
                </ul>
              </Box>
              {load.trips > 1 && (
                <Box mt={1} className="cond">
                  {load.trips} trips
                </Box>
              )}
              {vehicles.map((v) =>
                v.problems.length === 0 ? (
                  <Box key={v.id} color="moss" mt={1}>
                    The {v.name} can pull it.
                  </Box>
                ) : (
                  <Box key={v.id} color="keel" mt={1}>
                    {v.problems.map((p) => show.text(p)).join(' ')}
                  </Box>
                ),
              )}
            </Box>
          ))}
          {data.length === 0 && <Empty>There is no trailer yet. The office adds one under Settings, Trailers.</Empty>}
        </Box>
        {data[0] && (
          <Box mt={8}>
            <Heading mb={2}>Pack list</Heading>
            <Box asChild pl={5}>
              <ul data-pack={data[0].load.pack.length}>
                {data[0].load.pack.map((t) => (
                  <Box as="li" key={t} listStyleType="disc">
                    {show.text(t)}
                  </Box>
                ))}
              </ul>
            </Box>
          </Box>
        )}
        <Heading mt={8} mb={2}>
          For the customer
        </Heading>
        <Box display="flex" gap={3} flexWrap="wrap">
          {visit !== undefined && (
            <LinkButton href={visit} target="_blank">
              Open the customer’s page
            </LinkButton>
          )}
          <LinkButton href={`/api/orders/${order.id}/site-sheet.pdf`} target="_blank">
            Print the delivery-day sheet
          </LinkButton>
        </Box>
        <Box mt={3} color="soft">
          {order.visited.length === 0
            ? 'The customer has confirmed nothing yet.'
            : `The customer has confirmed ${order.visited.length} of the things on their page.`}
        </Box>
      </Box>
      <Box>
        <Title mb={3}>The day</Title>
        {!order.accepted ? (
          <Empty>
            <Link to={`/orders/${order.id}/price`}>Settle the price</Link> before the delivery day.
          </Empty>
        ) : (
          <form onSubmit={(e) => void save(e)} noValidate>
            <Box display="grid" gap={3}>
              <Field label="Delivery day" error={formState.errors.day?.message}>
                {(id) => <Input id={id} type="date" {...register('day', { required: 'Choose a day.' })} />}
              </Field>
              <Field label="We arrive at" error={formState.errors.arrives?.message}>
                {(id) => (
                  <Input
                    id={id}
                    {...register('arrives', {
                      pattern: { value: /^([01]\d|2[0-3]):[0-5]\d$/, message: 'Write the time like 09:30.' },
                    })}
                  />
                )}
              </Field>
              <Field label="Trailer">
                {(id) => (
                  <Select id={id} {...register('trailerId')}>
                    {data.map(({ trailer }) => (
                      <option key={trailer.id} value={trailer.id}>
                        {trailer.name}
                      </option>
                    ))}
                  </Select>
                )}
              </Field>
              <Field label="Notes for the driver">{(id) => <TextArea id={id} {...register('notes')} />}</Field>
              {order.delivery ? (
                <QuietButton type="submit" disabled={noDay !== undefined}>
                  Change the delivery
                </QuietButton>
              ) : (
                <Button type="submit" disabled={noDay !== undefined}>
                  Set the delivery day
                </Button>
              )}
              {noDay && <Soft>{noDay.why}</Soft>}
            </Box>
          </form>
        )}
        {order.delivery && (
          <Box mt={6} borderTop="1px solid" borderColor="rule" pt={4}>
            {order.deliveredAt ? (
              <Box bg="mosswash" borderLeft="4px solid" borderColor="moss" px={3} py={2}>
                Delivered {moment(order.deliveredAt)}. <Link to={`/orders/${order.id}/hand-over`}>Hand it over</Link>
                {!order.handedOverAt && (
                  <Box mt={2}>
                    <QuietButton onClick={() => void takeBack()}>It was not delivered</QuietButton>
                  </Box>
                )}
              </Box>
            ) : (
              <>
                <Button disabled={notYet !== undefined} onClick={() => void deliver()}>
                  It has been delivered
                </Button>
                {notYet && (
                  <Soft display="block" mt={2}>
                    {notYet.why}
                  </Soft>
                )}
              </>
            )}
          </Box>
        )}
      </Box>
    </Box>
  );
};
