import { findLumber } from '../stock/index.ts';
import { findStickSources } from './findSources.ts';
import { planSaw } from './planSaw.ts';
import { ripsOf } from './ripSources.ts';
import { SAW_RULES } from './types.ts';
import type { SawPiece } from './types.ts';

const pieces = (item: string, lengths: readonly number[]): SawPiece[] =>
  lengths.map((length, k) => ({
    item,
    length,
    parts: [{ order: 1, part: `p${k}`, mark: `P${k}`, panel: 'Run', item, length }],
  }));
const rules = { ...SAW_RULES, stopMove: 0 };

describe('narrow sticks from wider ones', () => {
  it('come two from a 2×4 and three from a 2×6, with a strip left beside them', () => {
    // 1½ + ⅛ + 1½ = 3⅛ of 3½; three take 4¾ of 5½.
    expect(ripsOf(findLumber('2x2'), findLumber('2x4'), 0.125)).toEqual({ parts: 2, passes: 2 });
    expect(ripsOf(findLumber('2x2'), findLumber('2x6'), 0.125)).toEqual({ parts: 3, passes: 3 });
  });
  it('are of the same wood, and only those that carry nothing', () => {
    expect(ripsOf(findLumber('1x2'), findLumber('2x4'), 0.125).parts).toBe(0);
    expect(ripsOf(findLumber('1x2-pt'), findLumber('1x4'), 0.125).parts).toBe(0);
    // A 2×3 out of a 2×6 has no grade any more.
    expect(ripsOf(findLumber('2x3'), findLumber('2x6'), 0.125).parts).toBe(0);
  });
  it('are ripped where that is cheaper, the work counted', () => {
    // Four of 90 in: bought 4 × 2.72 = 10.88; from two 2×4 at 4.16 with two passes of 45 c each, 2.53 a stick: 10.12.
    const four = pieces('2x2', [90, 90, 90, 90]);
    const plan = planSaw(four, findStickSources([], rules), rules);
    expect(plan.cost).toBe(4 * 253);
    expect(plan.rips).toEqual([
      { item: '2x4', length: 96, stock: null, gives: { item: '2x2', parts: 2 } },
      { item: '2x4', length: 96, stock: null, gives: { item: '2x2', parts: 2 } },
    ]);
    expect(plan.sticks.every((s) => s.ripped === true && s.stock === null)).toBe(true);
    // With a dollar a pass it is 3.08 a stick: they are bought.
    const dear = { ...rules, ripPass: 100 };
    const bought = planSaw(four, findStickSources([], dear), dear);
    expect([bought.cost, bought.rips.length]).toEqual([4 * 272, 0]);
  });
  it('an odd one leaves its twin for the rack', () => {
    const plan = planSaw(pieces('2x2', [90, 90, 90]), findStickSources([], rules), rules);
    expect([plan.sticks.length, plan.rips.length]).toEqual([3, 2]);
  });
  it('take of the rack only what wide parts leave', () => {
    const line = { id: 9, item: '2x4', length: 96, width: null, mark: '', free: 2 };
    const all = [...pieces('2x4', [95, 95]), ...pieces('2x2', [90, 90])];
    const plan = planSaw(all, findStickSources([line], rules), rules);
    const from = [...plan.sticks, ...plan.rips].filter((s) => s.stock === 9);
    expect(from).toHaveLength(2);
    expect(plan.sticks.filter((s) => s.item === '2x4').every((s) => s.stock === 9)).toBe(true);
    expect(plan.rips.every((r) => r.stock === null)).toBe(true);
  });
});
