import fc from 'fast-check';
import { judgeSticks } from '../../../testing/judgeSticks.ts';
import { planSticks } from '../planSticks.ts';
import { branch } from './branch.ts';
import { dive } from './dive.ts';
import { fillFirst } from './fillFirst.ts';
import { findBestPatterns, meter } from './findBestPatterns.ts';
import { improve } from './improve.ts';
import { scaleProblem, uncutOf, usedBy } from './problem.ts';
import type { Column, Draft, PatternProblem } from './problem.ts';
import { searchPatterns } from './searchPatterns.ts';
import { solvePatternLp } from './solvePatternLp.ts';
import { sumsOf } from './sumsOf.ts';

/** Problems as the rack sets them: some stock without limit, some offcuts for nothing, some that run short. */
const problem = (most = 5): fc.Arbitrary<PatternProblem> =>
  fc
    .record({
      pieces: fc.uniqueArray(
        fc.record({ size: fc.integer({ min: 12, max: 96 }), demand: fc.integer({ min: 1, max: 5 }) }),
        {
          minLength: 1,
          maxLength: most,
          selector: (p) => p.size,
        },
      ),
      plenty: fc.uniqueArray(fc.constantFrom([96, 384], [120, 505], [144, 612]), {
        maxLength: 2,
        selector: ([l]) => l,
      }),
      few: fc.array(
        fc.tuple(fc.integer({ min: 20, max: 120 }), fc.constantFrom(0, 0, 300), fc.integer({ min: 1, max: 3 })),
        {
          maxLength: 3,
        },
      ),
    })
    .filter(({ plenty, few }) => plenty.length + few.length > 0)
    .map(({ pieces, plenty, few }) => ({
      sizes: pieces.map((p) => p.size),
      demand: pieces.map((p) => p.demand),
      penalties: pieces.map(() => 100_000),
      stocks: [
        ...plenty.map(([capacity, cost]) => ({ capacity: capacity as number, cost: cost as number, quantity: null })),
        ...few.map(([capacity, cost, quantity]) => ({ capacity, cost, quantity })),
      ],
    }));
const complete = (p: PatternProblem): boolean =>
  p.stocks.some((s) => s.quantity === null && s.capacity >= Math.max(...p.sizes));

/** A draft cuts no stick too short, takes no stock that is not there, and accounts for every piece. */
const audit = (p: PatternProblem, d: Draft): void => {
  const cut = p.sizes.map(() => 0);
  const used = p.stocks.map(() => 0);
  let cost = 0;
  for (const { column, count } of d.uses) {
    const s = p.stocks[column.stock];
    expect(usedBy(p, column.pattern)).toBeLessThanOrEqual(s?.capacity ?? -1);
    column.pattern.forEach((n, i) => (cut[i] = (cut[i] as number) + n * count));
    used[column.stock] = (used[column.stock] as number) + count;
    cost += count * (s?.cost ?? 0);
  }
  expect(cut.map((n, i) => n + (d.short[i] as number))).toEqual(p.demand);
  p.stocks.forEach((s, j) => {
    if (s.quantity !== null) expect(used[j]).toBeLessThanOrEqual(s.quantity);
  });
  expect(d.cost).toBe(cost);
};

describe('the best pattern', () => {
  const sack = fc.record({
    sizes: fc.array(fc.integer({ min: 3, max: 60 }), { minLength: 1, maxLength: 5 }),
    capacities: fc.array(fc.integer({ min: 5, max: 130 }), { minLength: 1, maxLength: 3 }),
    seed: fc.array(fc.tuple(fc.integer({ min: 0, max: 90 }), fc.integer({ min: 0, max: 4 })), {
      minLength: 5,
      maxLength: 5,
    }),
  });
  it('is worth as much as any, of every one tried', () => {
    fc.assert(
      fc.property(sack, ({ sizes, capacities, seed }) => {
        const values = sizes.map((_, i) => (seed[i]?.[0] ?? 0) / 7);
        const most = sizes.map((_, i) => seed[i]?.[1] ?? 0);
        const found = findBestPatterns({ sizes, values, most, capacities });
        const all = (at: number, room: number): number => {
          if (at === sizes.length) return 0;
          let best = 0;
          for (let n = 0; n <= (most[at] ?? 0) && n * (sizes[at] ?? 1) <= room; n++)
            best = Math.max(best, n * (values[at] ?? 0) + all(at + 1, room - n * (sizes[at] ?? 1)));
          return best;
        };
        capacities.forEach((capacity, j) => {
          const { pattern, value } = found[j] as { pattern: readonly number[]; value: number };
          expect(value).toBeCloseTo(all(0, capacity), 9);
          expect(usedBy({ sizes }, pattern)).toBeLessThanOrEqual(capacity);
          expect(pattern.every((n, i) => n <= (most[i] as number))).toBe(true);
          expect(pattern.reduce((s, n, i) => s + n * (values[i] as number), 0)).toBeCloseTo(value, 9);
        });
      }),
    );
  });
  it('is the same by table where a search would take long: many short sizes worth alike', () => {
    const sizes = Array.from({ length: 24 }, (_, i) => 97 + 2 * i);
    const k = { sizes, values: sizes.map((s) => s), most: sizes.map(() => 9), capacities: [6151, 3072] };
    const before = meter.looks;
    const found = findBestPatterns(k);
    // What fills it to the last unit is worth just that.
    expect(found.map((f) => f.value)).toEqual([6151, 3072]);
    expect(meter.looks).toBeGreaterThan(before);
  });
});

describe('sums of whole sticks', () => {
  it('rounds a bound up to what can be paid, and never over it', () => {
    const up = sumsOf([384, 505], 2000);
    // 384, 505, 768, 889, 1010, 1152, …
    expect([0, 1, 384, 385, 506, 769, 1011, 1999].map(up)).toEqual([0, 384, 384, 505, 768, 889, 1152, 2000]);
    expect(sumsOf([0], 0)(0)).toBe(0);
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 900 }), { minLength: 1, maxLength: 3 }),
        fc.array(fc.nat(6), { minLength: 3, maxLength: 3 }),
        (costs, counts) => {
          const sum = costs.reduce((s, c, i) => s + c * (counts[i] ?? 0), 0);
          // No whole number of sticks costs less than the bound rounds up to.
          for (const less of [0, 0.5, 40]) expect(sumsOf(costs, sum + 5000)(sum - less)).toBeLessThanOrEqual(sum);
        },
      ),
    );
  });
});

describe('the relaxed problem', () => {
  it('bounds what any plan costs, limited stock and shortage among them, and comes to its end', async () => {
    await fc.assert(
      fc.asyncProperty(problem(), async (p) => {
        const lp = solvePatternLp(p, []);
        expect(lp.solved).toBe(true);
        const least = await judgeSticks(p);
        expect(lp.bound).toBeLessThanOrEqual(least + 1e-6 * (1 + least));
        // Its prices are feasible: with what limited stock saves they come to the bound.
        const worth = findBestPatterns({
          ...p,
          values: lp.prices,
          most: p.demand,
          capacities: p.stocks.map((s) => s.capacity),
        });
        worth.forEach(({ value }, j) =>
          expect(value).toBeLessThanOrEqual((p.stocks[j]?.cost ?? 0) - (lp.stockPrices[j] ?? 0) + 1e-6),
        );
        const sum =
          p.demand.reduce((s, n, i) => s + n * (lp.prices[i] ?? 0), 0) +
          p.stocks.reduce((s, k, j) => s + (k.quantity ?? 0) * (lp.stockPrices[j] ?? 0), 0);
        expect(sum).toBeCloseTo(lp.bound, 3);
      }),
      { numRuns: 60 },
    );
  });
  it('comes to its end for a week of many lengths', () => {
    const sizes = Array.from({ length: 100 }, (_, i) => 260 + 57 * i);
    const p: PatternProblem = {
      sizes,
      demand: sizes.map((s) => 3 + (s % 17)),
      penalties: sizes.map(() => 100_000),
      stocks: [
        { capacity: 6152, cost: 384, quantity: null },
        { capacity: 9224, cost: 612, quantity: null },
        { capacity: 12296, cost: 890, quantity: null },
      ],
    };
    const pool: Column[] = [];
    const lp = solvePatternLp(p, pool);
    expect(lp.solved).toBe(true);
    const relaxed = lp.columns.reduce((s, c) => s + c.amount * (p.stocks[c.column.stock]?.cost ?? 0), 0);
    // At its end the columns cost what the prices come to.
    expect(Math.abs(relaxed - lp.bound)).toBeLessThan(1e-6 * relaxed);
  });
});

describe('plans', () => {
  it('of every kind account for every piece and every stick', () => {
    fc.assert(
      fc.property(problem(6), (p) => {
        const drafts = p.stocks.map((_, j) => fillFirst(p, j));
        for (const d of drafts) audit(p, d);
        const pool = drafts.flatMap((d) => d.uses.map((u) => u.column));
        const lp = solvePatternLp(p, pool);
        for (const how of [
          { sure: 0.6, generate: false, by: 'amount' },
          { sure: 0.6, generate: true, by: 'fraction' },
        ] as const)
          audit(p, dive(p, pool, how));
        const better = improve(p, drafts[0] as Draft, lp.prices, { looks: meter.looks + 20_000, until: Infinity }, 0);
        audit(p, better);
        const before = drafts[0] as Draft;
        expect(uncutOf(p, better.short)).toBeLessThanOrEqual(uncutOf(p, before.short));
        if (uncutOf(p, better.short) === uncutOf(p, before.short)) expect(better.cost).toBeLessThanOrEqual(before.cost);
        audit(scaleProblem(p), searchPatterns(p));
      }),
      { numRuns: 80 },
    );
  });
  it('searched to the end cost least', async () => {
    await fc.assert(
      fc.asyncProperty(problem().filter(complete), async (p) => {
        const start = fillFirst(p, 0);
        const { best, complete: ended } = branch(p, start, 0, [], { looks: meter.looks + 50_000_000, until: Infinity });
        audit(p, best);
        expect(ended).toBe(true);
        expect(best.cost).toBe(await judgeSticks(p));
      }),
      { numRuns: 40 },
    );
  });
  it('say that they are proved only where they are, and bound what they are not', async () => {
    await fc.assert(
      fc.asyncProperty(problem(6).filter(complete), async (p) => {
        const plan = searchPatterns(p);
        const least = await judgeSticks(p);
        expect(plan.bound).toBeLessThanOrEqual(least);
        if (plan.proved) expect(plan.cost).toBe(least);
        expect(plan.cost).toBe(least);
      }),
      { numRuns: 60 },
    );
  });
  it.each([
    ['by length', [1]],
    ['by what is urgent', [1, 7, 3, 20]],
  ])('leave the least uncut, %s, where stock runs short', async (_, urgencies) => {
    await fc.assert(
      fc.asyncProperty(
        problem().map((p) => ({
          ...p,
          stocks: p.stocks.map((s) => ({ ...s, quantity: s.quantity ?? 1 })),
          penalties: p.sizes.map((s, i) => s * (urgencies[i % urgencies.length] as number)),
        })),
        async (p) => {
          const plan = searchPatterns(p);
          const least = await judgeSticks({ ...p, stocks: p.stocks.map((s) => ({ ...s, cost: 0 })) });
          expect(plan.leastUncut).toBeLessThanOrEqual(least);
          expect(uncutOf(p, plan.short)).toBe(least);
          if (least > 0) expect(plan.proved).toBe(false);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('are the same every time', () => {
    fc.assert(
      fc.property(problem(6), (p) => expect(searchPatterns(p)).toEqual(searchPatterns(p))),
      { numRuns: 15 },
    );
  });
});

describe('a bound that is found quickly', () => {
  const stock = (length: number, cost: number, quantity: number | null) => ({ item: 'x', length, cost, quantity });
  const pieces = [{ id: 'a', item: 'x', length: 36, quantity: 4 }];

  it('is a number where an offcut is too short for every piece', () => {
    const plan = planSticks(
      { kerf: 0.125, endTrim: 0, stock: [stock(30.75, 0, 2), stock(96, 1293, null)], pieces },
      'quick',
    );
    // Two of 36 in to a stick, four of them: two sticks, and no fewer.
    expect([plan.cost, plan.bound, plan.proved]).toEqual([2586, 2586, true]);
  });

  it('takes of what costs nothing no more than there is', () => {
    const plan = planSticks(
      { kerf: 0.125, endTrim: 0, stock: [stock(40, 0, 1), stock(96, 1293, null)], pieces },
      'quick',
    );
    expect(plan.bound).toBeGreaterThan(1293);
    expect(plan.bound).toBeLessThanOrEqual(plan.cost);
  });

  it('is never over what the exact judge finds, offcuts or none', async () => {
    const any = fc.record({
      offcuts: fc.array(
        fc.record({ length: fc.integer({ min: 8, max: 90 }), quantity: fc.integer({ min: 1, max: 2 }) }),
        { maxLength: 3 },
      ),
      sizes: fc.uniqueArray(fc.integer({ min: 12, max: 90 }), { minLength: 1, maxLength: 4 }),
    });
    for (const { offcuts, sizes } of fc.sample(any, { numRuns: 40, seed: 12 })) {
      const demand = {
        kerf: 0,
        endTrim: 0,
        stock: [...offcuts.map((o) => stock(o.length, 0, o.quantity)), stock(96, 384, null)],
        pieces: sizes.map((length, i) => ({ id: String(i), item: 'x', length, quantity: 1 + (i % 2) })),
      };
      const exact = await judgeSticks({
        sizes,
        demand: demand.pieces.map((p) => p.quantity),
        penalties: sizes.map(() => 1_000_000),
        stocks: demand.stock.map((s) => ({ capacity: s.length, cost: s.cost, quantity: s.quantity })),
      });
      for (const effort of ['quick', 'full'] as const) {
        const { cost, bound } = planSticks(demand, effort);
        expect(Number.isFinite(bound)).toBe(true);
        expect(bound).toBeLessThanOrEqual(exact);
        expect(cost).toBeGreaterThanOrEqual(exact);
      }
    }
  });
});
