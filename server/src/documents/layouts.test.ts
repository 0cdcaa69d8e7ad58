import { buildSpec, FAMILIES, parseSpec } from '@rubbet/core/model';
import { BUSINESS_RULES, makeShow } from '@rubbet/core/order';
import { takeOff } from '@rubbet/core/takeoff';
import type { ParamValue } from '@rubbet/core/unit';
import { rollSvg, seamLines, sheetSvg, stripLines, usedOf } from './layouts.ts';

const INCHES = makeShow(BUSINESS_RULES.units);
const METRIC = makeShow({ style: 'mm', denominator: 16 });
const planOf = (family: string, params: Record<string, ParamValue> = {}) => {
  const build = buildSpec(parseSpec({ family, params }));
  const marks = new Map(build.parts.map((p) => [p.id, p.mark]));
  return { build, takeoff: takeOff(build, 'full'), markOf: (face: string) => marks.get(face) ?? '' };
};
const rects = (svg: string) =>
  [...svg.matchAll(/<rect x="([\d.-]+)" y="([\d.-]+)" width="([\d.]+)" height="([\d.]+)"/g)].map((m) =>
    m.slice(1).map(Number),
  ) as [number, number, number, number][];
const texts = (svg: string): string[] =>
  [...svg.matchAll(/<text[^>]*>([^<]*)</g)].map((m) => (m[1] ?? '').replaceAll('&quot;', '"'));

describe.each(FAMILIES.map((f) => f.key))('layouts on the papers of a %s', (family) => {
  const { takeoff, markOf } = planOf(family);
  it('draw every piece of every sheet to scale, within it', () => {
    for (const sheet of takeoff.sheets.sheets) {
      // The sheet itself is drawn twice: white, and hatched over.
      const [whole, , ...pieces] = rects(sheetSvg(sheet, INCHES));
      expect(pieces).toHaveLength(sheet.places.length);
      const k = (whole?.[2] ?? 0) / sheet.length;
      sheet.places.forEach((p, i) => {
        const [x, y, w, h] = pieces[i] as [number, number, number, number];
        expect([x / k, y / k, w / k, h / k].map((n) => n.toFixed(4))).toEqual(
          [p.x, p.y, p.length, p.width].map((n) => n.toFixed(4)),
        );
        expect(x + w).toBeLessThanOrEqual((whole?.[2] ?? 0) + 1e-6);
        expect(y + h).toBeLessThanOrEqual((whole?.[3] ?? 0) + 1e-6);
      });
    }
  });
  it('draw every strip of every roll once, and list it', () => {
    for (const roll of takeoff.mesh.layout) {
      const svg = rollSvg(roll, markOf, INCHES);
      expect(rects(svg)).toHaveLength(roll.strips.length + 1);
      const listed = stripLines(roll, markOf, INCHES);
      const counted = [...listed.matchAll(/(?:(\d+) of )?[A-Z]+\d+ /g)].reduce((n, m) => n + Number(m[1] ?? 1), 0);
      expect(counted).toBe(roll.strips.length);
      expect(usedOf(roll)).toBeLessThanOrEqual(roll.length + 1e-6);
    }
  });
  it('are read in millimetres where the reader has those', () => {
    for (const sheet of takeoff.sheets.sheets)
      for (const t of texts(sheetSvg(sheet, METRIC))) expect(t).not.toMatch(/["″]/);
  });
});

describe('words on a piece', () => {
  const sheet = (length: number, width: number) => ({
    item: 'ply-1/2',
    length: 96,
    width: 48,
    places: [{ id: 'SD1', x: 0, y: 0, length, width, turned: false }],
  });
  it.each([
    // A whole sheet has mark and size over one another, a low strip beside each other, a small one its mark alone.
    [96, 48, ['SD1', '96" × 48"']],
    [96, 5, ['SD1  96" × 5"']],
    [9, 4, ['SD1']],
    // What is narrow is read from the side; what is a sliver has no room for any.
    [4, 40, ['SD1  4" × 40"']],
    [2, 2, []],
  ])('of %d × %d in', (length, width, words) => {
    const svg = sheetSvg(sheet(length, width), INCHES);
    expect(texts(svg)).toEqual(words);
    expect(svg.includes('rotate(-90')).toBe(length === 4);
  });
});

describe('where strips of mesh meet, on paper', () => {
  it('is told once for equal faces', () => {
    const { takeoff, markOf } = planOf('house-with-run', { runBays: 3, runLength: 384 });
    const lines = seamLines(takeoff.mesh.strips, markOf, INCHES);
    expect(lines).toContainEqual(
      expect.stringMatching(/^M\d+: 3 strips upright, laps from its left end at 46", 92", on wood\. \(6 faces\)$/),
    );
    expect(new Set(lines).size).toBe(lines.length);
  });
  it('says that a strip runs on round a corner', () => {
    const { takeoff, markOf } = planOf('raised-gable', { wrap: true });
    const said = takeoff.mesh.layout.map((r) => stripLines(r, markOf, INCHES)).join(' ');
    expect(said.match(/bent on from the one before/g)).toHaveLength(3);
  });
  it('is left out of a plan kept from before, which says nothing of it', () => {
    expect(
      seamLines([{ face: 'front/mesh', item: 'hardware-cloth', roll: 36, strips: 2 }], () => 'M1', INCHES),
    ).toEqual([]);
  });
});
