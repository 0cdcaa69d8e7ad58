import { useMemo } from 'react';
import { Box } from '@chakra-ui/react';
import type { Build } from '@rubbet/core/unit';
import { describeCuts } from '@rubbet/core/formats';
import type { SheetPlan } from '@rubbet/core/cut';
import type { Step } from '@rubbet/core/steps';
import { findItem, SHEETS } from '@rubbet/core/stock';
import { planMesh } from '@rubbet/core/takeoff';
import type { WorkOrder, WorkPart } from '../../data/types.ts';
import { isMetric } from '@rubbet/core/measure';
import { useShow } from '../../data/useShow.tsx';
import { Len } from '../../parts/Text.tsx';
import { CutTicket, PlacedTicket } from './CutTicket.tsx';
import { RollList } from './RollList.tsx';
import { Templates } from './Templates.tsx';
import { handOutPlaces, handOutTickets } from './tickets.ts';

/** Cut tickets by stick: each stick drawn to scale, each cut a button that is ticked off. */
export const SawList = ({
  work,
  step,
  build,
  sheetPlan,
  onTick,
}: {
  readonly work: WorkOrder;
  readonly step: Step;
  readonly build: Build;
  readonly sheetPlan: SheetPlan;
  readonly onTick: (part: WorkPart, to: 'cut' | 'open') => void;
}) => {
  const show = useShow();
  const metric = isMetric(show.units);
  const sheets = step.id === 'cut-sheets';
  const mesh = step.id === 'cut-mesh';
  const rolls = useMemo(() => (mesh ? planMesh(build.parts) : undefined), [mesh, build]);
  const item = sheets || mesh ? undefined : build.parts.find((p) => step.parts.includes(p.id))?.item;
  const sticks = item ? work.sticks.sticks.filter((s) => s.item === item) : [];
  const longest = Math.max(96, ...sticks.map((s) => s.length));
  const tickets = handOutTickets(sticks, work.parts);
  const about = (mark: string) => build.parts.find((p) => p.mark === mark);
  const done = work.parts.filter((p) => step.parts.includes(p.partId) && p.state === 'cut').length;
  return (
    <Box overflow="auto" px={5} py={4} minH={0} tabIndex={0} role="region" aria-label="Cut tickets">
      <Box display="flex" alignItems="baseline" gap={4} mb={3}>
        <Box className="cond" fontSize="26px">
          {step.title}
        </Box>
        <span>
          {done} of {step.parts.length} cut. Tap a piece when it is cut
          {mesh ? ', on the roll or in the list.' : '; long pieces first, stack equal ones.'}
        </span>
      </Box>
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
          <Box className="cond" fontSize="17px">
            {findItem(s.item).name} × {metric ? show.length(s.length) : `${Math.round(s.length / 12)} ft`}
          </Box>
          <Box
            display="flex"
            width={`${(100 * s.length) / longest}%`}
            bg="tapeoff"
            border="1px dashed"
            borderColor="soft"
          >
            {(tickets[i] ?? []).map((c, k) => {
              const { mark, isCut, parts: mine } = c;
              const shape = about(mark);
              return (
                <CutTicket
                  key={k}
                  className="on-paper"
                  aria-pressed={isCut}
                  disabled={mine.length === 0}
                  style={{ width: `${(100 * c.length) / s.length}%` }}
                  title={`${shape?.name ?? ''}, ends ${shape ? describeCuts(shape) : ''}`}
                  data-mark={mark}
                  data-length={c.length}
                  onClick={() =>
                    mine.filter((p) => (p.state === 'cut') === isCut).forEach((p) => onTick(p, isCut ? 'open' : 'cut'))
                  }
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
      {sheets && <SheetList plan={sheetPlan} parts={work.parts} onTick={onTick} />}
      {item && <Templates build={build} parts={step.parts} />}
      {rolls && <RollList plan={rolls} build={build} parts={work.parts} onTick={onTick} />}
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
  readonly onTick: (part: WorkPart, to: 'cut' | 'open') => void;
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
