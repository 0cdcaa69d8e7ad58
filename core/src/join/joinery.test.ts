import { buildSpec, parseSpec } from '../model/index.ts';
import { countJoints } from '../unit/index.ts';
import type { Build, Joint, ParamValue } from '../unit/index.ts';
import { findUnheld } from './findUnheld.ts';

const build = (family: string, params: Record<string, ParamValue> = {}): Build =>
  buildSpec(parseSpec({ family, params }));

/** Joints between parts of some roles, in either order. */
const between = (b: Build, ...roles: string[]): Joint[] => {
  const roleOf = new Map(b.parts.map((p) => [p.id, p.role as string]));
  const wanted = [...roles].sort().join('+');
  return b.joints.filter(
    (j) =>
      j.parts
        .map((p) => roleOf.get(p) ?? '')
        .sort()
        .join('+') === wanted,
  );
};
const driven = (joints: readonly Joint[]): Record<string, number> =>
  Object.fromEntries(countJoints(joints).fasteners.map((f) => [f.item, f.count]));
const fitted = (joints: readonly Joint[]): Record<string, number> =>
  Object.fromEntries(countJoints(joints).hardware.map((f) => [f.item, f.count]));

describe('the usual low pen, 96 × 72 × 24, counted by hand', () => {
  const pen = build('low-pen');
  it('frames: four uprights a side, each end two pocket screws; rails of the ends into those of the sides', () => {
    // 4 sides × 4 uprights × 2 ends; 4 corners × 2 rails.
    expect(between(pen, 'upright', 'rail')).toHaveLength(32);
    expect(between(pen, 'rail', 'rail').filter((j) => j.kind === 'pocket')).toHaveLength(8);
    // 32 and 8 joints, 3 crossbars at both ends, 2 lid rails × 3 stiles: 2 screws each.
    expect(driven(pen.joints)['pocket-screw']).toBe(2 * (32 + 8 + 6 + 6));
  });
  it('corners: end uprights to side uprights, 19 in of contact, three 3 in screws; two for each wheel block', () => {
    expect(between(pen, 'upright', 'upright').map((j) => driven([j]))).toEqual(
      Array.from({ length: 4 }, () => ({ 'screw-3': 3 })),
    );
    expect(driven(pen.joints)['screw-3']).toBe(4 * 3 + 2 * 2);
  });
  it('roof: a sheet of 36 and one of 12 in, a gasketed screw at every rib on five rails and two bars', () => {
    // Side rails: 36 in take 5, 12 in take 3, twice. Over 69 in between the sides: 9 on the end rail and on each crossbar at
    // 24 and 48; the end rail is under the first sheet alone.
    expect(driven(pen.joints)['roof-screw']).toBe(2 * (5 + 3) + 3 * 9);
  });
  it('hardware: line by line', () => {
    expect(fitted(pen.joints)).toEqual({
      hinge: 3, // a lid over 48 in
      latch: 2,
      'wheel-8': 2,
      'axle-bolt': 2,
      rope: 2,
      'eye-bolt': 2,
      'angle-tie': 8, // four corners, bottom and top
      washer: driven(pen.joints)['screw-3/4'],
    });
    expect(driven(between(pen, 'rail', 'rail').filter((j) => j.kind === 'tie'))).toEqual({ 'screw-1-1/4': 8 * 4 });
  });
});

describe('the usual raised house, counted by hand', () => {
  const house = build('raised-lean-to');
  const verticals = (role: string): number => house.parts.filter((p) => p.role === role).length;
  it('walls: three nails through each plate into every stud and king, and through the sole into every jack', () => {
    // The door has jacks; window and pop door stand between two studs, and so do the nests: no rafter bears on their wall.
    expect([verticals('stud'), verticals('king'), verticals('jack')]).toEqual([12, 8, 2]);
    expect(driven(between(house, 'plate', 'stud'))).toEqual({ 'nail-3': 12 * 2 * 3 });
    expect(driven(between(house, 'plate', 'king'))).toEqual({ 'nail-3': 8 * 2 * 3 });
    expect(driven(between(house, 'plate', 'jack'))).toEqual({ 'nail-3': 2 * 3 });
  });
  it('headers: one pair with its spacer, 3½ in nails through all three; ends nailed through the kings', () => {
    const pairs = between(house, 'header', 'spacer', 'header');
    expect(pairs).toHaveLength(1);
    for (const j of pairs) expect([j.fasteners[0]?.item, j.bite]).toEqual(['nail-3-1/2', { through: 2, into: 1.5 }]);
    // One pair and three single ones, both ends: (2 + 3) × 2.
    expect(between(house, 'king', 'header')).toHaveLength(10);
  });
  it('roof: every rafter is tied to both level plates; the end ones lie nailed along the raked plates', () => {
    const rafters = verticals('rafter');
    expect(fitted(between(house, 'rafter', 'plate'))['rafter-tie']).toBe(2 * rafters);
    expect(between(house, 'rafter', 'plate').filter((j) => j.kind === 'face-nailed')).toHaveLength(2);
  });
  it('legs: a strap for each rim that sits on one, for nothing that is driven reaches from the rim into the leg', () => {
    expect(between(house, 'leg', 'rim')).toHaveLength(8);
    expect(fitted(between(house, 'leg', 'rim'))).toEqual({ 'post-strap': 8 });
    expect(driven(between(house, 'leg', 'rim'))).toEqual({ 'screw-1-1/2': 64 });
  });
  it('barge rafters: carried by lookouts from the end rafters, through the siding', () => {
    const lookouts = house.parts.filter((p) => p.name === 'lookout');
    expect(lookouts.length).toBeGreaterThanOrEqual(4);
    // Beside the walls through the siding; in front of them straight from the rafter.
    const byRafter = house.joints.filter((j) => j.parts.some((p) => /rafter-/.test(p)));
    for (const l of lookouts) expect(byRafter.filter((j) => j.parts.includes(l.id))).toHaveLength(1);
    expect(between(house, 'rafter', 'siding', 'blocking')).toHaveLength(4);
  });
});

describe('one bay of a run, counted by hand', () => {
  const run = build('house-with-run', { runBays: 1, runLength: 96 });
  const bay = run.parts.filter((p) => p.assembly.startsWith('bay-1-front'));
  const mine = new Set(bay.map((p) => p.id));
  const inside = run.joints.filter((j) => j.parts.every((p) => mine.has(p)));
  it('front: every stud three nails at both ends, mesh stapled every 3 in along each of them', () => {
    const studs = bay.filter((p) => p.role === 'stud');
    const nails = inside.filter((j) => j.kind === 'end-nailed' && j.parts.some((p) => studs.some((s) => s.id === p)));
    expect(nails).toHaveLength(2 * studs.length);
    expect(driven(nails)).toEqual({ 'nail-3': 6 * studs.length });
    for (const s of studs) {
      const held = inside.find((j) => j.parts.includes(s.id) && j.parts.some((p) => p.includes('/mesh')));
      const staples = held?.fasteners.find((f) => f.item === 'staple')?.count ?? 0;
      expect(Math.abs(staples - s.length / 3)).toBeLessThanOrEqual(2);
    }
  });
});

describe('what was held wrongly', () => {
  it('half-laps take screws that stay in them, and no pocket screws', () => {
    const pen = build('low-pen', { joint: 'half-lap' });
    const laps = pen.joints.filter((j) => j.kind === 'half-lap');
    expect(laps.length).toBe(2 * pen.parts.filter((p) => p.role === 'upright').length);
    for (const j of laps) expect(j.fasteners).toEqual([{ item: 'screw-1-1/4', length: 1.25, count: 4 }]);
    expect(between(pen, 'upright', 'rail').filter((j) => j.kind === 'pocket')).toEqual([]);
  });
  it('grip blocks are screwed through the mesh into the rail, not strapped', () => {
    const pen = build('low-pen', { grips: true });
    const grips = pen.joints.filter((j) => j.parts.some((p) => p.startsWith('grips/')));
    expect(grips.length).toBeGreaterThanOrEqual(2);
    expect(grips.every((j) => /screw/.test(j.kind) || j.kind === 'batten clamp')).toBe(true);
    expect(fitted(grips)).toEqual({});
    expect(grips.some((j) => j.parts.includes('right/top-rail'))).toBe(true);
  });
  it('two 1×4s take screws that end inside them', () => {
    const door = build('raised-lean-to').joints.filter((j) => j.parts.every((p) => p.startsWith('people-door/')));
    for (const j of door) for (const f of j.fasteners) expect(f.length).toBeLessThanOrEqual(1.25);
  });
  it('a picket takes two screws where it crosses a spindle', () => {
    const pen = build('low-pen', { construction: 'picket' });
    const crossings = between(pen, 'board', 'upright');
    expect(crossings.length).toBeGreaterThan(40);
    for (const j of crossings) expect(j.fasteners.map((f) => f.count)).toEqual([2]);
    // A board that is joined on a spindle has its own two there.
    expect(driven(crossings)['screw-2']).toBe(2 * crossings.length);
  });
  it('no shingle nail comes out of the deck', () => {
    const house = build('raised-gable', { roofCover: 'shingle' });
    const nails = house.joints.filter((j) => j.kind === 'roofing nail' && j.fasteners.length > 0);
    expect(nails.length).toBeGreaterThan(0);
    for (const j of nails) expect(j.fasteners.every((f) => f.length <= 0.75)).toBe(true);
  });
  it('wheels of a plank runner have no block to be bolted through', () => {
    const pen = build('hoop-pen', { wheels: 'wheel-8' });
    const moving = pen.assemblies.find((a) => a.id === 'moving');
    expect(moving?.joins?.how).not.toMatch(/block/);
    const bolts = pen.joints.filter((j) => j.hardware.some((h) => h.item === 'axle-bolt'));
    expect(bolts.map((j) => j.parts)).toEqual([
      ['moving/wheel-front', 'base/runner-1'],
      ['moving/wheel-back', 'base/runner-2'],
    ]);
  });
  it('shingles lie on a deck in every family', () => {
    for (const family of ['skid-house', 'garden-ark', 'panel-kit'])
      expect(build(family, { roofCover: 'shingle' }).parts.some((p) => p.role === 'deck')).toBe(true);
  });
  it('a part that touches and is joined to nothing is found', () => {
    const pen = build('low-pen');
    const without = pen.joints.filter((j) => !j.parts.includes('top/crossbar-1'));
    expect(findUnheld({ ...pen, joints: without })).toContain('top/crossbar-1');
    expect(findUnheld(pen)).toEqual([]);
  });
});

describe('a frame that is pulled at', () => {
  it('is held in side grain wherever a pen is dragged or lifted by it', () => {
    for (const family of ['low-pen', 'steep-roof-pen', 'a-frame-pen', 'garden-ark']) {
      const b = build(family);
      const roleOf = new Map(b.parts.map((p) => [p.id, p.role]));
      const pulled = b.joints.filter(
        (j) =>
          j.parts.length > 1 &&
          j.parts.every((p) => ['rail', 'upright', 'crossbar', 'collar'].includes(roleOf.get(p) ?? '')),
      );
      expect(pulled.length).toBeGreaterThan(0);
      expect(pulled.filter((j) => j.bite?.endGrain)).toEqual([]);
    }
  });
});
