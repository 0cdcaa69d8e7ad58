import { frameGableStuds, gableSlope, ridgeOf, RIDGE_HALF } from './frameGableRoof.ts';
import { frameLeanRafters } from './frameLeanRoof.ts';
import { wallAxes } from './axes.ts';
import { Sketch } from './sketch.ts';

const pair = (pitch: number, depth = 96, overhang = 12) => {
  const sketch = new Sketch();
  const slope = gableSlope(depth, 84, pitch, '2x4');
  frameLeanRafters(sketch, {
    id: 'r',
    name: 'roof',
    axes: wallAxes('front', [0, 0, 0]),
    slope,
    from: 0,
    to: 48,
    spacing: 16,
    rafterItem: '2x4',
    front: -(depth / 2) - RIDGE_HALF,
    back: overhang,
    joins: 'w',
    seats: 'low',
  });
  return { slope, rafter: sketch.parts[0] };
};

describe('gable rafters', () => {
  // Length per foot of run as stamped on framing squares: √(12² + rise²) (from memory).
  it.each([
    [2, 12.17],
    [3, 12.37],
    [4, 12.65],
    [5, 13.0],
    [6, 13.42],
    [7, 13.89],
    [8, 14.42],
    [9, 15.0],
    [10, 15.62],
    [11, 16.28],
    [12, 16.97],
  ])('at %d in 12 are %d in a foot of run between their plumb cuts', (pitch, perFoot) => {
    const { rafter } = pair(pitch);
    // Run from the ridge's face to the tail: half the depth and the overhang less half the ridge.
    const feet = (48 + 12 - 0.75) / 12;
    expect((rafter?.shortPoint ?? 0) / feet).toBeCloseTo(perFoot, 1);
  });
  it.each([
    [4, 18.4],
    [6, 26.6],
    [8, 33.7],
    [12, 45],
  ])('at %d in 12 have plumb cuts of %d°', (pitch, degrees) => {
    expect(pair(pitch).rafter?.cuts.map((c) => c.angle)).toEqual([degrees, degrees]);
  });
  it('sit on the whole plate until the seat would take more than a third of them', () => {
    expect(pair(4).slope.seat).toBe(3.5);
    // 12 in 12: 3 1/2 × √2 = 4.95 plumb; a third of it, at 45°, is a seat of 1.65.
    expect(pair(12).slope.seat).toBeCloseTo(1.65, 2);
    expect(pair(12).rafter?.notches).toHaveLength(1);
  });
  it('meet a ridge that is as deep as their plumb cut', () => {
    for (const pitch of [3, 6, 12]) {
      const { slope } = pair(pitch);
      const ridge = ridgeOf(slope);
      expect(ridge.top - ridge.bottom).toBeGreaterThanOrEqual(slope.plumb - 1e-9);
      expect(ridge.top).toBeCloseTo(slope.under(48.75) + slope.plumb, 9);
    }
  });
});

describe('gable studs', () => {
  const studs = (pitch: number) => {
    const sketch = new Sketch();
    const slope = gableSlope(96, 84, pitch, '2x4');
    frameGableStuds(sketch, {
      id: 'g',
      name: 'gable',
      axes: wallAxes('right', [0, 0, 0]),
      slope,
      plate: 84,
      joints: [32],
      centres: [48, 16, 64, 80],
    });
    return sketch.parts;
  };
  it('grow by one step: spacing × pitch', () => {
    const length = (id: string) => studs(6).find((p) => p.id === id)?.length ?? 0;
    // 16 in further in at 6 in 12 is 8 in longer.
    expect(length('g/gable-stud-1') - length('g/gable-stud-3')).toBeCloseTo(8, 6);
  });
  it('have a post under the ridge, notched round it where it hangs below the rafters', () => {
    const post = (pitch: number) => studs(pitch).find((p) => p.role === 'post');
    expect(post(4)?.notches).toEqual([
      'notched round the ridge board',
      'top sawn to the rafters on both sides of it, 18.4°',
    ]);
    // A 2×6 ridge hangs 5 1/2 less the rafters' plumb depth and its bevel below them: 1.56 at 4 in 12. At 12 in 12 it takes a 2×8.
    const depth = (pitch: number): number => {
      const ring = post(pitch)?.shape.outline ?? [];
      const tops = ring.map((p) => p[0]).sort((a, b) => b - a);
      return (tops[0] as number) - (ridgeOf(gableSlope(96, 84, pitch, '2x4')).bottom - 84);
    };
    expect(depth(4)).toBeCloseTo(5.5 - 3.5 * Math.sqrt(1 + 1 / 9) - 0.25, 2);
    expect(depth(12)).toBeCloseTo(7.25 - 3.5 * Math.SQRT2 - 0.75, 2);
  });
});
