import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { judgeAct, lifeOf } from '@rubbet/core/order';
import { OPERATION_NAMES } from '@rubbet/core/steps';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import type { ApiError } from '../../data/api.ts';
import type { WorkOrder } from '../../data/types.ts';
import { Button, LinkButton } from '../../parts/Button.tsx';
import { Empty } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { PlannedLogged } from '../../parts/PlannedLogged.tsx';
import { Figure, Heading, Soft, Title } from '../../parts/Text.tsx';
import { ChangeOrders } from './ChangeOrders.tsx';
import { useStation } from './OrderPage.tsx';
import { Troubles } from './Troubles.tsx';

/** What was timed so far, block by block, against what was planned for just those steps; and what the bench asks. */
const AtWork = () => {
  const { order } = useStation();
  const { data: work, mutate } = useSWR<WorkOrder, ApiError>(`/orders/${order.id}/work-order`);
  const rows = useMemo(
    () =>
      Object.entries(OPERATION_NAMES).flatMap(([op, name]) => {
        const timed = (work?.steps ?? []).filter(
          (s) => s.op === op && s.state === 'done' && s.planned !== null && (s.minutes ?? 0) > 0,
        );
        const sum = (f: (s: (typeof timed)[number]) => number): number => timed.reduce((n, s) => n + f(s), 0);
        return timed.length > 0
          ? [{ name, planned: Math.round(sum((s) => s.planned ?? 0)), logged: sum((s) => s.minutes ?? 0) }]
          : [];
      }),
    [work],
  );
  if (!work) return null;
  return (
    <>
      <Troubles work={work} onWork={(next) => mutate(next, { revalidate: false })} />
      {rows.length > 0 && (
        <Box mt={6}>
          <Heading mb={2}>Planned and logged, of the steps that were timed</Heading>
          <PlannedLogged rows={rows} label="Minutes planned and logged by block of work" />
        </Box>
      )}
    </>
  );
};

/** Bench station of an order: makes the work order, shows how far it has come, prints it, opens it at a bench. */
export const BenchStation = () => {
  const { order, reload } = useStation();
  const { tell, fail } = useNotice();
  const [busy, setBusy] = useState(false);
  const make = async (): Promise<void> => {
    setBusy(true);
    try {
      await api(`/orders/${order.id}/work-order`, { method: 'POST' });
      await reload();
      tell('The work order is made.');
    } catch (error) {
      fail(error);
    } finally {
      setBusy(false);
    }
  };
  const w = order.workOrder;
  const refused = judgeAct(lifeOf(order), 'make work order').refusal;
  if (!order.accepted && !w)
    return (
      <Box p={6}>
        <Empty>
          A work order is made from an accepted order.{' '}
          <Link to={`/orders/${order.id}/price`}>Settle the price first.</Link>
        </Empty>
      </Box>
    );
  if (!w)
    return (
      <Box p={6}>
        <Title mb={2}>Ready for the bench</Title>
        <Box mb={4} maxW="560px">
          The work order freezes revision {order.revision?.number}: every part with its mark, stick bars, tape marks,
          steps in order.
        </Box>
        <Button disabled={busy || refused !== undefined} onClick={() => void make()}>
          Make the work order
        </Button>
        {refused && (
          <Soft display="block" mt={2}>
            {refused.why}
          </Soft>
        )}
      </Box>
    );
  return (
    <Box p={6}>
      <Title mb={4}>{w.doneAt ? 'Built' : 'At the bench'}</Title>
      <Box display="flex" gap={12} mb={5}>
        <Figure label="Parts cut" value={`${w.partsCut} of ${w.parts}`} />
        <Figure label="Steps done" value={`${w.stepsDone} of ${w.steps}`} />
      </Box>
      <Box
        height="22px"
        width="min(640px,100%)"
        bg="tapeoff"
        border="1px solid"
        borderColor="tick"
        mb={6}
        role="img"
        aria-label={`${w.stepsDone} of ${w.steps} steps done`}
      >
        <Box
          height="100%"
          bg="tape"
          width={`${(100 * w.stepsDone) / w.steps}%`}
          borderRight="5px solid"
          borderColor="soft"
        />
      </Box>
      <Box display="flex" gap={3} flexWrap="wrap">
        <Button asChild>
          <Link to={`/bench/${order.id}`}>Open at the bench</Link>
        </Button>
        <LinkButton href={`/print/${order.id}`} target="_blank">
          Print the work order
        </LinkButton>
        <LinkButton href={`/api/orders/${order.id}/labels.pdf`} target="_blank">
          Labels
        </LinkButton>
        <LinkButton href={`/api/orders/${order.id}/cut-list.csv`}>Cut list, CSV</LinkButton>
      </Box>
      <AtWork />
      <ChangeOrders />
    </Box>
  );
};
