import { toLocal } from '../geometry/index.ts';
import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import { findPieces } from '../geometry/index.ts';
import type { Assembly, Build, Part, Tape } from '../unit/index.ts';
import { drawBuild } from './drawBuild.ts';
import { layTape } from './layTape.ts';

const SHEET = { width: 1000, pad: 20, text: 16, cross: 10 };

/** How far a part reaches along the face of its panel, left to right. */
const reach = (a: Assembly, p: Part): readonly [number, number] => {
  const at = findPieces(p.shape, p.place).flatMap((piece) => piece.points.map((c) => toLocal(a.face, c)[0]));
  return [Math.min(...at), Math.max(...at)];
};

const tapesOf = (build: Build): { a: Assembly; tape: Tape; hook: number; part: (id: string) => Part | undefined }[] =>
  build.assemblies.flatMap((a) =>
    a.tapes.flatMap((tape) => {
      const plate = build.parts.find((p) => p.id === tape.parts[0]);
      return plate
        ? [{ a, tape, hook: reach(a, plate)[0], part: (id: string) => build.parts.find((p) => p.id === id) }]
        : [];
    }),
  );

describe.each(FAMILIES.map((f) => f.key))('the tapes of a %s', (family) => {
  it.each([false, true])('show each piece on the side of its mark where it lies, mirrored %s', (mirrored) => {
    const build = buildSpec(parseSpec({ family, ...(mirrored ? { mirrored } : {}) }));
    let tried = 0;
    for (const { a, tape, hook, part } of tapesOf(build)) {
      const laid = layTape(tape, SHEET);
      const plate = part(tape.parts[0] ?? '');
      if (!plate || Math.abs(reach(a, plate)[1] - hook - tape.length) > 0.02) continue;
      for (const mark of laid.marks) {
        const piece = part(mark.part);
        if (!piece) continue;
        const [low, high] = reach(a, piece).map((u) => SHEET.pad + (u - hook) * laid.scale) as [number, number];
        tried++;
        // The mark is at an edge of the piece, its cross over the piece.
        expect(Math.min(Math.abs(mark.x - low), Math.abs(mark.x - high))).toBeLessThan(0.05 * laid.scale);
        expect(mark.cross > mark.x).toBe((low + high) / 2 > mark.x);
      }
    }
    if (tapesOf(build).length > 0) expect(tried).toBeGreaterThan(0);
  });
});

it('draws the crosses of a mirrored panel over its pieces in SVG drawings as well', () => {
  for (const mirrored of [false, true]) {
    const build = buildSpec(parseSpec({ family: 'raised-lean-to', ...(mirrored ? { mirrored } : {}) }));
    const drawing = drawBuild(build, 'panel:front-wall');
    const crosses = drawing.items.flatMap((i) => (i.kind === 'text' && i.text === '×' ? [i.at[0]] : []));
    const tape = build.assemblies.find((a) => a.id === 'front-wall')?.tapes[0];
    expect(crosses).toHaveLength(tape?.marks.length ?? -1);
    for (const mark of tape?.marks ?? []) {
      const area = drawing.items.find((i) => i.kind === 'area' && i.part === mark.part);
      if (area?.kind !== 'area') continue;
      const xs = area.rings.flat().map((p) => p[0]);
      const [low, high] = [Math.min(...xs), Math.max(...xs)];
      expect(crosses.some((x) => x > low - 0.6 && x < high + 0.6)).toBe(true);
    }
  }
});

it('keeps figures that stand close apart in rows of their own', () => {
  const marks = [10, 10.5, 11, 11.5, 12].map((at) => ({ at, side: 'right' as const, what: 'stud', part: `s${at}` }));
  const laid = layTape({ title: 'plate', parts: [], length: 96, marks }, SHEET);
  for (const a of laid.marks)
    for (const b of laid.marks)
      if (a !== b && a.row === b.row)
        expect(Math.abs(a.x - b.x)).toBeGreaterThan(((a.text.length + b.text.length) / 2) * 8);
});
