import { BUSINESS_RULES, makeShow } from '@rubbet/core/order';
import { buildSpec, parseSpec } from '@rubbet/core/model';
import { stickBar, tapeSvg } from './pictures.ts';

const INCHES = makeShow(BUSINESS_RULES.units);

const texts = (svg: string): string[] => [...svg.matchAll(/<text[^>]*>([^<]*)<\/text>/g)].map((m) => m[1] ?? '');
const rects = (svg: string): { x: number; width: number }[] =>
  [...svg.matchAll(/<rect x="([\d.]+)"[^>]*?width="([\d.]+)"/g)].map((m) => ({ x: Number(m[1]), width: Number(m[2]) }));

describe('stickBar', () => {
  const svg = stickBar(
    {
      item: '2x4',
      length: 96,
      cost: 416,
      cuts: [
        { id: 'S1', length: 57 },
        { id: 'C1', length: 30 },
      ],
      left: 8.75,
    },
    INCHES,
  );
  it('draws every cut to scale with its mark and length', () => {
    expect(texts(svg)).toEqual(expect.arrayContaining(['2×4 × 8 ft', 'S1 57&quot;', 'C1 30&quot;']));
    const [a, b] = rects(svg);
    expect((a?.width ?? 0) / (b?.width ?? 1)).toBeCloseTo(57 / 30, 6);
  });
  it('leaves a kerf between cuts', () => {
    const [a, b] = rects(svg);
    expect((b?.x ?? 0) - (a?.x ?? 0) - (a?.width ?? 0)).toBeCloseTo(((a?.width ?? 0) / 57) * 0.125, 6);
  });
});

describe('tapeSvg', () => {
  const marks = [0, 15.25, 17.5, 19, 31.25].map((at, i) => ({
    at,
    side: 'right' as const,
    what: 'stud',
    part: `p${i}`,
  }));
  const svg = tapeSvg({ title: 'both plates', parts: [], length: 72, marks }, INCHES);
  it('names every mark', () => {
    expect(texts(svg)).toEqual(
      expect.arrayContaining(['0&quot;', '15 1/4&quot;', '17 1/2&quot;', '19&quot;', '31 1/4&quot;']),
    );
    expect(texts(svg).filter((t) => t === '×')).toHaveLength(5);
  });
  it('sets figures that are close in rows of their own', () => {
    const rows = [...svg.matchAll(/y="(60|74|88)" font-size="13"/g)].map((m) => Number(m[1]));
    expect(new Set(rows).size).toBeGreaterThan(1);
  });
});

describe('the tape of a mirrored wall on paper', () => {
  const wall = (mirrored: boolean) =>
    buildSpec(parseSpec({ family: 'raised-lean-to', ...(mirrored ? { mirrored } : {}) })).assemblies.find(
      (a) => a.id === 'front-wall',
    )?.tapes[0];
  it.each([false, true])('has every cross on the side of its piece, mirrored %s', (mirrored) => {
    const tape = wall(mirrored);
    if (!tape) throw new Error('The front wall has no tape.');
    const svg = tapeSvg(tape, INCHES);
    const drawn = [...svg.matchAll(/x1="([\d.]+)" x2="[\d.]+" y1="2"[^>]*\/><text x="([\d.]+)"/g)];
    expect(drawn).toHaveLength(tape.marks.length);
    drawn.forEach((m, i) => expect(Number(m[2]) > Number(m[1])).toBe(tape.marks[i]?.side === 'right'));
  });
  it('is the plain one seen from the other end', () => {
    const [plain, turned] = [wall(false), wall(true)];
    expect(turned?.marks.map((m) => m.side)).toEqual(
      [...(plain?.marks ?? [])].reverse().map((m) => (m.side === 'right' ? 'left' : 'right')),
    );
  });
});
