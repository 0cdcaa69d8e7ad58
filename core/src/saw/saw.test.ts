import fc from 'fast-check';
import { judgeSticks } from '../../testing/judgeSticks.ts';
import { withItems } from '../stock/index.ts';
import { addUp } from './addUp.ts';
import { countStops, orderCuts } from './orderCuts.ts';
import { findSheetSources, findStickSources } from './findSources.ts';
import { netNeeds } from './netNeeds.ts';
import { planSaw } from './planSaw.ts';
import { planSawSheets } from './planSawSheets.ts';
import { ripTogether } from './ripTogether.ts';
import { SAW_RULES } from './types.ts';
import type { SawPart } from './types.ts';
import { worthOf } from './worthOf.ts';

const part = (order: number, mark: string, length: number, more: Partial<SawPart> = {}): SawPart => ({
  order,
  part: `${mark}/${length}/${more.rip ?? ''}`,
  mark,
  panel: 'front wall',
  item: '2x4',
  length,
  ...more,
});

/** Lengths as a shop has them, in sixteenths. */
const lengths = fc.array(
  fc.record({ sixteenths: fc.integer({ min: 4 * 16, max: 92 * 16 }), order: fc.integer({ min: 1, max: 3 }) }),
  { minLength: 1, maxLength: 24 },
);
const partsOf = (list: readonly { sixteenths: number; order: number }[]): SawPart[] =>
  list.map((l, i) => ({ ...part(l.order, `A${i}`, l.sixteenths / 16), part: `p${i}` }));

describe('a batch at the saw', () => {
  const rack = [
    { id: 1, item: '2x4', length: 41.5, width: null, mark: 'R1', free: 1 },
    { id: 2, item: '2x4', length: 60, width: null, mark: 'R2', free: 1 },
    { id: 3, item: '2x4', length: 96, width: null, mark: '', free: 4 },
  ];

  it('cuts every part once, from sticks that hold them, and no more of a line than there is', () => {
    fc.assert(
      fc.property(lengths, (list) => {
        const parts = partsOf(list);
        const plan = planSaw(ripTogether(parts, SAW_RULES.kerf), findStickSources(rack, SAW_RULES), SAW_RULES, 'quick');
        expect(plan.unplaced).toEqual([]);
        const cut = plan.sticks.flatMap((s) => s.cuts.flatMap((c) => c.parts.map((p) => p.part)));
        expect([...cut].sort()).toEqual(parts.map((p) => p.part).sort());
        for (const s of plan.sticks) {
          const used = s.cuts.reduce((n, c) => n + c.length, 0) + (s.cuts.length - 1) * SAW_RULES.kerf;
          expect(used).toBeLessThanOrEqual(s.length + 1e-9);
          // What is left is what is left: pieces, kerfs and rest are the stick, to the last 1/64.
          const rest = Math.max(0, s.length - used - SAW_RULES.kerf);
          expect(s.left).toBeCloseTo(rest, 6);
        }
        for (const r of rack) expect(plan.sticks.filter((s) => s.stock === r.id).length).toBeLessThanOrEqual(r.free);
      }),
      { numRuns: 40, seed: 21 },
    );
  });

  it('costs no more wood than the judge allows, with the settings of the stop counted', () => {
    const parts = partsOf([
      { sixteenths: 92 * 16, order: 1 },
      { sixteenths: 48 * 16, order: 1 },
      { sixteenths: 47 * 16, order: 2 },
      { sixteenths: 30 * 16, order: 2 },
      { sixteenths: 30 * 16, order: 3 },
      { sixteenths: 30 * 16, order: 3 },
    ]);
    const plan = planSaw(ripTogether(parts, 0.125), findStickSources([], SAW_RULES), {
      ...SAW_RULES,
      stopMove: 0,
      restWorth: 0,
    });
    // By hand: 92 alone; 48 and 47 with a kerf are 95 1/8; three of 30 with two kerfs are 90 1/4: three sticks of 8 ft at $4.16.
    expect(plan.sticks.map((s) => s.length)).toEqual([96, 96, 96]);
    expect(plan.cost).toBe(3 * 416);
    expect(plan.proved).toBe(true);
    // 92 | 48 47 | 30: the stop is set four times.
    expect(plan.moves).toBe(4);
  });

  it('takes the offcut that nothing is paid for before anything is bought, the oldest of equal ones first', () => {
    const twins = [
      { id: 8, item: '2x4', length: 40, width: null, mark: 'R8', free: 1 },
      { id: 5, item: '2x4', length: 40, width: null, mark: 'R5', free: 1 },
    ];
    const plan = planSaw(ripTogether([part(1, 'A', 38)], 0.125), findStickSources(twins, SAW_RULES), SAW_RULES);
    expect(plan.cost).toBe(0);
    // They stand in the order in which they came to the rack.
    expect(plan.sticks[0]?.stock).toBe(8);
  });

  it('says what it cannot cut, and why', () => {
    const plan = planSaw(ripTogether([part(4, 'B', 200)], 0.125), findStickSources([], SAW_RULES), SAW_RULES);
    expect(plan.unplaced).toHaveLength(1);
    expect(plan.unplaced[0]?.part.order).toBe(4);
    expect(plan.unplaced[0]?.why).toMatch(/longer than the longest 2x4, 192 in/);
    expect(plan.proved).toBe(false);
  });

  it('cuts from the lengths that the shop carries and from no others', () => {
    const carried = {
      '2x4': {
        lengths: [
          { length: 120, cost: 520 },
          { length: 144, cost: 624 },
        ],
      },
    };
    withItems(carried, () => {
      const plan = planSaw(
        ripTogether(partsOf([{ sixteenths: 90 * 16, order: 1 }]), 0.125),
        findStickSources([], SAW_RULES),
        SAW_RULES,
      );
      expect(plan.sticks.map((s) => [s.length, s.cost])).toEqual([[120, 520]]);
    });
  });

  it('lets an end trim go from every stick', () => {
    const plan = planSaw(ripTogether([part(1, 'A', 95)], 0.125), findStickSources([], SAW_RULES), {
      ...SAW_RULES,
      endTrim: 2,
    });
    expect(plan.sticks[0]?.length).toBe(120);
    expect(plan.sticks[0]?.left).toBeCloseTo(120 - 2 - 95 - 0.125, 6);
  });
});

describe('parts ripped from one piece', () => {
  it('shares a piece between marks and lengths that lie beside each other in its width', () => {
    const parts = [
      part(1, 'R1', 60, { rip: 1.5, item: '2x4' }),
      part(2, 'R2', 44, { rip: 1.75, item: '2x4' }),
      part(2, 'S', 50),
    ];
    const pieces = ripTogether(parts, 0.125);
    // 1 1/2 + 1/8 + 1 3/4 = 3 3/8 of 3 1/2: one piece as long as the longer of them.
    expect(pieces.map((p) => [p.length, p.parts.map((x) => x.mark)])).toEqual([
      [50, ['S']],
      [60, ['R1', 'R2']],
    ]);
  });

  it('keeps the strip that is wide enough', () => {
    expect(ripTogether([part(1, 'R', 60, { rip: 1.5, item: '2x4' })], 0.125)[0]?.strip).toBeCloseTo(1.875, 9);
    expect(ripTogether([part(1, 'R', 60, { rip: 2.25, item: '2x4' })], 0.125)[0]?.strip).toBeUndefined();
  });

  it('never lays more into a piece than its width and length hold', () => {
    const rips = fc.array(
      fc.record({ rip: fc.integer({ min: 8, max: 52 }), length: fc.integer({ min: 12, max: 90 }) }),
      { maxLength: 20 },
    );
    fc.assert(
      fc.property(rips, (list) => {
        const parts = list.map((l, i) => part(1, `R${i}`, l.length, { rip: l.rip / 16 }));
        const pieces = ripTogether(parts, 0.125);
        expect(pieces.flatMap((p) => p.parts)).toHaveLength(parts.length);
        for (const p of pieces) {
          const wide = p.parts.reduce((n, x) => n + (x.rip ?? 0), 0) + (p.parts.length - 1) * 0.125;
          expect(wide).toBeLessThanOrEqual(3.5 + 1e-9);
          expect(Math.max(...p.parts.map((x) => x.length))).toBe(p.length);
        }
      }),
      { numRuns: 60, seed: 4 },
    );
  });
});

describe('the order of cuts', () => {
  const stick = (...cuts: number[]) => ({ length: 96, cuts: cuts.map((length) => ({ length })) });

  it('counts a setting of the stop for every length that is not the one before', () => {
    expect(countStops([40, 40, 30, 40])).toBe(3);
    expect(countStops([])).toBe(0);
  });

  it('stacks equal sticks and hands the stop on', () => {
    const sticks = [stick(50, 40), stick(40, 30), stick(50, 40), stick(30, 30, 30)];
    const stacks = orderCuts(sticks, 2);
    expect(stacks.map((s) => s.sticks.length)).toEqual([2, 1, 1]);
    // 50 40 | 40 30 | 30: three settings for four sticks.
    expect(countStops(stacks.flatMap((s) => s.stops))).toBe(3);
  });

  it('sets the stop no more often than stick by stick, and cuts every length that there is', () => {
    const any = fc.array(fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 5 }), {
      minLength: 1,
      maxLength: 25,
    });
    fc.assert(
      fc.property(any, (list) => {
        const sticks = list.map((l) => stick(...l));
        const stacks = orderCuts(sticks, 2);
        expect(stacks.flatMap((s) => s.sticks)).toHaveLength(sticks.length);
        for (const s of stacks)
          for (const one of s.sticks) expect(new Set(one.cuts.map((c) => c.length))).toEqual(new Set(s.stops));
        const moves = countStops(stacks.flatMap((s) => s.stops));
        const one = countStops(sticks.flatMap((s) => [...s.cuts].map((c) => c.length).sort((a, b) => b - a)));
        expect(moves).toBeLessThanOrEqual(
          Math.max(
            one,
            sticks.reduce((n, s) => n + new Set(s.cuts.map((c) => c.length)).size, 0),
          ),
        );
        expect(moves).toBeGreaterThanOrEqual(new Set(list.flat()).size);
      }),
      { numRuns: 80, seed: 9 },
    );
  });
});

describe('what a remainder is worth', () => {
  it('is nothing as firewood, and more in one than in two', () => {
    expect(worthOf(11, 4, SAW_RULES)).toBe(0);
    expect(worthOf(48, 4, SAW_RULES)).toBe(96);
    expect(worthOf(40, 4, SAW_RULES)).toBeGreaterThan(2 * worthOf(20, 4, SAW_RULES));
  });
});

describe('sheets of a batch', () => {
  it('takes an offcut of a sheet that is large enough, and gives back what is worth keeping', () => {
    const wanted = { ...part(1, 'F1', 40, { item: 'ply-1/2' }), width: 20 };
    const plan = planSawSheets(
      [wanted],
      findSheetSources([{ id: 7, item: 'ply-1/2', length: 60, width: 24, mark: 'R7', free: 1 }]),
      { kerf: 0.125, saw: 'track' },
    );
    expect(plan.sheets[0]?.stock).toBe(7);
    expect(plan.cost).toBe(0);
    const whole = planSawSheets([wanted], findSheetSources([]), { kerf: 0.125, saw: 'track' });
    // Two cuts leave an L in two rectangles: 56 in less a kerf beside it, 28 in less a kerf along it.
    const area = (whole.sheets[0]?.rests ?? []).reduce((n, r) => n + r.length * r.width, 0);
    expect(area).toBeGreaterThan(3600);
    expect(area).toBeLessThan(96 * 48 - 40 * 20);
  });

  it('lays every piece once, and its rests beside it', () => {
    const any = fc.array(
      fc.record({ length: fc.integer({ min: 6, max: 90 }), width: fc.integer({ min: 6, max: 44 }) }),
      { minLength: 1, maxLength: 14 },
    );
    fc.assert(
      fc.property(any, fc.constantFrom('track' as const, 'table' as const), (list, saw) => {
        const parts = list.map((l, i) => ({
          ...part(1, `F${i}`, l.length, { item: 'ply-1/2' }),
          part: `f${i}`,
          width: l.width,
        }));
        const plan = planSawSheets(parts, findSheetSources([]), { kerf: 0.125, saw });
        expect(plan.sheets.flatMap((s) => s.pieces.map((p) => p.part.part)).sort()).toEqual(
          parts.map((p) => p.part).sort(),
        );
        for (const s of plan.sheets) {
          const used = [...s.pieces, ...s.rests].reduce((n, p) => n + p.length * p.width, 0);
          expect(used).toBeLessThanOrEqual(s.length * s.width + 1e-6);
        }
      }),
      { numRuns: 30, seed: 2 },
    );
  });
});

describe('what is to be bought', () => {
  const rules = { packOf: (i: string) => (i === 'screw-3' ? 50 : 1), leastOf: (i: string) => (i === 'hinge' ? 10 : 0) };
  const want = (item: string, quantity: number, order: number, by: string) => ({
    item,
    length: null,
    width: null,
    quantity,
    order,
    by,
  });
  it('is what is wanted, less what is there, less what comes, in whole packs', () => {
    const [screws] = netNeeds(
      [want('screw-3', 130, 2, '2026-05-04'), want('screw-3', 60, 1, '2026-05-01')],
      [{ item: 'screw-3', length: null, width: null, quantity: 40 }],
      [{ item: 'screw-3', length: null, width: null, quantity: 50 }],
      rules,
    );
    // 190 − 40 − 50 = 100: two packs of 50.
    expect(screws).toMatchObject({ wanted: 190, onRack: 40, onOrder: 50, buy: 100, by: '2026-05-01', orders: [1, 2] });
  });
  it('keeps the least that is to be there', () => {
    const there = [{ item: 'hinge', length: null, width: null, quantity: 6 }];
    expect(netNeeds([], there, [], rules)).toEqual([
      expect.objectContaining({ item: 'hinge', wanted: 0, buy: 4, by: null }),
    ]);
  });
});

it('is judged against an exact solver', async () => {
  const parts = partsOf([61, 33, 33, 47, 29, 18, 18, 72].map((l, i) => ({ sixteenths: l * 16, order: (i % 2) + 1 })));
  const plan = planSaw(ripTogether(parts, 0.125), findStickSources([], SAW_RULES), {
    ...SAW_RULES,
    stopMove: 0,
    restWorth: 0,
  });
  // In 1/64 in, a kerf with every piece and one more with the stick.
  const ticks = parts.map((p) => p.length * 64 + 8);
  const exact = await judgeSticks({
    sizes: ticks,
    demand: ticks.map(() => 1),
    penalties: ticks.map(() => 1_000_000),
    stocks: findStickSources([], SAW_RULES)
      .filter((s) => s.item === '2x4')
      .map((s) => ({ capacity: s.length * 64 + 8, cost: s.cost, quantity: null })),
  });
  expect(plan.cost).toBe(exact);
});

describe('where a stick went', () => {
  it('adds up, by hand: 92 in of pieces and two kerfs out of 96, the rest scrap', () => {
    const stick = {
      kind: 'stick' as const,
      length: 96,
      width: null,
      pieces: [
        { length: 60, state: 'cut' },
        { length: 32, state: 'spoiled' },
      ],
      rests: [],
    };
    expect(addUp(stick, 0.125)).toEqual({ taken: 96, pieces: 60, returned: 0, kerf: 0.25, spoiled: 32, scrap: 3.75 });
  });
  it('adds up for anything that was cut', () => {
    const piece = fc.record({
      length: fc.integer({ min: 1, max: 20 }),
      width: fc.integer({ min: 1, max: 9 }),
      state: fc.constantFrom('cut', 'spoiled'),
    });
    fc.assert(
      fc.property(fc.array(piece, { minLength: 1, maxLength: 4 }), fc.boolean(), (pieces, sheet) => {
        const went = addUp(
          {
            kind: sheet ? 'sheet' : 'stick',
            length: 96,
            width: sheet ? 48 : null,
            pieces,
            rests: [{ length: 10, ...(sheet ? { width: 4 } : {}) }],
          },
          0.125,
        );
        const parts = went.pieces + went.returned + went.kerf + went.spoiled + went.scrap;
        expect(parts).toBeCloseTo(went.taken, 6);
        expect(Math.min(...Object.values(went))).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 80, seed: 3 },
    );
  });
});
