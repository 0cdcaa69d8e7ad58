import { buildSpec, parseSpec } from '../model/index.ts';
import type { ParamValue } from '../unit/index.ts';
import { drawBuild } from './drawBuild.ts';
import { surfaceLines } from './surface.ts';

const roofOf = (family: string, params: Record<string, ParamValue>) =>
  buildSpec(parseSpec({ family, params })).parts.filter((p) => p.role === 'roofing');
const length = ([[a, b], [c, d]]: readonly [readonly [number, number], readonly [number, number]]): number =>
  Math.hypot(c - a, d - b);

describe('what a roof shows of its cover', () => {
  it('is courses of 5 5/8 in across the slope, with tabs of a foot that break joint (common practice, no source)', () => {
    for (const part of roofOf('raised-gable', { roofCover: 'shingle' })) {
      const [w, h] = [part.length, part.width];
      const across = surfaceLines(part).filter((l) => length(l) > 6);
      const slope =
        Math.min(w, h) === 0 ? 0 : [w, h].find((n) => Math.abs(length(across[0] as never) - n) > 0.01 && n > 6);
      expect(across).toHaveLength(Math.ceil(((slope ?? 0) - 0.5) / 5.625) - 1);
      for (const tab of surfaceLines(part).filter((l) => length(l) <= 6))
        expect(length(tab)).toBeLessThanOrEqual(5.625 + 1e-9);
    }
  });
  it('is ribs every 9 in from the eave to the top of a metal sheet', () => {
    const [sheet] = roofOf('raised-gable', { roofCover: 'metal' });
    if (!sheet) throw new Error('no metal');
    const ribs = surfaceLines(sheet);
    expect(ribs.length).toBeGreaterThan(0);
    for (const rib of ribs) expect(length(rib)).toBeCloseTo(sheet.length, 6);
    expect(ribs).toHaveLength(Math.ceil((sheet.width - 1) / 9) - 1);
  });
  it('stays within a sheet that is cut out', () => {
    const [sheet] = roofOf('raised-gable', { roofCover: 'shingle' });
    if (!sheet) throw new Error('no shingles');
    const [x, y] = [sheet.shape.outline[0]?.[0] ?? 0, sheet.shape.outline[0]?.[1] ?? 0];
    const hole = [
      [x + 10, y + 10],
      [x + 20, y + 10],
      [x + 20, y + 20],
      [x + 10, y + 20],
    ] as const;
    const whole = surfaceLines(sheet).reduce((n, l) => n + length(l), 0);
    const cut = surfaceLines({ ...sheet, shape: { ...sheet.shape, holes: [hole] } }).reduce((n, l) => n + length(l), 0);
    expect(cut).toBeLessThan(whole);
  });
  it('is left out of pictures that pick parts out, and of walls', () => {
    const b = buildSpec(parseSpec({ family: 'raised-gable', params: { roofCover: 'shingle' } }));
    const lines = (options: Parameters<typeof drawBuild>[2]) =>
      drawBuild(b, 'three', options).items.filter((i) => i.kind === 'line').length;
    expect(lines({})).toBeGreaterThan(100);
    expect(lines({ highlight: [b.parts[0]?.id ?? ''] })).toBe(0);
    expect(b.parts.filter((p) => p.role !== 'roofing').flatMap(surfaceLines)).toEqual([]);
  });
  it('draws the cloth over hoops without lines between its flats, shaded as it turns', () => {
    const b = buildSpec(parseSpec({ family: 'hoop-pen', params: {} }));
    const tarp = new Set(b.parts.filter((p) => p.item === 'tarp' && p.bent !== undefined).map((p) => p.id));
    const faces = drawBuild(b, 'three').items.flatMap((i) =>
      i.kind === 'area' && i.part && tarp.has(i.part) ? [i] : [],
    );
    expect(faces.length).toBeGreaterThan(8);
    expect(new Set(faces.map((f) => f.stroke))).toEqual(new Set(['cloth']));
    expect(new Set(faces.map((f) => (f.shade ?? 0).toFixed(2))).size).toBeGreaterThan(5);
  });
});

describe('a panel whose plate is sawn out later', () => {
  it('shows the gap dashed, as wide as the rough opening and as high as the plate', () => {
    const b = buildSpec(parseSpec({ family: 'walk-in', params: { threshold: 0 } }));
    const gaps = drawBuild(b, 'panel:front-wall').items.flatMap((i) =>
      i.kind === 'area' && i.dashed === true && i.stroke === 'chalk' ? [i.rings[0] ?? []] : [],
    );
    expect(gaps).toHaveLength(1);
    const [xs, ys] = [gaps[0]?.map((p) => p[0]) ?? [], gaps[0]?.map((p) => p[1]) ?? []];
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(34, 9);
    expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(1.5, 9);
    const over = buildSpec(parseSpec({ family: 'walk-in', params: { threshold: 8 } }));
    expect(drawBuild(over, 'panel:front-wall').items.some((i) => i.kind === 'area' && i.stroke === 'chalk')).toBe(
      false,
    );
  });
});
