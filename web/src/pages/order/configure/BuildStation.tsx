import { Box } from '@chakra-ui/react';
import { lazy, Suspense, useDeferredValue, useMemo, useState } from 'react';
import useSWR from 'swr';
import { drawBuild } from '@rubbet/core/draw';
import { SWAPPED } from '@rubbet/core/unit';
import type { ParamValue, Side } from '@rubbet/core/unit';
import { findOutsideRanges } from '@rubbet/core/formats';
import { buildSpec, copyFitting, FAMILIES, findFamily, fittingOf } from '@rubbet/core/model';
import type { LengthParam, Spec } from '@rubbet/core/model';
import { siteOf } from '@rubbet/core/check';
import { layFoundation } from '@rubbet/core/site';
import type { Finding } from '@rubbet/core/check';
import { isSame } from '../../../data/drafts.ts';
import { useMe, useRules } from '../../../data/hooks.ts';
import { useKept } from '../../../data/useKept.ts';
import type { FleetData, Model } from '../../../data/types.ts';
import { useComputation } from '../../../workers/useComputation.ts';
import { QuietButton } from '../../../parts/Button.tsx';
import { Difference } from '../../../parts/Difference.tsx';
import { DraftBar } from '../../../parts/DraftBar.tsx';
import { DrawingView } from '../../../parts/DrawingView.tsx';
import { Choices, Select } from '../../../parts/Fields.tsx';
import { Loading } from '../../../parts/Loading.tsx';
import { useNotice } from '../../../parts/Notice.tsx';
import { Heading, Title } from '../../../parts/Text.tsx';
import { useStation } from '../OrderPage.tsx';
import { Elevation } from './Elevation.tsx';
import type { StretchHandle } from './Elevation.tsx';
import { FittingBar } from './FittingBar.tsx';
import { HistoryBar } from './HistoryBar.tsx';
import { LiveStrip } from './LiveStrip.tsx';
import { MarginNotes } from './MarginNotes.tsx';
import { ParamForm } from './ParamForm.tsx';
import { ShowTabs } from './ShowTabs.tsx';
import type { Show } from './ShowTabs.tsx';
import { SaveModel } from './SaveModel.tsx';
import { ViewRail, VIEWS } from './ViewRail.tsx';
import type { View } from './ViewRail.tsx';
import { compareSpecs } from './compareSpecs.ts';
import { useFittings } from './useFittings.ts';
import { useHistory } from './useHistory.ts';
import { useProposal } from './useProposal.ts';
import type { History } from './useHistory.ts';
import { isOffice } from '../../../data/roles.ts';
import { printLength } from '@rubbet/core/measure';
import { useShow } from '../../../data/useShow.tsx';

const Scene = lazy(async () => ({ default: (await import('./Scene.tsx')).Scene }));

/** Parameters that a view's overall dimension stands for, the first that the family has. */
const STRETCHES: Readonly<Record<Side, readonly string[]>> = {
  front: ['length'],
  back: ['length'],
  left: ['depth', 'width'],
  right: ['depth', 'width'],
};
const isSide = (v: string): v is Side => ['front', 'back', 'left', 'right'].includes(v);

/** Waits for a spec to start from, then configures it. */
export const BuildStation = () => {
  const { order } = useStation();
  const { data: start, error } = useSWR<Spec, Error>(order.revision ? null : `/orders/${order.id}/start`);
  if (error && !start) throw error;
  const spec = order.revision?.spec ?? start;
  if (!spec) return <Loading />;
  return <Configure key={`${order.id}`} first={spec} />;
};

/** Whether two histories have come to the same spec, however they came there. */
const isSameNow = (a: History<Spec>, b: History<Spec>): boolean => isSame(a.now, b.now);

const Configure = ({ first }: { readonly first: Spec }) => {
  const shown = useShow();
  const { order, keep } = useStation();
  const { me } = useMe();
  const { tell, fail } = useNotice();
  const rules = useRules();
  const ofServer = useMemo((): History<Spec> => ({ past: [], now: first, next: [] }), [first]);
  const drawing = useKept(`order ${order.id} build`, ofServer, isSameNow);
  const history = useHistory<Spec>(drawing.value, drawing.set);
  const { now: kept, set } = history;
  const [draft, setDraft] = useState<Spec>();
  const spec = draft ?? kept;
  const locks = kept.locked ?? [];
  const toggle = (param: string): void => {
    const { locked: _was, ...rest } = kept;
    const locked = (family?.params ?? [])
      .map((p) => p.key)
      .filter((k) => (k === param ? !locks.includes(k) : locks.includes(k)));
    set(locked.length > 0 ? { ...rest, locked } : rest);
  };
  const [aside, setAside] = useState<'save' | 'compare'>();
  const { data: model } = useSWR<Model>(order.model ? `/models/${order.model.id}` : null);
  const [show, setShow] = useState<Show>('finished');
  const [view, setView] = useState<View>('three');
  const [pinned, setPinned] = useState<number>();
  const [busy, setBusy] = useState(false);
  const family = findFamily(spec.family);
  const { data: fleet } = useSWR<FleetData>('/fleet');
  const input = useMemo(
    () => ({
      spec,
      ...(order.flock ? { flock: order.flock } : {}),
      miles: order.customer.miles,
      quantity: order.quantity,
      ...(order.survey ? { site: siteOf(order.survey.survey, order.survey.pads), survey: order.survey.survey } : {}),
      ...(order.method ? { method: order.method } : {}),
      ...(fleet && fleet.trailers.some((t) => t.active) ? { trailers: fleet.trailers.filter((t) => t.active) } : {}),
    }),
    [spec, order.flock, order.customer.miles, order.quantity, order.survey, order.method, fleet],
  );
  const { computed, fault, pending } = useComputation(input, rules);
  const build = useDeferredValue(computed?.drawn);
  const foundation = useDeferredValue(computed?.foundation);
  const laid = useMemo(
    () =>
      build && foundation && (foundation.supports.length > 0 || foundation.concrete.length > 0)
        ? layFoundation(build, foundation, order.survey?.survey, rules.pads)
        : undefined,
    [build, foundation, order.survey, rules.pads],
  );
  const { selected, setSelected, noRoom, placed, put, add, takeOut } = useFittings(kept, build, (next) => {
    setDraft(undefined);
    set(next);
  });
  const thumbs = useMemo(
    () => (build ? VIEWS.map((v) => [v, drawBuild(build, v, v === 'plan' ? { show: 'frame' } : {})] as const) : []),
    [build],
  );
  const large = useMemo(
    () =>
      build && view !== 'three' && !isSide(view)
        ? drawBuild(build, view, show === 'frame' ? { show: 'frame' } : {})
        : undefined,
    [build, view, show],
  );
  const editable =
    build && isSide(view) && family?.carries.walls.includes(spec.mirrored ? SWAPPED[view] : view) === true;
  const chosenOpening = build?.openings.find((o) => o.wall === view && o.id.endsWith(`/${selected ?? ''}`));
  const chosen = chosenOpening && fittingOf(chosenOpening);
  const stretch = ((): StretchHandle | undefined => {
    if (!isSide(view) || !family) return undefined;
    const def = STRETCHES[view]
      .map((key) => family.params.find((p) => p.key === key))
      .find((p): p is LengthParam => p?.kind === 'length');
    return (
      def && {
        param: def.key,
        label: def.label,
        value: Number(kept.params[def.key]),
        min: def.min,
        max: def.max,
        locked: locks.includes(def.key),
      }
    );
  })();
  /** Changes parameters, but none that is locked. */
  const change = (patch: Readonly<Record<string, ParamValue>>): void => {
    const held = Object.keys(patch).filter((k) => locks.includes(k));
    if (held.length > 0) {
      const labels = held.map((k) => family?.params.find((p) => p.key === k)?.label ?? k);
      fail(
        new Error(
          `${labels.join(', ')} ${held.length === 1 ? 'is' : 'are'} locked: open the lock beside it to change it.`,
        ),
      );
      return;
    }
    setDraft(undefined);
    set({ ...kept, params: { ...kept.params, ...patch } });
  };
  const findings = useMemo((): readonly Finding[] => {
    const outside = model ? findOutsideRanges(spec, spec.family === model.family ? model.ranges : {}) : [];
    return [
      ...(computed?.findings ?? []),
      ...outside.map((o): Finding => ({
        code: `outside-${o.param}`,
        severity: 'tip',
        what: `${o.label} of ${printLength(o.value)} is outside what ${model?.name ?? 'the model'} is sold as.`,
        why: `A seller chooses ${printLength(o.range[0])} to ${printLength(o.range[1])}; this is a custom order.`,
        where: [],
        fix: {
          label: `Make it ${printLength(Math.min(o.range[1], Math.max(o.range[0], o.value)))}`,
          patch: { [o.param]: Math.min(o.range[1], Math.max(o.range[0], o.value)) },
        },
      })),
    ];
  }, [computed?.findings, model, spec]);
  const standard = useMemo(() => (aside === 'compare' && model ? buildSpec(model.spec) : undefined), [aside, model]);
  const additions = (family?.additions ?? []).flatMap(({ label, patch }) => {
    const now = patch(kept.params);
    return now ? [{ label, patch: now }] : [];
  });
  const saved = order.revision !== null && drawing.standing === 'kept';

  const save = async (): Promise<void> => {
    setBusy(true);
    try {
      const next = await keep(
        '/revisions',
        'POST',
        (o) => ({ version: o.version, spec: kept }),
        (o) => isSame(o.revision?.spec ?? null, order.revision?.spec ?? null),
      );
      tell(`Kept as revision ${next.revision?.number ?? ''}.`);
    } catch (error) {
      fail(error);
    } finally {
      setBusy(false);
    }
  };
  const { proposes, propose } = useProposal(order, setBusy, drawing.takeTheirs);
  const changeFamily = (key: string): void => {
    setSelected(undefined);
    const f = findFamily(key);
    if (f)
      set({ family: f.key, schema: f.schema, params: Object.fromEntries(f.params.map((p) => [p.key, p.default])) });
  };
  return (
    <Box
      display={{ base: 'block', md: 'grid' }}
      gridTemplateRows="minmax(0,1fr) auto"
      height={{ base: 'auto', md: '100%' }}
      minH={{ base: 0, md: '600px' }}
    >
      <Box display="grid" gridTemplateColumns={{ base: 'minmax(0,1fr)', md: 'minmax(0,1fr) 434px' }} minH={0}>
        <Box
          className="dots"
          bg="sheet"
          borderRight="1px solid"
          borderColor="rule"
          position="relative"
          display="grid"
          gridTemplateRows={{ base: 'auto auto 300px auto', md: 'auto auto minmax(0,1fr) auto' }}
          minH={0}
          minW={0}
        >
          <Box
            display="flex"
            gap={{ base: 2, md: 4 }}
            px={{ base: 3, md: 4 }}
            pt={3}
            alignItems="center"
            flexWrap="wrap"
          >
            <ShowTabs show={show} onShow={setShow} />
            <HistoryBar
              history={history}
              saved={saved}
              mayKeep={isOffice(me)}
              canKeep={!busy && !saved && computed !== undefined && drawing.standing !== 'both'}
              proposes={proposes}
              onKeep={() => void (proposes ? propose(kept) : save())}
            />
          </Box>
          <Box>
            {editable && family && (
              <FittingBar
                carries={family.carries}
                chosen={chosen}
                onAdd={(kind) => add(view, kind)}
                noRoom={noRoom}
                onStyle={(style) => chosen && put({ ...chosen, style })}
                onCopy={() => chosen && put(copyFitting(kept, build, chosen))}
                onRemove={() => chosen && takeOut(chosen)}
              />
            )}
          </Box>
          <Box
            minH={0}
            position="relative"
            data-pending={pending || build !== computed?.drawn}
            data-testid="build-view"
          >
            {fault && (
              <Box p={6} color="keel">
                {fault}
              </Box>
            )}
            {!build && !fault && <Loading />}
            {build && view === 'three' && (
              <Suspense fallback={<Loading />}>
                <Scene build={build} show={show} findings={findings} pinned={pinned} laid={laid} onPin={setPinned} />
              </Suspense>
            )}
            {build && isSide(view) && (
              <Elevation
                build={build}
                side={view}
                frame={show === 'frame'}
                stretch={stretch}
                selected={selected}
                marked={pinned === undefined ? [] : (findings[pinned]?.where ?? [])}
                onSelect={setSelected}
                onDraft={(d) =>
                  setDraft(
                    'fitting' in d ? placed(d.fitting) : { ...kept, params: { ...kept.params, [d.param]: d.value } },
                  )
                }
                onPut={put}
                onStretch={(param, value) => change({ [param]: value })}
                onRemove={takeOut}
                onCopy={(f) => put(copyFitting(kept, build, f))}
              />
            )}
            {large && (
              <Box position="absolute" inset="8px 20px">
                <DrawingView drawing={large} pixels={760} />
              </Box>
            )}
          </Box>
          <ViewRail thumbs={thumbs} view={view} onView={setView} />
        </Box>
        <Box overflow="auto" minH={0} minW={0} px={{ base: 3, md: '18px' }} pt="12px" pb={6}>
          <DraftBar kept={drawing} both={() => compareSpecs(kept, first, shown)}>
            {build && drawing.standing === 'both' && kept.family === first.family && (
              <Box mt={2} maxH="180px" overflow="auto">
                <Difference before={buildSpec(first)} after={build} />
              </Box>
            )}
          </DraftBar>
          <Box display="flex" alignItems="center" gap={3} mb={2}>
            <Title fontSize="17px" flexShrink={0}>
              Built as
            </Title>
            <Select aria-label="Kind of unit" value={spec.family} onChange={(e) => changeFamily(e.target.value)}>
              {FAMILIES.map((f) => (
                <option key={f.key} value={f.key}>
                  {f.title}
                </option>
              ))}
            </Select>
          </Box>
          <Box display="flex" gap={2} alignItems="center" mb={3} flexWrap="wrap">
            <Choices
              label="Which way round"
              value={spec.mirrored === true}
              onChange={(mirrored) => {
                const { mirrored: _was, ...rest } = kept;
                set(mirrored ? { ...rest, mirrored } : rest);
              }}
              choices={[
                { value: false, label: 'As drawn' },
                { value: true, label: 'Mirrored' },
              ]}
            />
            {additions.map((a) => (
              <QuietButton key={a.label} onClick={() => change(a.patch)}>
                + {a.label}
              </QuietButton>
            ))}
            <Box ml={{ base: 0, md: 'auto' }} display="flex" gap={2} flexWrap="wrap">
              {model && (
                <QuietButton
                  aria-pressed={aside === 'compare'}
                  onClick={() => setAside(aside === 'compare' ? undefined : 'compare')}
                >
                  Against {model.name}
                </QuietButton>
              )}
              {isOffice(me) && (
                <QuietButton
                  aria-pressed={aside === 'save'}
                  onClick={() => setAside(aside === 'save' ? undefined : 'save')}
                >
                  Save as a model
                </QuietButton>
              )}
            </Box>
          </Box>
          {aside === 'save' && <SaveModel spec={kept} model={order.model?.id} onDone={() => setAside(undefined)} />}
          {aside === 'compare' && standard && build && (
            <Box borderTop="2px solid" borderColor="ink" pt={2} mb={4}>
              <Heading mb={1}>Against the standard {model?.name}</Heading>
              <Difference before={standard} after={build} />
            </Box>
          )}
          {family && (
            <ParamForm
              family={family}
              params={spec.params}
              mirrored={spec.mirrored === true}
              locks={locks}
              onLock={toggle}
              onChange={change}
            />
          )}
          <MarginNotes findings={findings} pinned={pinned} onPin={setPinned} onMend={change} />
        </Box>
      </Box>
      <LiveStrip computed={computed} />
    </Box>
  );
};
