import { Box, chakra } from '@chakra-ui/react';
import { lazy, Suspense, useDeferredValue, useMemo, useState } from 'react';
import useSWR from 'swr';
import { drawBuild } from '@rubbet/core/draw';
import { FAMILIES, findFamily } from '@rubbet/core/model';
import type { Spec } from '@rubbet/core/model';
import { useMe, useRules } from '../../../data/hooks.ts';
import { useComputation } from '../../../workers/useComputation.ts';
import { Button, ChoiceButton, QuietButton } from '../../../parts/Button.tsx';
import { DrawingView } from '../../../parts/DrawingView.tsx';
import { Loading } from '../../../parts/Loading.tsx';
import { useNotice } from '../../../parts/Notice.tsx';
import { Title } from '../../../parts/Text.tsx';
import { useStation } from '../OrderPage.tsx';
import { LiveStrip } from './LiveStrip.tsx';
import { MarginNotes } from './MarginNotes.tsx';
import { ParamForm } from './ParamForm.tsx';
import { useHistory } from './useHistory.ts';

const Scene = lazy(async () => ({ default: (await import('./Scene.tsx')).Scene }));

const VIEWS = ['front', 'right', 'back', 'left', 'plan'] as const;
export type Show = 'frame' | 'finished' | 'apart';
const SHOWS: readonly (readonly [Show, string])[] = [
  ['frame', 'Frame'],
  ['finished', 'Finished'],
  ['apart', 'Apart'],
];

const ShowTab = chakra('button', {
  base: {
    fontFamily: 'heading',
    fontStretch: '82%',
    fontWeight: 500,
    fontSize: '15px',
    color: 'soft',
    pb: '3px',
    borderBottom: '3px solid transparent',
    '&[aria-pressed=true]': { color: 'ink', fontWeight: 650, borderColor: 'ink' },
  },
});

/** Waits for a spec to start from, then configures it. */
export const BuildStation = () => {
  const { order } = useStation();
  const { data: start, error } = useSWR<Spec, Error>(order.revision ? null : `/orders/${order.id}/start`);
  if (error) throw error;
  const spec = order.revision?.spec ?? start;
  if (!spec) return <Loading />;
  return <Configure key={`${order.id}`} first={spec} />;
};

const Configure = ({ first }: { readonly first: Spec }) => {
  const { order, write } = useStation();
  const { me } = useMe();
  const { tell, fail } = useNotice();
  const rules = useRules();
  const history = useHistory<Spec>(first);
  const { now: spec, set } = history;
  const [show, setShow] = useState<Show>('finished');
  const [view, setView] = useState<'three' | (typeof VIEWS)[number]>('three');
  const [pinned, setPinned] = useState<number>();
  const [busy, setBusy] = useState(false);
  const family = findFamily(spec.family);
  const input = useMemo(
    () => ({
      spec,
      ...(order.flock ? { flock: order.flock } : {}),
      miles: order.customer.miles,
      quantity: order.quantity,
      ...(order.survey ? { site: { slope: order.survey.pads.slope } } : {}),
    }),
    [spec, order.flock, order.customer.miles, order.quantity, order.survey],
  );
  const { computed, fault, pending } = useComputation(input, rules);
  const build = useDeferredValue(computed?.build);
  const thumbs = useMemo(
    () => (build ? VIEWS.map((v) => [v, drawBuild(build, v, v === 'plan' ? { show: 'frame' } : {})] as const) : []),
    [build],
  );
  const large = useMemo(
    () => (build && view !== 'three' ? drawBuild(build, view, show === 'frame' ? { show: 'frame' } : {}) : undefined),
    [build, view, show],
  );
  const saved = order.revision && JSON.stringify(order.revision.spec) === JSON.stringify(spec);

  const save = async (): Promise<void> => {
    setBusy(true);
    try {
      const next = await write('/revisions', 'POST', { version: order.version, spec });
      tell(`Kept as revision ${next.revision?.number ?? ''}.`);
    } catch (error) {
      fail(error);
    } finally {
      setBusy(false);
    }
  };
  const changeFamily = (key: string): void => {
    const f = findFamily(key);
    if (f)
      set({ family: f.key, schema: f.schema, params: Object.fromEntries(f.params.map((p) => [p.key, p.default])) });
  };
  return (
    <Box display="grid" gridTemplateRows="minmax(0,1fr) auto" height="100%" minH="600px">
      <Box display="grid" gridTemplateColumns="minmax(0,1fr) 434px" minH={0}>
        <Box
          className="dots"
          bg="sheet"
          borderRight="1px solid"
          borderColor="rule"
          position="relative"
          display="grid"
          gridTemplateRows="auto minmax(0,1fr) auto"
          minH={0}
        >
          <Box display="flex" gap={4} px={4} pt={3} alignItems="center">
            {SHOWS.map(([key, name]) => (
              <ShowTab key={key} aria-pressed={show === key} onClick={() => setShow(key)}>
                {name}
              </ShowTab>
            ))}
            <Box ml="auto" display="flex" gap={2} alignItems="center">
              <QuietButton onClick={history.undo} disabled={!history.canUndo} title="Ctrl Z">
                Undo
              </QuietButton>
              <QuietButton onClick={history.redo} disabled={!history.canRedo} title="Ctrl Y">
                Redo
              </QuietButton>
              {me?.role === 'office' && (
                <Button onClick={() => void save()} disabled={busy || saved === true || !computed}>
                  {saved ? 'Kept' : 'Keep this revision'}
                </Button>
              )}
            </Box>
          </Box>
          <Box minH={0} position="relative" data-pending={pending} data-testid="build-view">
            {fault && (
              <Box p={6} color="keel">
                {fault}
              </Box>
            )}
            {!build && !fault && <Loading />}
            {build && view === 'three' && (
              <Suspense fallback={<Loading />}>
                <Scene
                  build={build}
                  show={show}
                  findings={computed?.findings ?? []}
                  pinned={pinned}
                  onPin={setPinned}
                />
              </Suspense>
            )}
            {large && (
              <Box position="absolute" inset="8px 20px">
                <DrawingView drawing={large} pixels={760} />
              </Box>
            )}
          </Box>
          <Box display="grid" gridTemplateColumns="repeat(6, minmax(0,1fr))" gap="8px" px={4} pb={3}>
            {[['three', undefined] as const, ...thumbs].map(([v, drawing]) => (
              <ChoiceButton
                key={v}
                aria-pressed={view === v}
                onClick={() => setView(v)}
                display="flex"
                flexDirection="column"
                p="4px 6px"
                height="76px"
                css={{ '&[aria-pressed=true]': { bg: 'chalkwash', borderColor: 'chalk', color: 'ink' } }}
              >
                <Box flex={1} minH={0} width="100%">
                  {drawing ? (
                    <DrawingView
                      drawing={{ ...drawing, items: drawing.items.filter((i) => i.kind === 'area') }}
                      pixels={110}
                      label={`${v} thumbnail`}
                    />
                  ) : (
                    <svg viewBox="0 0 60 40" width="100%" height="100%" aria-hidden="true">
                      <path
                        d="M12 28 L12 14 L30 6 L48 14 L48 28 L30 36Z M12 14 L30 22 L48 14 M30 22 V36"
                        fill="none"
                        stroke="currentColor"
                        strokeWidth="1.6"
                      />
                    </svg>
                  )}
                </Box>
                <span className="cond" style={{ fontSize: 12.5 }}>
                  {v === 'three' ? 'in the round' : v}
                </span>
              </ChoiceButton>
            ))}
          </Box>
        </Box>
        <Box overflow="auto" minH={0} px="18px" pt="12px" pb={6}>
          <Box display="flex" alignItems="center" gap={3} mb={2}>
            <Title fontSize="17px">{family?.title}</Title>
            <Box ml="auto" display="flex" gap={1}>
              {FAMILIES.map((f) => (
                <ChoiceButton
                  key={f.key}
                  aria-pressed={f.key === spec.family}
                  onClick={() => f.key !== spec.family && changeFamily(f.key)}
                >
                  {f.key === 'low-pen' ? 'Pen' : 'House'}
                </ChoiceButton>
              ))}
            </Box>
          </Box>
          {family && (
            <ParamForm
              family={family}
              params={spec.params}
              onChange={(patch) => set({ ...spec, params: { ...spec.params, ...patch } })}
            />
          )}
          <MarginNotes
            findings={computed?.findings ?? []}
            pinned={pinned}
            onPin={setPinned}
            onMend={(patch) => set({ ...spec, params: { ...spec.params, ...patch } })}
          />
        </Box>
      </Box>
      <LiveStrip computed={computed} />
    </Box>
  );
};
