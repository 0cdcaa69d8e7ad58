import { Box } from '@chakra-ui/react';
import { useMe } from '../../data/hooks.ts';
import { isOffice } from '../../data/roles.ts';
import { useJob } from '../../data/useJob.ts';
import { useShow } from '../../data/useShow.tsx';
import { JobLine } from '../../parts/JobLine.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';

/** The sticks that everything on the bench still needs, planned together; the best plan so far while it is looked for. */
export const WeekSticks = () => {
  const show = useShow();
  const { me } = useMe();
  const work = useJob('sticks');
  const found = work.job?.result ?? null;
  const count = found?.sticks.reduce((n, s) => n + s.count, 0) ?? 0;
  if (!me?.roles.some((r) => r !== 'driver')) return null;
  return (
    <Box mb={8} data-testid="week-sticks">
      <Heading mb={1}>Sticks for the whole bench</Heading>
      <Box mb={2}>
        <Soft>What is still to be cut for every order on the bench, out of as few sticks as can be.</Soft>
      </Box>
      <JobLine work={work} verb="Plan them together" again="Plan them again" quiet />
      {found && found.orders.length > 0 && (
        <Box mt={3}>
          <Box className="cond" fontSize="17px">
            {count} sticks for {found.pieces} pieces of {found.orders.length}{' '}
            {found.orders.length === 1 ? 'order' : 'orders'}
            {found.apart > count && `, ${found.apart - count} fewer than one order at a time`}
          </Box>
          <Soft>
            {found.proved
              ? 'No plan costs less.'
              : isOffice(me)
                ? `Within ${show.money(found.cost - found.bound)} of the least any plan can cost.`
                : 'Close to the least any plan can take.'}
          </Soft>
          <table>
            <thead>
              <tr>
                <th>Stick</th>
                <th className="num">Length</th>
                <th className="num">How many</th>
              </tr>
            </thead>
            <tbody>
              {found.sticks.map((s) => (
                <tr key={`${s.item} ${s.length}`}>
                  <td>{s.name}</td>
                  <td className="num">{show.units.style === 'mm' ? show.length(s.length) : `${s.length / 12} ft`}</td>
                  <td className="num cond">{s.count}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </Box>
      )}
    </Box>
  );
};
