import fc from 'fast-check';
import { measureArea } from '../geometry/index.ts';
import { frameLeanRafters, leanSlope, rafterPlaces } from './frameLeanRoof.ts';
import { wallAxes } from './axes.ts';
import { WALL } from './frameWall.ts';
import { Sketch } from './sketch.ts';

const rafterOf = (depth: number, high: number, low: number, front = 10, back = 4) => {
  const sketch = new Sketch();
  const slope = leanSlope(depth, high, low, '2x4');
  frameLeanRafters(sketch, {
    id: 'r',
    name: 'roof',
    axes: wallAxes('front', [0, 0, 0]),
    slope,
    from: 0,
    to: 72,
    spacing: 16,
    rafterItem: '2x4',
    front,
    back,
    joins: 'w',
  });
  return { slope, rafter: sketch.parts[0], count: sketch.parts.length };
};

describe('rafters', () => {
  // Length per foot of run as stamped on framing squares: √(12² + rise²) (from memory).
  it.each([
    [4, 12.65],
    [6, 13.42],
    [8, 14.42],
  ])('at %d in 12 have %d in of length a foot of run', (rise, perFoot) => {
    const run = 48 - WALL;
    const { rafter } = rafterOf(48, 60, 60 - (run * rise) / 12);
    // The edge between the plumb cuts runs over the house and both overhangs.
    const feet = (48 + 10 + 4) / 12;
    expect(rafter?.shortPoint).toBeCloseTo(feet * perFoot, 1);
  });
  it('have plumb cuts at the pitch angle and two birdsmouths', () => {
    const { rafter } = rafterOf(48, 60, 52);
    expect(rafter?.cuts.map((c) => c.angle)).toEqual([10.2, 10.2]);
    expect(rafter?.notches).toHaveLength(2);
    expect(rafter?.notches[0]).toMatch(/seat 3.5 in level, heel plumb/);
  });
  it('sit level on both plates over their whole seat', () => {
    const { slope } = rafterOf(48, 60, 52);
    expect(slope.under(WALL - slope.seat)).toBeCloseTo(60, 9);
    expect(slope.under(48 - slope.seat)).toBeCloseTo(52, 9);
  });
  it('keep two thirds of their depth over every seat, however steep', () => {
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 96 }), fc.integer({ min: 3, max: 60 }), (depth, drop) => {
        const slope = leanSlope(depth, 90, 90 - drop, '2x4');
        expect(slope.seat * slope.fall).toBeLessThanOrEqual(slope.plumb / 3 + 1e-9);
        expect(slope.seat).toBeLessThanOrEqual(WALL);
      }),
    );
  });
  it('lose just the two triangles of their birdsmouths', () => {
    const { rafter, slope } = rafterOf(48, 60, 52);
    const whole = (62 * 3.5 * Math.sqrt(1 + slope.fall ** 2)) / 1;
    const triangles = 2 * 0.5 * slope.seat * (slope.seat * slope.fall);
    expect(Math.abs(measureArea(rafter?.shape.outline ?? []))).toBeCloseTo(whole - triangles, 6);
  });
  it('stand at both ends and on the layout between', () => {
    expect(rafterPlaces(0, 72, 16)).toEqual([0, 15.25, 31.25, 47.25, 63.25, 70.5]);
    expect(rafterPlaces(0, 72, 24)).toEqual([0, 23.25, 47.25, 70.5]);
    expect(rafterOf(48, 60, 52).count).toBe(6);
  });
});
