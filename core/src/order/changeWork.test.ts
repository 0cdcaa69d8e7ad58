import fc from 'fast-check';
import { parseSpec } from '../model/index.ts';
import { hasCut, pieceKey, repeatParts } from '../unit/index.ts';
import type { ParamValue } from '../unit/index.ts';
import { isBenchStep, lineUnits } from '../steps/index.ts';
import { KERF, readTicket } from '../takeoff/index.ts';
import { findItem } from '../stock/index.ts';
import { changeWork, planChangedSticks } from './changeWork.ts';
import type { BenchStates, WorkChange } from './changeWork.ts';
import { computeOrder } from './computeOrder.ts';
import { makeWorkPlan, unitsOf } from './workPlan.ts';
import type { WorkPlan } from './workPlan.ts';

const planOf = (family: string, params: Record<string, ParamValue> = {}, quantity = 1): WorkPlan => {
  const spec = parseSpec({ family, params });
  return makeWorkPlan(computeOrder({ spec, quantity }, undefined, 'quick'), { spec, revision: 1, quantity });
};
const piecesOf = (plan: WorkPlan) => repeatParts(plan.build.parts, unitsOf(plan)).filter(hasCut);
const benchOf = (plan: WorkPlan) => lineUnits(plan.steps.filter(isBenchStep), unitsOf(plan));
/** Everything cut whose index passes, and as many steps done from the first on. */
const statesOf = (plan: WorkPlan, steps: number, cut: (i: number) => boolean = () => true): BenchStates => ({
  parts: new Map(piecesOf(plan).map((p, i) => [p.id, cut(i) ? ('cut' as const) : ('open' as const)])),
  steps: new Map(benchOf(plan).map((l, i) => [l.id, i < steps ? ('done' as const) : ('open' as const)])),
});
const count = (c: WorkChange, fate: WorkChange['fates'][number]['fate']): number =>
  c.fates.filter((f) => f.fate === fate).length;

describe('a change that changes nothing', () => {
  const plan = planOf('raised-lean-to');
  it('leaves every piece and step as it is, and costs nothing', () => {
    const all = statesOf(plan, 20);
    const c = changeWork(plan, plan, all);
    expect(new Set(c.fates.map((f) => f.fate))).toEqual(new Set(['unchanged']));
    expect(c.done).toHaveLength(20);
    expect([c.again, c.gone, c.minutes.lost, c.scrap]).toEqual([[], [], 0, 0]);
    expect(c.minutes.after).toBe(c.minutes.before);
  });
});

describe('a pen made shorter by a foot when all of it is cut', () => {
  const before = planOf('low-pen', { length: 120 });
  const after = planOf('low-pen', { length: 108 });
  const c = changeWork(before, after, statesOf(before, 6));
  it('cuts its long rails from those that are cut', () => {
    const recut = c.fates.filter((f) => f.fate === 'recut');
    expect(recut.length).toBeGreaterThan(0);
    for (const f of recut) expect((f.from?.length ?? 0) - f.length).toBeGreaterThanOrEqual(KERF);
    // Nothing of wood is cut anew that one of the rails would give.
    expect(recut.some((f) => f.from?.length === 120 && f.length === 108)).toBe(true);
  });
  it('plans those first, for nothing', () => {
    const plan = planChangedSticks(after, c);
    const from = plan.sticks.filter((s) => s.cost === 0 && s.length === 120 && s.cuts.some((x) => x.length === 108));
    expect(from.length).toBeGreaterThan(0);
    expect(plan.unplaced).toEqual([]);
  });
  it('does again what was framed of them, and keeps what was not touched', () => {
    expect(c.again.every((s) => s.minutes > 0)).toBe(true);
    expect(c.done).toContain('sort');
  });
});

describe('a window more in a house of which the walls stand', () => {
  const before = planOf('raised-lean-to', { windowWall: 'none' });
  const after = planOf('raised-lean-to', { windowWall: 'back' });
  const steps = benchOf(before).length;
  const c = changeWork(before, after, statesOf(before, steps - 4));
  it('asks for new pieces in that wall, and leaves the other walls alone', () => {
    expect(count(c, 'new') + count(c, 'recut')).toBeGreaterThan(2);
    const walls = ['front-wall', 'left-wall'].map((w) => c.fates.filter((f) => f.id.startsWith(`${w}/`)));
    for (const wall of walls) for (const f of wall) expect([f.id, f.fate]).toEqual([f.id, 'unchanged']);
  });
  it('frames that wall again, and what stands on it, and nothing of the front wall’s framing', () => {
    expect(c.again.map((s) => s.id)).toContain('back-wall/frame');
    expect(c.again.map((s) => s.id)).not.toContain('front-wall/frame');
    expect(c.minutes.lost).toBeGreaterThan(0);
  });
});

describe('a house without a run that had one', () => {
  const before = planOf('raised-lean-to', { run: true });
  const after = planOf('raised-lean-to', { run: false });
  it('has as scrap what was cut of it and fits nowhere, and drops what was not', () => {
    const c = changeWork(
      before,
      after,
      statesOf(before, 3, (i) => i % 2 === 0),
    );
    expect(count(c, 'scrap')).toBeGreaterThan(5);
    expect(count(c, 'dropped')).toBeGreaterThan(5);
    expect(c.scrap).toBeGreaterThan(0);
    expect(
      changeWork(
        before,
        after,
        statesOf(before, 0, () => false),
      ).scrap,
    ).toBe(0);
  });
});

describe('one of three pens', () => {
  it('is changed with the others, each piece in its own unit', () => {
    const before = planOf('low-pen', { length: 120 }, 3);
    const after = planOf('low-pen', { length: 120, height: 26 }, 3);
    const c = changeWork(before, after, statesOf(before, 10));
    expect(c.fates.filter((f) => f.fate !== 'scrap' && f.fate !== 'dropped')).toHaveLength(piecesOf(after).length);
    expect(planChangedSticks(after, c).unplaced).toEqual([]);
  });
});

const changes: readonly (readonly [string, Record<string, ParamValue>, Record<string, ParamValue>])[] = [
  ['low-pen', {}, { length: 108 }],
  ['raised-lean-to', {}, { highWall: 60 }],
  ['raised-lean-to', { run: true }, { run: false, windowWall: 'none' }],
  ['walk-in', {}, { length: 144 }],
  ['skid-house', {}, { depth: 54 }],
];
describe.each(changes)('a %s that is changed anywhere in its work', (family, from, to) => {
  const before = planOf(family, from);
  const after = planOf(family, { ...from, ...to });
  const pieces = piecesOf(before);
  const wanted = piecesOf(after);
  const key = new Map([...pieces, ...wanted].map((p) => [p.id, p]));
  const saw = new Set(after.steps.filter((s) => s.station === 'saw').map((s) => s.id));
  const needs = new Map(lineUnits(after.steps, 1).map((l) => [l.id, l.needs.filter((n) => !saw.has(n))]));
  it('loses no piece, uses none twice, and leaves nothing done on what is open', () => {
    fc.assert(
      fc.property(fc.nat(benchOf(before).length), fc.integer({ min: 1, max: 4 }), (steps, every) => {
        const states = statesOf(before, steps, (i) => i % every === 0);
        const c = changeWork(before, after, states);
        // Every piece that is wanted has one fate; every piece that is cut has one use, or is scrap.
        expect(c.fates.filter((f) => !['scrap', 'dropped'].includes(f.fate)).map((f) => f.id)).toEqual(
          wanted.map((p) => p.id),
        );
        const uses = c.fates.flatMap((f) =>
          f.fate === 'unchanged'
            ? [f.id]
            : f.fate === 'scrap' || f.fate === 'dropped'
              ? [f.id]
              : f.from
                ? [f.from.id]
                : [],
        );
        expect([...uses].sort()).toEqual(pieces.map((p) => p.id).sort());
        for (const f of c.fates) {
          const source = f.from && pieces.find((p) => p.id === f.from?.id);
          if (f.fate === 'fits' && source)
            expect(pieceKey(source)).toBe(pieceKey(wanted.find((p) => p.id === f.id) ?? source));
          if (f.fate === 'recut') {
            expect(findItem(f.item).kind).toBe('lumber');
            if (source) expect(source.item).toBe(f.item);
          }
        }
        const done = new Set(c.done);
        for (const id of done) for (const n of needs.get(id) ?? []) expect([id, n, done.has(n)]).toEqual([id, n, true]);
        // The saw has every open stick piece once.
        const plan = planChangedSticks(after, c);
        expect(plan.unplaced).toEqual([]);
        const marks = new Map<string, number>();
        for (const cut of plan.sticks.flatMap((s) => s.cuts)) {
          const t = readTicket(cut.id);
          marks.set(t.mark, (marks.get(t.mark) ?? 0) + t.parts);
        }
        for (const [mark, n] of marks) expect([mark, n]).toEqual([mark, wanted.filter((p) => p.mark === mark).length]);
      }),
      { numRuns: 8 },
    );
    expect(key.size).toBeGreaterThan(0);
  });
});
