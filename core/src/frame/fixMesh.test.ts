import fc from 'fast-check';
import { faultsOf } from '../../testing/testFamily.ts';
import { countJoints } from '../unit/index.ts';
import type { Build, MeshFixing, Part } from '../unit/index.ts';
import { findPieces, measureArea, measureSeparation } from '../geometry/index.ts';
import { buildSpec, parseSpec } from '../model/index.ts';
import { takeOff } from '../takeoff/index.ts';

const build = (family: string, params: Record<string, number | string | boolean> = {}): Build =>
  buildSpec(parseSpec({ family, params }));
const battens = (b: Build, mesh = ''): Part[] =>
  b.parts.filter((p) => p.id.startsWith(`${mesh}`) && /-batten-\d+$/.test(p.id));
const touch = (a: Part, b: Part): boolean =>
  findPieces(a.shape, a.place).some((p) =>
    findPieces(b.shape, b.place).some((q) => Math.abs(measureSeparation(p, q)) < 1 / 32),
  );
const strips = (b: Build) => takeOff(b, 'full').mesh.strips.find((s) => s.face === 'front/mesh');

describe('battens over the edges of mesh', () => {
  // By hand: a side of 96 × 24 in has 96 in above and below, cut from 8 ft strips, and 21 in between them at both ends.
  const pen = build('low-pen', {
    length: 96,
    width: 72,
    height: 24,
    wheels: 'none',
    grips: false,
    meshSides: 'battens',
  });
  it('the long ones run through, the short ones stand between them', () => {
    const side = battens(pen, 'front/mesh');
    expect(side.map((p) => p.length).sort((a, b) => b - a)).toEqual([96, 96, 21, 21]);
    expect(side.every((p) => Math.abs(p.width - 1.5) < 1e-9 && p.thickness === 0.75)).toBe(true);
  });
  it('those that lie on the grass are treated', () => {
    expect(
      battens(pen, 'front/mesh')
        .map((p) => p.item)
        .sort(),
    ).toEqual(['1x2', '1x2', '1x2', '1x2-pt']);
  });
  it('stand outside, on the mesh and on nothing else', () => {
    expect(faultsOf(pen)).toEqual([]);
    for (const batten of battens(pen, 'front/mesh')) {
      const mesh = pen.parts.find((p) => p.id === 'front/mesh') as Part;
      expect(touch(batten, mesh)).toBe(true);
      // Outward of the front is toward −y.
      expect(Math.max(...findPieces(batten.shape, batten.place).map((p) => p.high[1]))).toBeLessThan(0);
    }
  });
  it('overhead mesh is a choice of its own', () => {
    expect(battens(pen, 'lid')).toEqual([]);
    const top = build('low-pen', { meshOverhead: 'battens' });
    expect(battens(top, 'lid/mesh').length).toBe(4);
    expect(battens(top, 'front')).toEqual([]);
  });
  it('stop short of wheels and of grip blocks', () => {
    const moved = build('low-pen', { length: 96, wheels: 'wheel-10', grips: true, meshSides: 'battens' });
    expect(faultsOf(moved)).toEqual([]);
    const whole = battens(pen, '').reduce((sum, p) => sum + p.length, 0);
    expect(battens(moved, '').reduce((sum, p) => sum + p.length, 0)).toBeLessThan(whole + 96);
  });
  it('follow a gable: mitred where two slopes meet', () => {
    const run = build('house-with-run', { meshSides: 'battens' });
    const end = battens(run, 'run-end/mesh');
    const angles = end.flatMap((p) => p.cuts.map((c) => c.angle));
    // Foot, two sides and two slopes of the gable; two sides and the head of the gate.
    expect(end.length).toBe(8);
    // 6 in 12 is 26.6°: the slopes meet each other and the sides at that.
    expect(angles.filter((a) => Math.abs(a - 26.6) < 0.1).length).toBeGreaterThanOrEqual(2);
    expect(faultsOf(run)).toEqual([]);
  });
  it('none is longer than the strip it is cut from', () => {
    const long = build('raised-lean-to', {
      run: true,
      runLength: 192,
      meshSides: 'battens',
      meshOverhead: 'battens',
      runRoof: 'mesh',
    });
    expect(battens(long).length).toBeGreaterThan(10);
    for (const p of battens(long)) expect(p.length).toBeLessThan(96 + 1e-6);
  });
});

describe('mesh lapped around its frame', () => {
  it('takes 2 in more on every side', () => {
    const plain = build('low-pen', { length: 96, height: 24 });
    const lapped = build('low-pen', { length: 96, height: 24, meshSides: 'lap' });
    const mesh = (b: Build) => b.parts.find((p) => p.id === 'front/mesh') as Part;
    expect(mesh(lapped).length).toBe(mesh(plain).length);
    // A side of 96 × 24 is one strip of a 24 in roll; 100 × 28 is cut from a wider one.
    expect(strips(plain)).toMatchObject({ roll: 24, strips: 1, length: 96, exact: true });
    const more = strips(lapped);
    expect(more?.exact).toBe(false);
    expect((more?.roll ?? 0) * (more?.strips ?? 0) * (more?.length ?? 0)).toBeGreaterThanOrEqual(100 * 28);
  });
  it('is stapled and has no washers', () => {
    const { joints } = build('low-pen', { meshSides: 'lap' });
    const mine = countJoints(
      joints.filter((j) => j.parts.includes('front/mesh') && !j.hardware.some((h) => h.item.startsWith('wheel'))),
    );
    expect([...mine.fasteners, ...mine.hardware].map((f) => f.item)).toEqual(['staple']);
  });
});

describe('for any way of fixing', () => {
  const held = fc.constantFrom<MeshFixing>('washers', 'battens', 'lap');
  const family = fc.constantFrom('low-pen', 'a-frame-pen', 'steep-roof-pen', 'garden-ark', 'hoop-pen', 'barn-fit-out');
  it('battens cover no more than the edge of their mesh, and never each other', () => {
    fc.assert(
      fc.property(family, held, held, (key, meshSides, meshOverhead) => {
        const unit = build(key, {
          meshSides,
          ...(['low-pen', 'garden-ark', 'barn-fit-out'].includes(key) ? { meshOverhead } : {}),
        });
        for (const mesh of unit.parts.filter((p) => p.fixing)) {
          expect(mesh.role).toBe('mesh');
          const mine = battens(unit, `${mesh.id}-batten`);
          if (mesh.fixing === 'lap') expect(mine).toEqual([]);
          const covered = mine.reduce((sum, p) => sum + Math.abs(measureArea(p.shape.outline)), 0);
          expect(covered).toBeLessThan(Math.abs(measureArea(mesh.shape.outline)));
          for (const p of mine) expect(touch(p, mesh)).toBe(true);
        }
        expect(faultsOf(unit)).toEqual([]);
      }),
      { numRuns: 25, seed: 5 },
    );
  });
});
