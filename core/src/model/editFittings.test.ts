import fc from 'fast-check';
import {
  asSpecified,
  copyFitting,
  fittingOf,
  newFitting,
  pinWall,
  settleFitting,
  putFitting,
  removeFitting,
  snapLeft,
  wallLayout,
} from './editFittings.ts';
import { SWAPPED } from '../unit/index.ts';
import type { Side } from '../unit/index.ts';
import { FAMILIES } from './families/index.ts';
import { buildSpec, parseSpec, SpecError } from './spec.ts';

const spec = parseSpec({ family: 'raised-lean-to', params: { length: 96, windowWall: 'none' } });
const build = buildSpec(spec);
const back = wallLayout(build, 'back');

describe('a wall as it is framed', () => {
  it('has its length and its studs, low edges on the layout', () => {
    expect(back?.length).toBeCloseTo(96, 9);
    // Ends, and 16 on centre: 15 1/4, 31 1/4 … from its left end.
    expect(back?.studs).toEqual([0, 15.25, 31.25, 47.25, 63.25, 79.25, 94.5]);
  });
  it('is not there where a family has none', () => {
    expect(wallLayout(buildSpec(parseSpec({ family: 'hoop-pen' })), 'front')).toBeUndefined();
  });
});

describe('snapping', () => {
  const studs = [0, 15.25, 31.25, 47.25, 63.25, 79.25, 94.5];
  /** One that stands between others, and one that others stand against. */
  const wall = { length: 96, corner: 0, between: true, flat: false, studs };
  const long = { length: 96, corner: 4.5, between: false, flat: false, studs };
  it('takes a stud for a king when it is near: 15 1/4 and 3 in of king and jack, or the stud alone where it is narrow', () => {
    expect(snapLeft(18.9, 30, wall)).toBe(18.25);
    // Where no rafter bears a stud alone does for a wide one as well.
    expect(snapLeft(16.6, 30, { ...wall, flat: true })).toBe(16.75);
    expect(snapLeft(17.5, 30, wall)).toBe(18.25);
    expect(snapLeft(17.2, 20, wall)).toBe(16.75);
  });
  it('takes the end stud of the wall for a king, or keeps clear of it', () => {
    expect(snapLeft(-4, 20, wall)).toBe(1.5);
    expect(snapLeft(2.6, 20, wall)).toBe(3);
    expect(snapLeft(90, 20, wall)).toBe(96 - 20 - 1.5);
    expect(snapLeft(-4, 30, wall)).toBe(3);
    expect(snapLeft(-4, 20, long)).toBe(4.5);
    expect(snapLeft(200, 30, long)).toBe(96 - 30 - 4.5);
  });
  it('goes to the whole inch elsewhere', () => expect(snapLeft(22.4, 20, wall)).toBe(22));
  it('never leaves the wall, whatever is dragged', () => {
    fc.assert(
      fc.property(fc.double({ min: -200, max: 300, noNaN: true }), fc.integer({ min: 6, max: 80 }), (left, width) => {
        const at = snapLeft(left, width, wall);
        const side = width <= 24 ? 1.5 : 3;
        expect(at).toBeGreaterThanOrEqual(side);
        expect(at + width).toBeLessThanOrEqual(96 - side + 1e-9);
      }),
      { seed: 8 },
    );
  });
});

describe('fittings by hand', () => {
  it('are added where there is room, and the wall re-frames round them', () => {
    const window = newFitting(spec, build, 'back', 'window');
    if (!window) throw new Error('no wall');
    const next = putFitting(spec, window);
    const framed = buildSpec(next);
    expect(framed.openings.find((o) => o.id === `back-wall/${window.id}`)).toMatchObject({
      left: window.left,
      width: 20,
    });
    expect(framed.parts.some((p) => p.id === `back-wall/${window.id}/header`)).toBe(true);
    expect(framed.notes.filter((n) => n.code.startsWith(window.id))).toEqual([]);
  });
  it('are copied under another name and find other room', () => {
    const first = newFitting(spec, build, 'back', 'window');
    if (!first) throw new Error('no wall');
    const one = putFitting(spec, first);
    const two = putFitting(one, copyFitting(one, buildSpec(one), first));
    expect(new Set(two.fittings?.map((f) => f.id)).size).toBe(2);
    expect(buildSpec(two).openings.filter((o) => o.assembly === 'back-wall')).toHaveLength(2);
  });
  it('take the place of a fitting of the parameters', () => {
    const door = build.openings.find((o) => o.kind === 'people door');
    const pinned = door && fittingOf(door);
    if (!pinned) throw new Error('no door');
    const moved = buildSpec(putFitting(spec, { ...pinned, left: 8 }));
    expect(moved.openings.filter((o) => o.kind === 'people door')).toHaveLength(1);
    expect(moved.openings.find((o) => o.kind === 'people door')?.left).toBe(8);
  });
  it('are taken out: by hand from the list, of the parameters by switching them off', () => {
    const window = newFitting(spec, build, 'back', 'window');
    if (!window) throw new Error('no wall');
    expect(removeFitting(putFitting(spec, window), window.id).fittings).toBeUndefined();
    expect(removeFitting(spec, 'nest').params.nestWall).toBe('none');
    expect(buildSpec(removeFitting(spec, 'nest')).openings.some((o) => o.kind === 'nest')).toBe(false);
  });
  it('that collide are left out and noted, never drawn into each other', () => {
    const at = {
      id: 'a',
      kind: 'window',
      style: 'mesh',
      wall: 'back',
      left: 20,
      bottom: 20,
      width: 20,
      height: 12,
    } as const;
    const both = buildSpec(putFitting(putFitting(spec, at), { ...at, id: 'b', left: 30 }));
    expect(both.openings.some((o) => o.id === 'back-wall/b')).toBe(false);
    expect(both.notes.find((n) => n.code === 'b-left-out')?.what).toBe(
      'The window cannot stand at 30″ in the back wall.',
    );
  });
});

describe('fittings in a file', () => {
  const bad = (fittings: unknown, family = 'raised-lean-to'): string => {
    try {
      parseSpec({ family, fittings });
      return 'accepted';
    } catch (error) {
      if (error instanceof SpecError) return error.message;
      throw error;
    }
  };
  const good = { id: 'w', kind: 'window', wall: 'back', left: '20 in', bottom: 20, width: '1\' 8"', height: 12 };
  it('are read with their lengths in any unit and the usual style', () => {
    expect(parseSpec({ family: 'raised-lean-to', fittings: [good] }).fittings).toEqual([
      { id: 'w', kind: 'window', style: 'mesh', wall: 'back', left: 20, bottom: 20, width: 20, height: 12 },
    ]);
  });
  it.each([
    [{ kind: 'gate' }, /fittings\[0\]\.kind: "gate" is not a fitting of a raised-lean-to/],
    [{ wall: 'top' }, /fittings\[0\]\.wall: "top" is not a wall/],
    [{ width: 200 }, /fittings\[0\]\.width: 200 is out of range; it takes 6 to 96 in/],
    [{ left: 'far' }, /fittings\[0\]\.left: "far" is not a length/],
    [{ style: 'dutch' }, /fittings\[0\]\.style: "dutch" is not a style of a window/],
    [{ id: 'my window' }, /fittings\[0\]\.id: "my window" is not a name/],
    [{ colour: 'red' }, /fittings\[0\]\.colour: "red" does not belong/],
  ])('with %j are refused in a sentence', (change, message) => expect(bad([{ ...good, ...change }])).toMatch(message));
  it('say which entry, which key and what it takes', () => {
    expect(bad([{ ...good, kind: 'gate' }])).toMatch(
      /fittings\[0\]\.kind: "gate" is not a fitting of a raised-lean-to/,
    );
    expect(bad([good, { ...good }])).toMatch(/fittings\[1\]\.id: "w" is there twice/);
    expect(bad({})).toMatch(/fittings: \{\} is not a list of fittings/);
    expect(bad([good], 'hoop-pen')).toMatch(/the sides of a hoop-pen carry none/);
    expect(bad(['window'])).toMatch(/fittings\[0\]: "window" is not a fitting with id, kind/);
  });
});

describe('a mirrored unit', () => {
  const SIDES: readonly Side[] = ['front', 'back', 'left', 'right'];
  const houses = FAMILIES.filter((f) => f.carries.walls.length > 0).map((f) => f.key);
  it.each(houses)(
    '%s has its walls on the other side, as long and with the same studs from the other end',
    (family) => {
      const plain = buildSpec(parseSpec({ family }));
      const turned = buildSpec(parseSpec({ family, mirrored: true }));
      for (const side of SIDES) {
        const [was, is] = [wallLayout(plain, SWAPPED[side]), wallLayout(turned, side)];
        expect(is?.assembly).toBe(was?.assembly);
        if (!was || !is) continue;
        expect(is.length).toBeCloseTo(was.length, 6);
        expect(is.studs).toHaveLength(was.studs.length);
        // A stud is 1 1/2 in wide: its low edge from one end is its high edge from the other.
        const back = was.studs.map((n) => was.length - n - 1.5).sort((a, b) => a - b);
        is.studs.forEach((n, i) => expect(Math.abs(n - (back[i] ?? NaN))).toBeLessThanOrEqual(1 / 16));
      }
    },
  );
  it.each(houses)('%s: what is put where it is seen stands where it was put', (family) => {
    const first = parseSpec({ family, params: family === 'raised-gable' ? { length: 120 } : {}, mirrored: true });
    const build = buildSpec(first);
    let tried = 0;
    for (const side of FAMILIES.find((f) => f.key === family)?.carries.walls ?? []) {
      const seen = SWAPPED[side];
      const usual = newFitting(first, build, seen, 'vent');
      if (!usual) continue;
      // Small and low, so that it finds room in the smallest house as well.
      const fitting = { ...usual, bottom: 6, width: 8, height: 4 };
      const next = buildSpec(putFitting(first, asSpecified(build, fitting)));
      const stands = next.openings.find((o) => o.id.endsWith(`/${fitting.id}`));
      if (!stands) {
        expect(next.notes.some((n) => n.code.startsWith(fitting.id))).toBe(true);
        continue;
      }
      tried++;
      expect(stands.wall).toBe(seen);
      expect(Math.abs(stands.left - fitting.left)).toBeLessThanOrEqual(1 / 16);
      expect(fittingOf(stands)).toMatchObject({ wall: seen, bottom: fitting.bottom, width: fitting.width });
    }
    expect(tried).toBeGreaterThan(0);
  });
  it('says in its notes and fixes which side it means as it is seen', () => {
    // At the very end of the wall there is no room for its king stud.
    const window = {
      id: 'by-hand',
      kind: 'window',
      style: 'mesh',
      wall: 'left',
      left: 0,
      bottom: 20,
      width: 20,
      height: 10,
    };
    const words = (mirrored: boolean) =>
      buildSpec(parseSpec({ family: 'raised-lean-to', fittings: [window], mirrored })).notes.map((n) => n.what);
    const [plain, turned] = [words(false).join(), words(true).join()];
    expect(plain).toMatch(/in the left wall/);
    expect(turned).toBe(plain.replace(/\b(left|right)\b/g, (w) => (w === 'left' ? 'right' : 'left')));
  });
});

describe('locked parameters', () => {
  it('travel with the spec, each once, in the order of the table', () => {
    const locked = parseSpec({ family: 'low-pen', locked: ['width', 'length', 'width'] });
    expect(locked.locked).toEqual(['length', 'width']);
    expect(parseSpec(JSON.parse(JSON.stringify(locked)))).toEqual(locked);
    expect('locked' in parseSpec({ family: 'low-pen', locked: [] })).toBe(false);
  });
  it('change nothing in the build', () => {
    expect(buildSpec(parseSpec({ family: 'low-pen', locked: ['width'] }))).toEqual(
      buildSpec(parseSpec({ family: 'low-pen' })),
    );
  });
  it.each([
    ['width', /locked: "width" is not a list/],
    [['girth'], /"girth" is not a parameter of low-pen; it has construction, length/],
    [[3], /locked: 3 is not a parameter/],
  ])('%j is turned down', (locked, message) => expect(() => parseSpec({ family: 'low-pen', locked })).toThrow(message));
});

describe('what is put on a wall', () => {
  const spec = parseSpec({ family: 'raised-lean-to', params: { length: 120 } });
  const first = buildSpec(spec);
  it('stands where it was put, whole, for every kind and wall that has room, or is not offered', () => {
    let stood = 0;
    for (const side of ['front', 'back', 'left', 'right'] as const)
      for (const kind of ['window', 'vent', 'pop door', 'people door', 'clean-out', 'nest'] as const) {
        const fitting = newFitting(spec, first, side, kind);
        if (!fitting) continue;
        stood++;
        const next = buildSpec(putFitting(pinWall(spec, first, side), fitting));
        const got = next.openings.find((o) => o.id.endsWith(`/${fitting.id}`));
        expect(got).toMatchObject({ left: fitting.left, width: fitting.width, height: fitting.height });
      }
    expect(stood).toBeGreaterThan(8);
  });
  it('is not offered where a wall is full', () => {
    const small = parseSpec({
      family: 'raised-lean-to',
      params: { length: 40, depth: 36, doorWall: 'front', doorWidth: 28 },
    });
    const build = buildSpec(small);
    expect(newFitting(small, build, 'front', 'people door')).toBeUndefined();
  });
  it('goes over the nests where a wall has no room beside them, and moves nothing', () => {
    // The right wall of the usual house is 41 in between its corners: a row of nests fills it.
    const usual = parseSpec({ family: 'raised-lean-to', params: { windowWall: 'none' } });
    const build = buildSpec(usual);
    const window = newFitting(usual, build, 'right', 'window');
    const nests = build.openings.find((o) => o.id === 'right-wall/nest');
    if (!window || !nests) throw new Error('There is room over the nests.');
    expect(window.left + window.width / 2).toBeCloseTo(nests.left + nests.width / 2, 9);
    expect(window.bottom).toBeGreaterThanOrEqual(nests.bottom + nests.height + 3);
    const next = buildSpec(putFitting(pinWall(usual, build, 'right'), window));
    expect(next.notes).toEqual([]);
    expect(next.openings.find((o) => o.id === 'right-wall/nest')).toMatchObject({ left: nests.left });
    // A pop door slides in front of what is over it: none is offered there.
    expect(newFitting(usual, build, 'right', 'pop door')).toBeUndefined();
  });
  it('moves nothing else on its wall', () => {
    const window = newFitting(spec, first, 'front', 'window');
    if (!window) throw new Error('There is room in the front.');
    const lefts = (b: typeof first): (readonly [string, number])[] =>
      b.openings
        .filter((o) => o.assembly === 'front-wall' && !o.id.endsWith(window.id))
        .map((o) => [o.id, o.left] as const);
    const before = new Map(lefts(first));
    for (const left of [window.left, window.left + 6, window.left - 6]) {
      const next = buildSpec(putFitting(pinWall(spec, first, 'front', window.id), { ...window, left }));
      for (const [id, at] of lefts(next)) expect([id, at]).toEqual([id, before.get(id)]);
    }
  });
});

describe('an opening that does not fit', () => {
  it('is told the nearest place where it stands, and stands there', () => {
    const window = {
      id: 'by-hand',
      kind: 'window',
      style: 'mesh',
      wall: 'back',
      left: 1,
      bottom: 30,
      width: 20,
      height: 10,
    };
    const put = (left: number) =>
      buildSpec(parseSpec({ family: 'walk-in', params: { windowWall: 'front' }, fittings: [{ ...window, left }] }));
    const note = put(1).notes.find((n) => n.code === 'by-hand-left-out');
    const near = Number(/nearest place where it stands is ([\d.]+)″/.exec(note?.why ?? '')?.[1]);
    expect(near).toBe(4.5);
    expect(put(near).openings.some((o) => o.id === 'back-wall/by-hand')).toBe(true);
    expect(put(near - 0.5).openings.some((o) => o.id === 'back-wall/by-hand')).toBe(false);
  });
  it('is mended with the widest that does, not with the least', () => {
    const params = {
      length: 40,
      doorWall: 'front',
      doorWidth: 40,
      windowWall: 'none',
      popWall: 'left',
      nestWall: 'none',
      cleanOutWall: 'none',
    };
    const spec = parseSpec({ family: 'raised-lean-to', params });
    const fix = buildSpec(spec).notes.find((n) => n.code === 'door-left-out')?.fix;
    const widest = Number(fix?.patch['doorWidth']);
    expect(widest).toBeGreaterThan(24);
    const built = (doorWidth: number) =>
      buildSpec(parseSpec({ family: 'raised-lean-to', params: { ...params, doorWidth } }));
    expect(built(widest).notes.some((n) => n.code === 'door-left-out')).toBe(false);
    expect(built(widest + 0.5).notes.some((n) => n.code === 'door-left-out')).toBe(true);
  });
  it('a gate of 36 in stays 36 in where the corner posts can be its kings, and else says how wide it came out', () => {
    const gate = (depth: number, runGate: number) => {
      const b = buildSpec(parseSpec({ family: 'raised-lean-to', params: { depth, run: true, runGate } }));
      return [
        b.openings.find((o) => o.kind === 'gate')?.width,
        b.notes.filter((n) => n.code === 'gate-narrower').length,
      ];
    };
    expect(gate(49, 36)).toEqual([36, 0]);
    expect(gate(48, 36)).toEqual([35, 1]);
  });
});

describe('what is dragged', () => {
  const spec = parseSpec({ family: 'walk-in', params: {} });
  const first = buildSpec(spec);
  it('stops where it would meet a corner or another opening, and never goes missing', () => {
    const door = first.openings.find((o) => o.kind === 'people door');
    const fitting = door && fittingOf(door);
    if (!fitting) throw new Error('A walk-in has a door.');
    for (const left of [-20, 0, 30, 90, 200, 400]) {
      const put = settleFitting(spec, first, { ...fitting, left });
      const next = buildSpec(putFitting(pinWall(spec, first, fitting.wall, fitting.id), put));
      expect([left, next.openings.map((o) => o.id).sort()]).toEqual([left, first.openings.map((o) => o.id).sort()]);
    }
  });
  it('goes where it was dragged to where that is free', () => {
    const window = newFitting(spec, first, 'back', 'window');
    if (!window) throw new Error('There is room in the back of a walk-in.');
    const spread = putFitting(pinWall(spec, first, 'back'), window);
    const build = buildSpec(spread);
    expect(settleFitting(spread, build, { ...window, bottom: window.bottom - 2 })).toEqual({
      ...window,
      bottom: window.bottom - 2,
    });
  });
});
