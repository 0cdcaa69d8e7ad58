import { faultsOf, takeoffFaults } from '../../../testing/testFamily.ts';
import { checkBuild } from '../../check/index.ts';
import { planSteps } from '../../steps/index.ts';
import { mirrorBuild } from '../../unit/index.ts';
import type { ParamValue } from '../../unit/index.ts';
import { buildSpec, parseSpec } from '../spec.ts';

const make = (family: string, params: Record<string, ParamValue>, fittings: readonly unknown[] = []) => {
  const spec = parseSpec({ family, params, fittings });
  return { spec, b: buildSpec(spec) };
};
const lean = { roofKind: 'lean', doorWall: 'right', wallHeight: 76, pitch: 2, foundation: 'slab' } as const;

describe('a door that fills the rake end of a lean-to', () => {
  const { b, spec } = make('walk-in', { ...lean, doorHeight: 80, doorWidth: 34 });
  const part = (id: string) => {
    const found = b.parts.find((p) => p.id === id);
    if (!found) throw new Error(`There is no ${id}.`);
    return found;
  };
  it('is true in every part, mirrored as well, and is bought whole', () => {
    expect(faultsOf(b)).toEqual([]);
    expect(takeoffFaults(b)).toEqual([]);
    expect(faultsOf(mirrorBuild(b))).toEqual([]);
  });
  it('goes up to the plate, with no header and nothing over it', () => {
    const [door] = b.openings.filter((o) => o.id === 'right-wall/door');
    // 2 in 12, falling to the back, which is to the right seen from outside.
    expect(door?.rake).toBeCloseTo(-2 / 12, 9);
    expect(b.parts.filter((p) => p.id.startsWith('right-wall/door/header'))).toEqual([]);
    expect(
      b.parts.filter((p) => p.role === 'cripple' && /people door/.test(p.name) && p.assembly === 'right-wall'),
    ).toEqual([]);
    expect(b.notes.filter((n) => n.code.startsWith('door'))).toEqual([]);
  });
  it('has a leaf sawn to the slant: by hand, stiles 33¾ in apart over all differ by 2/12 of 30¼ in', () => {
    const [high, low] = [part('people-door/stile-1'), part('people-door/stile-2')];
    // Long points: the outer edge of one, the inner edge of the other.
    expect(high.length - low.length).toBeCloseTo((33.75 - 3.5) / 6, 6);
    // 2 in 12 is 9.5 degrees.
    expect(high.cuts).toEqual([
      { end: 'start', kind: 'square', angle: 0 },
      { end: 'end', kind: 'mitre', angle: 9.5 },
    ]);
    // 26¾ in level between the stiles is 27⅛ along the slant, and its ends add 3½ × sin 9.46°.
    const rail = part('people-door/rail-3');
    const slant = Math.sqrt(1 + 1 / 36);
    expect(rail.length).toBeCloseTo(26.75 * slant + 3.5 / 6, 6);
    expect(rail.cuts.map((c) => c.angle)).toEqual([9.5, 9.5]);
  });
  it('is not squared by its diagonals, which differ', () => {
    const squared = planSteps(b).flatMap((s) => (s.id.endsWith('/square') ? [s.assembly] : []));
    expect(squared).toContain('inner-door');
    expect(squared).not.toContain('people-door');
    const framed = planSteps(b)
      .find((s) => s.id === 'people-door/frame')
      ?.text.join(' ');
    expect(framed).toContain('square the bottom rail to both stiles, then lay the slanting one');
    expect(
      planSteps(b)
        .find((s) => s.id === 'inner-door/frame')
        ?.text.join(' '),
    ).not.toContain('slants');
  });
  it('is said so, with a level one as the way back', () => {
    const [tip] = checkBuild(b, spec).filter((f) => f.code === 'door-raked');
    expect(tip?.what).toMatch(/follows the rake: 7\d.* to 8\d.* high/);
    const level = { ...spec, params: { ...spec.params, ...tip?.fix?.patch } };
    const other = buildSpec(level);
    expect(other.openings.find((o) => o.id === 'right-wall/door')?.rake).toBeUndefined();
    expect(other.notes.filter((n) => n.code.startsWith('door'))).toEqual([]);
  });
  it('is left level where it fits level, where it has two leaves, and where the wall carries rafters', () => {
    const rakes = (params: Record<string, ParamValue>) =>
      make('walk-in', { ...lean, ...params }).b.openings.flatMap((o) => (o.kind === 'people door' ? [o.rake] : []));
    expect(new Set(rakes({ doorHeight: 72 }))).toEqual(new Set([undefined]));
    expect(new Set(rakes({ doorHeight: 80, doorStyle: 'dutch' }))).toEqual(new Set([undefined]));
    expect(new Set(rakes({ doorHeight: 80, doorWall: 'front' }))).toEqual(new Set([undefined]));
  });
  it('is left level where a pop door is in its leaf, and so is an inner door', () => {
    const { b } = make('walk-in', { ...lean, doorHeight: 80, doorWidth: 34, popInDoor: true, innerGlass: true });
    expect(b.openings.filter((o) => o.rake !== undefined)).toEqual([]);
    expect(b.notes.map((n) => n.code)).toContain('door-lowered');
    expect(b.notes.map((n) => n.code)).not.toContain('pop-not-in-leaf');
    const steep = make('walk-in', { ...lean, pitch: 4, innerDoorHeight: 82, innerGlass: true }).b;
    expect(steep.parts.some((p) => p.id === 'inner-door/glass')).toBe(true);
    expect(faultsOf(steep)).toEqual([]);
  });
  it('put by hand higher than the wall says the highest that it comes to', () => {
    const by = make('raised-lean-to', { nestWall: 'back' }, [
      { id: 'f1', kind: 'people door', wall: 'right', left: 14, width: 22, height: 58, bottom: 1.5, style: 'single' },
    ]);
    expect(faultsOf(by.b)).toEqual([]);
    const [note] = by.b.notes.filter((n) => n.code === 'f1-lowered');
    const door = by.b.openings.find((o) => o.id === 'right-wall/f1');
    const high = (door?.height ?? 0) + Math.abs(door?.rake ?? 0) * 22;
    expect(note?.what).toBe(`The people door is ${Math.floor(high * 16) / 16}″ high, not 58″.`);
  });
});

describe('a door too high for its wall', () => {
  it.each([
    // 78 less two plates of 1½ and a header of 3½ leaves 71½; 8½ more are wanted.
    ['walk-in', { wallHeight: 78, doorHeight: 80, doorWall: 'front' }, { wallHeight: 86.5 }],
    // The front wall of a lean-to: 60 less a plate, a header and the threshold.
    ['raised-lean-to', { doorHeight: 60, doorWall: 'front' }, { highWall: 73 }],
  ] as const)('%s: the wall is raised until it stands as high as it is wanted', (family, params, patch) => {
    const { b, spec } = make(family, params);
    const [note] = b.notes.filter((n) => n.code === 'door-lowered');
    expect(note?.fix?.patch).toEqual(patch);
    const mended = buildSpec({ ...spec, params: { ...spec.params, ...patch } });
    expect(mended.openings.find((o) => o.kind === 'people door')?.height).toBe(params.doorHeight);
    expect(mended.notes.filter((n) => n.code === 'door-lowered')).toEqual([]);
  });
  it('is made lower where no wall may be so high', () => {
    const { b } = make('raised-gable', { wallHeight: 70, doorHeight: 72, doorWall: 'front' });
    const [note] = b.notes.filter((n) => n.code === 'door-lowered');
    expect(Object.keys(note?.fix?.patch ?? {})).toEqual(['doorHeight']);
  });
});
