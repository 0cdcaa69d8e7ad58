import fc from 'fast-check';
import { judgeStrips } from '../../../testing/judgeStrips.ts';
import { planSheetDemand } from './planSheetDemand.ts';
import { planStrips } from './planStrips.ts';
import type { OnePiece } from './fillSheets.ts';
import type { SheetKind } from './types.ts';

const SHEET: SheetKind = { item: 'ply', length: 96, width: 48, cost: 3200, quantity: null };
const one = (length: number, width: number, id = 'p'): OnePiece => ({ id, length, width, grain: true });
const many = (n: number, length: number, width: number): OnePiece[] =>
  Array.from({ length: n }, (_, k) => one(length, width, `${length}x${width}/${k}`));

/** A plan that holds all of them, a sheet each. */
const singly = (ones: readonly OnePiece[]) =>
  ones.map((p) => ({
    kind: 0,
    pieces: [{ id: p.id, x: 0, y: 0, length: p.length, width: p.width }],
    wanted: [p],
    cuts: [],
  }));

describe('sheets in strips', () => {
  it('knows that a table saw cannot cut a pinwheel', () => {
    // 60 × 20 and 36 × 28, two of each, lie round a hole on one sheet; in strips a 60 and a 36 share one 28 wide, 20 more hold
    // one 60 again. So x sheets of (36, 36, 60), y of (60, 36, 60), z of (60, 60): 2x + y ≥ 6 and x + 2y + 2z ≥ 6 take 4.
    const ones = [...many(6, 60, 20), ...many(6, 36, 28)];
    const plan = planStrips([SHEET], ones, 0, singly(ones), 0);
    expect(plan.bound).toBe(4 * 3200);
    expect(plan.sheets).toHaveLength(4);
    const whole = planSheetDemand({
      kerf: 0,
      saw: 'table',
      stock: [SHEET],
      pieces: [
        { id: 'a', item: 'ply', length: 60, width: 20, quantity: 6, grain: true },
        { id: 'b', item: 'ply', length: 36, width: 28, quantity: 6, grain: true },
      ],
    });
    expect(whole).toMatchObject({ cost: 4 * 3200, bound: 4 * 3200, proved: true });
  });
  it('never bounds above what an exact model finds, and proves only what it finds as well', async () => {
    const demands = fc.sample(
      fc.record({
        kerf: fc.constantFrom(0, 0.125),
        pieces: fc.array(
          fc.record({
            length: fc.integer({ min: 20 * 4, max: 90 * 4 }).map((n) => n / 4),
            width: fc.oneof(
              fc.integer({ min: 8 * 4, max: 40 * 4 }).map((n) => n / 4),
              // What is no whole 64th bounds as truly.
              fc.integer({ min: 8, max: 30 }).map((n) => n * Math.SQRT2),
            ),
          }),
          { minLength: 4, maxLength: 9 },
        ),
      }),
      { numRuns: 25, seed: 11 },
    );
    let proved = 0;
    for (const { kerf, pieces } of demands) {
      const least = await judgeStrips(SHEET, pieces, kerf);
      const ones = pieces.map((p, k) => one(p.length, p.width, String(k)));
      const { bound } = planStrips([SHEET], ones, kerf, singly(ones), 0);
      expect(bound).toBeLessThanOrEqual(least * 3200);
      const plan = planSheetDemand({
        kerf,
        saw: 'table',
        stock: [SHEET],
        pieces: pieces.map((p, k) => ({ ...p, id: String(k), item: 'ply', quantity: 1, grain: true })),
      });
      expect(plan.sheets.length).toBeGreaterThanOrEqual(least);
      expect(plan.sheets.length).toBeLessThanOrEqual(least + 1);
      if (plan.proved) expect(plan.sheets).toHaveLength(least);
      if (plan.proved) proved++;
    }
    expect(proved).toBeGreaterThanOrEqual(20);
  });
  it('puts every piece that it was given on some sheet, once, within its edges', () => {
    const ones = [...many(7, 41.5, 13.25), ...many(5, 22, 9 * Math.SQRT2), ...many(3, 88, 30)];
    const { sheets } = planStrips([SHEET], ones, 0.125, singly(ones), 0);
    const put = (sheets ?? []).flatMap((s) => s.pieces);
    expect(put.map((p) => p.id).sort()).toEqual(ones.map((p) => p.id).sort());
    for (const p of put) {
      expect(p.x + p.length).toBeLessThanOrEqual(96 + 1e-6);
      expect(p.y + p.width).toBeLessThanOrEqual(48 + 1e-6);
    }
  });
});
