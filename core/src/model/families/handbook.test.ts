import { countOf, measureMass } from '../../unit/index.ts';
import { buildSpec, parseSpec } from '../spec.ts';

const build = (family: string, params: Record<string, number | string | boolean> = {}) =>
  buildSpec(parseSpec({ family, params }));
const part = (b: ReturnType<typeof build>, id: string) => {
  const found = b.parts.find((p) => p.id === id);
  if (!found) throw new Error(`no ${id}`);
  return found;
};

// Check values of the trade handbook; common practice, no source.
describe('handbook', () => {
  it('A-frame with equilateral ends: 60° all round, rafters ripped to 1 11/16 and as long as the base is wide', () => {
    const b = build('a-frame-pen', { width: 60, apex: 60 });
    const rafter = part(b, 'pair-1/rafter-1');
    expect(rafter.rip).toBe(1.6875);
    expect(rafter.cuts.map((c) => c.angle)).toEqual([30, 60]);
    // From foot to apex along the outer edge: 30 / cos 60°.
    expect(rafter.length).toBeCloseTo(60, 0);
    const gusset = part(b, 'pair-1/gusset');
    expect(gusset.shape.outline.map((p) => p[0]).reduce((m, x) => Math.max(m, x), 0)).toBeCloseTo(16, 6);
  });
  it('raised gable 48 in across: both gable ends come out of the width of a sheet', () => {
    const b = build('raised-gable', { depth: 48 });
    const ends = b.parts.filter((p) => p.role === 'siding' && /^(left|right)-wall$/.test(p.assembly));
    expect(ends).toHaveLength(2);
    for (const e of ends) expect([e.width, e.length <= 96]).toEqual([48, true]);
  });
  it('legs of 36 in take a mesh roll uncut', () => {
    const b = build('raised-gable', { legHeight: 36 });
    expect(part(b, 'under-front/mesh').width).toBe(36);
  });
  it('skid house: runners stand out 2 1/2 ft front and back, half an inch off the ground at their ends', () => {
    const b = build('skid-house', { depth: 36, beyond: 30 });
    const runner = part(b, 'base/runner-1');
    expect(runner.length).toBe(36 + 60);
    const ring = runner.shape.outline;
    expect(Math.max(...ring.map((p) => p[0])) - Math.min(...ring.map((p) => p[0]))).toBe(96);
    expect(ring.filter((p) => p[1] === 0.5)).toHaveLength(2);
  });
  it('skid house stands in more wind than the same house on legs', () => {
    const skid = build('skid-house');
    const [, y0, , y1] = skid.facts.base;
    expect(y1 - y0).toBe(96);
    expect(measureMass(skid).weight).toBeGreaterThan(200);
  });
  it('hoop pen: boards flush with the top of the runners, feet on the chord between them', () => {
    const b = build('hoop-pen', { width: 84, hoopLength: 120 });
    expect(b.facts.hoop?.base).toBeCloseTo(81, 0);
    expect(part(b, 'hoops/hoop-1').length).toBe(120);
    const board = part(b, 'base/end-1');
    expect(board.place.origin[2] + board.width).toBeCloseTo(5.5, 6);
  });
  it('garden ark: 36 in wide to run between rows', () =>
    expect(build('garden-ark').facts.base).toEqual([0, 0, 84, 36]));
  it('panel kit: six panels, and bolts to hold them', () => {
    const b = build('panel-kit');
    const panels = b.assemblies.filter((a) => ['base', 'wall', 'roof'].includes(a.kind));
    expect(panels).toHaveLength(6);
    expect(countOf(b.joints, 'carriage-bolt-6') + countOf(b.joints, 'carriage-bolt')).toBeGreaterThanOrEqual(12);
    // No two panels are nailed to each other.
    const panel = new Map(b.parts.map((p) => [p.id, p.assembly]));
    const walls = new Set(panels.map((a) => a.id));
    for (const j of b.joints.filter((k) => k.kind.endsWith('nailed')))
      expect([j.kind, new Set(j.parts.map((p) => panel.get(p)).filter((a) => walls.has(a ?? ''))).size]).toEqual([
        j.kind,
        1,
      ]);
  });
  it('walk-in: liner to 4 ft, nests into the store', () => {
    const b = build('walk-in');
    expect(part(b, 'liner/front-1').shape.outline.length).toBeGreaterThanOrEqual(4);
    expect(b.facts.nests?.wall).toBe('store');
    expect(b.openings.some((o) => o.id === 'inner-wall/store-nests')).toBe(true);
  });
  it('barn: sistered 2×6 under a ceiling of 12 ft, joists at 24 in hung off it', () => {
    const b = build('barn-fit-out', { length: 144 });
    expect([part(b, 'ceiling/beam-1-1').item, part(b, 'ceiling/beam-1-2').item]).toEqual(['2x6', '2x6']);
    expect(part(b, 'ceiling/joist-1-2').item).toBe('2x4');
    expect(part(b, 'curb/front-1-1').item).toBe('block-8');
  });
});
