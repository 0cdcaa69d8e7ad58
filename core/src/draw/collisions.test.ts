import fc from 'fast-check';
import { paramsOf } from '../../testing/testFamily.ts';
import { buildSpec, FAMILIES, findFamily, parseSpec } from '../model/index.ts';
import { drawBuild, viewsOf } from './drawBuild.ts';
import type { Drawing, TextItem } from './types.ts';

type Box = readonly [number, number, number, number];

/** The room that a figure takes, about as wide as its letters. */
const boxOf = (t: TextItem): Box => {
  const half = (t.text.length * t.size * 0.5) / 2;
  const [x, y] = t.at;
  const middle = t.anchor === 'middle' ? 0 : t.anchor === 'start' ? half : -half;
  return t.turn
    ? [x - t.size * 0.8, y - half, x, y + half]
    : [x + middle - half, y, x + middle + half, y + t.size * 0.75];
};
const overlap = (a: Box, b: Box): boolean => a[0] < b[2] && b[0] < a[2] && a[1] < b[3] && b[1] < a[3];

/** Pairs of dimension figures that lie on each other. */
const collisions = (drawing: Drawing): string[] => {
  const figures = drawing.items.filter((i): i is TextItem => i.kind === 'text' && i.tag === undefined);
  return figures.flatMap((a, i) =>
    figures.slice(i + 1).flatMap((b) => (overlap(boxOf(a), boxOf(b)) ? [`${a.text} on ${b.text}`] : [])),
  );
};

const VIEWS = ['front', 'back', 'left', 'right', 'plan', 'section'];

describe.each(FAMILIES.map((f) => [f.key] as const))('drawings of %s', (key) => {
  const build = buildSpec(parseSpec({ family: key, params: {} }));
  it.each(viewsOf(build))('%s holds what it draws, in numbers', (view) => {
    const drawing = drawBuild(build, view);
    const [x0, y0, x1, y1] = drawing.bounds;
    expect(drawing.items.length).toBeGreaterThan(0);
    for (const i of drawing.items) {
      const points = i.kind === 'area' ? i.rings.flat() : i.kind === 'line' ? [i.from, i.to] : [i.at];
      for (const [x, y] of points) {
        expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true);
        expect([view, x >= x0 - 1e-6 && x <= x1 + 1e-6 && y >= y0 - 1e-6 && y <= y1 + 1e-6]).toEqual([view, true]);
      }
    }
  });
  it('shows every part of a panel by its mark', () => {
    for (const assembly of build.assemblies.filter((a) => a.flat)) {
      const drawing = drawBuild(build, `panel:${assembly.id}`);
      const tags = new Set(drawing.items.flatMap((i) => (i.kind === 'text' && i.tag ? [i.text] : [])));
      const framing = build.parts.filter(
        (p) => p.assembly === assembly.id && !['siding', 'mesh', 'roofing', 'deck', 'trim'].includes(p.role),
      );
      for (const p of framing) expect([assembly.id, p.mark, tags.has(p.mark)]).toEqual([assembly.id, p.mark, true]);
    }
  });
  it('has figures that do not lie on each other, for any parameters', () => {
    const family = findFamily(key);
    fc.assert(
      fc.property(paramsOf(family?.params ?? []), (params) => {
        const b = buildSpec(parseSpec({ family: key, params }));
        for (const view of VIEWS) expect([view, collisions(drawBuild(b, view))]).toEqual([view, []]);
      }),
      { numRuns: 8, seed: 5, endOnFailure: true },
    );
  });
  it('says what the unit measures', () => {
    const texts = (view: string) => drawBuild(build, view).items.flatMap((i) => (i.kind === 'text' ? [i.text] : []));
    const [x0, , x1] = build.facts.base;
    const inches = (n: number): string => String(Math.floor(n));
    expect(texts('front').some((t) => t.startsWith(inches(x1 - x0)))).toBe(true);
  });
});

describe('chains of dimensions', () => {
  it('add up to the wall that they measure', () => {
    // Pop door of 11 in in a gable wall of 48: what is left and right of it, and itself.
    const b = buildSpec(parseSpec({ family: 'raised-gable', params: {} }));
    const pop = b.openings.find((o) => o.kind === 'pop door');
    const texts = drawBuild(b, 'left').items.flatMap((i) => (i.kind === 'text' ? [i.text] : []));
    expect(texts).toEqual(expect.arrayContaining(['16 3/4"', '11"', '20 1/4"', '48"']));
    // Its left stud is the wall's own at 15 1/4 in.
    expect(pop?.left).toBe(16.75);
  });
});

describe('ground', () => {
  it('falls along a run that steps, and is level elsewhere', () => {
    const lines = (params: Record<string, number>) =>
      drawBuild(buildSpec(parseSpec({ family: 'house-with-run', params })), 'front').items.filter(
        (i) => i.kind === 'line' && i.stroke === 'ground',
      );
    expect(lines({ fall: 0 })).toHaveLength(1);
    const stepped = lines({ fall: 48 });
    expect(stepped).toHaveLength(3);
    const slope = stepped[1];
    expect(slope?.kind === 'line' && [slope.from[1], slope.to[1]]).toEqual([-48, 0]);
  });
});
