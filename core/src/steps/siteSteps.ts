import type { FoundationKind } from '../site/index.ts';
import { isPadBlock } from '../unit/index.ts';
import type { Assembly } from '../unit/index.ts';
import { raiseSteps } from './raiseSteps.ts';
import { coatSteps, inspectStep } from './finishSteps.ts';
import { panelSteps } from './panelSteps.ts';
import type { StepList } from './stepList.ts';

/** Minutes to bed one block of a curb. Common practice, no source. */
const BLOCK_MINUTES = 4;

/** What the ground needs before anything stands on it, in words. */
const foundText = (list: StepList): string[] => {
  const f = list.foundation;
  const words: Partial<Record<typeof f.kind, string>> = {
    'bare ground': 'Sod off, the ground scraped level and tamped where it lies.',
    'gravel pad': 'The bed of stone raked level and tamped: strike it off with a straight board.',
    slab: 'Sweep the slab; read its diagonals and its level before anything is set on it.',
    perimeter: 'Sweep the ring; read its diagonals and its level before the sill goes on.',
  };
  return [
    ...(words[f.kind] !== undefined ? [words[f.kind] as string] : []),
    ...(f.supports.length > 0
      ? [
          `String lines first; ${f.supports.length} pads to the heights of the list, each first course let into the ground on stone, then level from pad to pad.`,
        ]
      : []),
    ...(f.benches.length > 1
      ? [`${f.benches.length} levels, each from a mark of its own: ${f.benches.map((b) => b.name).join(', ')}.`]
      : []),
    ...(list.build.parts.some((p) => p.role === 'block' && !isPadBlock(p))
      ? ['The curb of block in its trench, level along its top: plates lie on it.']
      : []),
    ...f.warnings.filter((w) => w.includes('fill their cores')),
  ];
};

/** Ground work, from what the foundation takes. Nothing where another floor carries it or it stands on grass. */
const foundStep = (list: StepList, after: readonly string[]): readonly string[] => {
  const f = list.foundation;
  const { base } = list.build.facts;
  const blocks = list.build.parts.filter((p) => p.role === 'block');
  const curb = blocks.filter((p) => !isPadBlock(p)).length;
  if (f.minutes === 0 && blocks.length === 0) return after;
  return [
    list.add({
      id: 'foundation',
      verb: 'found',
      title:
        f.supports.length > 0
          ? 'Set the pads'
          : curb > 0
            ? 'Set the curb'
            : f.concrete.length > 0
              ? 'Measure the concrete'
              : 'Make the ground ready',
      text: foundText(list),
      station: 'site',
      parts: blocks.map((p) => p.id),
      minutes: f.minutes + curb * BLOCK_MINUTES,
      needs: after,
      // Cores that we fill ourselves; a slab or a ring is poured by others before we come.
      ...(f.supports.some((s) => s.fill) ? { pours: true as const } : {}),
      view: 'plan',
      gate: {
        what: 'both diagonals of the string lines',
        expected: Math.hypot(base[2] - base[0], base[3] - base[1]),
        tolerance: 0.5,
      },
    }),
  ];
};

/** What it is set on, in words. */
const ON: Readonly<Record<FoundationKind, string>> = {
  'another floor': 'the floor',
  'bare ground': 'the level ground',
  'gravel pad': 'the bed of stone',
  pads: 'its pads',
  slab: 'the slab',
  perimeter: 'the ring of concrete',
  'pads and slab': 'the slab',
  'pads and perimeter': 'the ring of concrete',
};

/** How the unit, or its base, comes to where it stands. */
const setText = (list: StepList, whole: boolean): string[] => {
  const { facts } = list.build;
  const wheels = list.build.parts.some((p) => p.role === 'wheel');
  if (facts.movable) return [`Off the trailer and on to its grass${wheels ? '; wheels let down and tried' : ''}.`];
  const base = list.build.assemblies.find((a) => a.kind === 'base');
  const on = ON[list.foundation.kind];
  if (!whole)
    return [
      `${base ? `The ${base.name}` : 'Lines of the walls'} on ${on}: square by the diagonals, level both ways, before a wall stands on it.`,
    ];
  return [`On to ${on}, level both ways; shim where it rocks, then plumb a door frame and try the doors.`];
};

/** Everything from the drive out to the last look with the customer. */
export const siteSteps = (list: StepList, loaded: readonly string[], driveMinutes: number): void => {
  const { build, rates, method } = list;
  const whole = method === 'whole';
  const { indoors, movable } = build.facts;
  const away = build.assemblies.filter((a) => a.site !== true && list.raiseStation(a) === 'site');
  const deliver = list.add({
    id: 'deliver',
    verb: 'deliver',
    title: 'Drive to the site',
    text: ['Call ahead on leaving.'],
    station: 'road',
    parts: [],
    minutes: driveMinutes,
    needs: loaded,
    view: 'three',
    people: 1,
  });
  const panels = away.filter((a) => a.flat).length;
  const unload = list.add({
    id: 'unload',
    verb: 'unload',
    title: indoors ? 'Carry it in' : 'Unload',
    text: [
      whole && !indoors
        ? 'Look at the way in first; off the trailer on planks, never a foot under it.'
        : 'In the order of the pack list: what goes up last lies deepest. Count it off.',
    ],
    station: 'site',
    parts: [],
    minutes: rates.unload + panels * 3,
    needs: [deliver],
    view: 'three',
  });
  const ready = foundStep(list, [unload]);
  // Framed here from its sticks: every panel of it.
  const built = build.assemblies.filter((a) => a.site !== true && list.panelStation(a) === 'site');
  for (const a of built)
    if (a.kind === 'base' || a.flat || a.kind === 'door' || a.kind === 'lid') {
      const last = panelSteps(list, a, ready);
      list.ended.set(a.id, last[0] as string);
    }
  const based = build.assemblies.some((a) => a.kind === 'base');
  const set = list.add({
    id: 'set',
    verb: 'set',
    title: whole ? 'Set it on its ground' : based ? 'Set the base' : 'Set out where it stands',
    text: indoors
      ? ['Lines on the floor and on the walls of the building: level, plumb, square to each other.']
      : setText(list, whole),
    station: 'site',
    parts: [],
    minutes: rates.setUnit,
    needs: [...ready, ...list.endsOf(built.filter((a) => a.kind === 'base'))],
    view: 'three',
    ...(movable ? {} : { gate: { what: 'out of level over its length', expected: 0, tolerance: 0.25 } }),
  });
  let last: readonly string[] = [set];
  if (away.length > 0) last = raiseSteps(list, away, [set]);
  if (method === 'on-site') last = coatSteps(list, last, 'site');
  const cut = build.assemblies.filter((a) => a.site === true && list.partsOf(a.id).some((p) => p.role !== 'block'));
  if (cut.length > 0) last = [siteParts(list, cut, last)];
  if (list.stained && method !== 'on-site' && away.length > 0)
    last = [
      list.add({
        id: 'touch-up',
        verb: 'finish',
        title: 'Touch up the paint',
        text: ['Seams, screw heads and every edge that was sawn here.'],
        station: 'site',
        parts: [],
        minutes: rates.touchUp,
        needs: last,
        view: 'three',
      }),
    ];
  if (away.length > 0) last = [inspectStep(list, last, 'site')];
  const clean = list.add({
    id: 'clean-up',
    verb: 'finish',
    title: 'Clean up',
    text: [
      `Staples, screws and mesh ends off the ${indoors ? 'floor' : 'grass'} with the magnet: birds eat them. Offcuts back on the trailer.`,
    ],
    station: 'site',
    parts: [],
    minutes: rates.cleanUp,
    needs: last,
    view: 'three',
  });
  const shown =
    method === 'kit'
      ? clean
      : list.add({
          id: 'walk-through',
          verb: 'finish',
          title: 'Show it to the customer',
          text: [
            movable
              ? 'How it is moved, where to hold, how to stake it in wind.'
              : 'Latches and the inside release; how it is cleaned out; what to watch in the first weeks.',
          ],
          station: 'site',
          parts: [],
          minutes: rates.walkThrough,
          needs: [clean],
          view: 'three',
          people: 1,
        });
  list.add({
    id: 'return',
    verb: 'deliver',
    title: 'Drive back',
    text: ['Straps and tools counted back on to the trailer.'],
    station: 'road',
    parts: [],
    minutes: driveMinutes,
    needs: [method === 'kit' ? unload : shown],
    view: 'three',
    people: 1,
  });
};

/** What is cut where it stands: skirts, ramps, fill to the ground. */
const siteParts = (list: StepList, cut: readonly Assembly[], after: readonly string[]): string => {
  const parts = cut.flatMap((a) => list.partsOf(a.id)).filter((p) => p.role !== 'block');
  return list.add({
    id: 'site-parts',
    verb: 'fit',
    title: 'Fit what is cut here',
    text: [`Measured from the ground as it is: ${[...new Set(parts.map((p) => p.name))].join(', ')}.`],
    station: 'site',
    parts: parts.map((p) => p.id),
    minutes: 5 + parts.length * list.rates.fitPerPart,
    needs: after,
    view: 'three',
  });
};
