import { groupParts, measureBounds } from '../../../unit/index.ts';
import { buildSpec, parseSpec } from '../../spec.ts';

// Handbook (common practice): 48 in of fall over a run of 32 ft in three equal bays of 128 in: two drops of 16, 16 left to fill.
const build = buildSpec(
  parseSpec({
    family: 'house-with-run',
    params: {
      depth: 96,
      runLength: 384,
      runBays: 3,
      fall: 48,
      runEave: 72,
      runPitch: 6,
      runStuds: 24,
      runRoof: 'mesh',
    },
  }),
);
const foot = (n: number): number =>
  measureBounds(build.parts.filter((p) => p.id === `bay-${n}-front/bottom-plate`)).low[2];
const lines = (assembly: RegExp) =>
  groupParts(build.parts.filter((p) => assembly.test(p.assembly))).map(
    (g) => [g.part.role, g.part.item, Math.round(g.part.shortPoint * 1e3) / 1e3, g.quantity] as const,
  );

describe('a run that steps with the ground', () => {
  it('has three bays of 128, two drops of 16 and 16 to fill', () => {
    expect(build.facts.bays).toEqual({ count: 3, length: 128, drop: 16, fill: 16 });
    expect([foot(1), foot(2), foot(3)]).toEqual([0, -16, -32]);
  });
  it('cuts a middle bay line by line', () => {
    const walls = lines(/^bay-2-(front|back)$/);
    // Studs 24 on centre: 0, 23 1/4, 47 1/4, 71 1/4, 95 1/4, 119 1/4, 126 1/2: seven a wall, 72 less two plates.
    expect(walls).toContainEqual(['stud', '2x4', 69, 14]);
    expect(walls).toContainEqual(['plate', '2x4-pt', 128, 2]);
    expect(walls).toContainEqual(['plate', '2x4', 128, 2]);
    const roof = lines(/^bay-2-roof/);
    // Rafters at 32: five pairs; run 48 less half a ridge of 3/4 and 2 beyond: 49 1/4 × √1.25 between the plumb cuts.
    expect(roof).toContainEqual(['rafter', '2x4', Math.round(49.25 * Math.sqrt(1.25) * 1e3) / 1e3, 10]);
    expect(roof).toContainEqual(['ridge', '2x6', 128, 1]);
    // Eave blocks: 31 1/4 less a rafter at both ends, 30 1/2 between.
    expect(roof.filter(([role]) => role === 'blocking')).toEqual([
      ['blocking', '2x4', 29.75, 4],
      ['blocking', '2x4', 30.5, 4],
    ]);
  });
  it('closes each step over the lower roof, and the wedge under each bay on site', () => {
    for (const n of [1, 2]) expect(build.parts.some((p) => p.id === `step-${n}/mesh`)).toBe(true);
    expect(build.parts.some((p) => p.id === 'step-3/mesh')).toBe(false);
    const wedge = build.parts.find((p) => p.id === 'bay-1-front-fill/mesh');
    expect(wedge?.fit).toBe('cut on site');
    const { low, high } = measureBounds(wedge ? [wedge] : []);
    expect([high[2] - low[2], high[0] - low[0]]).toEqual([16, 128]);
  });
  it('stands level bay after bay where the ground is level', () => {
    const level = buildSpec(parseSpec({ family: 'house-with-run', params: { fall: 0 } }));
    expect(level.facts.bays?.drop).toBe(0);
    expect(level.parts.some((p) => p.assembly.startsWith('step-') || p.assembly.endsWith('-fill'))).toBe(false);
  });
});
