import { Box } from '@chakra-ui/react';
import { useMemo } from 'react';
import { passGate } from '@rubbet/core/check';
import { drawFoundation, drawPads } from '@rubbet/core/draw';
import { measureSiteRamp, planFoundation, planPads } from '@rubbet/core/site';
import type { FoundationPlan, PadReading, Survey } from '@rubbet/core/site';
import { buildSpec } from '@rubbet/core/model';
import { isSame } from '../../data/drafts.ts';
import { useRules } from '../../data/hooks.ts';
import { useKept } from '../../data/useKept.ts';
import { Button } from '../../parts/Button.tsx';
import { DrawingView } from '../../parts/DrawingView.tsx';
import { DraftBar } from '../../parts/DraftBar.tsx';
import { Field, Input } from '../../parts/Fields.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Figure, Heading, Len, Soft, Title } from '../../parts/Text.tsx';
import { FoundationList, PadList } from './FoundationList.tsx';
import { compareGrounds, CORNERS, isSameGround, keptRod, readGate, readRod, typedGround } from './ground.ts';
import type { TypedGround } from './ground.ts';
import { useStation } from './OrderPage.tsx';
import { useShow } from '../../data/useShow.tsx';

/** How many of an item a foundation takes. */
const count = (plan: FoundationPlan, item: string): number => plan.buy.find((l) => l.item === item)?.count ?? 0;

/** Ground station: four rod readings to what the unit stands on. */
export const GroundStation = () => {
  const show = useShow();
  const { order, keep } = useStation();
  const { tell, fail } = useNotice();
  const rules = useRules();
  const spec = order.revision?.spec;
  const build = useMemo(() => (spec ? buildSpec(spec) : undefined), [spec]);
  const [x0, y0, x1, y1] = build?.facts.base ?? [0, 0, 72, 48];
  const inset = build?.facts.movable === false ? 1.75 : 0;
  const places = [
    [x0 + inset, y0 + inset],
    [x1 - inset, y0 + inset],
    [x1 - inset, y1 - inset],
    [x0 + inset, y1 - inset],
  ] as const;
  const before = order.survey?.survey;
  const kept = useKept(`order ${order.id} ground`, typedGround(before, show), isSameGround(show));
  const { texts, lift: liftText, gate: gateText } = kept.value;
  const set = (change: Partial<TypedGround>): void => kept.set((g) => ({ ...g, ...change }));
  const readings = texts.map((t) => readRod(t, show));
  const lift = readRod(liftText, show);
  const gate = readGate(gateText, show);
  const complete =
    readings.every((r) => r.rod !== undefined) && lift.rod !== undefined && lift.rod <= 48 && gate.error === undefined;
  const way = build && gate.width !== undefined ? passGate(build, gate.width, rules.check.loadWidth) : undefined;
  const survey: Survey | undefined = complete
    ? {
        lift: keptRod(liftText, before?.lift, show) ?? 0,
        ...(gate.width === undefined ? {} : { gate: keptRod(gateText, before?.gate, show) ?? gate.width }),
        pads: CORNERS.map((name, i): PadReading => ({
          id: name.replace(' ', '-'),
          name,
          x: (places[i]?.[0] ?? 0) - x0,
          y: (places[i]?.[1] ?? 0) - y0,
          rod: keptRod(texts[i] ?? '', before?.pads[i]?.rod, show) ?? 0,
        })),
      }
    : undefined;
  const plan = survey ? planPads(survey, rules.pads) : undefined;
  const foundation = build ? planFoundation(build, survey, rules.pads) : undefined;
  const ramp = build?.facts.ramp;
  const rampDrop = plan ? plan.fall : 0;
  const save = async (): Promise<void> => {
    if (!survey) return;
    try {
      await keep(
        '/survey',
        'PUT',
        (o) => ({ version: o.survey?.version ?? 0, survey }),
        (o) => isSame(o.survey?.survey, order.survey?.survey),
      );
      tell('The readings are written down and the pads are set.');
    } catch (error) {
      fail(error);
    }
  };
  return (
    <Box p={6} display="grid" gridTemplateColumns={{ base: '1fr', md: '330px 1fr' }} gap={10} pb={16}>
      <Box>
        <Title mb={1}>Rod readings</Title>
        <DraftBar kept={kept} both={() => compareGrounds(kept.value, typedGround(before, show))} />
        <Soft>Level set up once, rod on the ground at each corner. The larger the reading, the lower the ground.</Soft>
        <Box display="grid" gap={3} mt={4}>
          {CORNERS.map((name, i) => (
            <Field key={name} label={`Rod at ${name}`} error={texts[i] === '' ? undefined : readings[i]?.error}>
              {(id) => (
                <Input
                  id={id}
                  className="cond"
                  placeholder={show.length(52.5)}
                  value={texts[i] ?? ''}
                  aria-invalid={texts[i] !== '' && readings[i]?.error !== undefined}
                  onChange={(e) => set({ texts: texts.map((t, k) => (k === i ? e.target.value : t)) })}
                />
              )}
            </Field>
          ))}
          <Field
            label="Highest pad stands over its ground by"
            error={lift.error ?? ((lift.rod ?? 0) > 48 ? 'At most 48 inches.' : undefined)}
          >
            {(id) => (
              <Input id={id} className="cond" value={liftText} onChange={(e) => set({ lift: e.target.value })} />
            )}
          </Field>
          <Field
            label="Narrowest way in"
            help="Gate, path or gap between buildings on its way from the road; leave it empty where it is not known."
            error={gate.error}
          >
            {(id) => (
              <Input
                id={id}
                className="cond"
                placeholder="not measured"
                value={gateText}
                aria-invalid={gate.error !== undefined}
                onChange={(e) => set({ gate: e.target.value })}
              />
            )}
          </Field>
          {way && (
            <Box
              bg={way.passes ? 'mosswash' : 'amberwash'}
              borderLeft="4px solid"
              borderColor={way.passes ? 'moss' : 'amber'}
              px={3}
              py={2}
              data-way={way.passes ? 'passes' : 'blocked'}
            >
              {!way.whole ? (
                'It comes as panels, which are carried in.'
              ) : way.passes ? (
                <>
                  It passes: <Len inches={way.across} /> across, with a hand on each side.
                </>
              ) : (
                <>
                  It does not pass: it is <Len inches={way.across} /> across and wants <Len inches={way.needed} />. Take
                  it in as panels, lift it over, or build it narrower.
                </>
              )}
            </Box>
          )}
          <Box>
            <Button disabled={!complete || kept.standing === 'both'} onClick={() => void save()}>
              Keep these readings
            </Button>
          </Box>
          {!complete && <Soft>All four corners are needed.</Soft>}
        </Box>
      </Box>
      <Box minW={0}>
        {!build && <Soft>Nothing is built yet; the pads are drawn for a floor of 6 × 4 ft.</Soft>}
        {plan ? (
          <>
            <Box display="flex" gap={10} mb={2}>
              <Figure label="Fall, corner to corner" value={<Len inches={plan.fall} />}>
                {CORNERS.find((c) => c.replace(' ', '-') === plan.datum)} is the highest
              </Figure>
              <Figure
                label="Slope"
                value={
                  <>
                    <Len inches={Math.round(plan.slope * 4) / 4} /> {show.text('in 10 ft')}
                  </>
                }
              />
              <Figure
                label="To bring"
                value={
                  foundation
                    ? `${count(foundation, 'block-8')} blocks, ${count(foundation, 'paver')} pavers`
                    : `${plan.blocks} blocks, ${plan.pavers} pavers`
                }
              >
                {foundation ? `${show.weight(foundation.weight)} with shims and stone` : 'and shims, level, a bar'}
              </Figure>
            </Box>
            <Box className="dots" bg="sheet" border="1px solid" borderColor="rule" height="330px" p={2}>
              <DrawingView
                drawing={foundation && build ? drawFoundation(foundation, build.facts.base) : drawPads(plan)}
                label="What it stands on, in plan"
              />
            </Box>
            {foundation ? <FoundationList plan={foundation} /> : <PadList plan={plan} />}
            {ramp && (
              <Box mt={4}>
                <Heading>The ramp is cut here</Heading>
                Drawn for level ground at <Len inches={ramp.length} />. If its foot lands on the lowest ground it climbs{' '}
                <Len inches={ramp.rise + rampDrop} /> and is{' '}
                <Len inches={measureSiteRamp(ramp.rise, rampDrop, ramp.angle).length} /> long at the same slope. Measure
                from the ground at its foot.
              </Box>
            )}
            <Box mt={4} color="soft">
              Have buried services located before digging, and look up for overhead lines. Local codes and setbacks
              decide.
            </Box>
          </>
        ) : (
          <Box
            className="dots"
            bg="sheet"
            border="1px dashed"
            borderColor="rule"
            height="330px"
            display="grid"
            placeItems="center"
            color="soft"
          >
            The pads are drawn as soon as four readings are in.
          </Box>
        )}
      </Box>
    </Box>
  );
};
