import fc from 'fast-check';
import { faultsOf } from '../../testing/testFamily.ts';
import { measureBounds, measureMass } from '../unit/index.ts';
import type { Build } from '../unit/index.ts';
import { buildSpec, parseSpec } from '../model/index.ts';
import { curbCourses, SKIRT } from './guardDigging.ts';

const build = (family: string, params: Record<string, number | string | boolean>): Build => {
  const made = buildSpec(parseSpec({ family, params }));
  expect(faultsOf(made)).toEqual([]);
  return made;
};
const laid = (b: Build) => b.parts.filter((p) => /-skirt\/|-dig\//.test(p.id));

describe('a skirt', () => {
  it('lies 18 in outward on the three open sides of a run, corners closed', () => {
    const run = build('raised-lean-to', { run: true, runLength: 96, depth: 48, runDig: 'skirt' });
    const skirt = laid(run);
    const base = run.facts.base;
    expect(skirt).toHaveLength(3);
    const box = measureBounds(skirt);
    // A mesh's thickness, 1/32 in or so, stands between the frame and its skirt.
    expect(base[0] - box.low[0]).toBeCloseTo(SKIRT, 0);
    expect(box.high[1] - 48).toBeCloseTo(SKIRT, 0);
    expect(box.low[1]).toBeCloseTo(-SKIRT, 0);
    expect(box.high[2]).toBeLessThanOrEqual(1e-9);
    expect(skirt.every((p) => p.fit === 'cut on site')).toBe(true);
  });
  it('follows the ground under a stepped run: longer than level by the slope', () => {
    const run = build('house-with-run', { runLength: 300, runBays: 3, fall: 45, runDig: 'skirt' });
    // Bays of 100 in that fall 15 in: √(100² + 15²) = 101.12 in.
    const sides = laid(run).filter((p) => /front|back/.test(p.id));
    expect(sides).toHaveLength(6);
    for (const p of sides) expect(p.length).toBeCloseTo(101.119, 3);
    const low = measureBounds(laid(run)).low[2];
    expect(low).toBeCloseTo(-45, 0);
  });
});

describe('a block curb', () => {
  it.each([
    [0, 1],
    [0.4, 2],
    [7.625, 2],
    [8, 3],
    [15.25, 3],
  ])('over ground %s in lower has %s courses: a whole block below the lowest ground', (below, courses) => {
    expect(curbCourses([below, 0], 7.625)).toBe(courses);
  });
  it('is cut from 15 5/8 in block under front, back and end', () => {
    const run = build('raised-lean-to', { run: true, runLength: 96, depth: 48, runDig: 'curb' });
    const curb = laid(run);
    // 96 in take 7 block on each long side; 48 − 2 × 7 5/8 = 32 3/4 in take 3 at the end.
    expect(curb).toHaveLength(7 + 7 + 3);
    expect(measureBounds(curb).high[2]).toBeCloseTo(0, 9);
    expect(measureBounds(curb).low[2]).toBeCloseTo(-7.625, 9);
  });
  it('fills down to sloping ground, so that no mesh is hung there', () => {
    const run = build('house-with-run', { runLength: 300, runBays: 3, fall: 45, runDig: 'curb' });
    expect(run.parts.some((p) => p.name === 'fill to the ground')).toBe(false);
    // 15 in a bay: two courses above the lowest ground and one below it.
    expect(measureBounds(laid(run)).low[2]).toBeCloseTo(-30 - 3 * 7.625, 6);
  });
  it('stays in the ground: the unit weighs the same without it', () => {
    const at = (runDig: string) => measureMass(build('house-with-run', { runDig })).weight;
    expect(at('curb')).toBeCloseTo(at('none'), 0);
  });
});

it('is true for any fall and either guard, and nothing is laid where nothing is asked for', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('skirt', 'curb', 'none'),
      fc.integer({ min: 0, max: 48 }),
      fc.integer({ min: 1, max: 4 }),
      (runDig, fall, runBays) => {
        const run = build('house-with-run', { runDig, fall, runBays, runLength: 240 });
        expect(laid(run).length > 0).toBe(runDig !== 'none');
      },
    ),
    { numRuns: 25, seed: 9 },
  );
});
