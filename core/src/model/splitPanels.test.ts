import { findUnheld } from '../join/index.ts';
import { measurePartsMass } from '../unit/index.ts';
import type { ParamValue } from '../unit/index.ts';
import { faultsOf } from '../../testing/testFamily.ts';
import { buildSpec, parseSpec } from './spec.ts';

const LIMITS = { long: 228, weight: 280 };
const long = (params: Record<string, ParamValue> = {}, limits = LIMITS) => {
  const spec = parseSpec({ family: 'walk-in', params: { length: 240, depth: 120, ...params } });
  return { whole: buildSpec(spec), split: buildSpec(spec, limits) };
};

describe('a wall that comes apart into panels', () => {
  const { whole, split } = long();
  const of = (id: string) => split.parts.filter((p) => p.assembly === id);

  it('is as many as it takes for people to carry, each within the limits', () => {
    const panels = split.assemblies.filter((a) => a.id.startsWith('front-wall') && a.kind === 'wall');
    expect(panels.map((a) => a.id)).toEqual(['front-wall', 'front-wall-2']);
    for (const a of split.assemblies.filter((q) => q.kind === 'wall' && q.flat))
      expect([a.id, measurePartsMass(of(a.id)).weight <= LIMITS.weight]).toEqual([a.id, true]);
    expect(panels.reduce((n, a) => n + (a.square?.width ?? 0), 0)).toBeCloseTo(240, 6);
  });

  it('ends on a stud of its own at every seam, bolted to the one that it meets', () => {
    const bolts = split.joints.filter((j) => j.kind === 'bolt' && j.parts.length === 2);
    const seam = bolts.find((j) => j.parts.every((p) => p.startsWith('front-wall/')));
    expect(seam?.hardware).toEqual([{ item: 'carriage-bolt', count: 3 }]);
    const [a, b] = (seam?.parts ?? []).map((id) => split.parts.find((p) => p.id === id));
    expect([a?.assembly, b?.assembly]).toEqual(['front-wall', 'front-wall-2']);
    // One stud became two: nothing else was added but plates cut there.
    const studs = (parts: typeof split.parts): number =>
      parts.filter((p) => p.assembly.startsWith('front-wall') && p.role === 'stud').length;
    expect(studs(split.parts)).toBe(studs(whole.parts) + 1);
  });

  it('is true: nothing overlaps or floats, no face is open, every part is held', () => {
    expect(faultsOf(split)).toEqual([]);
    expect(findUnheld(split)).toEqual([]);
  });

  it('weighs the whole and a stud more for each seam', () => {
    const weight = (b: typeof whole): number => measurePartsMass(b.parts).weight;
    const seams =
      split.assemblies.filter((a) => a.kind === 'wall').length -
      whole.assemblies.filter((a) => a.kind === 'wall').length;
    expect(weight(split) - weight(whole)).toBeGreaterThan(0);
    expect(weight(split) - weight(whole)).toBeLessThan(seams * 12);
  });

  it('keeps every mark of its tapes, on the panel that they are on', () => {
    for (const a of split.assemblies.filter((q) => q.kind === 'wall' && q.id.startsWith('front-wall')))
      for (const t of a.tapes) {
        for (const m of t.marks) {
          expect(split.parts.find((p) => p.id === m.part)?.assembly).toBe(a.id);
          expect(m.at >= 0 && m.at < t.length).toBe(true);
        }
        for (const id of t.parts) expect(split.parts.find((p) => p.id === id)?.assembly).toBe(a.id);
      }
  });

  it('is left whole where it can be carried', () => {
    const small = parseSpec({ family: 'raised-lean-to', params: {} });
    expect(buildSpec(small, LIMITS).parts).toEqual(buildSpec(small).parts);
  });

  it.each([
    [{ roofKind: 'lean', pitch: 2 }],
    [{ foundation: 'slab', threshold: 0 }],
    [{ foundation: 'perimeter', innerWall: false }],
    [{ doorWall: 'front', windowWall: 'back', siding: 'siding-5/8', studSpacing: 24 }],
    [{ length: 200, depth: 96, siding: 'ply-1/2', liner: true }],
    [{ length: 216, nestWall: 'back', nestCount: 3, cleanOutWall: 'back' }],
    [{ siding: 'board-batten' }],
  ])('%j is true too', (params) => {
    for (const weight of [180, 280]) {
      const made = long(params as Record<string, ParamValue>, { long: 192, weight }).split;
      expect([weight, faultsOf(made)]).toEqual([weight, []]);
      expect([weight, findUnheld(made)]).toEqual([weight, []]);
    }
  });

  it('mirrored it comes apart as well: it is split before it is turned', () => {
    const spec = parseSpec({ family: 'walk-in', params: { length: 240, depth: 120 } });
    const turned = buildSpec({ ...spec, mirrored: true }, LIMITS);
    expect(turned.assemblies.map((a) => a.id)).toEqual(split.assemblies.map((a) => a.id));
    expect(faultsOf(turned)).toEqual([]);
    expect(findUnheld(turned)).toEqual([]);
  });
});
