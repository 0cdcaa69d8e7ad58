import { KERF, stickDemandOf } from '../takeoff/index.ts';
import { planSticks } from '../cut/index.ts';
import type { StickPlan } from '../cut/index.ts';
import { findItem } from '../stock/index.ts';
import { isBenchStep, lineUnits, measureLabour, readUnitKey } from '../steps/index.ts';
import type { Step, StepStates } from '../steps/index.ts';
import { hasCut, pieceKey, repeatParts } from '../unit/index.ts';
import type { Part } from '../unit/index.ts';
import { unitsOf } from './workPlan.ts';
import type { WorkPlan } from './workPlan.ts';

/**
 * What becomes of a piece: it stays as it is; another that is cut already fits in its place; it is cut from one that is cut and too
 * long; it is cut anew; or, of what is no longer wanted, it is scrap (cut) or is simply not cut.
 */
export type Fate = 'unchanged' | 'fits' | 'recut' | 'new' | 'scrap' | 'dropped';

/** A piece and its fate. `from` is the piece that was cut for something else. Lengths in inches. */
export interface PartFate {
  readonly id: string;
  readonly mark: string;
  readonly name: string;
  readonly item: string;
  readonly length: number;
  readonly fate: Fate;
  /** Whether it need not be cut any more. */
  readonly cut: boolean;
  readonly from?: { readonly id: string; readonly mark: string; readonly length: number };
}

/** A step and the minutes that it stands for. */
export interface ChangedStep {
  readonly id: string;
  readonly title: string;
  readonly minutes: number;
}

/** What a change of the spec does to a unit that is half built. */
export interface WorkChange {
  readonly fates: readonly PartFate[];
  /** Steps that stay done, by their keys. */
  readonly done: readonly string[];
  /** Steps that were done and must be done again, and such as were done for nothing. */
  readonly again: readonly ChangedStep[];
  readonly gone: readonly ChangedStep[];
  /** Labour in the shop and on site for all units, before and after, and what was done for nothing. Minutes. */
  readonly minutes: { readonly before: number; readonly after: number; readonly lost: number };
  /** Material that was cut for nothing, cents. */
  readonly scrap: number;
}

/** How the bench stands: parts and steps by their keys. */
export interface BenchStates {
  readonly parts: ReadonlyMap<string, 'open' | 'cut' | 'spoiled'>;
  readonly steps: StepStates;
}

const isLumber = (p: Part): boolean => findItem(p.item).kind === 'lumber';

/** What a piece costs by its share of what is bought: a stick by its length, a sheet by its area; the rest is not wood. */
const costOf = (plan: WorkPlan): ((p: Part) => number) => {
  const { sticks, sheets } = plan.takeoff;
  const perInch = new Map<string, number>();
  for (const item of new Set(sticks.sticks.map((s) => s.item))) {
    const mine = sticks.sticks.filter((s) => s.item === item);
    perInch.set(item, mine.reduce((n, s) => n + s.cost, 0) / mine.reduce((n, s) => n + s.length, 0));
  }
  const bought = new Map(plan.takeoff.lines.map((l) => [l.item, l.cost]));
  return (p) => {
    if (isLumber(p)) return p.length * (perInch.get(p.item) ?? 0);
    const area = sheets.sheets.filter((s) => s.item === p.item).reduce((n, s) => n + s.length * s.width, 0);
    return area > 0 ? ((p.length * p.width) / area) * (bought.get(p.item) ?? 0) : 0;
  };
};

/** Matches the pieces of two plans: first those that stay, then such as fit elsewhere, then sticks that can be cut shorter. */
const matchParts = (before: readonly Part[], after: readonly Part[], states: BenchStates): PartFate[] => {
  const isCut = (p: Part): boolean => states.parts.get(p.id) === 'cut';
  const old = new Map(before.map((p) => [p.id, p]));
  const used = new Set<string>();
  const fates = new Map<string, PartFate>();
  const say = (p: Part, fate: Fate, cut: boolean, from?: Part): void => {
    if (from) used.add(from.id);
    const { id, mark, name, item, length } = p;
    fates.set(id, {
      id,
      mark,
      name,
      item,
      length,
      fate,
      cut,
      ...(from && fate !== 'unchanged' ? { from: { id: from.id, mark: from.mark, length: from.length } } : {}),
    });
  };
  for (const p of after) {
    const was = old.get(p.id);
    if (was && pieceKey(was) === pieceKey(p)) say(p, 'unchanged', isCut(was), was);
  }
  const wanted = after.filter((p) => !fates.has(p.id));
  const spare = before.filter((p) => !used.has(p.id) && isCut(p));
  const byKey = new Map<string, Part[]>();
  for (const p of spare) byKey.set(pieceKey(p), [...(byKey.get(pieceKey(p)) ?? []), p]);
  for (const p of wanted) {
    const other = byKey.get(pieceKey(p))?.shift();
    if (other) say(p, 'fits', true, other);
  }
  // The longest first, each from the shortest stick that gives it: that leaves least over.
  const sticks = spare.filter((p) => !used.has(p.id) && isLumber(p) && p.rip === undefined);
  for (const p of [...wanted].sort((a, b) => b.length - a.length)) {
    if (fates.has(p.id) || !isLumber(p)) continue;
    const from = sticks
      .filter((s) => !used.has(s.id) && s.item === p.item && s.shortPoint >= p.length + KERF - 1e-9)
      .sort((a, b) => a.length - b.length)[0];
    if (from) say(p, 'recut', false, from);
  }
  for (const p of wanted) if (!fates.has(p.id)) say(p, 'new', false);
  const left = before.filter((p) => !used.has(p.id));
  return [
    ...after.map((p) => fates.get(p.id) as PartFate),
    ...left.map(({ id, mark, name, item, length }): PartFate => ({
      id,
      mark,
      name,
      item,
      length,
      fate: states.parts.get(id) === 'cut' ? 'scrap' : 'dropped',
      cut: states.parts.get(id) === 'cut',
    })),
  ];
};

/**
 * Steps that stay done: done before, of the same parts, none of which is another piece now, and with nothing built before them that is
 * open. A saw step is open as long as a piece of it is; what was built of pieces that stay is not taken apart for that.
 */
const keepSteps = (before: WorkPlan, after: WorkPlan, fates: readonly PartFate[], states: BenchStates): Set<string> => {
  const units = unitsOf(after);
  const fateOf = new Map(fates.map((f) => [f.id, f]));
  const steps = new Map(after.steps.map((s) => [s.id, s]));
  const was = new Map(before.steps.map((s) => [s.id, s]));
  const kept = new Set<string>();
  const ids = (s: Step, unit: number): string[] =>
    units > 1
      ? (unit === 0 ? Array.from({ length: units }, (_, i) => i + 1) : [unit]).flatMap((u) =>
          s.parts.map((p) => `${p}@${u}`),
        )
      : [...s.parts];
  for (const line of lineUnits(after.steps, units)) {
    if (states.steps.get(line.id) !== 'done') continue;
    const step = steps.get(line.stepId) as Step;
    const old = was.get(line.stepId);
    if (!old) continue;
    const stays =
      step.verb === 'cut'
        ? ids(step, line.unit).every((id) => fateOf.get(id)?.cut !== false)
        : old.parts.length === step.parts.length &&
          ids(step, line.unit).every((id) => fateOf.get(id)?.fate === 'unchanged');
    if (stays && line.needs.every((n) => kept.has(n) || !isBuilt(steps, n))) kept.add(line.id);
  }
  return kept;
};
/** Whether a step builds something in the shop, rather than cutting for all of it. */
const isBuilt = (steps: ReadonlyMap<string, Step>, key: string): boolean => {
  const step = steps.get(readUnitKey(key).id);
  return step !== undefined && isBenchStep(step) && step.station !== 'saw';
};

/** Minutes of steps by their keys; a step that is done for all units stands for all of them. */
const minutesOf = (plan: WorkPlan, keys: readonly string[]): ChangedStep[] => {
  const units = unitsOf(plan);
  const steps = new Map(plan.steps.map((s) => [s.id, s]));
  const wanted = new Set(keys);
  return lineUnits(plan.steps, units)
    .filter((l) => wanted.has(l.id))
    .map((l) => {
      const step = steps.get(l.stepId) as Step;
      return {
        id: l.id,
        title: l.title,
        minutes: step.minutes * (l.unit === 0 && step.batch === 'by unit' ? units : 1),
      };
    });
};

/** What a change does to what is on the bench: the fate of every piece and step, hours and material for nothing. */
export const changeWork = (before: WorkPlan, after: WorkPlan, states: BenchStates): WorkChange => {
  const units = unitsOf(before);
  const [was, is] = [repeatParts(before.build.parts, units), repeatParts(after.build.parts, unitsOf(after))].map((l) =>
    l.filter(hasCut),
  ) as [Part[], Part[]];
  const fates = matchParts(was, is, states);
  const kept = keepSteps(before, after, fates, states);
  const lines = new Set(lineUnits(after.steps, unitsOf(after)).map((l) => l.id));
  const lost = [...states.steps].filter(([id, s]) => s === 'done' && !kept.has(id)).map(([id]) => id);
  const again = minutesOf(
    before,
    lost.filter((id) => lines.has(id)),
  );
  const gone = minutesOf(
    before,
    lost.filter((id) => !lines.has(id)),
  );
  const cost = costOf(before);
  const scrap = new Set(fates.filter((f) => f.fate === 'scrap').map((f) => f.id));
  const labour = (p: WorkPlan): number => {
    const { bench, site } = measureLabour(p.steps, unitsOf(p));
    return bench + site;
  };
  // Cutting is not done again for what is cut: its step is open for the rest alone.
  const cutting = (s: ChangedStep): boolean => before.steps.find((x) => x.id === readUnitKey(s.id).id)?.verb === 'cut';
  return {
    fates,
    done: [...kept],
    again,
    gone,
    minutes: {
      before: labour(before),
      after: labour(after),
      lost: [...again, ...gone].filter((s) => !cutting(s)).reduce((n, s) => n + s.minutes, 0),
    },
    scrap: Math.round(was.filter((p) => scrap.has(p.id)).reduce((n, p) => n + cost(p), 0)),
  };
};

/**
 * The sticks of a changed work order: what is cut lies there as it is, pieces that can be cut shorter are used first, and cost
 * nothing more.
 */
export const planChangedSticks = (after: WorkPlan, { fates }: WorkChange): StickPlan => {
  const all = repeatParts(after.build.parts, unitsOf(after)).filter(hasCut);
  const fateOf = new Map(fates.map((f) => [f.id, f]));
  const open = all.filter((p) => fateOf.get(p.id)?.cut !== true);
  const demand = stickDemandOf(open);
  const items = new Set(demand.pieces.map((p) => p.item));
  const rests = fates
    .filter((f) => f.fate === 'recut' && f.from && items.has(f.item))
    .map((f) => ({ item: f.item, length: f.from?.length ?? 0, cost: 0, quantity: 1 }));
  const plan = planSticks({ ...demand, stock: [...demand.stock, ...rests] });
  const there = all
    .filter((p) => isLumber(p) && fateOf.get(p.id)?.cut === true)
    .map((p) => ({ item: p.item, length: p.length, cost: 0, cuts: [{ id: p.mark, length: p.length }], left: 0 }));
  return { ...plan, sticks: [...there, ...plan.sticks] };
};
