import type { Assembly, Build } from '../unit/index.ts';
import { cutSteps } from './cutSteps.ts';
import { coatSteps, inspectStep } from './finishSteps.ts';
import { isLumber, panelSteps } from './panelSteps.ts';
import { waitForOwnCuts } from './ownCuts.ts';
import { raiseSteps } from './raiseSteps.ts';
import { siteSteps } from './siteSteps.ts';
import { StepList } from './stepList.ts';
import type { Making } from './stepList.ts';
import { LABOUR_RATES } from './types.ts';
import type { LabourRates, Step } from './types.ts';
import { PATTERN_FROM } from './units.ts';
import { withJoints } from './withJoints.ts';

/** Minutes of one drive of some miles with a trailer. */
export const driveMinutes = (miles: number, rates: LabourRates = LABOUR_RATES): number =>
  rates.roadFixed + (miles / Math.max(1, rates.roadMilesPerHour)) * 60;

/** Sorting the boards and cutting them: the same for every method, always in the shop. */
const sawSteps = (list: StepList): readonly string[] => {
  const lumber = list.build.parts.filter(isLumber);
  const sort = list.add({
    id: 'sort',
    verb: 'sort',
    title: 'Sort the boards',
    text: [
      'Straight boards for plates, doors and lids; bowed ones for short pieces.',
      'Put aside borer holes, splits and wane.',
    ],
    station: 'saw',
    parts: [],
    minutes: 5 + lumber.length * list.rates.sortPerStick * 0.4,
    needs: [],
    view: 'three',
  });
  const cut = cutSteps(list.build.parts, list.rates, list.quantity).map((step) => list.add({ ...step, needs: [sort] }));
  return cut.length > 0 ? cut : [sort];
};

/** What is made as a panel on the bench: base, flat walls and frames, leaves and lids. */
const isPanel = (a: Assembly): boolean =>
  a.site !== true &&
  (a.kind === 'base' || a.kind === 'door' || a.kind === 'lid' || (a.flat && (a.kind === 'wall' || a.kind === 'frame')));
const PANELS: readonly Assembly['kind'][] = ['base', 'wall', 'frame', 'door', 'lid'];

/** Several equal units are marked from one pattern and framed in one jig, which are made first. */
const patternStep = (list: StepList, panels: readonly Assembly[], cut: readonly string[]): readonly string[] => {
  const { quantity } = list;
  const framed = panels.filter((a) => list.partsOf(a.id).length >= LEAST_IN_JIG);
  const marked = framed.find((a) => a.tapes.length > 0 && a.kind === 'wall') ?? framed.find((a) => a.tapes.length > 0);
  const first = framed[0];
  if (quantity < PATTERN_FROM || !first) return cut;
  return [
    list.add({
      id: 'pattern',
      verb: 'lay out',
      title: 'Make the pattern and the jig',
      text: [
        ...(marked
          ? [
              `Mark the plates of the ${marked.name} of unit 1 and check every mark; keep them as the pattern: those of the other ${quantity - 1} are laid against it, square across all at once, and not measured anew.`,
            ]
          : []),
        `Lay the ${first.name} of unit 1 out on the bench; when both diagonals agree, screw stops to the bench around it. The other ${quantity - 1} are framed between the stops.`,
        'Measure the first that comes out of the jig: what is wrong in it is wrong in all of them.',
      ],
      station: 'bay',
      parts: [],
      minutes: 15 + 5 * framed.length,
      batch: 'whole',
      needs: cut,
      view: 'three',
    }),
  ];
};
/** Parts from which a panel is worth stops on the bench. */
const LEAST_IN_JIG = 4;

/** What the shop does after the saw, and what ends it: panels, the unit raised where it goes whole, coats, a last look. */
const shopSteps = (list: StepList, cut: readonly string[]): readonly string[] => {
  if (list.method === 'on-site') return cut;
  const { assemblies } = list.build;
  const panels = [...assemblies]
    .filter((a) => isPanel(a) && list.panelStation(a) === 'bay')
    .sort((a, b) => PANELS.indexOf(a.kind) - PANELS.indexOf(b.kind));
  const ready = patternStep(list, panels, cut);
  for (const a of panels) list.ended.set(a.id, panelSteps(list, a, ready)[0] as string);
  const here = assemblies.filter((a) => a.site !== true && list.raiseStation(a) === 'bay');
  const raised = here.length > 0 ? raiseSteps(list, here, []) : [];
  const made = [...new Set([...raised, ...list.endsOf(panels)])];
  const coated = coatSteps(list, made, 'paint');
  return [inspectStep(list, coated, 'bay')];
};

/** Packing a kit, and loading. */
const loadSteps = (list: StepList, ready: readonly string[]): readonly string[] => {
  const { method, rates, build } = list;
  let last = ready;
  if (method === 'kit')
    last = [
      list.add({
        id: 'pack',
        verb: 'pack',
        title: 'Pack the kit',
        text: [
          'A number on every panel, where the leaflet shows it; fasteners in one bag for each step.',
          'Leaflet, bits and a spare of every tenth screw on top.',
        ],
        station: 'yard',
        parts: [],
        minutes: 20 + build.assemblies.length * rates.packPerPanel,
        needs: last,
        view: 'three',
      }),
    ];
  return [
    list.add({
      id: 'load',
      verb: 'load',
      title: 'Load and tie',
      text: [
        method === 'whole'
          ? 'Heavy and low between the axles; straps over solid framing, not over skin.'
          : method === 'on-site'
            ? 'Sticks by length, sheets flat below, hardware boxed; what is wanted first on top.'
            : 'Flat panels on edge or lying, heavy ones low between the axles, what goes up first on top; battens between, so that coats do not stick.',
        'Everything on the pack list is counted on to the trailer.',
      ],
      station: 'yard',
      parts: [],
      minutes: rates.load,
      needs: last,
      view: 'three',
    }),
  ];
};

/**
 * The steps of a build in working order, each with what it needs before, at the places that its method says: cut in the shop always;
 * framed, raised and coated there or on site; loaded, driven, unloaded, set on its foundation, joined, cleaned up and shown.
 * @param making rates, distance, method (whole where none is said) and foundation
 */
export const planSteps = (build: Build, making: Making = {}): Step[] => {
  const list = new StepList(build, making);
  const drive = driveMinutes(list.miles, list.rates);
  siteSteps(list, loadSteps(list, shopSteps(list, sawSteps(list))), drive);
  waitForOwnCuts(list);
  return withJoints(build, list.steps);
};
