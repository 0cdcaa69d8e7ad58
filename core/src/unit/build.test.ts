import { UNIT_AXES, boxPart } from '../frame/index.ts';
import { buildSpec, parseSpec } from '../model/index.ts';
import type { Vec3 } from '../geometry/index.ts';
import { assignMarks } from './assignMarks.ts';
import { findClashes, findFloating } from './findClashes.ts';
import { findGaps } from './findGaps.ts';
import { groupParts } from './groupParts.ts';
import { measureBounds } from './measureBounds.ts';
import { measureMass, weighPart } from './measureMass.ts';
import type { Build, PartDraft } from './types.ts';

const pen = buildSpec(parseSpec({ family: 'low-pen', params: {} }));
const stick = (id: string, from: Vec3, size: Vec3, item = '2x4'): PartDraft =>
  boxPart(UNIT_AXES, 'x', { id, name: id, role: 'stud', item }, from, size, 'a');
const withParts = (drafts: PartDraft[], faces: Build['faces'] = []): Build => ({
  ...pen,
  parts: assignMarks(drafts),
  faces,
});

describe('marks', () => {
  it('are shared by sticks that can stand in for each other, turned or not', () => {
    const marks = assignMarks([
      stick('a', [0, 0, 0], [40, 1.5, 3.5]),
      stick('b', [0, 9, 0], [40, 1.5, 3.5]),
      stick('c', [0, 18, 0], [41, 1.5, 3.5]),
    ]).map((p) => p.mark);
    expect(marks).toEqual(['S1', 'S1', 'S2']);
  });
  it('tell pieces of another item, fit or role apart', () => {
    const base = stick('a', [0, 0, 0], [40, 1.5, 3.5]);
    const marks = assignMarks([
      base,
      { ...base, id: 'b', fit: 'measure in place' },
      { ...base, id: 'c', item: '2x4-pt' },
      { ...base, id: 'd', role: 'jack' },
    ]).map((p) => p.mark);
    expect(new Set(marks).size).toBe(4);
  });
  it('group every part once', () => {
    expect(groupParts(pen.parts).reduce((n, g) => n + g.quantity, 0)).toBe(pen.parts.length);
  });
});

describe('clashes', () => {
  it('are found when two sticks overlap by more than 1/32, and not at a touch', () => {
    const a = stick('a', [0, 0, 0], [40, 1.5, 3.5]);
    expect(findClashes(withParts([a, stick('b', [39.9, 0, 0], [40, 1.5, 3.5])]))).toMatchObject([
      { a: 'a', b: 'b', depth: expect.closeTo(0.1, 6) },
    ]);
    expect(findClashes(withParts([a, stick('b', [40, 0, 0], [40, 1.5, 3.5])]))).toEqual([]);
    expect(findClashes(withParts([a, stick('b', [39.98, 0, 0], [40, 1.5, 3.5])]))).toEqual([]);
  });
  it('name what floats', () => {
    const parts = [
      stick('a', [0, 0, 0], [40, 1.5, 3.5]),
      stick('b', [40, 0, 0], [40, 1.5, 3.5]),
      stick('far', [200, 0, 0], [40, 1.5, 3.5]),
    ];
    expect(findFloating(withParts(parts))).toEqual(['far']);
  });
});

describe('gaps', () => {
  const face: Build['faces'][number] = {
    id: 'f',
    name: 'f',
    place: { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 0, 1] },
    region: [
      [0, 0],
      [40, 0],
      [40, 8],
      [0, 8],
    ],
    within: [-2, 1],
  };
  const boards = (gap: number) => [
    stick('a', [0, 0, 0], [40, 1.5, 3.5]),
    stick('b', [0, 0, 3.5 + gap], [40, 1.5, 3.5]),
    stick('c', [0, 0, 7 + 2 * gap], [40, 1.5, 3.5]),
  ];
  it('pass at a quarter inch and are found at an inch', () => {
    expect(findGaps(withParts(boards(0.25), [face]))).toEqual([]);
    expect(findGaps(withParts(boards(1), [face]))).toMatchObject([{ face: 'f' }]);
  });
  it('are found where a skin is missing from a true build', () => {
    const open = { ...pen, parts: pen.parts.filter((p) => p.id !== 'front/mesh') };
    expect(findGaps(open).map((g) => g.face)).toContain('front');
  });
});

describe('mass', () => {
  it('weighs a stick by its volume: an 8 ft 2×4 of spruce-pine-fir is about 8.6 lb', () => {
    const [part] = assignMarks([stick('a', [0, 0, 0], [96, 1.5, 3.5])]);
    expect(part && weighPart(part)).toBeCloseTo((96 * 1.5 * 3.5 * 0.42 * 62.4 * 1.12) / 1728, 6);
  });
  it('puts the centre of a pen that is the same on both sides on its middle line', () => {
    expect(measureMass(pen).centre[1]).toBeCloseTo(36, 1);
  });
  it('counts the fittings', () => {
    const bare = measureMass({ ...pen, joints: [] }).weight;
    expect(measureMass(pen).weight).toBeGreaterThan(bare);
  });
  it('weighs a half-open sheet less than a whole one', () => {
    const house = buildSpec(parseSpec({ family: 'raised-lean-to', params: {} }));
    const sheets = house.parts.filter((p) => p.role === 'siding' && p.shape.holes.length > 0);
    for (const s of sheets) expect(weighPart(s)).toBeLessThan(((s.length * s.width) / 144) * 1.8);
  });
});

describe('bounds', () => {
  it('of a pen are its outside with lid and wheels', () => {
    const { low, high } = measureBounds(pen.parts);
    expect(low[2]).toBe(0);
    expect(high[0] - low[0]).toBeGreaterThanOrEqual(96);
    expect(high[2]).toBeGreaterThan(24);
  });
});
