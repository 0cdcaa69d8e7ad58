import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import type { Part } from '../unit/index.ts';
import type { Pt } from '../geometry/index.ts';
import { drawTemplate } from './drawTemplate.ts';
import { measureTemplate } from './measureTemplate.ts';

const stick = (outline: readonly Pt[], length: number) => ({ shape: { outline, holes: [], depth: 1.5 }, length });

describe('the template of a piece', () => {
  it('is none for what is square all round, whichever way it is drawn', () => {
    const square = (w: number, h: number): Pt[] => [
      [0, 0],
      [w, 0],
      [w, h],
      [0, h],
    ];
    expect(measureTemplate(stick(square(96, 3.5), 96))).toBeUndefined();
    expect(measureTemplate(stick(square(3.5, 96), 96))).toBeUndefined();
    // An outline that is the cross-section says nothing of the length.
    expect(measureTemplate(stick(square(3.5, 1.5), 96))).toBeUndefined();
  });

  it('marks a half-lap from one end: 20 in in, 3½ wide, ¾ deep of 1½', () => {
    const t = measureTemplate(
      stick(
        [
          [0, 0],
          [20, 0],
          [20, 0.75],
          [23.5, 0.75],
          [23.5, 0],
          [48, 0],
          [48, 1.5],
          [0, 1.5],
        ],
        48,
      ),
    );
    expect(t?.marks).toEqual([
      { at: 20, up: 0 },
      { at: 20, up: 0.75 },
      { at: 23.5, up: 0 },
      { at: 23.5, up: 0.75 },
    ]);
    // Two saw cuts square across, and what is chiselled out between them.
    expect(t?.cuts.map((c) => c.angle)).toEqual([0, 90, 0]);
  });

  it('tells a mitre by its angle off square and by both of its points', () => {
    const t = measureTemplate(
      stick(
        [
          [0, 0],
          [40, 0],
          [36.5, 3.5],
          [0, 3.5],
        ],
        40,
      ),
    );
    expect(t?.cuts).toEqual([{ from: { at: 40, up: 0 }, to: { at: 36.5, up: 3.5 }, angle: 45 }]);
    expect(t?.marks).toEqual([{ at: 36.5, up: 3.5 }]);
  });

  it('of a rafter has the birdsmouth that the roof asks for: level seat and plumb heel at right angles', () => {
    const b = buildSpec(parseSpec({ family: 'walk-in', params: { roofKind: 'gable', pitch: 4, depth: 96 } }));
    const rafter = b.parts.find((p) => p.id === 'roof-front/rafter-2');
    const t = rafter ? measureTemplate(rafter) : undefined;
    // 4 in 12 is 18.4°: plumb cuts so far off square, the seat at a right angle to them.
    expect(t?.cuts.map((c) => c.angle).sort((p, q) => p - q)).toEqual([18.4, 18.4, 18.4, 71.6]);
    const seat = t?.cuts.find((c) => c.angle === 71.6);
    const long = Math.hypot((seat?.to.at ?? 0) - (seat?.from.at ?? 0), (seat?.to.up ?? 0) - (seat?.from.up ?? 0));
    expect(long).toBeCloseTo(3.5, 6);
  });

  it('lies within its piece for every family, and is drawn for everything that says it is notched', () => {
    for (const family of FAMILIES) {
      const b = buildSpec(parseSpec({ family: family.key }));
      for (const part of b.parts) {
        const t = measureTemplate(part);
        if (!t) continue;
        expect(t.length).toBeCloseTo(part.length, 6);
        for (const m of t.marks) {
          expect(m.at).toBeGreaterThanOrEqual(-1e-9);
          expect(m.at).toBeLessThanOrEqual(t.length + 1e-9);
          expect(m.up).toBeLessThanOrEqual(t.width + 1e-9);
        }
      }
      const notched = b.parts.filter((p) => p.role === 'rafter' && p.notches.length > 0);
      for (const p of notched) expect([p.id, drawTemplate(p) !== undefined]).toEqual([p.id, true]);
    }
  });
});

describe('the drawing of a template', () => {
  const b = buildSpec(parseSpec({ family: 'walk-in', params: { roofKind: 'gable' } }));
  const rafter = b.parts.find((p) => p.id === 'roof-front/rafter-2') as Part;
  const drawing = drawTemplate(rafter);
  it('runs its measures from one end to the whole length, with every mark in between', () => {
    const t = measureTemplate(rafter);
    const along =
      drawing?.items.flatMap((i) => (i.kind === 'text' && i.tone === 'chalk' ? [i.length ?? NaN] : [])) ?? [];
    expect(along).toEqual([...along].sort((p, q) => p - q));
    expect(along.at(-1)).toBeCloseTo(rafter.length, 2);
    for (const m of t?.marks ?? []) expect(along.some((n) => Math.abs(n - m.at) < 1 / 64) || m.at < 1 / 64).toBe(true);
  });
  it('gives depths from the nearer edge and angles off square', () => {
    const texts = drawing?.items.flatMap((i) => (i.kind === 'text' ? [`${i.tone} ${i.text}`] : [])) ?? [];
    expect(texts).toContain('keel 1 1/8"');
    expect(texts).toContain('ink 18.4°');
    expect(texts).toContain('ink 71.6°');
  });
  it('keeps figures of one row clear of each other', () => {
    const rows = new Map<number, { from: number; to: number }[]>();
    for (const i of drawing?.items ?? [])
      if (i.kind === 'text' && i.tone === 'chalk') {
        const half = i.text.length * i.size * 0.31;
        const row = rows.get(i.at[1]) ?? [];
        for (const o of row) expect(i.at[0] - half > o.to || i.at[0] + half < o.from).toBe(true);
        rows.set(i.at[1], [...row, { from: i.at[0] - half, to: i.at[0] + half }]);
      }
  });
});
