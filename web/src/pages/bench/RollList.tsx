import { Box } from '@chakra-ui/react';
import type { MeshPlan } from '@rubbet/core/cut';
import { findItem } from '@rubbet/core/stock';
import type { Part } from '@rubbet/core/unit';
import type { WorkPart } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { Len } from '../../parts/Text.tsx';
import { PlacedTicket } from './CutTicket.tsx';
import { handOutStrips } from './tickets.ts';
import type { StripTicket } from './tickets.ts';

type OnTick = (part: WorkPart) => void;

/** Rolls drawn to scale, every strip where it is cut: along the roll from its start, and across it. */
export const RollList = ({
  plan,
  all,
  parts,
  onTick,
}: {
  readonly plan: MeshPlan;
  /** The parts of every unit. */
  readonly all: readonly Part[];
  readonly parts: readonly WorkPart[];
  readonly onTick: OnTick;
}) => {
  const show = useShow();
  const faces = new Map(all.map((p) => [p.id, p]));
  return (
    <Box display="grid" gap={5}>
      {handOutStrips(plan, parts).map(({ roll, used, tickets }, i) => (
        <Box key={i} data-roll={i}>
          <Box className="cond" mb={1}>
            {findItem(roll.item).name}, roll {i + 1}: {show.length(roll.width)} wide, {show.length(used)} of{' '}
            {show.length(roll.length)} used
          </Box>
          <Box position="relative" width="100%" height="180px" bg="tapeoff" border="1px dashed" borderColor="soft">
            {tickets.map(({ strip, part }, k) => (
              <PlacedTicket
                key={k}
                box={[strip.x / used, strip.y / roll.width, strip.length / used, strip.width / roll.width]}
                mark={faces.get(strip.face)?.mark}
                title={faces.get(strip.face)?.name ?? ''}
                part={part}
                isCut={part?.state === 'cut'}
                onTick={onTick}
              >
                {strip.width / roll.width > 0.1 && faces.get(strip.face)?.mark}
                {strip.length / used > 0.08 && strip.width / roll.width > 0.35 && (
                  <>
                    <br />
                    <Len inches={strip.length} /> × <Len inches={strip.width} />
                  </>
                )}
              </PlacedTicket>
            ))}
          </Box>
          <StripRows tickets={tickets} faces={faces} onTick={onTick} />
        </Box>
      ))}
      <SeamRows plan={plan} faces={faces} />
    </Box>
  );
};

/** Where the strips of faces wider than their roll meet on the frame. */
const SeamRows = ({ plan, faces }: { readonly plan: MeshPlan; readonly faces: ReadonlyMap<string, Part> }) => {
  // Equal faces are told once.
  const seamed = new Map<string, MeshPlan['strips'][number][]>();
  for (const s of plan.strips) {
    if (s.seams.length === 0) continue;
    const key = JSON.stringify([faces.get(s.face)?.mark, s.run, s.seams]);
    seamed.set(key, [...(seamed.get(key) ?? []), s]);
  }
  if (seamed.size === 0) return null;
  return (
    <Box data-seams>
      <Box className="cond" mb={1}>
        Where strips meet
      </Box>
      {[...seamed].map(
        ([key, [s, ...others]]) =>
          s && (
            <Box key={key} fontSize="15px" borderBottom="1px solid" borderColor="soft" py={1}>
              <b>{faces.get(s.face)?.mark}</b>{' '}
              {others.length > 0 ? `${others.length + 1} times` : faces.get(s.face)?.name}: {s.strips} strips{' '}
              {s.run === 'upright' ? 'upright, laps from its left end at ' : 'level, laps from its lower edge at '}
              {s.seams.map((c, i) => (
                <span key={i}>
                  {i > 0 && ', '}
                  <Len inches={c} />
                </span>
              ))}
              {s.onWood ? ', all on wood.' : ', not on wood: lace both strips together.'}
            </Box>
          ),
      )}
    </Box>
  );
};

/** The strips of a roll in the order in which they are cut: narrow ones are read and ticked here. */
const StripRows = ({
  tickets,
  faces,
  onTick,
}: {
  readonly tickets: readonly StripTicket[];
  readonly faces: ReadonlyMap<string, Part>;
  readonly onTick: OnTick;
}) => (
  <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(min(300px, 100%), 1fr))" columnGap={4} mt={1}>
    {[...tickets]
      .sort((a, b) => a.strip.x - b.strip.x)
      .map(({ strip, part }, k) => {
        const isCut = part?.state === 'cut';
        return (
          <Box
            as="button"
            key={k}
            minH="44px"
            textAlign="left"
            fontSize="15px"
            borderBottom="1px solid"
            borderColor="soft"
            aria-pressed={isCut}
            aria-disabled={!part}
            onClick={() => part && onTick(part)}
          >
            {isCut ? '✓ ' : ''}
            <b>{faces.get(strip.face)?.mark}</b> <Len inches={strip.length} /> × <Len inches={strip.width} />,{' '}
            {faces.get(strip.face)?.name}
            {strip.bent && ', bent on from the one before'}
          </Box>
        );
      })}
  </Box>
);
