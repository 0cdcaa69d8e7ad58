import fc from 'fast-check';
import { checkBuild } from '../check/index.ts';
import { buildSpec, parseSpec } from '../model/index.ts';
import { measureBounds } from '../unit/index.ts';
import type { Build, Joint, ParamValue } from '../unit/index.ts';
import { findItem } from '../stock/index.ts';
import { planSteps } from '../steps/index.ts';

const build = (family: string, params: Record<string, ParamValue> = {}): Build =>
  buildSpec(parseSpec({ family, params }));
const holding = (b: Build, item: string): Joint[] => b.joints.filter((j) => j.hardware.some((h) => h.item === item));
const wallsOf = (b: Build, joints: readonly Joint[]): string[] => [
  ...new Set(joints.map((j) => b.parts.find((p) => p.id === j.parts[0])?.assembly ?? '')),
];

describe('brace straps', () => {
  it('cross the walls of a run of mesh in every bay, two straps a pair, screwed at their ends and at every stud', () => {
    const b = build('house-with-run', { runBays: 2, runLength: 200 });
    const straps = holding(b, 'brace-strap');
    expect(wallsOf(b, straps).sort()).toEqual(['bay-1-back', 'bay-1-front', 'bay-2-back', 'bay-2-front']);
    for (const j of straps) {
      const studs = j.parts.filter((id) => /\/(stud|king)-/.test(id)).length;
      expect(j.hardware).toEqual([{ item: 'brace-strap', count: 2 }]);
      // Three at each of four ends, one in each stud for each strap.
      expect(j.fasteners).toEqual([{ item: 'screw-1-1/2', length: 1.5, count: 12 + 2 * studs }]);
    }
  });
  it('are in every wall that is clad with boards, and in none that sheets hold', () => {
    for (const siding of ['board-batten', 'rough-boards', 'lap']) {
      const b = build('walk-in', { siding });
      expect([siding, wallsOf(b, holding(b, 'brace-strap')).length]).toEqual([siding, 4]);
    }
    expect(holding(build('walk-in', { siding: 'siding-5/8' }), 'brace-strap')).toEqual([]);
  });
  it('are screwed off when the panel is square, with the step saying so', () => {
    const steps = planSteps(build('house-with-run'));
    const step = steps.find((s) => s.id === 'bay-1-front/frame');
    expect(step?.text.join(' ')).toMatch(
      /Brace straps corner to corner, both ways, screwed off once both diagonals agree/,
    );
  });
  it('lie where no opening is, for any boards on any walk-in', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('board-batten', 'lap', 'rough-boards'),
        fc.integer({ min: 84, max: 240 }),
        fc.constantFrom('front', 'back', 'right'),
        (siding, length, doorWall) => {
          const b = build('walk-in', { siding, length, doorWall });
          for (const j of holding(b, 'brace-strap')) {
            const wall = b.parts.find((p) => p.id === j.parts[0])?.assembly;
            const assembly = b.assemblies.find((a) => a.id === wall);
            const studs = j.parts
              .filter((id) => /\/(stud|king)-/.test(id))
              .map((id) => {
                const part = b.parts.find((p) => p.id === id);
                const { low, high } = measureBounds(part ? [part] : []);
                const [o, u] = [assembly?.face.origin ?? [0, 0, 0], assembly?.face.u ?? [1, 0, 0]];
                const k = Math.abs(u[0]) > 0.5 ? 0 : 1;
                return ((low[k] + high[k]) / 2 - (o[k] as number)) * (u[k] as number);
              });
            for (const o of b.openings.filter((x) => x.assembly === wall)) {
              const middle = o.left + o.width / 2;
              // Nothing of it stands on both sides of an opening.
              expect(studs.some((s) => s < middle) && studs.some((s) => s > middle)).toBe(false);
            }
          }
        },
      ),
      { numRuns: 25, seed: 3 },
    );
  });
  it('say so where a wall of boards has no room for them, with what mends it', () => {
    const params = {
      siding: 'lap',
      length: 72,
      doorWall: 'front',
      doorWidth: 28,
      windowWall: 'back',
      windowWidth: 48,
      cleanOutWall: 'none',
    };
    const notes = (more: Record<string, ParamValue>) =>
      build('walk-in', { ...params, ...more }).notes.filter((n) => n.code.endsWith('-unbraced'));
    const [note] = notes({});
    expect(note?.what).toMatch(/Nothing holds the boards of the back wall square/);
    expect(notes(note?.fix?.patch ?? {})).toEqual([]);
  });
  it('are bought as lengths of 12 ft', () => expect(findItem('brace-strap').name).toMatch(/12 ft/));
});

describe('a wall of doors', () => {
  const params = { doorWidth: 56, legBraces: true } as const;
  it('has a steel angle in each corner of its door frame', () => {
    const b = build('raised-gable', params);
    const angles = holding(b, 'angle-tie').filter((j) => j.parts.every((id) => id.startsWith('front-wall/')));
    expect(angles.length).toBe(4);
    expect(checkBuild(b, parseSpec({ family: 'raised-gable', params })).map((f) => f.code)).not.toContain(
      'wall-of-doors-front-wall',
    );
  });
  it('is not held by braces under the floor', () => {
    const spec = parseSpec({ family: 'raised-gable', params: { ...params, doorBraces: false } });
    const b = buildSpec(spec);
    expect(b.parts.some((p) => p.role === 'brace')).toBe(true);
    const found = checkBuild(b, spec).find((f) => f.code === 'wall-of-doors-front-wall');
    expect(found?.fix?.patch).toEqual({ doorBraces: true });
  });
});

describe('what is moved', () => {
  it('is judged side by side: plated corners silence both, none leaves both', () => {
    const codes = (cornerPlates: boolean): string[] => {
      const spec = parseSpec({ family: 'low-pen', params: { cornerPlates } });
      return checkBuild(buildSpec(spec), spec)
        .map((f) => f.code)
        .filter((c) => c.startsWith('racking-moved'));
    };
    expect(codes(false)).toEqual(['racking-moved-sides', 'racking-moved-ends']);
    expect(codes(true)).toEqual([]);
  });
});
