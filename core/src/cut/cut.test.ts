import fc from 'fast-check';
import highsLoader from 'highs';
import { planRolls } from './planRolls.ts';
import { planSheets } from './planSheets.ts';
import type { SheetLayout } from './planSheets.ts';
import { planSticks } from './planSticks.ts';
import { readDemand } from './readDemand.ts';
import type { StickDemand } from './types.ts';

type Highs = Awaited<ReturnType<typeof highsLoader>>;
let highs: Highs;
beforeAll(async () => {
  highs = await highsLoader();
});

/** All maximal patterns of one item, for the judge. */
const allPatterns = (d: StickDemand, item: string) => {
  const pieces = d.pieces.filter((p) => p.item === item);
  const out: { cost: number; counts: number[]; stock: number }[] = [];
  d.stock.forEach((s, stock) => {
    if (s.item !== item) return;
    const counts = pieces.map(() => 0);
    const fill = (at: number, room: number): void => {
      if (at === pieces.length) {
        out.push({ cost: s.cost, counts: [...counts], stock });
        return;
      }
      const size = (pieces[at]?.length ?? 0) + d.kerf;
      const most = Math.min(pieces[at]?.quantity ?? 0, Math.floor((room + 1e-9) / size));
      for (let c = most; c >= 0; c--) {
        counts[at] = c;
        fill(at + 1, room - c * size);
      }
      counts[at] = 0;
    };
    fill(0, s.length - d.endTrim + d.kerf);
  });
  return out;
};

/** Least cost by an exact MIP library, HiGHS, over every pattern. */
const judge = (d: StickDemand, item: string): number => {
  const pieces = d.pieces.filter((p) => p.item === item);
  const patterns = allPatterns(d, item);
  const name = (j: number) => `x${j}`;
  const rows = pieces.map(
    (p, i) =>
      ` r${i}: ${patterns.map((q, j) => ((q.counts[i] ?? 0) > 0 ? `+ ${q.counts[i]} ${name(j)}` : '')).join(' ')} >= ${p.quantity}`,
  );
  const limits = d.stock.flatMap((s, k) =>
    s.quantity === null
      ? []
      : [` l${k}: ${patterns.map((q, j) => (q.stock === k ? `+ 1 ${name(j)}` : '')).join(' ')} <= ${s.quantity}`],
  );
  const model = `Minimize\n obj: ${patterns.map((q, j) => `+ ${q.cost} ${name(j)}`).join(' ')}\nSubject To\n${[...rows, ...limits].join('\n')}\nGeneral\n ${patterns.map((_, j) => name(j)).join(' ')}\nEnd`;
  const result = highs.solve(model);
  expect(result.Status).toBe('Optimal');
  return Math.round(result.ObjectiveValue);
};

const audit = (d: StickDemand): ReturnType<typeof planSticks> => {
  const plan = planSticks(d);
  const cut = new Map<string, number>();
  for (const stick of plan.sticks) {
    const used = stick.cuts.reduce((sum, c) => sum + c.length, 0) + d.kerf * (stick.cuts.length - 1);
    expect(used).toBeLessThanOrEqual(stick.length - d.endTrim + 1e-6);
    expect(stick.left).toBeCloseTo(Math.max(0, stick.length - d.endTrim - used - d.kerf), 1);
    for (const c of stick.cuts) cut.set(c.id, (cut.get(c.id) ?? 0) + 1);
  }
  for (const p of d.pieces) {
    const missing = plan.unplaced.filter((u) => u.id === p.id).reduce((sum, u) => sum + u.quantity, 0);
    expect((cut.get(p.id) ?? 0) + missing).toBe(p.quantity);
  }
  expect(plan.cost).toBe(plan.sticks.reduce((sum, s) => sum + s.cost, 0));
  return plan;
};

const unlimited = (item: string, length: number, cost: number) => ({ item, length, cost, quantity: null });

describe('planSticks', () => {
  it('loses no kerf after a piece that ends the stick exactly', () => {
    const demand = (length: number): StickDemand => ({
      kerf: 0.125,
      endTrim: 0,
      stock: [unlimited('2x4', 96, 420)],
      pieces: [{ id: 'a', item: '2x4', length, quantity: 2 }],
    });
    const exact = audit(demand(47.9375));
    expect(exact.sticks).toHaveLength(1);
    expect(exact.sticks[0]?.left).toBe(0);
    expect(audit(demand(48)).sticks).toHaveLength(2);
  });
  it('cuts two 45 1/2 from an 8 ft stick and leaves 4 3/4', () => {
    const plan = audit({
      kerf: 0.125,
      endTrim: 0,
      stock: [unlimited('2x4', 96, 420)],
      pieces: [{ id: 'a', item: '2x4', length: 45.5, quantity: 4 }],
    });
    expect(plan).toMatchObject({ cost: 840, bound: 840, proved: true });
    expect(plan.sticks[0]?.left).toBe(4.75);
  });
  it('halves a 72 in picket into two of 35 15/16 (common practice, no source)', () => {
    const plan = audit({
      kerf: 0.125,
      endTrim: 0,
      stock: [unlimited('picket', 72, 288)],
      pieces: [{ id: 'end', item: 'picket', length: 35.9375, quantity: 2 }],
    });
    expect(plan.sticks).toHaveLength(1);
  });
  it('says what cannot be cut and why', () => {
    const plan = audit({
      kerf: 0.125,
      endTrim: 1,
      stock: [{ item: '2x4', length: 96, cost: 420, quantity: 1 }],
      pieces: [
        { id: 'long', item: '2x4', length: 100, quantity: 1 },
        { id: 'a', item: '2x4', length: 50, quantity: 3 },
        { id: 'b', item: '2x6', length: 5, quantity: 1 },
      ],
    });
    expect(plan.unplaced.map((u) => [u.id, u.quantity])).toEqual([
      ['long', 1],
      ['a', 2],
      ['b', 1],
    ]);
    expect(plan.unplaced[0]?.why).toMatch(/longer than the longest 2x4, 95 in/);
    expect(plan.proved).toBe(false);
  });
  it('uses offcuts that cost nothing before it buys, and knows it when nothing has to be bought', () => {
    const piece = (length: number, quantity: number) => ({ id: `p${length}`, item: '2x4', length, quantity });
    const plan = audit({
      kerf: 0,
      endTrim: 0,
      stock: [{ item: '2x4', length: 92, cost: 0, quantity: 3 }, unlimited('2x4', 96, 384)],
      pieces: [piece(32.9375, 3), piece(32.625, 1), piece(28.75, 4), piece(11.4375, 1)],
    });
    expect(plan).toMatchObject({ cost: 0, bound: 0, proved: true, unplaced: [] });
  });
  it('rounds what there is down and what is taken up: nothing is cut from a stick that is a hair too short', () => {
    const plan = (length: number, kerf: number, endTrim: number, pieces: readonly number[]) =>
      planSticks({
        kerf,
        endTrim,
        stock: [{ item: '2x4', length, cost: 100, quantity: 1 }],
        pieces: pieces.map((l, i) => ({ id: `p${i}`, item: '2x4', length: l, quantity: 1 })),
      });
    expect(plan(41.495, 0.125, 0, [41.5]).unplaced[0]?.why).toMatch(/longer than the longest 2x4, 41\.484/);
    expect(plan(41.5, 0.125, 0, [41.5]).unplaced).toEqual([]);
    // A kerf of 0.13 is more than eight sixty-fourths: two of 20 and it are over 40.125.
    expect(plan(40.125, 0.13, 0, [20, 20]).unplaced).toHaveLength(1);
    expect(plan(40.125, 0.125, 0, [20, 20]).unplaced).toEqual([]);
    expect(plan(30.5, 0.125, 0.505, [30]).unplaced).toHaveLength(1);
    expect(plan(30.5, 0.125, 0.5, [30]).unplaced).toEqual([]);
  });
  it('leaves the least uncut where stock runs short, by length, and proves nothing of what it costs', () => {
    // First fit takes 50 and 30 and leaves both 40s and a 20; 40, 40 and 20 fill the stick but for nothing.
    const plan = audit({
      kerf: 0,
      endTrim: 0,
      stock: [{ item: '2x4', length: 100, cost: 0, quantity: 1 }],
      pieces: [50, 40, 30, 20].map((length) => ({
        id: `p${length}`,
        item: '2x4',
        length,
        quantity: length === 40 ? 2 : 1,
      })),
    });
    expect(plan.proved).toBe(false);
    expect(plan.uncut).toEqual({ length: 80, least: 80 });
    expect(plan.sticks[0]?.left).toBe(0);
    expect(plan.unplaced.every((u) => /not enough 2x4 in stock/.test(u.why))).toBe(true);
  });
  it('leaves out what is least urgent where stock runs short, of equal pieces as well', () => {
    const piece = (id: string, length: number, urgency?: number) => ({
      id,
      item: '2x4',
      length,
      quantity: 1,
      ...(urgency ? { urgency } : {}),
    });
    const plan = planSticks({
      kerf: 0,
      endTrim: 0,
      stock: [{ item: '2x4', length: 100, cost: 0, quantity: 1 }],
      // By length 60 and 40 fill it; 30, 30 and one 40 are wanted first.
      pieces: [
        piece('late', 60),
        piece('late too', 40),
        piece('now', 40, 5),
        piece('now a', 30, 5),
        piece('now b', 30, 5),
      ],
    });
    expect(plan.sticks[0]?.cuts.map((c) => c.id).sort()).toEqual(['now', 'now a', 'now b']);
    expect(plan.unplaced.map((u) => u.id).sort()).toEqual(['late', 'late too']);
    expect(plan.uncut).toEqual({ length: 100, least: 100 });
  });
  it('chooses among lengths by cost, as the MIP library does, for any small demand', () => {
    const arb = fc.record({
      pieces: fc.uniqueArray(
        fc.record({
          length: fc.integer({ min: 8 * 16, max: 95 * 16 }).map((n) => n / 16),
          quantity: fc.integer({ min: 1, max: 6 }),
        }),
        { minLength: 1, maxLength: 5, selector: (p) => p.length },
      ),
      kerf: fc.constantFrom(0, 0.125),
      costs: fc.tuple(
        fc.integer({ min: 300, max: 500 }),
        fc.integer({ min: 450, max: 700 }),
        fc.integer({ min: 550, max: 900 }),
      ),
      some: fc.constantFrom(null, null, 3),
    });
    let proved = 0;
    let runs = 0;
    fc.assert(
      fc.property(arb, ({ pieces, kerf, costs, some }) => {
        const demand: StickDemand = {
          kerf,
          endTrim: 0,
          stock: [
            unlimited('2x4', 96, costs[0]),
            unlimited('2x4', 120, costs[1]),
            { item: '2x4', length: 144, cost: costs[2], quantity: some },
          ],
          pieces: pieces.map((p, i) => ({ id: `p${i}`, item: '2x4', ...p })),
        };
        const plan = audit(demand);
        const best = judge(demand, '2x4');
        expect(plan.bound).toBeLessThanOrEqual(best);
        expect(plan.cost).toBeGreaterThanOrEqual(best);
        // Within one stick always, and never called proved unless it is.
        expect(plan.cost - best).toBeLessThanOrEqual(Math.max(...costs));
        if (plan.proved) expect(plan.cost).toBe(best);
        runs++;
        if (plan.cost === best) proved++;
      }),
      { numRuns: 120, seed: 3, endOnFailure: true },
    );
    expect(proved / runs).toBeGreaterThan(0.97);
  });
  it('refuses a demand it cannot read, naming the place', () => {
    expect(() => readDemand({ stock: [], pieces: [{ id: 'a', item: '2x4', length: -1, quantity: 1 }] })).toThrow(
      'pieces[0].length is -1; it must be a number over 0.',
    );
    expect(() => readDemand({ stock: [{ item: '2x4', length: 96, cost: 4.2 }], pieces: [] })).toThrow(
      'stock[0].cost is 4.2; it must be a whole number.',
    );
    expect(readDemand({ stock: [], pieces: [], effort: 2.5 }).effort).toBe(2.5);
    expect(() => readDemand({ stock: [], pieces: [], effort: -1 })).toThrow(/effort is -1/);
    expect(() => readDemand({ stock: [], pieces: [], effort: 1e6 })).toThrow(/600 seconds at most/);
    expect(() => readDemand({ stock: [], pieces: [], saw: 1 })).toThrow(/"saw", which does not belong/);
  });
});

/** True when a layout falls apart by straight cuts from edge to edge, down to single pieces. */
const isGuillotine = (places: SheetLayout['places']): boolean => {
  if (places.length <= 1) return true;
  for (const [low, size] of [
    ['x', 'length'],
    ['y', 'width'],
  ] as const) {
    for (const p of places) {
      const cut = p[low] + p[size];
      const before = places.filter((q) => q[low] + q[size] <= cut + 1e-6);
      const after = places.filter((q) => q[low] >= cut - 1e-6);
      if (before.length + after.length === places.length && after.length > 0)
        return isGuillotine(before) && isGuillotine(after);
    }
  }
  return false;
};

describe('planSheets', () => {
  const stock = [{ item: 'ply-1/2', length: 96, width: 48 }];
  const piece = fc.record({
    length: fc.integer({ min: 4, max: 90 }),
    width: fc.integer({ min: 4, max: 48 }),
    quantity: fc.integer({ min: 1, max: 3 }),
    grain: fc.boolean(),
  });
  it('never overlaps, stays on the sheet, keeps grain, and can be cut edge to edge, for any pieces', () => {
    fc.assert(
      fc.property(fc.array(piece, { minLength: 1, maxLength: 8 }), (list) => {
        const pieces = list.map((p, i) => ({ id: `${i}`, item: 'ply-1/2', ...p }));
        const plan = planSheets(stock, pieces);
        const placed = plan.sheets.flatMap((s) => s.places);
        expect(placed).toHaveLength(pieces.reduce((sum, p) => sum + p.quantity, 0));
        expect(plan.sheets.length).toBeGreaterThanOrEqual(plan.bound);
        for (const sheet of plan.sheets) {
          expect(isGuillotine(sheet.places)).toBe(true);
          for (const p of sheet.places) {
            expect(p.x + p.length).toBeLessThanOrEqual(96 + 1e-6);
            expect(p.y + p.width).toBeLessThanOrEqual(48 + 1e-6);
            if (pieces[Number(p.id)]?.grain) expect(p.turned).toBe(false);
          }
        }
      }),
      { numRuns: 150, seed: 5 },
    );
  });
  it('gets four 24 × 48 out of one sheet when kerf is nothing, three with a saw', () => {
    const pieces = [{ id: 'q', item: 'ply-1/2', length: 24, width: 48, quantity: 4, grain: false }];
    expect(planSheets(stock, pieces, 0).sheets).toHaveLength(1);
    expect(planSheets(stock, pieces).sheets).toHaveLength(2);
  });
  it('says why a piece cannot be had', () => {
    const plan = planSheets(stock, [{ id: 'wide', item: 'ply-1/2', length: 90, width: 50, quantity: 1, grain: true }]);
    expect(plan.unplaced[0]?.why).toMatch(/larger than any sheet of ply-1\/2, with its grain along the sheet/);
  });
});

describe('planRolls', () => {
  const rolls = [24, 36, 48].flatMap((width) =>
    [300, 600].map((length) => ({ item: 'm', width, length, cost: width * length })),
  );
  it('takes a 24 in roll for a 24 in face, uncut (common practice, no source)', () => {
    const plan = planRolls([{ id: 'side', item: 'm', width: 96, height: 24 }], rolls);
    expect(plan.strips[0]).toMatchObject({ roll: 24, strips: 1, exact: true });
  });
  it('laps strips by 2 in', () => {
    const plan = planRolls([{ id: 'side', item: 'm', width: 500, height: 70 }], rolls);
    const s = plan.strips[0];
    expect((s?.roll ?? 0) * (s?.strips ?? 0) - 2 * ((s?.strips ?? 0) - 1)).toBeGreaterThanOrEqual(70);
  });
});

describe('what is called proved', () => {
  const piece = (length: number, quantity: number) => ({ id: `p${length}`, item: '2x4', length, quantity });
  it('is no plan at $3.84 where three free sticks are enough', () => {
    const plan = planSticks({
      kerf: 0,
      endTrim: 0,
      stock: [
        { item: '2x4', length: 92, cost: 0, quantity: 3 },
        { item: '2x4', length: 96, cost: 384, quantity: null },
      ],
      pieces: [piece(32.9375, 3), piece(32.625, 1), piece(28.75, 4), piece(11.4375, 1)],
    });
    expect(plan.bound).toBe(0);
    expect(plan.proved).toBe(plan.cost === 0);
  });
  it.each([
    ['longer than any stick', [{ item: '2x4', length: 96, cost: 384, quantity: null }], [piece(120, 1), piece(48, 2)]],
    ['of no stock', [], [piece(48, 2)]],
    ['more than the stock holds', [{ item: '2x4', length: 96, cost: 384, quantity: 1 }], [piece(48, 3)]],
  ])('is no plan that leaves a piece out: %s', (_why, stock, pieces) => {
    const plan = planSticks({ kerf: 0.125, endTrim: 0, stock, pieces });
    expect(plan.unplaced.length).toBeGreaterThan(0);
    expect(plan.proved).toBe(false);
  });
  it('never lies about limited free stock: judged over every pattern', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 8, max: 50 }), fc.integer({ min: 1, max: 3 })), {
          minLength: 2,
          maxLength: 5,
        }),
        fc.integer({ min: 1, max: 3 }),
        (lengths, free) => {
          const demand = {
            kerf: 0,
            endTrim: 0,
            stock: [
              { item: '2x4', length: 92, cost: 0, quantity: free },
              { item: '2x4', length: 96, cost: 384, quantity: null },
            ],
            pieces: [...new Map(lengths).entries()].map(([l, q]) => piece(l, q)),
          };
          const plan = planSticks(demand);
          const least = judge(demand, '2x4');
          expect(plan.bound).toBeLessThanOrEqual(least);
          if (plan.proved) expect(plan.cost).toBe(least);
        },
      ),
      { numRuns: 60 },
    );
  });
});
