import { Box } from '@chakra-ui/react';
import useSWR from 'swr';
import type { EarningsMonth } from '../../data/types.ts';
import { useJob } from '../../data/useJob.ts';
import { useShow } from '../../data/useShow.tsx';
import { LinkButton } from '../../parts/Button.tsx';
import { JobLine } from '../../parts/JobLine.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';

const monthName = (month: string): string =>
  new Date(`${month}-15T12:00:00Z`).toLocaleDateString('en', { month: 'long', year: 'numeric', timeZone: 'UTC' });

/** Everything that is the business's own, to take along; and what was earned. */
export const ExportPage = () => {
  const show = useShow();
  const work = useJob('export');
  const { data, error } = useSWR<EarningsMonth[], Error>('/earnings');
  if (error && !data) throw error;
  return (
    <Box display="grid" gap={8} maxW="900px">
      <Box>
        <Heading mb={1}>Everything</Heading>
        <Box mb={3}>
          <Soft>
            Every record of the business as JSON and as CSV, in one archive: orders, customers, models, work, stock,
            crews, settings, the book. Passwords and customers’ links are left out.
          </Soft>
        </Box>
        <JobLine work={work} verb="Take everything out" again="Take everything out again" />
      </Box>
      <Box>
        <Box display="flex" alignItems="baseline" gap={4} mb={1}>
          <Heading>Earned by month</Heading>
          <Box ml="auto">
            <LinkButton href="/api/earnings/earnings.csv">As CSV</LinkButton>
          </Box>
        </Box>
        <Soft>Orders count in the month in which they were delivered, at the price that was accepted.</Soft>
        {!data && <Loading />}
        {data?.length === 0 && <Empty>Nothing was delivered yet.</Empty>}
        {data && data.length > 0 && (
          <Box overflowX="auto">
            <table>
              <thead>
                <tr>
                  <th>Month</th>
                  <th className="num">Orders</th>
                  <th className="num">Net</th>
                  <th className="num">Costs</th>
                  <th className="num">Left</th>
                  <th className="num">Tax</th>
                  <th className="num">In all</th>
                </tr>
              </thead>
              <tbody>
                {[...data].reverse().map((m) => (
                  <tr key={m.month} data-month={m.month}>
                    <td className="cond">{monthName(m.month)}</td>
                    <td className="num">{m.orders}</td>
                    <td className="num">{show.money(m.net)}</td>
                    <td className="num">{show.money(m.cost)}</td>
                    <td className="num">{show.money(m.margin)}</td>
                    <td className="num">{show.money(m.tax)}</td>
                    <td className="num cond">{show.money(m.total)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </Box>
        )}
      </Box>
    </Box>
  );
};
