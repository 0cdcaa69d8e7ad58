import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useMemo, useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import useSWR from 'swr';
import { groupParts } from '@rubbet/core/unit';
import { drawBuild } from '@rubbet/core/draw';
import { findNextStep, isBenchStep, isRead } from '@rubbet/core/steps';
import type { Step } from '@rubbet/core/steps';
import { api } from '../../data/api.ts';
import type { ApiError } from '../../data/api.ts';
import { useMe } from '../../data/hooks.ts';
import type { WorkOrder, WorkPart, WorkPlanData } from '../../data/types.ts';
import { DrawingView } from '../../parts/DrawingView.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { TapeMarks } from '../../parts/TapeMarks.tsx';
import { Len, WithFractions } from '../../parts/Text.tsx';
import { MeasurePanel, TroublePanel } from './panels.tsx';
import { GateEntry } from './GateEntry.tsx';
import { PartList } from './PartList.tsx';
import { SawList } from './SawList.tsx';
import { useClock } from './useClock.ts';
import { BenchFoot } from './BenchFoot.tsx';
import type { BenchPanel } from './BenchFoot.tsx';
import '../../app/lightDark.ts';
import { useShow } from '../../data/useShow.tsx';

const PanelTab = chakra('button', {
  base: {
    px: '9px',
    minH: '40px',
    fontFamily: 'heading',
    fontStretch: '78%',
    fontWeight: 600,
    fontSize: '15px',
    color: 'railtext',
    whiteSpace: 'nowrap',
    borderBottom: '4px solid transparent',
    '&[aria-pressed=true]': { borderColor: 'tape' },
  },
});

/** What the panel tabs are: the saw, each assembly, and the rest. */
const tabOf = (s: Step): string => (s.station === 'saw' ? 'saw' : (s.assembly ?? 'last'));

/** The bench: one step, one picture, one list, one tape, one big way forward. */
export const Bench = () => {
  const show = useShow();
  const { id = '' } = useParams();
  const { me, error: signedOut } = useMe();
  const { data, error, mutate } = useSWR<WorkOrder, ApiError>(me ? `/orders/${id}/work-order` : null);
  // What it was made from never changes, so it is fetched once.
  const { data: plan, error: noPlan } = useSWR<WorkPlanData, ApiError>(
    data ? `/orders/${id}/work-order/plan?p=${data.planId}` : null,
    { revalidateIfStale: false },
  );
  const { tell, fail } = useNotice();
  const build = plan?.build;
  const steps = useMemo(() => plan?.steps.filter(isBenchStep) ?? [], [plan]);
  const [at, setAt] = useState<string>();
  const [panel, setPanel] = useState<BenchPanel>('none');
  const [busy, setBusy] = useState(false);
  const state = new Map((data?.steps ?? []).map((s) => [s.stepId, s]));
  const states = new Map((data?.steps ?? []).map((s) => [s.stepId, s.state]));
  const open = findNextStep(steps, states) ?? steps.find((s) => states.get(s.id) !== 'done');
  const step = steps.find((s) => s.id === at) ?? open ?? steps[steps.length - 1];
  const clock = useClock(step?.id);
  const row = step ? state.get(step.id) : undefined;
  const done = row?.state === 'done';
  const gate = isRead(step?.gate) ? step.gate : undefined;
  const [found, setFound] = useState<readonly (number | undefined)[]>([]);
  const byId = useMemo(() => new Map((data?.parts ?? []).map((p) => [p.partId, p])), [data]);
  const drawing = useMemo(() => {
    if (!build || !step) return undefined;
    const panelView = step.view.startsWith('panel:') ? step.view : 'three';
    return drawBuild(
      build,
      panelView,
      panelView === 'three' && step.parts.length > 0
        ? { highlight: step.parts, show: 'frame' }
        : step.verb === 'skin'
          ? { highlight: step.parts }
          : {},
    );
  }, [build, step]);

  const finish = async (to: 'done' | 'open'): Promise<void> => {
    if (!step || !row) return;
    setBusy(true);
    try {
      const next = await api<WorkOrder>(`/orders/${id}/work-order/steps/${row.id}`, {
        method: 'PATCH',
        body: {
          version: row.version,
          state: to,
          ...(to === 'done' ? { minutes: Math.round(clock.seconds / 60) } : {}),
          ...(to === 'done' && gate ? { found } : {}),
        },
      });
      await mutate(next, { revalidate: false });
      const kept = next.steps.find((s) => s.id === row.id);
      if (to === 'done' && kept?.state === 'done') setAt(undefined);
      else if (to === 'done') {
        setFound([]);
        setAt(step.id);
      }
    } catch (e) {
      fail(e);
    } finally {
      setBusy(false);
    }
  };
  const changePart = async (part: WorkPart, body: Record<string, unknown>, said?: string): Promise<void> => {
    try {
      await mutate(
        await api<WorkOrder>(`/orders/${id}/work-order/parts/${part.id}`, {
          method: 'PATCH',
          body: { version: part.version, ...body },
        }),
        { revalidate: false },
      );
      if (said) tell(said);
    } catch (e) {
      fail(e);
      await mutate();
    }
  };
  useEffect(() => {
    setPanel('none');
    setFound([]);
  }, [step?.id]);

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
  if (error && !data) throw error;
  if (noPlan && !plan) throw noPlan;
  if (!data || !plan || !build || !step) return <Loading />;
  const tabs = [...new Set(steps.map(tabOf))];
  const mine = steps.filter((s) => tabOf(s) === tabOf(step));
  const parts = build.parts.filter((p) => step.parts.includes(p.id));
  const groups = groupParts(parts);
  const measured = groups.filter((g) => g.part.fit === 'measure in place');
  const tape =
    step.assembly && (step.verb === 'lay out' || step.verb === 'frame')
      ? build.assemblies.find((a) => a.id === step.assembly)?.tapes[0]
      : undefined;
  const cut = data.parts.filter((p) => p.state === 'cut').length;
  const number = steps.indexOf(step) + 1;
  return (
    <Box
      height="100%"
      minH={{ base: 0, md: '700px' }}
      display="grid"
      gridTemplateColumns="minmax(0,1fr)"
      gridTemplateRows="auto auto minmax(0,1fr) auto auto"
      bg="paper"
    >
      <Box
        bg="rail"
        color="railtext"
        display="flex"
        alignItems="center"
        columnGap={{ base: 3, md: 5 }}
        px={{ base: 3, md: 5 }}
        py={2}
        minH="60px"
        flexWrap={{ base: 'wrap', md: 'nowrap' }}
      >
        <Link to={`/orders/${id}/bench`} style={{ color: 'inherit', textDecoration: 'none' }} title="Back to the order">
          <span className="cond" style={{ fontSize: 22 }}>
            {data.order.id} · {data.order.title}
          </span>
        </Link>
        <span>
          step {number} of {steps.length}
        </span>
        {data.doneAt && (
          <Box bg="mosswash" color="ink" px={3} py={1} className="cond" data-testid="built">
            Built. <Link to={`/orders/${id}`}>Back to the order</Link>
          </Box>
        )}
        {data.order.held !== null && (
          <Box bg="amberwash" color="ink" px={3} py={1} minW={0} data-testid="bench-held">
            <strong className="cond">On hold:</strong> {data.order.held}
          </Box>
        )}
        <Box ml="auto" className="cond" whiteSpace="nowrap">
          cut {cut} of {data.parts.length}
        </Box>
        <Box
          bg="tape"
          color="tapeink"
          px={3}
          py={1}
          className="cond"
          fontSize="21px"
          role="timer"
          aria-label="Time on this step"
        >
          {clock.text}
        </Box>
      </Box>
      <Box
        bg="rail"
        display="flex"
        flexWrap={{ base: 'nowrap', md: 'wrap' }}
        overflowX="auto"
        px={3}
        role="group"
        aria-label="Panels"
      >
        {tabs.map((t) => {
          const of = steps.filter((s) => tabOf(s) === t);
          const left = of.filter((s) => state.get(s.id)?.state !== 'done');
          return (
            <PanelTab key={t} aria-pressed={t === tabOf(step)} onClick={() => setAt((left[0] ?? of[0])?.id)}>
              {t === 'saw' ? 'Saw' : t === 'last' ? 'Finish' : (build.assemblies.find((a) => a.id === t)?.name ?? t)}
              {left.length === 0 ? ' ✓' : ''}
            </PanelTab>
          );
        })}
      </Box>
      <Box
        display="grid"
        gridTemplateColumns={
          step.verb === 'cut' ? 'minmax(0,1fr)' : { base: 'minmax(0,1fr)', md: 'minmax(0,1.45fr) minmax(0,1fr)' }
        }
        gridAutoRows={{ base: 'max-content', md: 'minmax(0,1fr)' }}
        overflowY={{ base: 'auto', md: 'visible' }}
        minH={0}
      >
        {step.verb === 'cut' ? (
          <SawList
            work={data}
            step={step}
            build={build}
            sheetPlan={plan.sheets}
            onTick={(part, to) => void changePart(part, { state: to })}
          />
        ) : (
          <>
            <Box
              className="dots"
              bg="sheet"
              borderRight="1px solid"
              borderColor="rule"
              p={3}
              minH={0}
              position="relative"
              display="grid"
              gridTemplateRows={{ base: 'auto 240px auto', md: 'auto minmax(0,1fr) auto' }}
            >
              <Box minH={0} gridRow={2}>
                {drawing && <DrawingView drawing={drawing} pixels={600} label={`Picture of ${step.title}`} />}
              </Box>
              {step.gate?.expected !== undefined && step.verb === 'check' && (
                <Box textAlign="center" gridRow={1} color="keel" className="cond" fontSize="20px">
                  <Len inches={step.gate.expected} /> both ways
                </Box>
              )}
              <Box color="soft" pt={1} gridRow={3}>
                {step.view.startsWith('panel:')
                  ? 'seen from outside, lying flat, hook the tape at the left end'
                  : 'where it goes'}
              </Box>
            </Box>
            <Box
              px={{ base: 3, md: 5 }}
              py={4}
              overflow={{ base: 'visible', md: 'auto' }}
              minH={0}
              tabIndex={0}
              role="region"
              aria-label="This step"
            >
              <Box className="cond" fontSize="26px" lineHeight={1.15} mb={2}>
                <WithFractions text={step.title} />
              </Box>
              <Box color="soft" mb={2}>
                {mine.map((s) => (
                  <chakra.button
                    key={s.id}
                    onClick={() => setAt(s.id)}
                    mr={2}
                    minW="30px"
                    py="3px"
                    border="1px solid"
                    borderColor="rule"
                    textAlign="center"
                    bg={s.id === step.id ? 'tape' : 'sheet'}
                    color={s.id === step.id ? 'tapeink' : 'ink'}
                    aria-label={`${show.text(s.title)}${state.get(s.id)?.state === 'done' ? ', done' : ''}`}
                    aria-current={s.id === step.id ? 'step' : undefined}
                  >
                    {state.get(s.id)?.state === 'done' ? '✓' : mine.indexOf(s) + 1}
                  </chakra.button>
                ))}
              </Box>
              <PartList groups={groups} parts={byId} />
              {gate && row && <GateEntry gate={gate} row={row} found={found} onFound={setFound} />}
              {step.gate && !gate && step.verb !== 'check' && (
                <Box mt={2} color="chalk" fontWeight={700}>
                  Check: {step.gate.what} {step.gate.expected !== undefined && <Len inches={step.gate.expected} />}
                </Box>
              )}
              <Box bg="amberwash" borderLeft="5px solid" borderColor="amber" px={3} py={2} mt={3} fontSize="16px">
                {step.text.map((t) => (
                  <p key={t}>
                    <WithFractions text={t} />
                  </p>
                ))}
                {step.cautions.map((c) => (
                  <Box key={c} fontWeight={700}>
                    <WithFractions text={c} />
                  </Box>
                ))}
              </Box>
            </Box>
          </>
        )}
      </Box>
      <Box borderTop="2px solid" borderColor="ink" px={5} py={tape ? 2 : 0} bg="paper" overflow="hidden">
        {panel === 'none' && tape && <TapeMarks tape={tape} tall />}
        {panel === 'measure' && (
          <MeasurePanel
            groups={measured}
            parts={byId}
            close={() => setPanel('none')}
            keep={(part, inches) =>
              changePart(
                part,
                { measured: inches },
                `${part.mark} is ${show.length(inches)}; the sticks are planned again.`,
              )
            }
          />
        )}
        {panel === 'trouble' && (
          <TroublePanel
            groups={groups}
            parts={byId}
            close={() => setPanel('none')}
            spoiled={(part) =>
              changePart(part, { state: 'spoiled' }, `${part.mark} is taken as spoiled; another is planned.`)
            }
          />
        )}
      </Box>
      <BenchFoot
        panel={panel}
        onPanel={setPanel}
        measured={measured}
        done={done}
        mayTick={!busy && (me?.roles.some((r) => r !== 'driver') ?? false)}
        next={steps[number]?.title}
        onFinish={(state) => void finish(state)}
      />
    </Box>
  );
};
