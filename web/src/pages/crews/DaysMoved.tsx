import { Box } from '@chakra-ui/react';
import { daysBetween } from '@rubbet/core/days';
import { shortDay } from '../../data/days.ts';
import type { ReplanData } from '../../data/types.ts';

/** When orders are done before and after a plan, drawn on one line of days. */
export const DaysMoved = ({ plan, today }: { readonly plan: ReplanData['plans'][number]; readonly today: string }) => {
  const list = plan.orders.filter((o) => o.before && o.after);
  if (list.length === 0) return null;
  const last = Math.max(
    ...list.flatMap((o) => [daysBetween(today, o.before?.day ?? today), daysBetween(today, o.after?.day ?? today)]),
    1,
  );
  const at = (day: string): number => (100 * Math.max(0, daysBetween(today, day))) / last;
  return (
    <Box
      mt={2}
      role="img"
      aria-label={`Days of ${list.length === 1 ? 'an order' : `${list.length} orders`} before and after`}
    >
      {list.map((o) => {
        const [a, b] = [at(o.before?.day ?? today), at(o.after?.day ?? today)];
        const late = (o.after?.late ?? 0) > 0;
        return (
          <Box key={o.orderId} display="grid" gridTemplateColumns="52px 1fr" alignItems="center" gap={2}>
            <span className="cond">{o.orderId}</span>
            <Box position="relative" height="18px" borderBottom="1px solid" borderColor="hair" mx="6px">
              <Box
                position="absolute"
                top="8px"
                height="3px"
                left={`${Math.min(a, b)}%`}
                width={`${Math.abs(b - a)}%`}
                bg={b > a ? (late ? 'keel' : 'amber') : 'moss'}
              />
              <Box
                position="absolute"
                top="4px"
                left={`calc(${a}% - 5px)`}
                w="10px"
                h="10px"
                border="2px solid"
                borderColor="soft"
                borderRadius="50%"
                bg="sheet"
                title={`before: ${shortDay(o.before?.day ?? today)}`}
              />
              <Box
                position="absolute"
                top="4px"
                left={`calc(${b}% - 5px)`}
                w="10px"
                h="10px"
                borderRadius="50%"
                bg={late ? 'keel' : 'ink'}
                title={`after: ${shortDay(o.after?.day ?? today)}`}
              />
            </Box>
          </Box>
        );
      })}
      <Box display="flex" justifyContent="space-between" color="soft" fontSize="12.5px" ml="60px">
        <span>{shortDay(today)}</span>
        <span>○ before ● after</span>
        <span>
          in {last} {last === 1 ? 'day' : 'days'}
        </span>
      </Box>
    </Box>
  );
};
