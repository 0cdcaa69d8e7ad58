import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import { judgeAct, lifeOf } from '@rubbet/core/order';
import { api } from '../../data/api.ts';
import { Button, LinkButton } from '../../parts/Button.tsx';
import { Empty } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Figure, Soft, Title } from '../../parts/Text.tsx';
import { useStation } from './OrderPage.tsx';

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
        <LinkButton href={`/api/orders/${order.id}/work-order.pdf`} target="_blank">
          Print the work order
        </LinkButton>
        <LinkButton href={`/api/orders/${order.id}/cut-list.csv`}>Cut list, CSV</LinkButton>
      </Box>
    </Box>
  );
};
