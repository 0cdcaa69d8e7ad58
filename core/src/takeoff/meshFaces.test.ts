import { checkBuild } from '../check/index.ts';
import { buildSpec, parseSpec } from '../model/index.ts';
import { planSteps } from '../steps/index.ts';
import type { ParamValue } from '../unit/index.ts';
import { findRibs } from './findRibs.ts';
import { isSeamOpen, meshFaceOf } from './meshFaces.ts';
import { planMesh } from './takeOff.ts';

const build = (family: string, params: Record<string, ParamValue>) => buildSpec(parseSpec({ family, params }));
const partOf = (b: ReturnType<typeof build>, id: string) => {
  const part = b.parts.find((p) => p.id === id);
  if (!part) throw new Error(`There is no ${id}.`);
  return part;
};

describe('wood behind mesh', () => {
  it('is where the tape puts the studs of a run', () => {
    const b = build('raised-lean-to', { run: true, runLength: 120, runBay: 24 });
    const ribs = findRibs(partOf(b, 'run-front/mesh'), b.parts);
    // Corner studs 1½ in wide at both ends, and studs at 23 in, two bays of which and a lap are a roll of 48 in.
    expect(ribs?.upright).toEqual([0.75, 23, 46, 69, 92, 115, 119.25]);
  });
  it('is every stud from plate to plate of an end with a gate, and nothing of the gate’s own leaf', () => {
    const b = build('house-with-run', {});
    const ribs = findRibs(partOf(b, 'run-end/mesh'), b.parts);
    // By hand from the tape: stud, layout stud, king and jack of the gate on either side of it, and the ridge post over it.
    expect(ribs?.upright).toEqual(expect.arrayContaining([4.25, 23, 27.75, 29.25, 48, 66.75, 68.25, 91.75]));
    // Between the gate's jacks only what stands over its header; bottom and top plate along.
    expect((ribs?.upright ?? []).filter((c) => c > 30 && c < 45)).toEqual([]);
    expect(ribs?.level).toEqual(expect.arrayContaining([0.75, 71.25]));
    expect((ribs?.level ?? []).filter((c) => c > 1.5 && c < 70.5)).toEqual([]);
  });
  it('is nothing behind mesh that is bent over hoops', () => {
    const b = build('hoop-pen', {});
    expect(findRibs(partOf(b, 'skin/mesh'), b.parts)).toBeUndefined();
    expect(isSeamOpen(partOf(b, 'skin/mesh'), b.parts)).toBe(false);
  });
  it('is a post in the middle of a wide back end, and a stud in the closing under a deep house on long legs', () => {
    const pen = build('steep-roof-pen', { width: 60, backEnd: 'mesh' });
    const post = partOf(pen, 'left/post-low');
    const end = findRibs(partOf(pen, 'left/mesh'), pen.parts);
    expect(end?.upright.some((c) => Math.abs(c - 30) < 0.1)).toBe(true);
    // Between the back end's two rails of 3½ in.
    expect(post.length).toBe(Number(parseSpec({ family: 'steep-roof-pen', params: {} }).params.sideHeight) - 7);
    const house = build('raised-lean-to', { run: true, depth: 72, legHeight: 48 });
    expect(partOf(house, 'run-close/stud').length).toBe(48 - 3.5);
    expect(isSeamOpen(partOf(house, 'run-close/mesh'), house.parts)).toBe(false);
    expect(build('raised-lean-to', { run: true, depth: 48 }).parts.some((p) => p.id === 'run-close/stud')).toBe(false);
  });
});

describe('a face of mesh', () => {
  it('is lapped 2 in all round, but not past the widest roll for that alone', () => {
    const b = build('low-pen', { height: 24, meshSides: 'lap', length: 96, width: 72 });
    const front = partOf(b, 'front/mesh');
    expect(front.fixing).toBe('lap');
    expect(meshFaceOf(front, b.parts)).toMatchObject({ width: 100, height: 28 });
    expect(
      meshFaceOf(
        {
          ...front,
          shape: {
            ...front.shape,
            outline: [
              [0, 0],
              [96, 0],
              [96, 45.5],
              [0, 45.5],
            ],
          },
        },
        b.parts,
      ).height,
    ).toBe(48);
  });
  it('is as wide as it hangs: mesh that was cut along its slope lies the way its outline does', () => {
    const b = build('steep-roof-pen', {});
    const roof = partOf(b, 'roof-front/mesh-1');
    const { width, height } = meshFaceOf(roof, b.parts);
    expect([width, height].sort((p, q) => p - q)).toEqual([roof.length, roof.width].sort((p, q) => p - q));
  });
});

describe('mesh round long legs', () => {
  it('meets on a post between them where it is wider than a roll both ways', () => {
    const b = build('raised-gable', { wrap: true, legHeight: 46, depth: 60, meshSides: 'lap' });
    // Treated, from the rail at the ground to the floor frame.
    expect(partOf(b, 'under-left/post-1')).toMatchObject({ item: '2x4-pt', length: 42.5 });
    expect(b.parts.filter((p) => isSeamOpen(p, b.parts))).toEqual([]);
    const low = build('raised-gable', { wrap: true, legHeight: 36, depth: 60 });
    expect(low.parts.some((p) => p.id.startsWith('under-left/post'))).toBe(false);
  });
});

describe('seams of a whole unit', () => {
  it('lie on studs in a house with three bays of run, two bays of 23 in to a roll of 48', () => {
    const b = build('house-with-run', { runBays: 3, runLength: 384 });
    const plan = planMesh(b.parts);
    const sides = plan.strips.filter((s) => /^bay-\d-(front|back)\/mesh$/.test(s.face));
    expect(sides).toHaveLength(6);
    for (const s of sides) expect(s).toMatchObject({ run: 'upright', roll: 48, onWood: true, seams: [46, 92] });
    expect(b.parts.filter((p) => isSeamOpen(p, b.parts))).toEqual([]);
  });
  it('that hang in the air between the posts of a wide round end are said so', () => {
    const b = build('hoop-pen', {
      width: 114.625,
      hoops: 'panel',
      hoopLength: 171.5,
      doorWidth: 16,
      doorHeight: 16,
    });
    expect(b.parts.filter((p) => isSeamOpen(p, b.parts)).map((p) => p.id)).toEqual(['end-left/mesh', 'end-right/mesh']);
    const [tip] = checkBuild(b, parseSpec({ family: 'hoop-pen', params: {} })).filter(
      (f) => f.code === 'mesh-seam-open',
    );
    expect(tip?.what).toMatch(/^2 faces of mesh are wider than any roll/);
    expect(tip?.where).toEqual(['end-left/mesh', 'end-right/mesh']);
    // The step at which they are covered says what to do there.
    const texts = planSteps(b)
      .flatMap((s) => s.text)
      .filter((t) => /lace them to each other/.test(t));
    expect(texts.length).toBeGreaterThan(0);
  });
});

describe('mesh round the legs of a house', () => {
  it('runs from the front to the right, the back and the left in one piece', () => {
    const b = build('raised-gable', { wrap: true, legHeight: 36 });
    const strips = planMesh(b.parts).layout.flatMap((r) => r.strips.filter((s) => s.face.startsWith('under-')));
    expect(strips.map((s) => [s.face, s.bent === true])).toEqual([
      ['under-front/mesh', false],
      ['under-right/mesh', true],
      ['under-back/mesh', true],
      ['under-left/mesh', true],
    ]);
    for (const [k, s] of strips.entries())
      if (k > 0) expect(s.x).toBe((strips[k - 1]?.x ?? 0) + (strips[k - 1]?.length ?? 0));
  });
});
