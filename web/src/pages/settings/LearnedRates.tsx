import { Box, chakra } from '@chakra-ui/react';
import useSWR from 'swr';
import type { BusinessRules } from '@rubbet/core/order';
import type { LearnedData } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { QuietButton } from '../../parts/Button.tsx';
import { PlannedLogged } from '../../parts/PlannedLogged.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';
import { FIELDS, showField, unitOf } from './fields.ts';

const Head = chakra('th', {
  base: { fontWeight: 400, color: 'soft', fontSize: '14px', pr: 4, py: 1 },
});
const Cell = chakra('td', { base: { pr: 4, py: '6px', borderTop: '1px solid', borderColor: 'hair' } });

/** Over figures. As a style of its own: heads of tables are set to the left for every page. */
const RIGHT = { textAlign: 'right' } as const;

/** A rate that has moved by less than this from what is kept is left alone, as a share. */
const WORTH = 0.03;

/** What the clocks at the bench say of the labour rates: nothing follows from it before the office takes it. */
export const LearnedRates = ({
  rules,
  onTake,
}: {
  readonly rules: BusinessRules;
  /** Puts a rate into the form, where it is kept with the rest. */
  readonly onTake: (path: string, text: string) => void;
}) => {
  const show = useShow();
  const { data } = useSWR<LearnedData, Error>('/settings/learned');
  if (!data || data.rates.length === 0) return null;
  return (
    <Box mb={8} borderTop="2px solid" borderColor="ink" pt={3} data-testid="learned">
      <Heading mb={1}>What the clocks say</Heading>
      <Soft display="block" mb={2}>
        From the steps that were timed, drawn towards what you have kept as long as they are few. Take what you believe;
        it is kept with the settings.
      </Soft>
      <Box overflowX="auto">
        <table>
          <thead>
            <tr>
              <Head>Rate</Head>
              <Head style={RIGHT}>Steps timed</Head>
              <Head style={RIGHT}>Kept now</Head>
              <Head style={RIGHT}>Learned</Head>
              <Head style={RIGHT}>Half of them between</Head>
              <Head style={RIGHT}>Small work, large work</Head>
              <Head />
            </tr>
          </thead>
          <tbody>
            {data.rates.map((r) => {
              const field = FIELDS.find((f) => f.path === `labour.${r.rate}`);
              if (!field) return null;
              const now = rules.labour[r.rate];
              const text = (value: number): string => showField(field, Math.round(value * 100) / 100, show);
              const moved = Math.abs(r.learned / now - 1) >= WORTH;
              return (
                <tr key={r.rate}>
                  <Cell>{field.label}</Cell>
                  <Cell className="num">{r.steps}</Cell>
                  <Cell className="num">
                    {text(now)} {unitOf(field, show)}
                  </Cell>
                  <Cell className="num cond" fontSize="18px">
                    {text(r.learned)}
                  </Cell>
                  <Cell className="num">
                    {text(r.low)} to {text(r.high)}
                  </Cell>
                  <Cell className="num">
                    {text(r.small)}, {text(r.large)}
                  </Cell>
                  <Cell>
                    {moved && (
                      <QuietButton
                        aria-label={`Take it: ${text(r.learned)} for ${field.label}`}
                        onClick={() => onTake(field.path, text(r.learned))}
                      >
                        Take it
                      </QuietButton>
                    )}
                  </Cell>
                </tr>
              );
            })}
          </tbody>
        </table>
      </Box>
      {data.models.length > 0 && (
        <Box mt={5}>
          <Heading mb={2}>Models: planned and logged</Heading>
          <PlannedLogged
            rows={data.models.map((m) => ({ ...m, name: m.orders > 1 ? `${m.name}, ${m.orders} orders` : m.name }))}
            label="Minutes planned and logged by model"
          />
        </Box>
      )}
    </Box>
  );
};
