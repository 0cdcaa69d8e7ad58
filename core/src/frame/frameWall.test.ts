import fc from 'fast-check';
import { measureArea } from '../geometry/index.ts';
import { assignMarks, measureBounds } from '../unit/index.ts';
import { wallAxes } from './axes.ts';
import { chooseJoints } from './chooseJoints.ts';
import { frameWall } from './frameWall.ts';
import { skinWall } from './skinWall.ts';
import { headerHeight, layoutOpenings, openingSide, openingTop } from './layoutOpenings.ts';
import type { OpeningWish, PlacedOpening } from './layoutOpenings.ts';
import { Sketch } from './sketch.ts';

const wall = (more: Partial<Parameters<typeof frameWall>[1]> = {}) => {
  const sketch = new Sketch();
  const framed = frameWall(sketch, {
    id: 'w',
    name: 'wall',
    axes: wallAxes('front', [0, 0, 0]),
    from: 0,
    to: 96,
    height: 60,
    slope: 0,
    spacing: 16,
    layoutFrom: 0,
    openings: [],
    ...more,
  });
  return { framed, parts: assignMarks(sketch.parts) };
};
const door: PlacedOpening = {
  id: 'd',
  kind: 'people door',
  left: 30,
  width: 31,
  bottom: 8,
  height: 44,
  leastHeight: 20,
};

describe('frameWall', () => {
  it('hooks the layout so that sheet edges land on stud centres: first mark 15 1/4, then every 16 (common practice, no source)', () => {
    const { framed } = wall();
    expect(framed.tape.marks.map((m) => m.at)).toEqual([0, 15.25, 31.25, 47.25, 63.25, 79.25, 94.5]);
    expect(framed.centres).toContain(48);
  });
  it('cuts studs three inches short of the wall: two plates of 1 1/2', () => {
    const { parts } = wall();
    for (const s of parts.filter((p) => p.role === 'stud')) expect(s.length).toBe(57);
    expect(parts.filter((p) => p.role === 'plate').map((p) => p.length)).toEqual([96, 96]);
    expect(new Set(parts.filter((p) => p.role === 'stud').map((p) => p.mark)).size).toBe(1);
  });
  it('frames an opening with kings, jacks, header, sill and cripples', () => {
    const { parts, framed } = wall({ openings: [door] });
    const role = (r: string) => parts.filter((p) => p.role === r);
    expect(role('king')).toHaveLength(2);
    // Jacks stand on the plate and carry the header at the head of the opening: 8 + 44 less a plate.
    expect(role('jack').map((p) => p.length)).toEqual([50.5, 50.5]);
    // A header laps both jacks: rough width and two studs; doubled on edge with a half inch between.
    expect(role('header').map((p) => p.length)).toEqual([34, 34]);
    expect(role('spacer')).toHaveLength(1);
    expect(role('sill')[0]).toMatchObject({ length: 31, fit: 'measure in place' });
    expect(role('cripple').length).toBeGreaterThan(0);
    expect(framed.tape.marks.filter((m) => m.what === 'jack').map((m) => m.at)).toEqual([28.5, 61]);
  });
  it('frames a narrow opening between two studs, with a block over and one under it and no jacks', () => {
    const pop: PlacedOpening = { ...door, id: 'p', kind: 'pop door', left: 33, width: 12, bottom: 10, height: 14 };
    const { parts } = wall({ openings: [pop] });
    const role = (r: string) => parts.filter((p) => p.role === r);
    expect(role('jack')).toEqual([]);
    expect(role('king').map((p) => p.length)).toEqual([57, 57]);
    expect([...role('header'), ...role('sill')].map((p) => p.length)).toEqual([12, 12]);
    // Its left stud would stand where the layout has one: there is one, not two.
    expect(parts.filter((p) => ['stud', 'king'].includes(p.role)).length).toBe(5 + 2 + 1);
  });
  it('takes the end stud of the wall for a king where that stands there anyway', () => {
    const { parts } = wall({ openings: [{ ...door, left: 3 }] });
    expect(parts.filter((p) => p.role === 'king')).toHaveLength(1);
    expect(parts.filter((p) => p.role === 'jack')).toHaveLength(2);
  });
  it('gives each stud under a slope its own length, growing by one constant step', () => {
    const { parts } = wall({ slope: 2 / 12, height: 40 });
    const studs = parts.filter((p) => p.role === 'stud' && !p.name.includes('end')).sort((a, b) => a.length - b.length);
    const steps = studs.slice(1).map((s, i) => s.length - (studs[i]?.length ?? 0));
    for (const s of steps) expect(s).toBeCloseTo((16 * 2) / 12, 9);
    // 2 in 12 is a bevel of 9.5 degrees.
    expect(studs[0]?.cuts.find((c) => c.kind === 'bevel')?.angle).toBe(9.5);
    for (const s of studs) expect(s.length - s.shortPoint).toBeCloseTo((1.5 * 2) / 12, 9);
  });
  it('leaves out a stud of the layout that would all but touch a king, but keeps those that sheets meet on', () => {
    const places = (left: number): number[] =>
      wall({ openings: [{ ...door, left }] })
        .parts.filter((p) => p.role === 'stud' && p.name === 'wall stud')
        .map((p) => measureBounds([p]).low[0])
        .sort((p, q) => p - q);
    // A king at 20 1/4 - 3 = 17 1/4 is half an inch off the stud from 15 1/4 to 16 3/4; one at 18 3/4 is 2 in off.
    expect(places(20.25)).not.toContain(15.25);
    expect(places(21.75)).toContain(15.25);
    // One at 49 1/4 is as near to the stud at 47 1/4, on which sheets meet at 48.
    expect(places(52.25)).toContain(47.25);
  });
  it('makes headers deeper as openings get wider', () => {
    expect([20, 24, 31, 48, 60].map((width) => headerHeight({ width }))).toEqual([1.5, 1.5, 3.5, 3.5, 5.5]);
  });
  it('lays a flat 2×4 between two studs where nothing bears on the wall (IRC R602.7.4, from memory)', () => {
    const flat = { flat: true } as const;
    expect([24, 31, 48, 60].map((width) => headerHeight({ width, ...flat }))).toEqual([1.5, 1.5, 1.5, 5.5]);
    expect([24, 31, 48, 60].map((width) => openingSide({ width, ...flat }))).toEqual([1.5, 1.5, 1.5, 3]);
    const { parts } = wall({ openings: [{ ...door, ...flat }] });
    expect(parts.filter((p) => p.role === 'jack')).toEqual([]);
    expect(parts.filter((p) => p.role === 'header').map((p) => p.length)).toEqual([door.width]);
    expect(parts.filter((p) => p.role === 'king')).toHaveLength(2);
  });
});

describe('layoutOpenings', () => {
  const wish = fc.record({
    width: fc.integer({ min: 8, max: 40 }),
    height: fc.integer({ min: 10, max: 50 }),
    bottom: fc.integer({ min: 2, max: 20 }),
  });
  it('never lets studs of openings meet each other or the ends, and loses none in silence, for any wishes', () => {
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 144 }), fc.array(wish, { maxLength: 4 }), (to, list) => {
        const wishes: OpeningWish[] = list.map((w, i) => ({ id: `${i}`, kind: 'window', leastHeight: 6, ...w }));
        const { placed, left } = layoutOpenings(0, to, wishes, () => 58.5);
        expect(placed.length + left.length).toBe(wishes.length);
        // The first outer stud is the wall's own end stud, or stands clear of it.
        let edge = 0;
        const own = placed.filter((o) => o.within === undefined).sort((p, q) => p.left - q.left);
        for (const o of own) {
          const start = o.left - openingSide(o);
          expect(start).toBeGreaterThanOrEqual(edge - 1 / 16);
          expect(start > 1 / 16 && start < 1.5 - 1 / 16).toBe(false);
          edge = o.left + o.width + openingSide(o);
          expect(o.bottom + o.height + headerHeight(o)).toBeLessThanOrEqual(58.5 + 1e-9);
          expect(o.left * 16).toBeCloseTo(Math.round(o.left * 16), 9);
        }
        expect(edge).toBeLessThanOrEqual(to + 1e-9);
        expect(to - edge > 1 / 16 && to - edge < 1.5 - 1 / 16).toBe(false);
      }),
    );
  });
  it('lowers what is too high and leaves out what cannot be', () => {
    const tall: OpeningWish = { id: 't', kind: 'people door', width: 30, height: 80, bottom: 8, leastHeight: 20 };
    expect(layoutOpenings(0, 72, [tall], () => 58.5)).toMatchObject({
      placed: [{ height: 47 }],
      lowered: [{ id: 't' }],
      left: [],
    });
    expect(layoutOpenings(0, 72, [tall], () => 30).left).toHaveLength(1);
    expect(layoutOpenings(0, 30, [tall], () => 58.5).left).toHaveLength(1);
  });
  it('moves an opening by a little so that a stud of the wall serves it, and never into another', () => {
    const one: OpeningWish = { id: 'w', kind: 'window', width: 20, height: 14, bottom: 20, leastHeight: 6 };
    const at = (to: number): number => layoutOpenings(0, to, [one], () => 58.5, 16).placed[0]?.left ?? NaN;
    // In the middle of 72 in it would stand at 26; its left stud catches the one at 31 1/4, or its right one that at 47 1/4.
    expect([at(72) - 1.5, at(72) + 20].some((stud) => Math.abs(((stud + 0.75) / 16) % 1) < 1e-9)).toBe(true);
    expect(Math.abs(at(72) - 26)).toBeLessThanOrEqual(5);
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 200 }), fc.array(wish, { minLength: 1, maxLength: 4 }), (to, list) => {
        const wishes: OpeningWish[] = list.map((w, i) => ({ id: `${i}`, kind: 'window', leastHeight: 6, ...w }));
        const { placed } = layoutOpenings(0, to, wishes, () => 58.5, 16);
        const sorted = placed.filter((o) => o.within === undefined).sort((p, q) => p.left - q.left);
        sorted.slice(1).forEach((o, i) => {
          const before = sorted[i] as PlacedOpening;
          expect(o.left - openingSide(o)).toBeGreaterThanOrEqual(
            before.left + before.width + openingSide(before) - 1e-6,
          );
        });
      }),
    );
  });
  it('puts a window over the nests where both find no room beside each other, between the same studs', () => {
    const nests: OpeningWish = { id: 'n', kind: 'nest', width: 37, height: 12, bottom: 8, leastHeight: 10 };
    const over: OpeningWish = { id: 'w', kind: 'window', width: 20, height: 14, bottom: 34, leastHeight: 6 };
    const { placed, left } = layoutOpenings(0, 60, [nests, over], () => 58.5);
    expect(left).toEqual([]);
    // The nests' header of two 2×4 ends at 8 + 12 + 3 1/2; the window stands in the middle over them.
    expect(placed).toMatchObject([{ id: 'n' }, { id: 'w', within: 'n', from: 23.5 }]);
    expect((placed[1]?.left ?? 0) + 10).toBeCloseTo((placed[0]?.left ?? 0) + 18.5, 9);
    // A pop door slides in front of what is over it: it shares no bay.
    expect(layoutOpenings(0, 60, [nests, { ...over, kind: 'pop door' }], () => 58.5).left).toHaveLength(1);
    // Nor does a window that the nests' header reaches into.
    expect(layoutOpenings(0, 60, [nests, { ...over, bottom: 24 }], () => 58.5).left).toHaveLength(1);
  });
  it('frames them with studs of their own between header and plate, and none twice', () => {
    const nests: PlacedOpening = { id: 'n', kind: 'nest', left: 10, width: 37, height: 12, bottom: 8, leastHeight: 10 };
    const { placed } = layoutOpenings(
      0,
      96,
      [
        { ...nests, at: 10 },
        { id: 'w', kind: 'window', width: 37, height: 14, bottom: 34, leastHeight: 6, at: 10 },
      ],
      () => 57,
    );
    const { parts } = wall({ openings: placed });
    const of = (role: string) => parts.filter((p) => p.role === role && p.name.includes('window'));
    // As wide as the nests: their kings run through, only jacks from header to header are its own.
    expect(of('king')).toEqual([]);
    expect(of('jack').map((p) => p.length)).toEqual([24.5, 24.5]);
    expect(of('sill').map((p) => p.length)).toEqual([37]);
    const places = parts
      .filter((p) => ['king', 'jack', 'stud', 'cripple'].includes(p.role))
      .map((p) => JSON.stringify(p.place));
    expect(new Set(places).size).toBe(places.length);
  });
  it('lets the plate run through under a door on the floor, to be sawn out once it stands', () => {
    const { parts } = wall({ openings: [{ ...door, bottom: 0 }] });
    const plates = parts.filter((p) => p.name === 'wall bottom plate');
    expect(plates.map((p) => p.fit)).toEqual(['cut to length', 'sawn in place']);
    // One piece of 96 in goes to the saw; beside a door of 30 in at 30 in lie 30 in and 36 in of it.
    expect(plates[0]).toMatchObject({ length: 96, sawnOut: [plates[1]?.id] });
    expect(plates.map((p) => p.shape.outline[1]?.[0])).toEqual([door.left, 96 - door.left - door.width]);
  });
  it('keeps the margin that channels of a sliding door take', () => {
    const pop: OpeningWish = {
      id: 'p',
      kind: 'pop door',
      width: 11,
      height: 13,
      bottom: 8,
      leastHeight: 10,
      margin: 2.5,
    };
    // 11 in, a stud and the channels on both sides, and an end stud beyond each: 22 in.
    const { placed } = layoutOpenings(0, 22, [pop], () => 50);
    expect(placed[0]?.left).toBeGreaterThanOrEqual(1.5 + openingSide({ width: 11 }) + 2.5 - 1 / 16);
    expect(layoutOpenings(0, 21.75, [pop], () => 50).left).toHaveLength(1);
  });
});

describe('chooseJoints', () => {
  it('joins sheets at the farthest stud centre within reach', () => {
    expect(chooseJoints(0, 72, 48, [0.75, 16, 32, 48, 64, 71.25])).toEqual([0, 48, 72]);
    expect(chooseJoints(0, 72, 48, [0.75, 16, 32, 45, 64, 71.25])).toEqual([0, 45, 72]);
    expect(chooseJoints(0, 40, 48, [16, 32])).toEqual([0, 40]);
  });
  it('never makes a sheet wider than it is sold, for any studs', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 300 }),
        fc.array(fc.integer({ min: 1, max: 300 }), { maxLength: 30 }),
        (to, studs) => {
          const joints = chooseJoints(
            0,
            to,
            48,
            [...studs].sort((a, b) => a - b),
          );
          joints.slice(1).forEach((j, i) => {
            expect(j - (joints[i] ?? 0)).toBeLessThanOrEqual(48 + 1e-6);
            expect(j).toBeGreaterThan(joints[i] ?? 0);
          });
          expect(joints[joints.length - 1]).toBe(to);
        },
      ),
    );
  });
});

describe('skinWall', () => {
  it('cuts the opening out of the sheet that covers it', () => {
    const sketch = new Sketch();
    skinWall(sketch, {
      id: 'w',
      name: 'wall',
      axes: wallAxes('front', [0, 0, 0]),
      from: 0,
      to: 96,
      bottom: -5.5,
      top: () => 60,
      item: 'siding-5/8',
      thickness: 0.625,
      sheet: 48,
      centres: [0.75, 16, 27.75, 62.75, 80, 95.25],
      openings: [door],
    });
    expect(sketch.parts.map((p) => [p.width, p.length, p.shape.holes.length])).toEqual([
      [27.75, 65.5, 0],
      [35, 65.5, 1],
      [33.25, 65.5, 0],
    ]);
  });
});

describe('what is left over a header and under a sill', () => {
  // Over the door: 60 less a plate is 58 1/2; the header ends at 8 + height + 3 1/2.
  const over = (height: number) => wall({ openings: [{ ...door, height }] }).parts;
  const rips = (parts: ReturnType<typeof over>, id: RegExp) =>
    parts.filter((p) => id.test(p.id)).map((p) => [p.length, p.rip]);
  it.each([
    [47, 0],
    [46.75, 0.25],
    [46.5, 0.5],
  ])('a header of %s high leaves %s in: nothing fills it', (height) => {
    const parts = over(height);
    expect(rips(parts, /packer-\d/)).toEqual([]);
    expect(parts.filter((p) => /cripple over/.test(p.name))).toEqual([]);
  });
  it.each([
    [46, 1],
    [45, 2],
    [44.75, 2.25],
  ])('a door of %s leaves %s in: two rips as long as the header', (height, gap) => {
    const parts = over(height);
    expect(rips(parts, /packer-\d/)).toEqual([
      [34, gap],
      [34, gap],
    ]);
    expect(parts.filter((p) => /cripple over/.test(p.name))).toEqual([]);
  });
  it('2 1/2 in and more is a place for cripples', () => {
    const cripples = over(44.5).filter((p) => /cripple over/.test(p.name));
    expect(cripples.length).toBeGreaterThan(0);
    expect(new Set(cripples.map((p) => p.length))).toEqual(new Set([2.5]));
    expect(rips(over(44.5), /packer-\d/)).toEqual([]);
  });
  it.each([
    [3, 'nothing', 0, 0],
    [4, 'rips of 1 in', 2, 0],
    [8, 'cripples of 5 in', 0, 2],
  ])('under a sill at %s stand %s', (bottom, _what, packed, cripples) => {
    const { parts } = wall({ openings: [{ ...door, bottom, height: 40 }] });
    expect(rips(parts, /packer-under/)).toHaveLength(packed);
    expect(parts.filter((p) => /cripple under/.test(p.name))).toHaveLength(cripples);
  });
  it('a rip does not stand where a row of blocks is', () => {
    const { parts } = wall({ openings: [{ ...door, height: 45 }], blockRows: [57.5] });
    const blocks = parts.filter((p) => /block-57\.5/.test(p.id));
    expect(blocks.length).toBeGreaterThan(2);
    for (const b of blocks)
      expect(b.place.origin[0] >= 64 - 1e-6 || b.place.origin[0] + b.length <= 28.5 + 1e-6).toBe(true);
  });
});

describe('a door under a raked plate', () => {
  // Top of the plate 80 at the start, falling 2 in 12; on 60 in of wall.
  const slope = -1 / 6;
  const plumb = 1.5 * Math.sqrt(1 + slope ** 2);
  const ceiling = (a: number): number => 80 + slope * a - plumb;
  const wish = (more: Partial<OpeningWish> = {}): OpeningWish => ({
    id: 'd',
    kind: 'people door',
    width: 30,
    height: 74,
    bottom: 1.5,
    leastHeight: 40,
    flat: true,
    ...more,
  });
  const laid = (more: Partial<OpeningWish> = {}) => layoutOpenings(0, 60, [wish(more)], ceiling);

  it('goes up to the plate where it fits no other way: its lower side is that of the plate there', () => {
    const [o] = laid().placed;
    expect(o?.left).toBe(15);
    expect(o?.rake).toBeCloseTo(slope, 12);
    expect(o?.height).toBeCloseTo(ceiling(45) - 1.5, 9);
    expect(openingTop(o as PlacedOpening, 45)).toBeCloseTo(ceiling(45), 9);
    expect(openingTop(o as PlacedOpening, 15)).toBeCloseTo(ceiling(15), 9);
    expect(laid().lowered.map((w) => w.id)).toEqual([]);
  });
  it('is said to be lower than asked only where even its higher side is', () => {
    // 80 - 15 / 6 - 1.52 - 1.5 is 74.48: more than that no side has.
    expect(laid({ height: 74.4 }).lowered).toEqual([]);
    expect(laid({ height: 75 }).lowered.map((w) => w.id)).toEqual(['d']);
  });
  it('is level and lower under a plate so steep that its high side would be far over what is wanted', () => {
    // 8 in 12 over 30 in of door is 20 in.
    const steep = layoutOpenings(0, 60, [wish({ height: 60 })], (a) => 90 - (2 / 3) * a - 1.8);
    expect(steep.placed[0]?.rake).toBeUndefined();
    expect(steep.lowered.map((w) => w.id)).toEqual(['d']);
  });
  it.each([
    ['fits under a level head', { height: 60 }],
    ['has two leaves', { style: 'dutch' as const }],
    ['is bought in its frame', { unit: 'door-30x72' }],
    ['stands in a wall that carries rafters', { flat: false }],
    ['is no door', { kind: 'window' as const }],
  ])('is level where it %s', (_, more) => {
    for (const o of laid(more).placed) expect(o.rake).toBeUndefined();
  });
  it('is framed between two studs with no header, no cripple and no block over it', () => {
    const [o] = laid().placed;
    const sketch = new Sketch();
    frameWall(sketch, {
      id: 'w',
      name: 'wall',
      axes: wallAxes('right', [0, 0, 0]),
      from: 0,
      to: 60,
      height: 80,
      slope,
      spacing: 16,
      layoutFrom: 0,
      openings: [o as PlacedOpening],
      blockRows: [40, 70],
    });
    const roles = sketch.parts.map((p) => p.role);
    expect(roles.filter((r) => r === 'king')).toHaveLength(2);
    for (const none of ['header', 'jack', 'cripple', 'spacer'] as const) expect(roles).not.toContain(none);
    // Kings reach the plate: at 13.5 to 15 and 45 to 46.5, the long side of each.
    const kings = sketch.parts.filter((p) => p.role === 'king').map((p) => p.length);
    expect(kings[0]).toBeCloseTo(ceiling(13.5) - 1.5, 6);
    expect(kings[1]).toBeCloseTo(ceiling(45) - 1.5, 6);
    for (const block of sketch.parts.filter((p) => p.role === 'blocking')) {
      const { low, high } = measureBounds([block]);
      // Along the right wall `a` runs to the back.
      expect(high[1] <= 15 + 1e-6 || low[1] >= 45 - 1e-6).toBe(true);
    }
  });
  it('takes a slanting hole out of the sheets over it, and leaves them whole beside it', () => {
    const [o] = laid().placed;
    const sketch = new Sketch();
    skinWall(sketch, {
      id: 'w',
      name: 'wall',
      axes: wallAxes('right', [0, 0, 0]),
      from: 0,
      to: 60,
      bottom: 0,
      top: (a) => 80 + slope * a,
      item: 'siding-5/8',
      thickness: 0.625,
      sheet: 48,
      centres: [14.25, 45.75],
      openings: [o as PlacedOpening],
    });
    const area = sketch.parts.reduce(
      (sum, p) =>
        sum + Math.abs(measureArea(p.shape.outline)) - p.shape.holes.reduce((s, h) => s + Math.abs(measureArea(h)), 0),
      0,
    );
    // A wall of 60 in, 75 in high at its middle, less a door of 30 in with its middle at 30 in along.
    expect(area).toBeCloseTo(60 * 75 - 30 * (ceiling(30) - 1.5), 4);
  });
});
