import { faultsOf } from '../../../testing/testFamily.ts';
import { measureBounds } from '../../unit/index.ts';
import type { ParamValue } from '../../unit/index.ts';
import { buildSpec, parseSpec } from '../spec.ts';

const make = (params: Record<string, ParamValue>) => buildSpec(parseSpec({ family: 'walk-in', params }));
const door = (b: ReturnType<typeof make>) => b.openings.find((o) => o.id === 'inner-wall/inner-door');

describe('the door between store and birds', () => {
  it('has a width, a height and a threshold of its own', () => {
    const b = make({ innerDoorWidth: 34, innerDoorHeight: 66, innerThreshold: 10 });
    expect(door(b)).toMatchObject({ width: 34, height: 66, bottom: 10 });
    expect(faultsOf(b)).toEqual([]);
    // At no threshold its plate is sawn out like any other.
    const level = make({ innerThreshold: 0 });
    expect(door(level)?.bottom).toBe(0);
    expect(level.parts.some((p) => p.assembly === 'inner-wall' && p.sawnOut)).toBe(true);
  });
  it('is glazed above, the clear sheet lapping what holds it by an inch', () => {
    const b = make({ innerGlass: true });
    expect(faultsOf(b)).toEqual([]);
    const glass = b.parts.find((p) => p.id === 'inner-door/glass');
    const skin = b.parts.find((p) => p.id === 'inner-door/skin');
    if (!glass || !skin) throw new Error('no glass');
    const hole = skin.shape.holes[0]?.map((p) => p[0]) ?? [];
    expect(Math.min(glass.length, glass.width)).toBeCloseTo(Math.max(...hole) - Math.min(...hole) + 2, 6);
    expect(b.joints.some((j) => j.parts.includes(glass.id) && j.fasteners.length > 0)).toBe(true);
    // Behind the leaf, where no stop is in its way.
    expect(measureBounds([glass]).size[0]).toBeCloseTo(0.125, 6);
    expect(make({}).parts.some((p) => p.id === 'inner-door/glass')).toBe(false);
  });
  it('says what it comes to where it does not go in, and offers what does', () => {
    const [low] = make({ innerDoorHeight: 82 }).notes;
    expect(low).toMatchObject({ code: 'inner-door-lowered', severity: 'warn' });
    const height = low?.fix?.patch.innerDoorHeight as number;
    expect(make({ innerDoorHeight: height }).notes).toEqual([]);
    const narrow = make({ depth: 60, storeNests: 0, innerDoorWidth: 46, feedTubes: 0 });
    for (const note of narrow.notes.filter((n) => n.code.startsWith('inner-door'))) expect(note.fix).toBeDefined();
  });
});
