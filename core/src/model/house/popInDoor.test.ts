import { faultsOf } from '../../../testing/testFamily.ts';
import { checkBuild } from '../../check/index.ts';
import { measureBounds } from '../../unit/index.ts';
import type { ParamValue } from '../../unit/index.ts';
import { buildSpec, parseSpec } from '../spec.ts';

const make = (params: Record<string, ParamValue>) => {
  const spec = parseSpec({ family: 'walk-in', params: { popInDoor: true, foundation: 'slab', ...params } });
  return { spec, b: buildSpec(spec) };
};

describe('a pop door in the leaf of the people door', () => {
  it('is framed between two members and under one, true in every part', () => {
    const { b } = make({});
    expect(b.notes).toEqual([]);
    expect(faultsOf(b)).toEqual([]);
    const members = b.parts.filter((p) => p.id.startsWith('people-door/member-'));
    // Two uprights from the bottom rail to the middle one, and one of the pop door's width across.
    expect(members.map((p) => p.length)).toEqual([expect.any(Number), members[0]?.length, 11]);
    const skin = b.parts.find((p) => p.id === 'people-door/skin');
    expect(skin?.shape.holes).toHaveLength(1);
    expect(b.openings.filter((o) => o.kind === 'pop door').map((o) => o.assembly)).toEqual(['people-door']);
    // No wall has one besides.
    expect(b.openings.some((o) => o.id.endsWith('-wall/pop'))).toBe(false);
  });
  it('slides on the leaf and stays within it', () => {
    const { b } = make({});
    const box = (ids: RegExp) => measureBounds(b.parts.filter((p) => ids.test(p.id)));
    const [leaf, pop] = [box(/^people-door\/skin$/), box(/^pop-door\//)];
    expect(pop.low[0]).toBeGreaterThanOrEqual(leaf.low[0]);
    expect(pop.high[0]).toBeLessThanOrEqual(leaf.high[0]);
    const held = b.joints.filter((j) => j.parts.some((p) => p.startsWith('pop-door/channel')));
    expect(held.some((j) => j.parts.some((p) => p.startsWith('people-door/')))).toBe(true);
  });
  it('says that nothing leads up to it on a floor that is raised, where a ramp would swing with the leaf', () => {
    // Floor 12 3/4 over the ground, gap 1/8, bottom rail 3 1/2.
    const { b, spec } = make({ foundation: 'skids' });
    expect(b.notes.map((n) => [n.code, n.severity])).toEqual([['pop-in-leaf-high', 'warn']]);
    expect(b.openings.find((o) => o.kind === 'pop door')?.sillAboveGround).toBeCloseTo(b.facts.floorHeight + 3.625, 9);
    const mended = { ...spec, params: { ...spec.params, ...b.notes[0]?.fix?.patch } };
    const wall = buildSpec(mended);
    expect(wall.notes).toEqual([]);
    expect(wall.facts.ramp).toBeDefined();
    // With no wall chosen it goes into one, so that the birds keep a door.
    expect(make({ foundation: 'skids', popWall: 'none' }).b.notes[0]?.fix?.patch).toEqual({
      popInDoor: false,
      popWall: 'left',
    });
  });
  it('says how wide a leaf must be for it, and the mend does', () => {
    const { b, spec } = make({ doorWidth: 28, popWidth: 14 });
    const [note] = b.notes;
    // 14 in, four boards of 3 1/2 and two gaps of 1/8: 28 1/4, to the half inch above.
    expect(note).toMatchObject({ code: 'pop-not-in-leaf', fix: { patch: { doorWidth: 28.5 } } });
    const mended = { ...spec, params: { ...spec.params, ...note?.fix?.patch } };
    expect(checkBuild(buildSpec(mended), mended).filter((f) => f.severity === 'stop')).toEqual([]);
    expect(make({ doorStyle: 'double', doorWidth: 60 }).b.notes[0]?.fix?.patch).toEqual({ popInDoor: false });
  });
});
