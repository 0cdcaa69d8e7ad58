import fc from 'fast-check';
import { measureBounds } from '../unit/index.ts';
import { wallAxes } from './axes.ts';
import { backFixtures } from './backFixtures.ts';
import { boltDown } from './boltDown.ts';
import { fitGate } from './fitGate.ts';
import { boxPart } from './makePart.ts';
import { reachStuds } from './reachStuds.ts';
import { Sketch } from './sketch.ts';

const axes = wallAxes('front', [0, 0, 0]);
const wall = { id: 'w', name: 'wall', axes, deep: 3.5 };
const STUDS = [0.75, 16, 32, 48];

describe('what is fixed to a wall between its studs', () => {
  it('gets a block from stud to stud behind it, flush with their inner faces', () => {
    const sketch = new Sketch();
    const left = backFixtures(sketch, wall, STUDS, [{ from: 20, to: 24, low: 30, high: 32 }]);
    expect(left).toEqual([]);
    const [block] = sketch.parts;
    // From 16 3/4 to 31 1/4 between studs on 16 in: 14 1/2, a whole 2×4 with its middle at 31.
    expect(block).toMatchObject({ item: '2x4', length: 14.5, fit: 'measure in place' });
    expect(measureBounds(sketch.parts)).toMatchObject({ low: [16.75, 2, 29.25], high: [31.25, 3.5, 32.75] });
  });
  it('needs none where a stud is behind it', () => {
    const sketch = new Sketch();
    expect(backFixtures(sketch, wall, STUDS, [{ from: 14, to: 18, low: 30, high: 32 }])).toEqual([]);
    expect(sketch.parts).toEqual([]);
  });
  it('shares a wider block with what is fixed close over it', () => {
    const sketch = new Sketch();
    backFixtures(sketch, wall, STUDS, [
      { from: 20, to: 24, low: 30, high: 31 },
      { from: 21, to: 25, low: 32.5, high: 33.5 },
    ]);
    // Middles at 30 1/2 and 33: from 28 3/4 to 34 3/4 is 6 in, ripped from a 2×8.
    expect(sketch.parts.map((p) => [p.item, p.rip])).toEqual([['2x8', 6]]);
  });
  it('is said to be held by nothing where something stands in the bay, or beyond the last stud', () => {
    const sketch = new Sketch();
    sketch.add(
      boxPart(axes, 'w', { id: 'w/x', name: 'x', role: 'blocking', item: '2x4' }, [20, 2, 28], [1.5, 1.5, 6], 'z'),
    );
    const fixture = { from: 22, to: 26, low: 30, high: 32 };
    expect(backFixtures(sketch, wall, STUDS, [fixture])).toEqual([fixture]);
    expect(sketch.parts).toHaveLength(1);
  });
});

describe('a ledger that reaches for studs', () => {
  it('grows within its stretch until it lies over two', () => {
    expect(reachStuds([20, 28], [10, 40], STUDS)).toEqual([15.25, 32.75]);
    // Over two already it stays as it is.
    expect(reachStuds([14, 34], [10, 40], STUDS)).toEqual([14, 34]);
    // With only one to be had it takes that.
    expect(reachStuds([20, 28], [18, 40], STUDS)).toEqual([20, 32.75]);
    expect(reachStuds([20, 28], [18, 30], STUDS)).toEqual([20, 28]);
  });
  it('never leaves its stretch nor gets shorter, for any run', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 40 }),
        fc.integer({ min: 2, max: 8 }),
        fc.integer({ min: 0, max: 12 }),
        (a, wide, more) => {
          const stretch = [a - more, a + wide + more] as const;
          const [from, to] = reachStuds([a, a + wide], stretch, STUDS);
          expect(from).toBeGreaterThanOrEqual(stretch[0] - 1e-6);
          expect(to).toBeLessThanOrEqual(stretch[1] + 1e-6);
          expect(from).toBeLessThanOrEqual(a);
          expect(to).toBeGreaterThanOrEqual(a + wide);
        },
      ),
    );
  });
});

describe('sole plates on concrete', () => {
  const bolts = (length: number, sawnOut?: readonly string[], lies = length): number => {
    const sketch = new Sketch();
    const part = boxPart(
      axes,
      'front-wall',
      { id: 'p', name: 'p', role: 'plate', item: '2x4-pt' },
      [0, 0, 0],
      [lies, 3.5, 1.5],
      'a',
    );
    sketch.add({ ...part, length, ...(sawnOut ? { sawnOut } : {}) });
    boltDown(sketch, () => true, 48);
    return sketch.finish({ family: 'x', capacity: {}, facts: {} as never }).joints[0]?.hardware[0]?.count ?? 0;
  };
  it('have two anchors at least and one for every 4 ft (IRC R403.1.6 asks for 6 ft, from memory)', () => {
    expect([20, 96, 97, 192].map((n) => bolts(n))).toEqual([2, 2, 3, 4]);
  });
  it('have theirs where they lie, none in a gap that is sawn out; a stub has one', () => {
    expect(bolts(144, ['p-beyond'], 100)).toBe(3);
    expect(bolts(144, ['p-beyond'], 7)).toBe(1);
  });
});

describe('a gate between corner posts', () => {
  const fit = (asked: number, depth: number) => {
    const sketch = new Sketch();
    return {
      width: fitGate(sketch, asked, depth),
      notes: sketch.finish({ family: 'x', capacity: {}, facts: {} as never }).notes,
    };
  };
  it('is as wide as asked where it fits, and says what does where it does not', () => {
    expect(fit(36, 60)).toEqual({ width: 36, notes: [] });
    // 48 less two posts of 3 1/2 is 41; king and jack on both sides leave 35.
    const narrow = fit(36, 48);
    expect(narrow.width).toBe(35);
    expect(narrow.notes[0]).toMatchObject({ severity: 'stop', fix: { patch: { runGate: 35 } } });
    // At 24 in and less it stands between two studs: of 30 in, 23 less 3.
    expect(fit(28, 30).width).toBe(20);
  });
});
