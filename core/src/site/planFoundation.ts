import { findHardware, findPiece } from '../stock/index.ts';
import { isPadBlock } from '../unit/index.ts';
import type { Build } from '../unit/index.ts';
import { findBearings } from './findBearings.ts';
import type { Bearing } from './findBearings.ts';
import { drawnGround, surveyedGround } from './ground.ts';
import { planConcrete } from './planConcrete.ts';
import type { ConcretePlan } from './planConcrete.ts';
import { PAD_RULES, stackUp } from './planPads.ts';
import type { PadRules } from './planPads.ts';
import type { Survey } from './readSurvey.ts';

/** What a unit stands on. */
export type FoundationKind =
  | 'another floor'
  | 'bare ground'
  | 'gravel pad'
  | 'pads'
  | 'slab'
  | 'perimeter'
  | 'pads and slab'
  | 'pads and perimeter';

/** One place at which a unit is carried: inches, heights over the level that the unit is drawn from. */
export interface Support {
  readonly id: string;
  readonly name: string;
  /** What comes down here. */
  readonly under: readonly string[];
  readonly x: number;
  readonly y: number;
  readonly ground: number;
  /** From its ground to the unit. */
  readonly height: number;
  readonly blocks: number;
  readonly pavers: number;
  readonly shims: number;
  /** Dug for its first course. */
  readonly dig: number;
  /** Its cores are filled with concrete around a bar. */
  readonly fill: boolean;
}

/** A level stretch of a foundation: the house, or one bay of its run, each set from a mark of its own. */
export interface Bench {
  readonly name: string;
  /** Underside of what it carries, over the unit's level. */
  readonly z: number;
  readonly supports: number;
  /** Highest ground under it, from which the others are measured. */
  readonly highest: number;
}

/** Something that a foundation takes and that we bring, its money in cents and its weight in pounds together. */
export interface FoundationLine {
  readonly item: string;
  readonly name: string;
  readonly count: number;
  readonly cost: number;
  readonly weight: number;
}

/** What carries a unit, what it is made of and what it takes. */
export interface FoundationPlan {
  readonly kind: FoundationKind;
  readonly why: string;
  readonly surveyed: boolean;
  readonly supports: readonly Support[];
  readonly benches: readonly Bench[];
  readonly concrete: readonly ConcretePlan[];
  readonly buy: readonly FoundationLine[];
  readonly cost: number;
  /** Pounds that ride on our trailer. */
  readonly weight: number;
  readonly minutes: number;
  readonly warnings: readonly string[];
}

/** Farthest that a line of wood goes between supports. Common practice, no source. */
const APART = 72;
/** A plate on the ground is carried oftener: it has no depth. Common practice, no source. */
const PLATE_APART = 48;
/** Ground this uneven under a skid is levelled with the shovel. Common practice, no source. */
const SHOVEL = 1.5;
/** A skid this close to its ground lies on it. Common practice, no source. */
const TOUCHES = 0.5;
/** From this height of a support a unit on wood is strapped down to it. Common practice, no source. */
const TALL = 24;
/** Minutes: to set out, for each support, for each course of it. Defaults common practice, no source. */
const MINUTES = { setOut: 15, support: 9, course: 3, fill: 12, levelRunner: 10 } as const;
/** Cores of one block hold about a quarter of a cubic foot; a 60 lb bag makes 0.45. Makers' figures, from memory. */
const BAGS_PER_BLOCK = 0.25 / 0.45;
/** Half a bag of stone beds one support. Common practice, no source. */
const BEDS_PER_BAG = 2;
const SHIM = 0.25;
/** Two stacks closer than this are one. */
const SAME = 8;

const sixteenth = (n: number): number => Math.round(n * 16) / 16;

/** Places along a bearing at which it is carried. */
const placesOf = (b: Bearing): (readonly [number, number])[] => {
  const long = Math.hypot(b.to[0] - b.from[0], b.to[1] - b.from[1]);
  if (long < 1e-6) return [b.from];
  const inset = Math.min(8, long / 4);
  const apart = b.kind === 'plate' ? PLATE_APART : APART;
  const bays = Math.max(1, Math.ceil((long - 2 * inset) / apart));
  return Array.from({ length: bays + 1 }, (_, k) => {
    const s = (inset + ((long - 2 * inset) * k) / bays) / long;
    return [b.from[0] + (b.to[0] - b.from[0]) * s, b.from[1] + (b.to[1] - b.from[1]) * s] as const;
  });
};

/** Where stacks of block are drawn under the floor: the columns of the build's own blocks. */
const drawnStacks = (build: Build): (readonly [number, number])[] => {
  const seen = new Map<string, readonly [number, number]>();
  for (const p of build.parts) {
    if (!isPadBlock(p)) continue;
    const [x, y] = [p.place.origin[0], p.place.origin[1]];
    const low = build.facts.base;
    // A block's origin is a corner of it: its middle lies half a block into the unit.
    const mx = Math.min(Math.max(x, low[0] + p.length / 2), low[2] - p.length / 2);
    const my = y < (low[1] + low[3]) / 2 ? low[1] + p.width / 2 : low[3] - p.width / 2;
    seen.set(`${Math.round(mx)} ${Math.round(my)}`, [mx, my]);
  }
  return [...seen.values()];
};

/** What is stacked under a place, from its ground up. */
const stackAt = (
  height: number,
  rules: PadRules,
  bare: boolean,
): Pick<Support, 'blocks' | 'pavers' | 'shims' | 'dig' | 'fill'> => {
  if (height < rules.paver) {
    // A paver let in so far that its top is where the unit is: a foot on bare soil sinks.
    // What lies along the ground touches it here all the same.
    return bare && height < TOUCHES
      ? { blocks: 0, pavers: 0, shims: 0, dig: 0, fill: false }
      : { blocks: 0, pavers: 1, shims: 0, dig: sixteenth(rules.paver - height), fill: false };
  }
  const dig = height >= rules.block - rules.embed ? rules.embed : 0;
  const { blocks, pavers, shims } = stackUp(height + dig, rules);
  return { blocks, pavers, shims, dig, fill: blocks >= rules.fillFrom };
};

/** How a place is called: by the corner it is nearest to, counted along the front. */
const nameOf = (x: number, y: number, b: Build['facts']['base']): string => {
  const depth = y < b[1] + (b[3] - b[1]) / 3 ? 'front' : y > b[1] + (2 * (b[3] - b[1])) / 3 ? 'back' : 'middle';
  return `${depth}, ${Math.round((x - b[0]) * 2) / 2}″ from the left`;
};

const lineOf = (item: string, count: number): FoundationLine[] => {
  if (count <= 0) return [];
  const piece = item === 'block-8' || item === 'paver' ? findPiece(item) : undefined;
  const { name, weight, cost } = piece ?? findHardware(item);
  return [{ item, name, count, cost: cost * count, weight: weight * count }];
};

const kindOf = (build: Build, bearings: readonly Bearing[], supports: number): FoundationKind => {
  if (build.facts.indoors) return 'another floor';
  const has = (k: Bearing['kind']): boolean => bearings.some((b) => b.kind === k);
  const poured = has('sill') ? 'perimeter' : has('sole') ? 'slab' : undefined;
  if (poured) return supports > 0 ? `pads and ${poured}` : poured;
  if (build.joints.some((j) => j.hardware.some((h) => h.item === 'stone'))) return 'gravel pad';
  return supports > 0 ? 'pads' : 'bare ground';
};

const WHY: Readonly<Record<FoundationKind, string>> = {
  'another floor': 'It stands inside a building: its floor carries it.',
  'bare ground': 'Its runners or rails lie on the ground: level, bare soil is all that it needs.',
  'gravel pad': 'Its skids lie on a bed of stone that drains.',
  pads: 'Its feet come down on single places: each gets a pad of its own height.',
  slab: 'Its walls stand on a slab, bolted down.',
  perimeter: 'Its sill lies on a ring of concrete, bolted down.',
  'pads and slab': 'The house stands on a slab, the run on pads along its plates.',
  'pads and perimeter': 'The house stands on a ring of concrete, the run on pads along its plates.',
};

/**
 * The foundation of a unit, for exactly what of it comes down on the ground, from the readings of a survey or for the ground that it is
 * drawn for. What is moved about gets none: it stands on grass.
 */
export const planFoundation = (build: Build, survey?: Survey, rules: PadRules = PAD_RULES): FoundationPlan => {
  const { base, movable } = build.facts;
  const ground = survey ? surveyedGround(survey, base) : drawnGround(build);
  const bearings = movable ? [] : findBearings(build);
  const stacks = drawnStacks(build);
  const supports: Support[] = [];
  const add = (x: number, y: number, z: number, under: readonly string[], bare: boolean): void => {
    const g = ground(x, y);
    const height = sixteenth(z - g);
    const near = supports.findIndex((s) => Math.abs(s.x - x) < SAME && Math.abs(s.y - y) < SAME);
    const before = supports[near];
    if (before) {
      // Two members that meet over one stack share it.
      supports[near] = { ...before, under: [...new Set([...before.under, ...under])] };
      return;
    }
    const made = stackAt(height, rules, bare);
    if (made.blocks + made.pavers === 0) return;
    supports.push({
      id: `support-${supports.length + 1}`,
      name: nameOf(x, y, base),
      under,
      x: sixteenth(x),
      y: sixteenth(y),
      ground: g,
      height,
      ...made,
    });
  };
  const rims = bearings.filter((b) => b.kind === 'rim');
  if (stacks.length > 0) {
    const under = rims.flatMap((b) => b.parts);
    const z = Math.min(...rims.map((b) => b.z));
    for (const [x, y] of stacks) add(x, y, z, under, false);
  }
  for (const b of bearings) {
    if (b.kind === 'sill' || b.kind === 'sole' || (b.kind === 'rim' && stacks.length > 0)) continue;
    const places = placesOf(b);
    const rise = places.map(([x, y]) => b.z - ground(x, y));
    // A skid or rim on even ground lies on it; a foot never does.
    const even = b.kind !== 'leg' && Math.max(...rise) - Math.min(0, ...rise) <= SHOVEL;
    if (even && b.kind !== 'plate') continue;
    for (const [x, y] of places) add(x, y, b.z, b.parts, b.kind !== 'leg' && b.kind !== 'plate');
  }
  const concrete = planConcrete(build, bearings);
  const kind = kindOf(build, bearings, supports.length);
  const sum = (f: (s: Support) => number): number => supports.reduce((n, s) => n + f(s), 0);
  const filled = sum((s) => (s.fill ? s.blocks : 0));
  const buy = [
    ...lineOf(
      'block-8',
      sum((s) => s.blocks),
    ),
    ...lineOf(
      'paver',
      sum((s) => s.pavers),
    ),
    ...lineOf(
      'shim',
      sum((s) => Math.ceil(s.shims / SHIM - 1e-6)),
    ),
    ...lineOf('stone-bag', Math.ceil(supports.filter((s) => s.blocks + s.pavers > 0).length / BEDS_PER_BAG)),
    ...lineOf('concrete-bag', Math.ceil(filled * BAGS_PER_BLOCK)),
    ...lineOf('rebar', supports.filter((s) => s.fill).length),
  ];
  const levels = new Map<string, Support[]>();
  const zOf = new Map<string, number>();
  for (const s of supports) {
    const b = bearings.find((q) => q.parts.some((id) => s.under.includes(id)));
    const z = b?.z ?? 0;
    const key = b?.kind === 'plate' ? `run at ${sixteenth(z)}″` : 'house';
    levels.set(key, [...(levels.get(key) ?? []), s]);
    zOf.set(key, z);
  }
  const benches = [...levels].map(([name, list]): Bench => ({
    name,
    z: zOf.get(name) ?? 0,
    supports: list.length,
    highest: Math.max(...list.map((s) => s.ground)),
  }));
  const runners = bearings.filter((b) => b.kind === 'runner').length;
  const minutes =
    kind === 'another floor' || movable
      ? 0
      : MINUTES.setOut +
        supports.length * MINUTES.support +
        sum((s) => (s.blocks + s.pavers) * MINUTES.course + (s.fill ? MINUTES.fill : 0)) +
        (supports.length === 0 ? runners * MINUTES.levelRunner : 0);
  const warnings = [
    ...(supports.some((s) => s.fill)
      ? [
          `${supports.filter((s) => s.fill).length} pads have ${rules.fillFrom} courses or more: fill their cores with concrete around a bar.`,
        ]
      : []),
    ...(supports.some((s) => s.height > TALL)
      ? [
          `${supports.filter((s) => s.height > TALL).length} pads are over ${TALL}″ high: strap the unit down to them, and let a builder look at the ground.`,
        ]
      : []),
    ...(supports.some((s) => s.height < -SHOVEL)
      ? [
          `Ground stands up to ${Math.round(-Math.min(...supports.map((s) => s.height)))}″ over the unit's foot: dig it away, or lift the unit.`,
        ]
      : []),
    ...(survey || kind === 'another floor' || movable
      ? []
      : ['Planned for the ground that the model is drawn for: read a level on the site before anything is bought.']),
  ];
  return {
    kind,
    why: WHY[kind],
    surveyed: survey !== undefined,
    supports,
    benches,
    concrete,
    buy,
    cost: buy.reduce((n, l) => n + l.cost, 0),
    weight: buy.reduce((n, l) => n + l.weight, 0),
    minutes,
    warnings,
  };
};
