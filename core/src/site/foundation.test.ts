import fc from 'fast-check';
import { FAMILIES, buildSpec, parseSpec } from '../model/index.ts';
import { findPiece } from '../stock/index.ts';
import type { ParamValue } from '../unit/index.ts';
import { findBearings } from './findBearings.ts';
import { drawnGround, surveyedGround } from './ground.ts';
import { planFoundation } from './planFoundation.ts';
import { PAD_RULES } from './planPads.ts';
import { readSurvey } from './readSurvey.ts';

const build = (family: string, params: Record<string, ParamValue> = {}) => buildSpec(parseSpec({ family, params }));
const surveyOf = (base: readonly number[], rods: readonly number[], lift = 0) => {
  const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = base;
  const at = [
    [0, 0],
    [x1 - x0, 0],
    [x1 - x0, y1 - y0],
    [0, y1 - y0],
  ];
  return readSurvey({ lift, pads: rods.map((rod, i) => ({ id: `p${i}`, x: at[i]?.[0], y: at[i]?.[1], rod })) });
};

describe('the ground between readings', () => {
  it('passes through every reading, the highest lying under the unit by the lift', () => {
    const ground = surveyedGround(surveyOf([10, 5, 110, 65], [50, 53, 60, 57], 2), [10, 5, 110, 65]);
    expect(ground(10, 5)).toBeCloseTo(-2, 9);
    expect(ground(110, 5)).toBeCloseTo(-5, 9);
    expect(ground(110, 65)).toBeCloseTo(-12, 9);
    expect(ground(10, 65)).toBeCloseTo(-9, 9);
  });
  it('is the plane where all readings lie on one', () => {
    const ground = surveyedGround(surveyOf([0, 0, 100, 100], [50, 60, 60, 50]), [0, 0, 100, 100]);
    expect(ground(25, 40)).toBeCloseTo(-2.5, 9);
    expect(ground(50, 90)).toBeCloseTo(-5, 9);
  });
  it('falls under a run as its bays step down', () => {
    const b = build('house-with-run', { fall: 48, runBays: 3, runLength: 384 });
    const ground = drawnGround(b);
    expect(ground(50, 40)).toBe(0);
    // 48 in over 384: an inch in eight, from where the run begins.
    expect(ground(-0.625 - 128, 40)).toBeCloseTo(-16, 6);
    expect(ground(-0.625 - 384, 40)).toBeCloseTo(-48, 6);
  });
});

describe('what comes down on the ground', () => {
  const kinds = (family: string, params: Record<string, ParamValue> = {}): string[] => [
    ...new Set(findBearings(build(family, params)).map((b) => b.kind)),
  ];
  it.each([
    ['raised-lean-to', {}, ['leg']],
    ['walk-in', {}, ['runner']],
    ['walk-in', { foundation: 'blocks' }, ['rim']],
    ['walk-in', { foundation: 'slab' }, ['sole']],
    ['walk-in', { foundation: 'perimeter' }, ['sill']],
    ['house-with-run', { foundation: 'slab' }, ['sole', 'plate']],
    ['house-with-run', { foundation: 'slab', runDig: 'curb' }, ['sole']],
    ['panel-kit', {}, ['rim']],
    ['barn-fit-out', {}, []],
  ] as const)('%s %j: %j', (family, params, expected) => expect(kinds(family, params)).toEqual(expected));

  it('the two of a pair of skids are one', () => {
    const skids = findBearings(build('walk-in')).filter((b) => b.kind === 'runner');
    expect(skids).toHaveLength(3);
    for (const s of skids) expect(s.parts).toHaveLength(2);
  });
});

describe('a foundation', () => {
  it('of four legs is four pavers let in flush with level ground', () => {
    const f = planFoundation(build('raised-lean-to'));
    expect(f.kind).toBe('pads');
    expect(f.supports.map((s) => [s.height, s.blocks, s.pavers, s.dig])).toEqual(Array(4).fill([0, 0, 1, 2]));
    expect(f.buy.map((l) => [l.item, l.count])).toEqual([
      ['paver', 4],
      ['stone-bag', 2],
    ]);
    // 4 pavers of 20 lb and 2 bags of 50 lb.
    expect(f.weight).toBe(180);
  });

  it('stacks to the reading: 10 in lower is 10 in more of masonry', () => {
    const b = build('raised-lean-to');
    const level = planFoundation(b, surveyOf(b.facts.base, [50, 50, 50, 50], 4));
    const falling = planFoundation(b, surveyOf(b.facts.base, [50, 50, 60, 60], 4));
    const high = (plan: typeof level, back: boolean): number[] =>
      plan.supports.filter((s) => s.y > 24 === back).map((s) => s.height);
    for (const h of high(level, true)) expect(h).toBeCloseTo(4, 6);
    // The back legs stand 1¾ in from the outside: a little less than the whole fall.
    for (const h of high(falling, true)) expect(h).toBeCloseTo(4 + (10 * 46.25) / 48, 1);
  });

  it('counts the blocks that carry it once: those drawn under a floor are not bought again', () => {
    const b = build('walk-in', { foundation: 'blocks', blockCourses: 2 });
    const f = planFoundation(b);
    const drawn = b.parts.filter((p) => p.role === 'block').length;
    const height = 2 * findPiece('block-8').thickness;
    expect(f.supports).toHaveLength(drawn / 2);
    for (const s of f.supports) expect(s.height).toBeCloseTo(height, 1);
    expect(f.supports.map((s) => s.under.length > 0)).toEqual(f.supports.map(() => true));
  });

  it('sets every bay of a stepped run from a mark of its own', () => {
    const f = planFoundation(build('house-with-run', { fall: 48, runBays: 3, runLength: 384 }));
    expect(f.benches.map((l) => l.z)).toEqual([0, -16, -32]);
    expect(f.kind).toBe('pads and slab');
    expect(f.concrete).toEqual([expect.objectContaining({ kind: 'slab', length: 96, width: 96, cureDays: 7 })]);
    // √(96² + 96²) = 135.76.
    expect(f.concrete[0]?.diagonal).toBeCloseTo(135.7645, 4);
    expect(f.concrete[0]?.anchors).toBeGreaterThanOrEqual(8);
  });

  it('is none for what is moved about, and none inside a barn', () => {
    for (const family of FAMILIES.filter((q) => q.movable)) {
      const f = planFoundation(build(family.key));
      expect([family.key, f.supports.length, f.minutes, f.cost]).toEqual([family.key, 0, 0, 0]);
    }
    expect(planFoundation(build('barn-fit-out'))).toMatchObject({ kind: 'another floor', minutes: 0, cost: 0 });
  });

  it('says when it was planned without a survey, and what tall stacks want', () => {
    const b = build('raised-lean-to');
    expect(planFoundation(b).warnings.join(' ')).toMatch(/read a level on the site/);
    const steep = planFoundation(b, surveyOf(b.facts.base, [40, 40, 70, 70]));
    expect(steep.warnings.join(' ')).toMatch(/fill their cores/);
    expect(steep.warnings.join(' ')).toMatch(/strap the unit down/);
    expect(steep.buy.map((l) => l.item)).toEqual(expect.arrayContaining(['concrete-bag', 'rebar']));
  });

  it('reaches from its ground to what it carries, for any ground and family', () => {
    const fixed = FAMILIES.filter((q) => !q.movable && q.key !== 'barn-fit-out').map((q) => build(q.key));
    fc.assert(
      fc.property(
        fc.constantFrom(...fixed),
        fc.array(
          fc.integer({ min: 0, max: 30 * 16 }).map((n) => 40 + n / 16),
          { minLength: 4, maxLength: 4 },
        ),
        fc.integer({ min: 0, max: 12 }),
        (b, rods, lift) => {
          const f = planFoundation(b, surveyOf(b.facts.base, rods, lift));
          const course = PAD_RULES.block + PAD_RULES.joint;
          for (const s of f.supports) {
            const made = s.blocks * course + s.pavers * PAD_RULES.paver + s.shims - s.dig;
            expect(made).toBeCloseTo(s.height, 1);
            expect(s.shims).toBeLessThan(PAD_RULES.paver);
            expect(s.fill).toBe(s.blocks >= PAD_RULES.fillFrom);
          }
          const sum = (item: string): number => f.buy.find((l) => l.item === item)?.count ?? 0;
          expect(sum('block-8')).toBe(f.supports.reduce((n, s) => n + s.blocks, 0));
          expect(f.cost).toBe(f.buy.reduce((n, l) => n + l.cost, 0));
          // Every leg has its support.
          for (const leg of findBearings(b).filter((q) => q.kind === 'leg'))
            expect(f.supports.some((s) => s.under.includes(leg.parts[0] ?? ''))).toBe(true);
        },
      ),
      { numRuns: 60 },
    );
  });
});
