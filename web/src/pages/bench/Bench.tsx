import { Box } from '@chakra-ui/react';
import { useEffect, useMemo, useState } from 'react';
import { Link, Navigate, useParams, useSearchParams } from 'react-router';
import { groupParts } from '@rubbet/core/unit';
import { ORDER_ACTS } from '@rubbet/core/order';
import { findNextStep, isBenchStep, isRead, lineUnits, sortOpen, STOP_CAUSES, unitKey } from '@rubbet/core/steps';
import type { UnitLine } from '@rubbet/core/steps';
import { api } from '../../data/api.ts';
import { useMe } from '../../data/hooks.ts';
import type { WorkOrder, WorkPart } from '../../data/types.ts';
import { useLive } from '../../data/useLive.ts';
import { useShow } from '../../data/useShow.tsx';
import { QuietButton } from '../../parts/Button.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { TapeMarks } from '../../parts/TapeMarks.tsx';
import '../../app/lightDark.ts';
import { BenchFoot } from './BenchFoot.tsx';
import type { BenchPanel } from './BenchFoot.tsx';
import { BenchHead } from './BenchHead.tsx';
import type { EntryBody } from './entries.ts';
import { NowList } from './NowList.tsx';
import { MeasurePanel, TroublePanel } from './panels.tsx';
import { pictureOf } from './pictureOf.ts';
import { QueueBand } from './QueueBand.tsx';
import { SawList } from './SawList.tsx';
import { StepNotes } from './StepNotes.tsx';
import { StepPane } from './StepPane.tsx';
import { findLabelled, linesOf, nameTabs, tabOf } from './tabs.ts';
import { useClock } from './useClock.ts';
import { useWork } from './useWork.ts';

/** The bench: one step, one picture, one list, one tape, one big way forward; of several units one after the other. */
export const Bench = () => {
  const show = useShow();
  const { id = '' } = useParams();
  const { me, error: signedOut } = useMe();
  useLive(me !== undefined);
  const { work, plan, error, noPlan, queue, away, send, take, again, letGo } = useWork(id, me);
  const { tell, fail } = useNotice();
  const build = plan?.build;
  const steps = useMemo(() => plan?.steps ?? [], [plan]);
  const units = plan?.units ?? 1;
  const lines = useMemo(() => lineUnits(steps, units), [steps, units]);
  const byId = useMemo(() => new Map(steps.map((s) => [s.id, s])), [steps]);
  const [at, setAt] = useState<string>();
  const [chosen, setUnit] = useState<number>();
  const [panel, setPanel] = useState<BenchPanel>('none');
  const [listed, setListed] = useState(false);
  const [busy, setBusy] = useState(false);
  const [found, setFound] = useState<readonly (number | undefined)[]>([]);
  const rows = new Map((work?.steps ?? []).map((s) => [s.stepId, s]));
  const states = new Map((work?.steps ?? []).map((s) => [s.stepId, s.state]));
  const isDone = (l: UnitLine): boolean => states.get(l.id) === 'done';
  // The unit that somebody is at stays theirs; else the first that is not built.
  const unit = chosen ?? lines.find((l) => l.unit > 0 && !isDone(l))?.unit ?? (units > 1 ? units : 0);
  const mine = linesOf(lines, unit);
  const line =
    lines.find((l) => l.id === at) ??
    findNextStep(mine, states) ??
    mine.find((l) => !isDone(l)) ??
    mine[mine.length - 1];
  const step = line && byId.get(line.stepId);
  const clock = useClock(me && line ? `${me.id}:${id}:${line.id}` : undefined);
  const row = line ? rows.get(line.id) : undefined;
  const gate = isRead(step?.gate) ? step.gate : undefined;
  // Parts of the unit that the step is about, by their names in the plan.
  const byPart = useMemo(() => {
    const all = new Map((work?.parts ?? []).map((p) => [p.partId, p]));
    return new Map(
      (build?.parts ?? []).flatMap((p) => {
        const own = all.get(unitKey(p.id, units > 1 ? unit : 0));
        return own ? [[p.id, own] as const] : [];
      }),
    );
  }, [work?.parts, build, units, unit]);
  const picture = useMemo(() => (build && step ? pictureOf(build, steps, step) : undefined), [build, steps, step]);
  // A label was scanned: its piece, at the step in which it goes in.
  const [search] = useSearchParams();
  const scanned = work?.parts.find((p) => p.id === Number(search.get('part')));
  const opened = scanned && findLabelled(scanned.partId, lines, steps);
  const [openedId, openedUnit = 0] = [opened?.id, opened?.unit];
  useEffect(() => {
    if (openedId === undefined) return;
    if (openedUnit > 0) setUnit(openedUnit);
    setAt(openedId);
  }, [openedId, openedUnit]);
  useEffect(() => {
    setPanel('none');
    setFound([]);
  }, [line?.id]);

  const go = (to: UnitLine | undefined): void => {
    if (!to) return;
    setListed(false);
    if (to.unit > 0) setUnit(to.unit);
    setAt(to.id);
  };
  const finish = async (to: 'done' | 'open'): Promise<void> => {
    if (!line || !row) return;
    setBusy(true);
    const { minutes, stops } = clock.read();
    const body: EntryBody = {
      state: to,
      ...(to === 'done' ? { minutes, ...(stops.length > 0 ? { stops } : {}) } : {}),
      ...(to === 'done' && gate ? { found: found.filter((f) => f !== undefined) } : {}),
    };
    const outcome = await send({ kind: 'step', row: row.id, name: line.title, body });
    setBusy(false);
    if (outcome.state === 'refused') {
      fail(outcome.error);
      return;
    }
    if (to === 'done') clock.reset();
    const kept = outcome.state === 'sent' ? outcome.work.steps.find((s) => s.id === row.id)?.state : to;
    setFound([]);
    if (to === 'done') setAt(kept === 'done' ? undefined : line.id);
  };
  const changePart = async (part: WorkPart, body: EntryBody, said?: string): Promise<boolean> => {
    const outcome = await send({ kind: 'part', row: part.id, name: part.mark, body });
    if (outcome.state === 'refused') fail(outcome.error);
    else if (said && outcome.state === 'sent') tell(said);
    return outcome.state !== 'refused';
  };
  const cutAll = async (parts: readonly WorkPart[], to: 'cut' | 'open'): Promise<void> => {
    for (const part of parts) if (!(await changePart(part, { state: to }))) break;
  };

  if (signedOut?.status === 401) return <Navigate to="/sign-in" state={{ from: `/bench/${id}` }} replace />;
  // Somebody took the work order away meanwhile, or there never was one.
  if (error?.code === 'no-work-order')
    return (
      <Box p={8} data-testid="no-work-order">
        <Empty>
          {error.message} <Link to={`/orders/${id}/bench`}>To the order</Link>
        </Empty>
      </Box>
    );
  // While the server does not answer, what is here stays here.
  if (error && !work) throw error;
  if (noPlan && !plan) throw noPlan;
  if (!work || !plan || !build || !step || !line) return <Loading />;
  const done = row?.state === 'done';
  // What is done in the shop is the shop's to tick; what is done there is whoever's who is there.
  const mayTick =
    me?.roles.some((r) => ORDER_ACTS[isBenchStep(step) ? 'work' : 'work there'].roles.includes(r)) ?? false;
  const tabs = nameTabs(steps, build);
  const inTab = (key: string): UnitLine[] => mine.filter((l) => tabOf(byId.get(l.stepId) ?? step) === key);
  const groups = groupParts(build.parts.filter((p) => step.parts.includes(p.id)));
  const measured = groups.filter((g) => g.part.fit === 'measure in place');
  const tape =
    step.assembly && (step.verb === 'lay out' || step.verb === 'frame')
      ? build.assemblies.find((a) => a.id === step.assembly)?.tapes[0]
      : undefined;
  const needs = sortOpen(lines, states).waiting.find((w) => w.step.id === line.id)?.needs ?? [];
  const causeName = STOP_CAUSES.find(([key]) => key === clock.cause)?.[1];
  return (
    <Box
      height="100%"
      minH={{ base: 0, md: '700px' }}
      display="grid"
      gridTemplateColumns="minmax(0,1fr)"
      gridTemplateRows="auto auto minmax(0,1fr) auto auto"
      bg="paper"
    >
      <Box>
        <BenchHead
          work={work}
          number={mine.indexOf(line) + 1}
          count={mine.length}
          clock={{ text: clock.text, standing: clock.cause !== undefined }}
          tabs={tabs.map((t) => ({ ...t, done: inTab(t.key).every(isDone) }))}
          tab={tabOf(step)}
          onTab={(key) => go(inTab(key).find((l) => !isDone(l)) ?? inTab(key)[0])}
          units={Array.from({ length: units > 1 ? units : 0 }, (_, i) => {
            const own = lines.filter((l) => l.unit === i + 1);
            return { unit: i + 1, done: own.filter(isDone).length, steps: own.length };
          })}
          unit={unit}
          onUnit={(u) => {
            setUnit(u);
            setListed(false);
            const own = linesOf(lines, u);
            // The same step of that unit, else what comes next there.
            setAt(line.unit > 0 ? unitKey(line.stepId, u) : findNextStep(own, states)?.id);
          }}
          now={listed}
          onNow={() => setListed(!listed)}
        />
      </Box>
      <Box>
        <QueueBand queue={queue} away={away} onAgain={again} onLetGo={letGo} />
        {clock.cause !== undefined && (
          <Box
            bg="amberwash"
            px={{ base: 3, md: 5 }}
            py={2}
            display="flex"
            gap={4}
            alignItems="center"
            data-testid="standing"
          >
            <span>
              <strong className="cond">Stopped:</strong> {causeName}, {clock.stood}
            </span>
            <QuietButton minH="44px" onClick={clock.goOn}>
              Go on
            </QuietButton>
          </Box>
        )}
      </Box>
      <Box
        display="grid"
        gridTemplateColumns={
          listed || step.verb === 'cut'
            ? 'minmax(0,1fr)'
            : { base: 'minmax(0,1fr)', md: 'minmax(0,1.45fr) minmax(0,1fr)' }
        }
        gridAutoRows={{ base: 'max-content', md: 'minmax(0,1fr)' }}
        overflowY={{ base: 'auto', md: 'visible' }}
        minH={0}
      >
        {listed ? (
          <NowList now={sortOpen(lines, states)} onGo={go} />
        ) : step.verb === 'cut' ? (
          <SawList
            key={line.id}
            work={work}
            step={step}
            build={build}
            plan={plan}
            onCut={(parts, to) => void cutAll(parts, to)}
          />
        ) : (
          <StepPane
            step={step}
            line={line}
            row={row}
            others={inTab(tabOf(step))}
            states={states}
            groups={groups}
            parts={byPart}
            scanned={scanned?.mark}
            picture={picture}
            needs={needs}
            found={found}
            onFound={setFound}
            onGo={go}
          >
            <StepNotes work={work} stepId={line.id} row={row?.id} mayWrite={mayTick} onWork={take} />
          </StepPane>
        )}
      </Box>
      <Box borderTop="2px solid" borderColor="ink" px={5} py={tape ? 2 : 0} bg="paper" overflow="hidden">
        {panel === 'none' && tape && !listed && <TapeMarks tape={tape} tall />}
        {panel === 'measure' && (
          <MeasurePanel
            groups={measured}
            parts={byPart}
            close={() => setPanel('none')}
            keep={async (part, inches, why) => {
              await changePart(
                part,
                { measured: inches, ...(why === undefined ? {} : { why }) },
                `${part.mark} is ${show.length(inches)}; the sticks are planned again.`,
              );
            }}
          />
        )}
        {panel === 'trouble' && (
          <TroublePanel
            groups={groups}
            parts={byPart}
            close={() => setPanel('none')}
            stop={clock.stand}
            spoiled={async (part, cause) => {
              await changePart(
                part,
                { state: 'spoiled', why: cause },
                `${part.mark} is taken as ${cause}; another is planned.`,
              );
            }}
            tell={async (cause, mark, note) => {
              if (!row) return;
              try {
                await take(
                  await api<WorkOrder>(`/orders/${id}/work-order/troubles`, {
                    method: 'POST',
                    body: { step: row.id, cause, mark, note: note.trim() },
                  }),
                );
                setPanel('none');
                tell('The office is told; go on with what can be done.');
              } catch (e) {
                fail(e);
              }
            }}
          />
        )}
      </Box>
      <BenchFoot
        panel={panel}
        onPanel={setPanel}
        measured={measured}
        done={done}
        mayTick={!busy && mayTick}
        next={mine[mine.indexOf(line) + 1]?.title}
        back={listed ? () => setListed(false) : undefined}
        onFinish={(state) => void finish(state)}
      />
    </Box>
  );
};
