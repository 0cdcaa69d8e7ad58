import fc from 'fast-check';
import { assignMarks, findClashes, findFloating, measureBounds } from '../unit/index.ts';
import type { Build, PartDraft } from '../unit/index.ts';
import { floorLumber, frameRaisedFloor } from './frameFloor.ts';
import type { FloorPlan } from './frameFloor.ts';
import { rockeredRing } from './frameFeet.ts';
import { Sketch } from './sketch.ts';

const floor = (more: Partial<FloorPlan> = {}) => {
  const sketch = new Sketch();
  const plan = {
    length: 72,
    depth: 48,
    foundation: { kind: 'legs', height: 24 },
    spacing: 16,
    ...floorLumber(48),
    ...more,
  };
  const made = frameRaisedFloor(sketch, plan as FloorPlan);
  return { ...made, parts: sketch.parts, sketch };
};
const of = (parts: readonly PartDraft[], name: string) => parts.filter((p) => p.name === name);
/** As much of a build as the judges of overlap and floating look at. */
const asBuild = (sketch: Sketch): Build =>
  ({ parts: assignMarks(sketch.parts), facts: { base: [0, 0, 0, 0] } }) as unknown as Build;

describe('a raised floor of 4 × 6 ft, measured by hand', () => {
  const { parts, top, joistSpan } = floor();
  it('stands on six legs: 72 in less a post is 68 1/2, and that fits in one bay of 72', () => {
    // Four corners; a long side of 68 1/2 in between them wants no leg in its middle.
    expect(of(parts, 'leg')).toHaveLength(4);
    for (const leg of of(parts, 'leg')) expect(leg).toMatchObject({ length: 24, item: '4x4-pt' });
    expect(of(floor({ length: 96 }).parts, 'leg')).toHaveLength(6);
  });
  it('has its top on the legs by the rim: 24 and 5 1/2', () => {
    expect(top).toBe(29.5);
    for (const rim of of(parts, 'long rim')) expect(rim.length).toBe(72);
    // Between the long ones: 48 less twice 1 1/2.
    for (const rim of of(parts, 'end rim')) expect(rim.length).toBe(45);
  });
  it('sets its joists down by the sheet, at 16 in and beside both end rims', () => {
    const joists = of(parts, 'joist');
    const places = joists.map((j) => measureBounds([j]).low[0]);
    expect(places).toEqual([1.5, 15.25, 31.25, 47.25, 63.25, 69]);
    for (const j of joists) {
      expect(j.length).toBe(45);
      expect(measureBounds([j]).high[2]).toBe(29.5 - 0.75);
    }
    expect(joistSpan).toBe(45);
  });
  it('lays its sheets flush in the rim, all of it and nothing twice', () => {
    const sheets = of(parts, 'floor sheet');
    expect(sheets.reduce((n, s) => n + s.length * s.width, 0)).toBeCloseTo(69 * 45, 9);
    for (const s of sheets) expect(measureBounds([s]).high[2]).toBe(top);
  });
  it('is one tape for both long rims, every joist and both end rims on it', () => {
    const [base] = floor().sketch.assemblies;
    expect(base?.tapes[0]).toMatchObject({ title: 'both long rims', length: 72 });
    expect(base?.tapes[0]?.marks.map((m) => m.at)).toEqual([0, 1.5, 15.25, 31.25, 47.25, 63.25, 69, 70.5]);
  });
});

describe('what a floor stands on', () => {
  it('is pairs of sistered 2×6, ends cut back, a row every 4 ft of depth at most', () => {
    const { parts, top } = floor({ length: 144, depth: 96, foundation: { kind: 'skids' }, ...floorLumber(96) });
    // 93 in between the outer pairs: three rows, two boards each.
    expect(of(parts, 'skid, one of a pair')).toHaveLength(6);
    expect(top).toBe(5.5 + 7.25);
  });
  it('joins the two boards of a long pair away from each other', () => {
    const { parts } = floor({ length: 240, depth: 96, foundation: { kind: 'skids' }, ...floorLumber(96) });
    const ends = of(parts, 'skid, one of a pair').map(
      (p) => [measureBounds([p]).low[1], measureBounds([p]).high[0]] as const,
    );
    const joints = new Map<number, number[]>();
    for (const [y, x] of ends) if (x < 240 - 1e-6) joints.set(y, [...(joints.get(y) ?? []), x]);
    expect([...joints.values()].flat().every((x) => x === 96 || x === 144)).toBe(true);
    const first = [...joints.entries()].filter(([y]) => y < 3.1).map(([, x]) => x[0]);
    expect(new Set(first).size).toBe(2);
  });
  it('is courses of block 7 5/8 in high under both long sides', () => {
    const { parts, under } = floor({ length: 144, depth: 96, foundation: { kind: 'blocks', courses: 2 } });
    expect(under).toBe(2 * 7.625);
    // Places no more than 72 in apart over 144 less a block: three, on two sides, two courses high.
    expect(of(parts, 'block')).toHaveLength(3 * 2 * 2);
  });
  it('is runners that rise half an inch at their ends, so that they slide (common practice, no source)', () => {
    const ring = rockeredRing(0, 96, 3.5);
    expect(ring[0]).toEqual([0, 0.5]);
    expect(ring[1]).toEqual([18, 0]);
    // A short one is full in its middle half.
    expect(rockeredRing(0, 40, 3.5)[1]).toEqual([10, 0]);
  });
  it('is deeper lumber as joists get longer', () => {
    expect([48, 72, 73, 108, 120].map((d) => floorLumber(d).joistItem)).toEqual(['2x4', '2x4', '2x6', '2x6', '2x8']);
  });
});

describe('any raised floor', () => {
  const kinds = [
    { kind: 'legs', height: 20, braced: true },
    { kind: 'runners', height: 18, beyond: 12, braced: true },
    { kind: 'ground' },
    { kind: 'skids' },
    { kind: 'blocks', courses: 2 },
  ] as const;
  it('overlaps nowhere, floats nowhere, and its sheets fill its rim', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 30, max: 240 }),
        fc.integer({ min: 30, max: 120 }),
        fc.constantFrom(...kinds),
        (length, depth, foundation) => {
          const { sketch, parts } = floor({ length, depth, foundation, ...floorLumber(depth) });
          expect(findClashes(asBuild(sketch))).toEqual([]);
          expect(findFloating(asBuild(sketch))).toEqual([]);
          const area = of(parts, 'floor sheet').reduce((n, s) => n + s.length * s.width, 0);
          expect(area).toBeCloseTo((length - 3) * (depth - 3), 6);
          for (const s of of(parts, 'floor sheet')) {
            expect(s.length).toBeLessThanOrEqual(96 + 1e-6);
            expect(s.width).toBeLessThanOrEqual(48 + 1e-6);
          }
        },
      ),
      { numRuns: 60, seed: 3 },
    );
  });
});
