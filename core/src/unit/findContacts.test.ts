import fc from 'fast-check';
import { UNIT_AXES, boxPart } from '../frame/index.ts';
import { cross, dot } from '../geometry/index.ts';
import type { Vec3 } from '../geometry/index.ts';
import { turnRound } from '../join/scene.ts';
import { findContacts, measureDepth } from './findContacts.ts';
import type { Contact } from './findContacts.ts';
import { lengthDirection } from './contactBodies.ts';
import type { PartDraft } from './types.ts';

type Along = 'a' | 't' | 'z';
const stick = (id: string, from: Vec3, size: Vec3, along: Along = 'a'): PartDraft =>
  boxPart(UNIT_AXES, 'base', { id, name: id, role: 'stud', item: '2x4' }, from, size, along);

/** The same part with all of it turned about an upright line, by degrees. */
const turned = (part: PartDraft, degrees: number): PartDraft => {
  const a = (degrees * Math.PI) / 180;
  const by = ([x, y, z]: Vec3): Vec3 => [x * Math.cos(a) - y * Math.sin(a), x * Math.sin(a) + y * Math.cos(a), z];
  const { origin, u, v } = part.place;
  return { ...part, place: { ...part.place, origin: by(origin), u: by(u), v: by(v) } };
};
const only = (list: readonly Contact[]): Contact => {
  expect(list).toHaveLength(1);
  return list[0] as Contact;
};

describe('where two parts meet', () => {
  it('a stud stands with its end on a plate: 1 1/2 by 3 1/2 in, with the whole stud behind it', () => {
    const plate = stick('plate', [0, 0, 0], [96, 3.5, 1.5]);
    const stud = stick('stud', [16, 0, 1.5], [1.5, 3.5, 92], 'z');
    const c = only(findContacts([plate, stud]));
    expect([c.a.id, c.b.id]).toEqual(['plate', 'stud']);
    expect(c.normal).toEqual([0, 0, 1]);
    expect([c.area, c.long, c.short]).toEqual([1.5 * 3.5, 3.5, 1.5]);
    expect(c.centre).toEqual([16.75, 1.75, 1.5]);
    expect([c.onA, c.onB]).toEqual(['face', 'end']);
    expect([c.deepA, c.deepB]).toEqual([1.5, 92]);
  });
  it('two sticks lie edge to edge, and meet end to end', () => {
    const a = stick('a', [0, 0, 0], [40, 1.5, 3.5]);
    expect(only(findContacts([a, stick('b', [10, 1.5, 0], [40, 1.5, 3.5])]))).toMatchObject({
      long: 30,
      short: 3.5,
      onA: 'face',
      onB: 'face',
    });
    expect(only(findContacts([a, stick('b', [0, 0, 3.5], [40, 1.5, 3.5])]))).toMatchObject({
      area: 60,
      onA: 'edge',
      onB: 'edge',
    });
    expect(only(findContacts([a, stick('b', [40, 0, 0], [40, 1.5, 3.5])]))).toMatchObject({ onA: 'end', onB: 'end' });
  });
  it('not where they only touch at a line, or lie further apart than a sixteenth', () => {
    const a = stick('a', [0, 0, 0], [40, 1.5, 3.5]);
    expect(findContacts([a, stick('b', [40, 1.5, 0], [40, 1.5, 3.5])])).toEqual([]);
    expect(findContacts([a, stick('b', [0, 1.6, 0], [40, 1.5, 3.5])])).toEqual([]);
    expect(findContacts([a, stick('b', [0, 1.52, 0], [40, 1.5, 3.5])])).toHaveLength(1);
  });
  it('is looked for only of the pairs that are asked for', () => {
    const list = [0, 1.5, 3].map((y, k) => stick(`s${k}`, [0, y, 0], [40, 1.5, 3.5]));
    expect(findContacts(list)).toHaveLength(2);
    expect(findContacts(list, (a) => a.id === 's1').map((c) => [c.a.id, c.b.id])).toHaveLength(1);
  });
  it('is told the other way round as it is seen from there', () => {
    const c = only(findContacts([stick('a', [0, 0, 0], [40, 1.5, 3.5]), stick('b', [40, 0, 0], [20, 1.5, 3.5])]));
    const back = turnRound(c);
    expect([back.a.id, back.b.id, back.deepA, back.deepB]).toEqual(['b', 'a', 20, 40]);
    expect(turnRound(back)).toEqual({ ...c, normal: [1, 0, 0].map((n) => expect.closeTo(n, 12)) });
  });

  const box = fc.record({
    from: fc.tuple(fc.integer({ min: 0, max: 12 }), fc.integer({ min: 0, max: 12 }), fc.integer({ min: 0, max: 12 })),
    size: fc.tuple(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 })),
    along: fc.constantFrom<Along[]>('a', 't', 'z'),
  });
  const asPart = (id: string, b: { from: Vec3; size: Vec3; along: Along }): PartDraft =>
    stick(id, b.from, b.size, b.along);

  it('of two boxes is what their sides share, no more and no less', () => {
    fc.assert(
      fc.property(box, box, (p, q) => {
        const found = findContacts([asPart('a', p), asPart('b', q)]);
        const end = (b: typeof p, k: number): number => (b.from[k] as number) + (b.size[k] as number);
        // By hand: they meet across a direction where the one ends where the other begins, with what they share of the other two.
        const expected = [0, 1, 2].flatMap((k) => {
          const meet = end(p, k) === q.from[k] || end(q, k) === p.from[k];
          const shared = [0, 1, 2]
            .filter((m) => m !== k)
            .map((m) => Math.min(end(p, m), end(q, m)) - Math.max(p.from[m] as number, q.from[m] as number));
          return meet && shared.every((s) => s > 0) ? [(shared[0] as number) * (shared[1] as number)] : [];
        });
        expect(found.map((c) => c.area)).toEqual(expected);
        for (const c of found) {
          expect(c.long * c.short).toBeCloseTo(c.area, 9);
          expect(dot(c.normal, c.along)).toBeCloseTo(0, 12);
        }
      }),
      { numRuns: 400 },
    );
  });
  it('is the same when all of it is turned, though it is then looked for by its outlines', () => {
    fc.assert(
      fc.property(box, box, fc.integer({ min: 5, max: 85 }), (p, q, degrees) => {
        const [a, b] = [asPart('a', p), asPart('b', q)];
        const straight = findContacts([a, b]);
        const round = findContacts([turned(a, degrees), turned(b, degrees)]);
        const told = (list: readonly Contact[]) =>
          list
            .map((c) => [c.area, c.long, c.short, c.deepA, c.deepB].map((n) => Number(n.toFixed(6))))
            .map((n, i) => [...n, list[i]?.onA, list[i]?.onB].join(' '))
            .sort();
        expect(told(round)).toEqual(told(straight));
      }),
      { numRuns: 200 },
    );
  });
});

describe('a part', () => {
  it('is as deep from each of its sides as it is wide there', () => {
    const a = stick('a', [0, 0, 0], [40, 1.5, 3.5]);
    expect(measureDepth(a, [40, 0.7, 1], [1, 0, 0])).toBeCloseTo(40, 9);
    expect(measureDepth(a, [20, 1.5, 1], [0, 1, 0])).toBeCloseTo(1.5, 9);
    expect(measureDepth(a, [20, 0.7, 3.5], [0, 0, 1])).toBeCloseTo(3.5, 9);
  });
  it('runs along its length, however it lies', () => {
    for (const [along, size, wanted] of [
      ['a', [40, 1.5, 3.5], [1, 0, 0]],
      ['t', [1.5, 40, 3.5], [0, 1, 0]],
      ['z', [3.5, 1.5, 40], [0, 0, 1]],
    ] as const) {
      const d = lengthDirection(stick('a', [0, 0, 0], size, along));
      expect(Math.abs(dot(d, wanted))).toBeCloseTo(1, 12);
      expect(cross(d, wanted).every((n) => Math.abs(n) < 1e-9)).toBe(true);
    }
  });
});
