import { groupParts } from '../../../unit/index.ts';
import { planSticks } from '../../../cut/index.ts';
import { catalogueSticks, stickDemandOf } from '../../../takeoff/index.ts';
import { buildSpec, parseSpec } from '../../spec.ts';

// The steep-roof pen 48 in wide out of 8 ft sticks, worked out by hand: sides 24 high, peak 62.
const pen = buildSpec(
  parseSpec({ family: 'steep-roof-pen', params: { width: 48, length: 96, sideHeight: 24, peak: 62 } }),
);
const lines = groupParts(pen.parts)
  .map((g) => [g.part.role, g.part.item, Math.round(g.part.length * 1e4) / 1e4, g.quantity] as const)
  .filter(([, item]) => /^\dx\d/.test(item));

describe('steep-roof pen, 48 in wide', () => {
  it('has end pieces of 45 between the sides (handbook, common practice)', () => {
    expect(lines).toContainEqual(['rail', '2x4-pt', 45, 2]);
    expect(lines).toContainEqual(['rail', '2x4', 45, 1]);
  });
  it('has sides of two whole sticks each and four uprights of 24 less two rails of 3 1/2', () => {
    expect(lines).toContainEqual(['rail', '2x4-pt', 96, 2]);
    expect(lines).toContainEqual(['rail', '2x4', 96, 2]);
    // 92 1/2 between the outer uprights in bays of at most 32: three, so four uprights a side.
    expect(lines).toContainEqual(['upright', '2x4', 17, 8]);
  });
  it('has five pairs of notched rafters whose run is 24 5/8 from the ridge to an inch beyond the side', () => {
    // Rise by hand: the ridge's top is the peak. With f the rise per inch, a 2×3 is 2 1/2·√(1+f²) deep plumb, its seat a third of
    // that over f; 62 = 24 + f·(48 − seat − 24 3/8) + 2 1/2·√(1+f²).
    const top = (f: number): number => {
      const plumb = 2.5 * Math.hypot(1, f);
      return 24 + f * (48 - Math.min(1.5, plumb / 3 / f) - 24.375) + plumb;
    };
    let [low, high] = [0.5, 3];
    for (let i = 0; i < 60; i++)
      [low, high] = top((low + high) / 2) < 62 ? [(low + high) / 2, high] : [low, (low + high) / 2];
    const rafters = pen.parts.filter((p) => p.role === 'rafter');
    expect(rafters).toHaveLength(10);
    expect(rafters[0]?.shortPoint).toBeCloseTo(24.625 * Math.hypot(1, low), 4);
    expect(rafters[0]?.cuts.map((c) => c.angle)).toEqual([56, 56]);
    expect(rafters[0]?.notches).toHaveLength(1);
  });
  it('has a ridge, roosts between the sides, and doors that halve the width less a gap of 1/8', () => {
    expect(lines).toContainEqual(['ridge', '1x6', 96, 1]);
    expect(lines).toContainEqual(['roost', '2x4', 45, 2]);
    // Each leaf is 23 15/16; its rails stand between two stiles of 3 1/2.
    expect(lines).toContainEqual(['door', '1x4', 16.9375, 4]);
  });
  it('has a head and a lock stile to each leaf, cut to the roof', () => {
    const heads = pen.parts.filter((p) => p.id.endsWith('/head'));
    expect(heads.map((p) => Math.round(p.length * 100) / 100)).toEqual([41.73, 41.73]);
    // 20 7/16 of run at 56° and the mitre: 20.4375·√(1+f²) and 3 1/2·f for the long point.
    expect(heads[0]?.shortPoint).toBeCloseTo(20.4375 * Math.hypot(1, 1.4824), 1);
  });
  it('comes wholly out of 8 ft sticks', () => {
    const eightFoot = catalogueSticks().filter((s) => s.length === 96);
    const plan = planSticks(stickDemandOf(pen.parts, eightFoot));
    expect(plan.unplaced).toEqual([]);
    expect(plan.sticks.every((s) => s.length === 96)).toBe(true);
  });
});
