import { Box } from '@chakra-ui/react';
import type { MeshPlan } from '@rubbet/core/cut';
import { findItem } from '@rubbet/core/stock';
import type { Build } from '@rubbet/core/unit';
import type { WorkPart } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { Len } from '../../parts/Text.tsx';
import { CutTicket } from './CutTicket.tsx';
import { handOutStrips } from './tickets.ts';

/** Rolls drawn to scale, every strip where it is cut: along the roll from its start, and across it. */
export const RollList = ({
  plan,
  build,
  parts,
  onTick,
}: {
  readonly plan: MeshPlan;
  readonly build: Build;
  readonly parts: readonly WorkPart[];
  readonly onTick: (part: WorkPart, to: 'cut' | 'open') => void;
}) => {
  const show = useShow();
  const rolls = handOutStrips(plan, parts);
  return (
    <Box display="grid" gap={5}>
      {rolls.map(({ roll, used, tickets }, i) => (
        <Box key={i} data-roll={i}>
          <Box className="cond" mb={1}>
            {findItem(roll.item).name}, roll {i + 1}: {show.length(roll.width)} wide, {show.length(used)} of{' '}
            {show.length(roll.length)} used
          </Box>
          <Box position="relative" width="100%" height="132px" bg="tapeoff" border="1px dashed" borderColor="soft">
            {tickets.map(({ strip, part }, k) => {
              const face = build.parts.find((p) => p.id === strip.face);
              const isCut = part?.state === 'cut';
              return (
                <CutTicket
                  key={k}
                  className="on-paper"
                  aria-pressed={isCut}
                  disabled={!part}
                  position="absolute"
                  data-mark={face?.mark}
                  title={face?.name ?? ''}
                  onClick={() => part && onTick(part, isCut ? 'open' : 'cut')}
                  style={{
                    left: `${(100 * strip.x) / used}%`,
                    top: `${(100 * strip.y) / roll.width}%`,
                    width: `${(100 * strip.length) / used}%`,
                    height: `${(100 * strip.width) / roll.width}%`,
                  }}
                >
                  {isCut ? '✓ ' : ''}
                  {face?.mark}
                  {strip.length / used > 0.08 && strip.width / roll.width > 0.35 && (
                    <>
                      <br />
                      <Len inches={strip.length} />
                      {strip.width < roll.width - 1 / 16 && (
                        <>
                          {' × '}
                          <Len inches={strip.width} />
                        </>
                      )}
                    </>
                  )}
                </CutTicket>
              );
            })}
          </Box>
          <RollRows tickets={tickets.map((t) => t.strip)} build={build} />
        </Box>
      ))}
    </Box>
  );
};

/** The strips of a roll in the order in which they are cut, for narrow ones that show no figures. */
const RollRows = ({
  tickets,
  build,
}: {
  readonly tickets: readonly {
    readonly face: string;
    readonly x: number;
    readonly width: number;
    readonly length: number;
  }[];
  readonly build: Build;
}) => (
  <Box as="ol" mt={1} pl={5} fontSize="15px" columnWidth="250px">
    {[...tickets]
      .sort((a, b) => a.x - b.x)
      .map((s, k) => {
        const face = build.parts.find((p) => p.id === s.face);
        return (
          <li key={k}>
            <b>{face?.mark}</b> <Len inches={s.length} /> × <Len inches={s.width} />, {face?.name}
          </li>
        );
      })}
  </Box>
);
