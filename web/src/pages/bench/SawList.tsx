import { useMemo, useState } from 'react';
import { Box, chakra } from '@chakra-ui/react';
import type { Build } from '@rubbet/core/unit';
import { describeCuts } from '@rubbet/core/formats';
import type { MeshPlan, SheetPlan } from '@rubbet/core/cut';
import type { Step } from '@rubbet/core/steps';
import { readUnitKey } from '@rubbet/core/steps';
import { findItem, SHEETS } from '@rubbet/core/stock';
import { readTicket } from '@rubbet/core/takeoff';
import { repeatParts } from '@rubbet/core/unit';
import type { WorkOrder, WorkPart } from '../../data/types.ts';
import { isMetric } from '@rubbet/core/measure';
import { useShow } from '../../data/useShow.tsx';
import { QuietButton } from '../../parts/Button.tsx';
import { Len } from '../../parts/Text.tsx';
import { CutTicket, PlacedTicket } from './CutTicket.tsx';
import { RollList } from './RollList.tsx';
import { Templates } from './Templates.tsx';
import { handOutPlaces, handOutTickets } from './tickets.ts';

const Stick = chakra('button', {
  base: {
    fontFamily: 'heading',
    fontStretch: '80%',
    fontWeight: 620,
    fontSize: '17px',
    textAlign: 'left',
    minH: '44px',
  },
});

/** What the saw works by: how many units are cut together, their sheets and rolls. */
export interface SawPlan {
  readonly units: number;
  readonly sheets: SheetPlan;
  readonly mesh: MeshPlan;
}

/**
 * Cut tickets by stick: each stick drawn to scale, each cut a button that is ticked off, by piece, by stick, by size, or all of
 * them. What is cut is not undone by a second tap: that is asked.
 */
export const SawList = ({
  work,
  step,
  build,
  plan,
  onCut,
}: {
  readonly work: WorkOrder;
  readonly step: Step;
  readonly build: Build;
  readonly plan: SawPlan;
  readonly onCut: (parts: readonly WorkPart[], to: 'cut' | 'open') => void;
}) => {
  const [last, setLast] = useState<{ readonly mark: string; readonly cut: readonly WorkPart[] }>();
  const show = useShow();
  const metric = isMetric(show.units);
  const sheets = step.id === 'cut-sheets';
  const mesh = step.id === 'cut-mesh';
  const all = useMemo(() => repeatParts(build.parts, plan.units), [build, plan.units]);
  const item = sheets || mesh ? undefined : build.parts.find((p) => step.parts.includes(p.id))?.item;
  const sticks = item ? work.sticks.sticks.filter((s) => s.item === item) : [];
  const longest = Math.max(96, ...sticks.map((s) => s.length));
  const tickets = handOutTickets(sticks, work.parts);
  const about = (mark: string) => build.parts.find((p) => p.mark === mark);
  const inStep = new Set(step.parts);
  const mine = work.parts.filter((p) => inStep.has(readUnitKey(p.partId).id));
  const open = (parts: readonly WorkPart[]): WorkPart[] => parts.filter((p) => p.state !== 'cut');
  const done = mine.length - open(mine).length;
  const size = last && mine.filter((p) => p.mark === last.mark);
  /** A tap cuts what is not cut; on what is, it asks. */
  const press = (parts: readonly WorkPart[]): void => {
    const first = parts[0];
    if (!first) return;
    const rest = open(parts);
    setLast({ mark: first.mark, cut: rest.length > 0 ? [] : parts });
    if (rest.length > 0) onCut(rest, 'cut');
  };
  const tickOne = (part: WorkPart): void => press([part]);
  return (
    <Box overflow="auto" px={5} py={4} minH={0} tabIndex={0} role="region" aria-label="Cut tickets">
      <Box display="flex" alignItems="baseline" gap={4} mb={3}>
        <Box className="cond" fontSize="26px">
          {step.title}
        </Box>
        <span>
          {done} of {mine.length} cut. Tap a piece when it is cut
          {mesh ? ', on the roll or in the list.' : '; long pieces first, stack equal ones.'}
        </span>
        {open(mine).length > 0 && (
          <QuietButton ml="auto" minH="44px" onClick={() => onCut(open(mine), 'cut')}>
            All of these are cut
          </QuietButton>
        )}
      </Box>
      {last && size && (
        <Box
          display="flex"
          gap={3}
          alignItems="center"
          flexWrap="wrap"
          mb={3}
          px={3}
          py={1}
          bg="mosswash"
          role="status"
          data-testid="cut-bar"
        >
          <strong className="cond">
            {last.mark}: {size.length - open(size).length} of {size.length} cut
          </strong>
          {open(size).length > 0 && (
            <QuietButton minH="44px" onClick={() => onCut(open(size), 'cut')}>
              All {size.length} of {last.mark}
            </QuietButton>
          )}
          {last.cut.length > 0 && (
            <QuietButton
              minH="44px"
              onClick={() => {
                onCut(last.cut, 'open');
                setLast(undefined);
              }}
            >
              This {last.mark} is not cut after all
            </QuietButton>
          )}
        </Box>
      )}
      <Box bg="amberwash" borderLeft="5px solid" borderColor="amber" px={3} py={2} mb={4}>
        {step.cautions.join(' ')}
      </Box>
      {sticks.map((s, i) => (
        <Box
          key={i}
          display="grid"
          gridTemplateColumns={{ base: 'minmax(0,1fr)', md: '158px minmax(0,1fr)' }}
          gap={{ base: '2px', md: 3 }}
          alignItems="center"
          mb={2}
          data-stick={i}
        >
          <Stick
            title="All of this stick is cut"
            onClick={() => onCut(open((tickets[i] ?? []).flatMap((t) => t.parts)), 'cut')}
          >
            {(tickets[i] ?? []).every((t) => t.isCut) ? '✓ ' : ''}
            {findItem(s.item).name} × {metric ? show.length(s.length) : `${Math.round(s.length / 12)} ft`}
          </Stick>
          <Box
            display="flex"
            width={`${(100 * s.length) / longest}%`}
            bg="tapeoff"
            border="1px dashed"
            borderColor="soft"
          >
            {/* Its wood went before what is still to be cut. */}
            {(s.spoiled ?? []).map((c, k) => (
              <Box
                key={`spoiled ${k}`}
                width={`${(100 * c.length) / s.length}%`}
                display="grid"
                placeItems="center"
                overflow="hidden"
                border="1px solid"
                borderColor="soft"
                backgroundImage="repeating-linear-gradient(45deg,var(--rb-colors-soft) 0 1px,transparent 1px 9px)"
                color="keel"
                fontSize="14px"
                title={`${readTicket(c.id).mark}, no good: its wood is gone`}
                data-spoiled={readTicket(c.id).mark}
              >
                <Box as="s" bg="tapeoff" px={1}>
                  {readTicket(c.id).mark}
                </Box>
              </Box>
            ))}
            {(tickets[i] ?? []).map((c, k) => {
              const { mark, isCut, parts: pieces } = c;
              const shape = about(mark);
              return (
                <CutTicket
                  key={k}
                  className="on-paper"
                  aria-pressed={isCut}
                  disabled={pieces.length === 0}
                  style={{ width: `${(100 * c.length) / s.length}%` }}
                  title={`${shape?.name ?? ''}, ends ${shape ? describeCuts(shape) : ''}`}
                  data-mark={mark}
                  data-length={c.length}
                  onClick={() => press(pieces)}
                >
                  {isCut ? '✓ ' : ''}
                  {mark}
                  {c.ripped ? ' × 2, ripped' : ''}
                  {c.length > 9 && (
                    <>
                      <br />
                      <Len inches={c.length} />
                    </>
                  )}
                  {shape && shape.cuts.some((x) => x.angle > 0) && c.length > 16
                    ? ` · ${String(Math.max(...shape.cuts.map((x) => x.angle)))}°`
                    : ''}
                </CutTicket>
              );
            })}
            {s.left > 8 && (
              <Box flex={1} display="grid" placeItems="center" color="soft" fontSize="14px">
                <span>
                  <Len inches={s.left} /> left
                </span>
              </Box>
            )}
          </Box>
        </Box>
      ))}
      {sheets && <SheetList plan={plan.sheets} parts={work.parts} onTick={tickOne} />}
      {item && <Templates build={build} parts={step.parts} />}
      {mesh && <RollList plan={plan.mesh} all={all} parts={work.parts} onTick={tickOne} />}
    </Box>
  );
};

const SheetList = ({
  plan,
  parts,
  onTick,
}: {
  readonly plan: SheetPlan;
  readonly parts: readonly WorkPart[];
  readonly onTick: (part: WorkPart) => void;
}) => {
  const show = useShow();
  const tickets = handOutPlaces(plan, parts);
  return (
    <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(min(420px, 100%), 1fr))" gap={4}>
      {plan.sheets.map((s, i) => (
        <Box key={i}>
          <Box className="cond" mb={1}>
            {SHEETS.find((x) => x.key === s.item)?.name}, sheet {i + 1}
          </Box>
          <Box
            position="relative"
            width="100%"
            aspectRatio={`${s.length} / ${s.width}`}
            bg="tapeoff"
            border="1px dashed"
            borderColor="soft"
          >
            {s.places.map((p, k) => {
              const ticket = tickets[i]?.[k];
              const part = ticket?.parts[0];
              const isCut = ticket?.isCut ?? false;
              return (
                <PlacedTicket
                  key={k}
                  box={[p.x / s.length, p.y / s.width, p.length / s.length, p.width / s.width]}
                  mark={p.id}
                  title={`${p.id}: ${show.length(p.length)} × ${show.length(p.width)}`}
                  part={part}
                  isCut={isCut}
                  onTick={onTick}
                >
                  {p.id}
                  {p.length > 22 && p.width > 8 && (
                    <>
                      <br />
                      <Len inches={p.length} /> × <Len inches={p.width} />
                    </>
                  )}
                </PlacedTicket>
              );
            })}
          </Box>
        </Box>
      ))}
    </Box>
  );
};
