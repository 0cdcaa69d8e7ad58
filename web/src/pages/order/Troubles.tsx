import { Box } from '@chakra-ui/react';
import { api } from '../../data/api.ts';
import { useMe } from '../../data/hooks.ts';
import { isOffice } from '../../data/roles.ts';
import type { Trouble, WorkOrder } from '../../data/types.ts';
import { useAsk } from '../../parts/Ask.tsx';
import { Button } from '../../parts/Button.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';

/** What the bench waits for from the office: each with who told it, and the way to answer. */
export const Troubles = ({
  work,
  onWork,
}: {
  readonly work: WorkOrder;
  readonly onWork: (work: WorkOrder) => unknown;
}) => {
  const { me } = useMe();
  const ask = useAsk();
  const { tell, fail } = useNotice();
  if (work.troubles.length === 0) return null;
  const answer = async (t: Trouble): Promise<void> => {
    const said = await ask({
      title: `${t.cause}${t.mark ? ` ${t.mark}` : ''}`,
      lines: [
        ...(t.note ? [t.note] : []),
        `Told by ${t.by}. What is to be done stands at the bench as soon as you say it.`,
      ],
      yes: 'Answer',
      reason: 'What is to be done',
    });
    if (!said) return;
    try {
      await onWork(
        await api<WorkOrder>(`/orders/${work.order.id}/work-order/troubles/${t.id}`, {
          method: 'PATCH',
          body: { version: t.version, answer: said.why },
        }),
      );
      tell('The bench has your answer.');
    } catch (e) {
      fail(e);
    }
  };
  return (
    <Box mt={6} maxW="760px" data-testid="troubles">
      <Heading mb={2}>Told at the bench</Heading>
      {work.troubles.map((t) => (
        <Box key={t.id} display="flex" gap={4} alignItems="center" borderTop="1px solid" borderColor="rule" py={2}>
          <Box flex={1}>
            <strong className="cond">{t.cause}</strong>
            {t.mark && ` ${t.mark}`}
            {t.note && `: ${t.note}`} <Soft>by {t.by}</Soft>
            {t.solvedAt !== null && (
              <Box>
                {t.solvedBy}: {t.answer}
              </Box>
            )}
          </Box>
          {t.solvedAt === null &&
            (isOffice(me) ? <Button onClick={() => void answer(t)}>Answer</Button> : <Soft>waits for the office</Soft>)}
        </Box>
      ))}
    </Box>
  );
};
