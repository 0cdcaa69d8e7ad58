import { Box } from '@chakra-ui/react';
import { Link } from 'react-router';
import { moment } from '../../data/days.ts';
import { useKept } from '../../data/useKept.ts';
import { useAsk } from '../../parts/Ask.tsx';
import { Button } from '../../parts/Button.tsx';
import { DraftBar } from '../../parts/DraftBar.tsx';
import { Empty } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Title } from '../../parts/Text.tsx';
import { useStation } from './OrderPage.tsx';

const SHOWN = [
  'Keys and every latch',
  'The release from inside',
  'Nest lid, clean-out, ramp',
  'How to move it, and who',
  'Feed in the middle, water set',
  'Birds in at night, kept in some days',
  'Check again after a month and after winter',
] as const;

const NOTHING: readonly string[] = [];

/** Hand-over: what is shown to the customer, then the end of the tape. */
export const HandOverStation = () => {
  const { order, write } = useStation();
  const { tell, fail } = useNotice();
  const ask = useAsk();
  const kept = useKept<readonly string[]>(`order ${order.id} hand-over`, NOTHING);
  const shown = kept.value;
  if (order.handedOverAt)
    return (
      <Box p={6}>
        <Title mb={2}>Handed over</Title>
        {moment(order.handedOverAt)}. Call after the first month: level, latches, racking.
      </Box>
    );
  if (!order.deliveredAt)
    return (
      <Box p={6}>
        <Empty>
          It has not been delivered yet. <Link to={`/orders/${order.id}/road`}>See the road.</Link>
        </Empty>
      </Box>
    );
  // Joined, finished, walked through: what is done at the customer's.
  const open = order.workOrder ? order.workOrder.steps - order.workOrder.stepsDone : 0;
  const end = async (): Promise<void> => {
    const answer = await ask({
      title: 'Hand it over?',
      lines: [
        `${order.customer.name} has the keys and was shown everything on the list.`,
        'After this nothing of the order is changed any more, and the delivery cannot be taken back.',
      ],
      yes: 'Hand it over',
    });
    if (!answer) return;
    try {
      await write('/hand-over', 'POST', { version: order.version });
      kept.set(NOTHING);
      tell('Handed over.');
    } catch (error) {
      fail(error);
    }
  };
  return (
    <Box p={6} maxW="640px">
      <Title mb={3}>Show the customer</Title>
      {open > 0 && (
        <Box mb={3} data-testid="open-there">
          {open === 1 ? 'One step of its work order is' : `${open} steps of its work order are`} not ticked yet:{' '}
          <Link to={`/bench/${order.id}`}>{open === 1 ? 'see it' : 'see them'} at the bench</Link>. After the hand-over
          nothing is ticked any more.
        </Box>
      )}
      <DraftBar kept={kept} both={() => []} />
      {SHOWN.map((s) => (
        <Box
          key={s}
          asChild
          display="flex"
          gap={3}
          py={2}
          borderBottom="1px solid"
          borderColor="hair"
          alignItems="center"
        >
          <label>
            <input
              type="checkbox"
              checked={shown.includes(s)}
              style={{ width: 22, height: 22 }}
              onChange={(e) => kept.set(e.target.checked ? [...shown, s] : shown.filter((x) => x !== s))}
            />
            {s}
          </label>
        </Box>
      ))}
      <Box mt={5}>
        <Button disabled={shown.length < SHOWN.length} onClick={() => void end()}>
          Hand it over
        </Button>
        {shown.length < SHOWN.length && (
          <Box mt={2} color="soft">
            {SHOWN.length - shown.length} still to show.
          </Box>
        )}
      </Box>
    </Box>
  );
};
