import fc from 'fast-check';
import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import { layFoundation, planFoundation } from './index.ts';
import type { Survey } from './index.ts';

const surveyOf = (rods: readonly number[], build: ReturnType<typeof buildSpec>): Survey => {
  const [x0, y0, x1, y1] = build.facts.base;
  const [long, deep] = [x1 - x0, y1 - y0];
  const places = [
    [0, 0],
    [long, 0],
    [long, deep],
    [0, deep],
  ] as const;
  return {
    lift: 1,
    pads: places.map(([x, y], i) => ({ id: `p${i}`, name: `place ${i + 1}`, x, y, rod: rods[i] as number })),
  };
};

describe.each(FAMILIES.map((f) => f.key))('the foundation of a %s as it is drawn', (family) => {
  const build = buildSpec(parseSpec({ family }));
  it('has every block, paver and shim that is planned, stacked from what is dug up to what it carries', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 40, max: 62 }), { minLength: 4, maxLength: 4 }), (rods) => {
        const survey = surveyOf(rods, build);
        const plan = planFoundation(build, survey);
        const { solids } = layFoundation(build, plan, survey);
        const count = (kind: string): number => solids.filter((s) => s.kind === kind).length;
        const sum = (f: (s: (typeof plan.supports)[number]) => number): number =>
          plan.supports.reduce((n, s) => n + f(s), 0);
        expect([count('block'), count('paver'), count('shim')]).toEqual([
          sum((s) => s.blocks),
          sum((s) => s.pavers),
          plan.supports.filter((s) => s.shims > 0).length,
        ]);
        for (const s of plan.supports) {
          const mine = solids.filter(
            (b) =>
              b.low[0] <= s.x &&
              s.x <= b.high[0] &&
              b.low[1] <= s.y &&
              s.y <= b.high[1] &&
              !['slab', 'ring'].includes(b.kind),
          );
          const low = Math.min(...mine.map((b) => b.low[2]));
          const high = Math.max(...mine.map((b) => b.high[2]));
          expect(low).toBeCloseTo(s.ground - s.dig, 6);
          // Shims take up what courses and pavers leave, to a sixteenth or what a shim is.
          expect(Math.abs(high - (s.ground + s.height))).toBeLessThanOrEqual(0.26);
        }
      }),
      { numRuns: 12 },
    );
  });
  it('lies on ground that passes through what was read', () => {
    const rods = [50, 52, 55, 51];
    const survey = surveyOf(rods, build);
    const { ground } = layFoundation(build, planFoundation(build, survey), survey);
    expect(ground.z).toHaveLength(ground.y.length);
    const all = ground.z.flat();
    // The highest place lies an inch under the unit, as it is lifted.
    expect(Math.max(...all)).toBeLessThan(6);
    expect(Math.min(...all)).toBeGreaterThan(-16);
    for (const row of ground.z) expect(row).toHaveLength(ground.x.length);
  });
});

describe('concrete', () => {
  it('of a slab is as large as its plan, its top where the walls come down', () => {
    const build = buildSpec(parseSpec({ family: 'walk-in', params: { foundation: 'slab' } }));
    const plan = planFoundation(build);
    const slab = layFoundation(build, plan).solids.find((s) => s.kind === 'slab');
    const c = plan.concrete.find((x) => x.kind === 'slab');
    expect([(slab?.high[0] ?? 0) - (slab?.low[0] ?? 0), (slab?.high[1] ?? 0) - (slab?.low[1] ?? 0)]).toEqual([
      c?.length,
      c?.width,
    ]);
    expect((slab?.high[2] ?? 0) - (slab?.low[2] ?? 0)).toBe(c?.depth);
    const sole = build.parts.filter((p) => p.role === 'plate').map((p) => p.place.origin[2]);
    expect(slab?.high[2]).toBeCloseTo(Math.min(...sole), 1);
  });
});
