import fc from 'fast-check';
import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import { findItem, findLumber } from '../stock/index.ts';
import { hasCut } from '../unit/index.ts';
import { replanSticks } from './replanSticks.ts';
import type { BenchPart } from './replanSticks.ts';
import { KERF, readTicket, takeOff } from './takeOff.ts';

const cases = FAMILIES.map((f) => {
  const build = buildSpec(parseSpec({ family: f.key }));
  return { key: f.key, build, plan: takeOff(build, 'quick').sticks };
});

/** How many parts of each mark a plan's tickets give. */
const given = (plan: { sticks: readonly { cuts: readonly { id: string }[] }[] }): Map<string, number> => {
  const out = new Map<string, number>();
  for (const s of plan.sticks)
    for (const c of s.cuts) {
      const t = readTicket(c.id);
      out.set(t.mark, (out.get(t.mark) ?? 0) + t.parts);
    }
  return out;
};

describe('a piece that is spoiled', () => {
  const part = (mark: string, length: number, state: BenchPart['state']): BenchPart => ({
    mark,
    item: '2x4',
    length,
    state,
    measured: null,
  });
  const stick = (length: number, cuts: readonly (readonly [string, number])[]) => ({
    item: '2x4',
    length,
    cost: 416,
    cuts: cuts.map(([id, n]) => ({ id, length: n })),
    left: length - cuts.reduce((sum, [, n]) => sum + n + KERF, 0),
  });
  const plan = (sticks: ReturnType<typeof stick>[]) => ({
    sticks,
    cost: sticks.length * 416,
    bound: 0,
    proved: false,
    unplaced: [],
  });
  it('has taken its wood: another comes from another stick', () => {
    // Two of 47 fill the stick; the second is cut wrong.
    const old = plan([
      stick(96, [
        ['S1', 47],
        ['S1', 47],
      ]),
    ]);
    const next = replanSticks(old, [part('S1', 47, 'cut'), part('S1', 47, 'spoiled')], ['S1']);
    expect(next.sticks[0]).toMatchObject({ cuts: [{ id: 'S1' }], spoiled: [{ id: 'S1', length: 47 }] });
    expect(next.sticks[0]?.left).toBeCloseTo(96 - 2 * (47 + KERF), 6);
    expect(next.sticks).toHaveLength(2);
    expect(next.sticks[1]?.cuts).toEqual([{ id: 'S1', length: 47 }]);
  });
  it('leaves what is left of its stick to be used', () => {
    const old = plan([
      stick(96, [
        ['S1', 30],
        ['B1', 20],
      ]),
    ]);
    const next = replanSticks(old, [part('S1', 30, 'spoiled'), part('B1', 20, 'open')], ['S1']);
    // 96 less 30 and a kerf holds both that are still wanted.
    expect(next.sticks).toHaveLength(1);
    expect(next.sticks[0]?.cuts.map((c) => c.id).sort()).toEqual(['B1', 'S1']);
    expect(next.sticks[0]?.spoiled).toEqual([{ id: 'S1', length: 30 }]);
  });
  it('takes its wood once, however often it is planned again, and once more when it is spoiled once more', () => {
    const old = plan([
      stick(96, [
        ['S1', 47],
        ['B1', 40],
      ]),
    ]);
    const first = replanSticks(old, [part('S1', 47, 'spoiled'), part('B1', 40, 'open')], ['S1']);
    const again = replanSticks(first, [part('S1', 47, 'spoiled'), part('B1', 40, 'open')]);
    const lost = (p: ReturnType<typeof replanSticks>): number => p.sticks.flatMap((s) => s.spoiled ?? []).length;
    expect([lost(first), lost(again)]).toEqual([1, 1]);
    const cut = replanSticks(again, [part('S1', 47, 'cut'), part('B1', 40, 'open')]);
    expect(lost(cut)).toBe(1);
    expect(lost(replanSticks(cut, [part('S1', 47, 'spoiled'), part('B1', 40, 'open')], ['S1']))).toBe(2);
  });
  it('adds up: what is cut, spoiled and left, with a kerf for each cut, is the stick', () => {
    const lengths = fc.array(
      fc.integer({ min: 5 * 16, max: 45 * 16 }).map((n) => n / 16),
      { minLength: 1, maxLength: 8 },
    );
    fc.assert(
      fc.property(
        lengths,
        fc.array(fc.constantFrom('open', 'cut', 'spoiled'), { minLength: 8, maxLength: 8 }),
        (ls, states) => {
          const parts = ls.map((l, i) => part(`P${i}`, l, states[i] as BenchPart['state']));
          const begun = replanSticks(
            plan([]),
            parts.map((p) => ({ ...p, state: 'open' as const })),
          );
          const bad = parts.filter((p) => p.state === 'spoiled').map((p) => p.mark);
          const next = replanSticks(begun, parts, bad);
          expect(
            next.sticks
              .flatMap((s) => s.spoiled ?? [])
              .map((c) => c.id)
              .sort(),
          ).toEqual([...bad].sort());
          for (const s of next.sticks) {
            const used = [...s.cuts, ...(s.spoiled ?? [])].reduce((sum, c) => sum + c.length + KERF, 0);
            expect(s.left).toBeCloseTo(Math.max(0, s.length - used), 1);
          }
          // Everything that is wanted is on some stick, the spoiled ones once more.
          expect(next.sticks.flatMap((s) => s.cuts.map((c) => c.id)).sort()).toEqual(parts.map((p) => p.mark).sort());
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe.each(cases)('planning the sticks of a $key again', ({ build, plan }) => {
  // What is sawn in place comes out of another part: no stick gives it.
  const lumber = build.parts.filter((p) => findItem(p.item).kind === 'lumber' && hasCut(p));
  const longest = (item: string): number => Math.max(...findLumber(item).lengths.map((l) => l.length));
  const unpaired = new Set(
    plan.sticks.flatMap((s) => s.cuts.map((c) => readTicket(c.id)).filter((t) => t.parts === 2)).map((t) => t.mark),
  );
  it('gives every part once, keeps what is cut, fits every stick and costs no less than was spent', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: lumber.length - 1 }), { maxLength: 24 }),
        fc.array(fc.tuple(fc.integer({ min: 0, max: lumber.length - 1 }), fc.integer({ min: -64, max: 64 })), {
          maxLength: 8,
        }),
        (cut, measured) => {
          const parts: BenchPart[] = lumber.map((p) => ({ ...p, state: 'open', measured: null }));
          // Ripped pairs are cut together, as at the saw.
          for (const i of cut) {
            const mark = parts[i]?.mark ?? '';
            if (!unpaired.has(mark)) parts[i] = { ...(parts[i] as BenchPart), state: 'cut' };
          }
          for (const [i, ticks] of measured) {
            const p = parts[i] as BenchPart;
            // What is measured longer than any stick comes out of none.
            if (p.state === 'open' && p.length + ticks / 64 <= longest(p.item))
              parts[i] = { ...p, measured: p.length + ticks / 64 };
          }
          const next = replanSticks(plan, parts);
          expect(next.unplaced).toEqual([]);
          const wanted = new Map<string, number>();
          for (const p of parts) wanted.set(p.mark, (wanted.get(p.mark) ?? 0) + 1);
          expect(Object.fromEntries(given(next))).toEqual(Object.fromEntries(wanted));
          for (const s of next.sticks) {
            const used = s.cuts.reduce((n, c) => n + c.length, 0) + KERF * (s.cuts.length - 1);
            expect(used).toBeLessThanOrEqual(s.length + 1 / 64);
          }
          const lengths = next.sticks.flatMap((s) => s.cuts.map((c) => c.length));
          for (const p of parts)
            if (p.measured !== null) expect(lengths.some((l) => Math.abs(l - (p.measured ?? 0)) < 1e-9)).toBe(true);
          expect(next.bound).toBeLessThanOrEqual(next.cost);
        },
      ),
      { numRuns: 4 },
    );
  });
  it('changes nothing of the cost when nothing is cut or measured', () => {
    const parts = lumber.map((p): BenchPart => ({ ...p, state: 'open', measured: null }));
    expect(replanSticks(plan, parts).cost).toBeLessThanOrEqual(plan.cost);
  });
});

it('cuts what is measured longer from what is left of a begun stick, and buys nothing for it', () => {
  const plan = {
    sticks: [
      {
        item: '2x4',
        length: 96,
        cost: 400,
        cuts: [
          { id: 'S1', length: 40 },
          { id: 'B1', length: 30 },
        ],
        left: 25.75,
      },
    ],
    cost: 400,
    bound: 400,
    proved: true,
    unplaced: [],
  };
  const part = (mark: string, length: number, state: 'open' | 'cut', measured: number | null): BenchPart => ({
    mark,
    item: '2x4',
    length,
    state,
    measured,
  });
  const next = replanSticks(plan, [part('S1', 40, 'cut', null), part('B1', 30, 'open', 30.5)]);
  expect(next.cost).toBe(400);
  expect(next.sticks[0]?.cuts.map((c) => c.length)).toEqual([40, 30.5]);
  // 96 less 40, 30 1/2 and two kerfs.
  expect(next.sticks[0]?.left).toBeCloseTo(25.25, 2);
});
