import fc from 'fast-check';
import { boundSheets, dualFeasible, leastSheets } from './boundSheets.ts';
import { planSheetDemand } from './planSheetDemand.ts';
import { readSheetDemand } from './readSheetDemand.ts';
import type { SheetDemand, SheetsPlan } from './types.ts';

const EPS = 1e-6;
interface Rect {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

/** Cuts a sheet as it is told to; every cut must go from edge to edge of something that lies there. */
const sawUp = (sheet: SheetsPlan['sheets'][number], kerf: number): Rect[] => {
  let rects: Rect[] = [{ x0: 0, y0: 0, x1: sheet.length, y1: sheet.width }];
  for (const c of sheet.cuts) {
    const along = c.along === 'length';
    const at = rects.findIndex((r) =>
      along
        ? Math.abs(r.x0 - c.from) < EPS && Math.abs(r.x1 - c.to) < EPS && r.y0 < c.at - EPS && r.y1 > c.at + EPS
        : Math.abs(r.y0 - c.from) < EPS && Math.abs(r.y1 - c.to) < EPS && r.x0 < c.at - EPS && r.x1 > c.at + EPS,
    );
    const r = rects[at];
    if (!r) throw new Error(`Nothing lies where ${JSON.stringify(c)} goes.`);
    const parts = along
      ? [
          { ...r, y1: c.at },
          { ...r, y0: c.at + kerf },
        ]
      : [
          { ...r, x1: c.at },
          { ...r, x0: c.at + kerf },
        ];
    rects = [...rects.slice(0, at), ...parts, ...rects.slice(at + 1)];
  }
  return rects;
};

const audit = (d: SheetDemand): SheetsPlan => {
  const plan = planSheetDemand(d);
  const count = new Map<string, number>();
  for (const sheet of plan.sheets) {
    const lying = sawUp(sheet, d.kerf);
    for (const p of sheet.pieces) {
      const wanted = d.pieces.find((w) => w.id === p.id);
      const straight =
        Math.abs(p.length - (wanted?.length ?? -1)) < EPS && Math.abs(p.width - (wanted?.width ?? -1)) < EPS;
      const turned =
        Math.abs(p.length - (wanted?.width ?? -1)) < EPS && Math.abs(p.width - (wanted?.length ?? -1)) < EPS;
      expect(straight || (turned && wanted?.grain === false)).toBe(true);
      // The saw leaves it lying there, just as it is.
      const free = lying.some(
        (r) =>
          Math.abs(r.x0 - p.x) < EPS &&
          Math.abs(r.y0 - p.y) < EPS &&
          Math.abs(r.x1 - p.x - p.length) < EPS &&
          Math.abs(r.y1 - p.y - p.width) < EPS,
      );
      expect(free).toBe(true);
      count.set(p.id, (count.get(p.id) ?? 0) + 1);
    }
    if (d.saw === 'table') {
      // Rips first; once it has turned, no rip goes along the whole sheet any more.
      const firstCross = sheet.cuts.findIndex((c) => c.along === 'width');
      const whole = sheet.cuts
        .map((c, i) => ({ c, i }))
        .filter(({ c }) => c.along === 'length' && c.from < EPS && c.to > sheet.length - EPS);
      expect(sheet.cuts.filter((c) => c.along === 'width').every((c) => c.to - c.from <= sheet.width + EPS)).toBe(true);
      if (firstCross >= 0 && whole.length > 0) expect(sheet.cuts[0]?.along).toBe('length');
    }
  }
  for (const p of d.pieces) {
    const missing = plan.unplaced.filter((u) => u.id === p.id).reduce((sum, u) => sum + u.quantity, 0);
    expect((count.get(p.id) ?? 0) + missing).toBe(p.quantity);
  }
  for (const k of d.stock)
    if (k.quantity !== null)
      expect(
        plan.sheets.filter(
          (s) => s.item === k.item && s.length === k.length && s.width === k.width && s.cost === k.cost,
        ).length,
      ).toBeLessThanOrEqual(
        d.stock
          .filter((o) => o.item === k.item && o.length === k.length && o.width === k.width && o.cost === k.cost)
          .reduce((n, o) => n + (o.quantity ?? Infinity), 0),
      );
  expect(plan.cost).toBe(plan.sheets.reduce((sum, s) => sum + s.cost, 0));
  if (plan.unplaced.length === 0) expect(plan.bound).toBeLessThanOrEqual(plan.cost);
  return plan;
};

const sheet = (cost = 3200, quantity: number | null = null) => ({ item: 'ply', length: 96, width: 48, cost, quantity });
const piece = (length: number, width: number, quantity = 1, grain = false) => ({
  id: `${length}x${width}${grain ? 'g' : ''}`,
  item: 'ply',
  length,
  width,
  quantity,
  grain,
});

describe('bounds', () => {
  it.each(dualFeasible().map((f, i) => [i, f] as const))(
    'function %i keeps what fits into a whole in a whole',
    (_, f) => {
      fc.assert(
        fc.property(fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 12 }), (parts) => {
          let left = 60;
          const fits = parts.filter((n) => (left >= n ? ((left -= n), true) : false));
          expect(fits.reduce((sum, n) => sum + f(n / 60), 0)).toBeLessThanOrEqual(1 + 1e-9);
        }),
      );
    },
  );
  it('sees that what is over a half each way shares no sheet', () => {
    expect(leastSheets(Array.from({ length: 5 }, () => ({ ways: [[0.51, 0.51]] as const })))).toBe(5);
    // By area they would be two.
    expect(
      boundSheets(
        [sheet()],
        Array.from({ length: 5 }, () => piece(50, 25)),
        0,
      ),
    ).toBe(5 * 3200);
  });
  it('is never over what a sheet gives that was cut up at will', () => {
    const cuts = fc.array(fc.tuple(fc.nat(40), fc.boolean(), fc.double({ min: 0.15, max: 0.85, noNaN: true })), {
      maxLength: 14,
    });
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 3 }), cuts, fc.constantFrom(0, 0.125), (sheets, how, kerf) => {
        let rects = Array.from({ length: sheets }, () => ({ l: 96, w: 48 }));
        for (const [which, along, at] of how) {
          const r = rects[which % rects.length] as { l: number; w: number };
          const a = Math.round((along ? r.w : r.l) * at * 16) / 16;
          if (a < 2 || (along ? r.w : r.l) - a - kerf < 2) continue;
          const parts = along
            ? [
                { l: r.l, w: a },
                { l: r.l, w: r.w - a - kerf },
              ]
            : [
                { l: a, w: r.w },
                { l: r.l - a - kerf, w: r.w },
              ];
          rects = [...rects.filter((o) => o !== r), ...parts];
        }
        const pieces = rects.map((r, i) => ({
          id: `p${i}`,
          item: 'ply',
          length: r.l,
          width: r.w,
          quantity: 1,
          grain: i % 2 === 0,
        }));
        expect(boundSheets([sheet()], pieces, kerf)).toBeLessThanOrEqual(sheets * 3200);
        const plan = audit({ kerf, saw: 'track', stock: [sheet()], pieces });
        // What came out of so many sheets is found to go into one more at most.
        expect(plan.sheets.length).toBeLessThanOrEqual(sheets + 1);
      }),
      { numRuns: 40 },
    );
  });
});

describe('a plan of sheets', () => {
  const demand = fc.record({
    kerf: fc.constantFrom(0, 0.125, 0.1875),
    saw: fc.constantFrom('track', 'table'),
    stock: fc.constantFrom(
      [sheet()],
      [sheet(), { ...sheet(4100), length: 120 }],
      [sheet(), { item: 'ply', length: 40, width: 30, cost: 0, quantity: 2 }],
      [sheet(3200, 2)],
    ),
    pieces: fc
      .uniqueArray(
        fc.record({
          length: fc.integer({ min: 3 * 8, max: 96 * 8 }).map((n) => n / 8),
          width: fc.integer({ min: 3 * 8, max: 48 * 8 }).map((n) => n / 8),
          quantity: fc.integer({ min: 1, max: 5 }),
          grain: fc.boolean(),
        }),
        { minLength: 1, maxLength: 6, selector: (p) => `${p.length}|${p.width}|${p.grain}` },
      )
      .map((list) => list.map((p, i) => ({ ...p, id: `p${i}`, item: 'ply' }))),
  });
  it('is cut by the saw as it says, keeps the grain and accounts for every piece and sheet', () => {
    fc.assert(
      fc.property(demand, (d) => void audit(d as SheetDemand)),
      { numRuns: 60 },
    );
  });
  it('halves and quarters a sheet with what the saw takes, and proves it', () => {
    const eighth = { kerf: 0, saw: 'track' as const, stock: [sheet()] };
    expect(audit({ ...eighth, pieces: [piece(48, 24, 8, true)] })).toMatchObject({
      cost: 6400,
      bound: 6400,
      proved: true,
    });
    expect(audit({ ...eighth, saw: 'table', pieces: [piece(48, 24, 8, true)] })).toMatchObject({
      cost: 6400,
      proved: true,
    });
    // With a kerf two of 48 come out of no 96.
    expect(audit({ ...eighth, kerf: 0.125, pieces: [piece(48, 47, 2, true)] }).sheets).toHaveLength(2);
    expect(audit({ ...eighth, kerf: 0.125, pieces: [piece(47.9375, 47, 2, true)] }).sheets).toHaveLength(1);
  });
  it('takes an offcut that costs nothing before a sheet, and the size that costs less', () => {
    const offcut = { item: 'ply', length: 30, width: 20, cost: 0, quantity: 1 };
    expect(audit({ kerf: 0.125, saw: 'track', stock: [sheet(), offcut], pieces: [piece(30, 20)] }).cost).toBe(0);
    const long = { ...sheet(3900), length: 120 };
    expect(
      audit({ kerf: 0.125, saw: 'track', stock: [sheet(), long], pieces: [piece(118, 47)] }).sheets[0]?.length,
    ).toBe(120);
  });
  it('says what cannot be cut and why', () => {
    const plan = audit({
      kerf: 0.125,
      saw: 'track',
      stock: [sheet(3200, 1)],
      pieces: [piece(100, 20), piece(40, 90, 1, true), piece(90, 40, 2), { ...piece(5, 5), id: 'foam', item: 'foam' }],
    });
    expect(plan.unplaced.map((u) => [u.id, u.quantity])).toEqual([
      ['100x20', 1],
      ['40x90g', 1],
      ['90x40', 1],
      ['foam', 1],
    ]);
    expect(plan.unplaced[1]?.why).toMatch(/40 × 90 in it is larger than any sheet of ply, with its grain/);
    expect(plan.unplaced[2]?.why).toMatch(/not enough ply/);
    expect(plan.proved).toBe(false);
  });
  it('is the same every time', () => {
    fc.assert(
      fc.property(demand, (d) => expect(planSheetDemand(d as SheetDemand)).toEqual(planSheetDemand(d as SheetDemand))),
      { numRuns: 8 },
    );
  });
});

describe('reading a sheet demand', () => {
  const good = {
    stock: [{ item: 'ply', length: 96, width: 48, cost: 3200 }],
    pieces: [{ id: 'a', item: 'ply', length: 20, width: 10 }],
  };
  it('fills in what is usual', () => {
    expect(readSheetDemand(good)).toEqual({
      kerf: 0.125,
      saw: 'track',
      stock: [{ item: 'ply', length: 96, width: 48, cost: 3200, quantity: null }],
      pieces: [{ id: 'a', item: 'ply', length: 20, width: 10, quantity: 1, grain: false }],
    });
  });
  it.each([
    [{ ...good, saw: 'jig' }, /saw is "jig"; it must be "track" or "table"/],
    [
      { ...good, pieces: [{ id: 'a', item: 'ply', length: 0, width: 10 }] },
      /pieces\[0\]\.length is 0; it must be a number over 0/,
    ],
    [
      { ...good, pieces: [{ ...good.pieces[0], grain: 'yes' }] },
      /pieces\[0\]\.grain is "yes"; it must be true or false/,
    ],
    [{ ...good, pieces: [good.pieces[0], good.pieces[0]] }, /the id "a" twice/],
    [
      { ...good, stock: [{ item: 'ply', length: 96, width: 48, cost: 1.5 }] },
      /stock\[0\]\.cost is 1\.5; it must be a whole number/,
    ],
    [{ ...good, blade: 1 }, /"blade", which does not belong there; it has kerf, saw, stock, pieces/],
    [[], /A demand must be an object/],
  ])('%j says what, where and how to mend it', (given, words) => {
    expect(() => readSheetDemand(given)).toThrow(words);
  });
});
