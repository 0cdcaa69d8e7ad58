import { faultsOf } from '../../../testing/testFamily.ts';
import { checkBuild } from '../../check/index.ts';
import { planSteps } from '../../steps/index.ts';
import { BOUGHT, largestBought } from '../../stock/index.ts';
import { takeOff } from '../../takeoff/index.ts';
import { isShown } from '../params.ts';
import { findFamily } from '../families/index.ts';
import { buildSpec, parseSpec } from '../spec.ts';
import type { ParamValue } from '../../unit/index.ts';

const make = (params: Record<string, ParamValue>, fittings: readonly unknown[] = []) => {
  const spec = parseSpec({ family: 'walk-in', params, fittings });
  return { spec, b: buildSpec(spec) };
};
const HIGH = { wallHeight: 96, doorStyle: 'bought' } as const;

describe('doors and windows that are bought', () => {
  it('want 2 1/2 in more than their leaf both ways: 36 × 80 stands in 38 1/2 × 82 1/2 (makers’ usual, from memory)', () => {
    const [unit] = BOUGHT.filter((u) => u.key === 'door-36x80');
    expect(unit).toMatchObject({ width: 38.5, height: 82.5 });
    expect(largestBought('door', 38.5, 82.5)?.key).toBe('door-36x80');
    expect(largestBought('door', 38, 82.5)?.key).toBe('door-32x80');
    expect(largestBought('door', 30, 60)).toBeUndefined();
  });
  it('are framed round, hung as one part, bought by the piece and weighed so', () => {
    const { b } = make({ ...HIGH, doorUnit: 'door-36x80', windowStyle: 'bought', windowUnit: 'window-24x27' });
    expect(b.notes).toEqual([]);
    expect(faultsOf(b)).toEqual([]);
    expect(b.openings.find((o) => o.id === 'front-wall/door')).toMatchObject({ width: 38.5, height: 82.5, bottom: 0 });
    const [unit] = b.parts.filter((p) => p.item === 'door-36x80');
    expect(unit).toMatchObject({ id: 'people-door/unit', role: 'unit', length: 82.5 });
    expect(b.parts.filter((p) => p.assembly === 'people-door')).toHaveLength(1);
    const lines = takeOff(b, 'quick').lines;
    expect(lines.find((l) => l.item === 'door-36x80')).toMatchObject({ quantity: 1, cost: 26900 });
    expect(lines.find((l) => l.item === 'window-24x27')).toMatchObject({ quantity: 1, cost: 8900 });
    // Birds are kept in by mesh behind a window that slides open.
    expect(b.parts.some((p) => p.id === 'window/mesh')).toBe(true);
    expect(b.facts.door).toMatchObject({ clearWidth: 34, threshold: 0 });
    const joint = b.joints.find((j) => j.parts.includes('people-door/unit'));
    expect(joint).toMatchObject({ kind: 'hung', fasteners: [{ item: 'screw-2-1/2', count: 12 }] });
  });
  it('are hung, never built: no step lays one out', () => {
    const steps = planSteps(make({ ...HIGH, doorUnit: 'door-30x72' }).b);
    const own = steps.filter((s) => s.assembly === 'people-door');
    expect(own.map((s) => s.verb)).toEqual(['hang']);
    expect(own[0]?.text.join(' ')).toContain('shims behind each hinge');
    // The plate is sawn out before.
    expect(own[0]?.needs.length).toBeGreaterThan(0);
    expect(steps.findIndex((s) => s.id === 'front-wall/saw-out')).toBeLessThan(steps.indexOf(own[0] as never));
  });
  it('say where they do not fit, and offer the largest that does', () => {
    const { b, spec } = make({ wallHeight: 84, doorStyle: 'bought', doorUnit: 'door-36x80' });
    const [note] = b.notes;
    expect(note).toMatchObject({ code: 'door-left-out', severity: 'stop' });
    expect(note?.why).toContain('38½ × 82½');
    expect(note?.fix?.patch).toEqual({ doorUnit: 'door-36x72' });
    const mended = { ...spec, params: { ...spec.params, ...note?.fix?.patch } };
    expect(checkBuild(buildSpec(mended), mended).filter((f) => f.severity === 'stop')).toEqual([]);
  });
  it('by hand take the largest that goes into the size set', () => {
    const { b } = make({ wallHeight: 96 }, [
      { id: 'extra', kind: 'people door', style: 'bought', wall: 'back', left: 56, bottom: 0, width: 36, height: 83 },
      { id: 'light', kind: 'window', style: 'bought', wall: 'front', left: 20, bottom: 40, width: 20, height: 30 },
    ]);
    expect(b.parts.find((p) => p.id === 'extra/unit')?.item).toBe('door-32x80');
    expect(b.parts.find((p) => p.id === 'light/unit')?.item).toBe('window-18x27');
    expect(faultsOf(b)).toEqual([]);
  });
  it('ask for their item, not for a width and a height of their own', () => {
    const family = findFamily('walk-in');
    const shown = (style: string) =>
      family?.params.filter((p) => isShown(p, { doorWall: 'front', doorStyle: style })).map((p) => p.key) ?? [];
    expect(shown('bought')).toContain('doorUnit');
    expect(shown('bought')).not.toContain('doorWidth');
    expect(shown('single')).toContain('doorWidth');
    expect(shown('single')).not.toContain('doorUnit');
  });
  it('are refused where a family frames none, rather than drawn as something else', () => {
    const put = () =>
      parseSpec({
        family: 'barn-fit-out',
        fittings: [
          { id: 'extra', kind: 'window', style: 'bought', wall: 'front', left: 20, bottom: 40, width: 24, height: 30 },
        ],
      });
    expect(put).toThrow(/"bought" is not a style of a window; it takes one of mesh, sliding, top-hung/);
  });
});
