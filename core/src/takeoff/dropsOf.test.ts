import { buildSpec, parseSpec } from '../model/index.ts';
import { findItem } from '../stock/index.ts';
import type { Part } from '../unit/index.ts';
import { dropsOf } from './dropsOf.ts';

const FAMILIES = ['raised-lean-to', 'raised-gable', 'walk-in'];
const built = FAMILIES.map((family) => ({ family, build: buildSpec(parseSpec({ family, params: {} })) }));
const house = built[0]?.build.parts ?? [];
const like = (outline: [number, number][], holes: [number, number][][] = [], length = 60): Part => {
  const base = house.find((p) => findItem(p.item).kind === 'sheet') as Part;
  return { ...base, length, shape: { ...base.shape, outline, holes } } as Part;
};
const board: [number, number][] = [
  [0, 0],
  [48, 0],
  [48, 60],
  [0, 60],
];

describe('what is cut out of a sheet part', () => {
  it('is the opening less a kerf on every side, its length the way that the part runs', () => {
    const opening: [number, number][] = [
      [4, 10],
      [35, 10],
      [35, 56],
      [4, 56],
    ];
    // 31 × 46 leaves 30¾ × 45¾.
    expect(dropsOf(like(board, [opening]), 0.125)).toEqual([{ length: 45.75, width: 30.75 }]);
    // The same part lying along x.
    expect(dropsOf(like(board, [opening], 48), 0.125)).toEqual([{ length: 30.75, width: 45.75 }]);
  });
  it('is a notch at an edge, and of a rake the largest rectangle in its corner', () => {
    const notched: [number, number][] = [
      [0, 0],
      [48, 0],
      [48, 60],
      [28, 60],
      [28, 40],
      [0, 40],
    ];
    expect(dropsOf(like(notched), 0.125)).toEqual([{ length: 19.75, width: 27.75 }]);
    const raked: [number, number][] = [
      [0, 0],
      [48, 0],
      [48, 60],
      [0, 30],
    ];
    // The triangle is 48 × 30; half of each, less two kerfs.
    expect(dropsOf(like(raked), 0.125)).toEqual([{ length: 14.75, width: 23.75 }]);
  });
  it('is nothing where it is too narrow to be of use, or nothing is cut out', () => {
    expect(dropsOf(like(board), 0.125)).toEqual([]);
    const slot: [number, number][] = [
      [10, 10],
      [13, 10],
      [13, 50],
      [10, 50],
    ];
    expect(dropsOf(like(board, [slot]), 0.125)).toEqual([]);
  });
  it.each(built)('of a $family lies within its part, and is no more than is gone of it', ({ build }) => {
    let found = 0;
    for (const p of build.parts.filter((q) => findItem(q.item).kind === 'sheet')) {
      const drops = dropsOf(p, 0.125);
      found += drops.length;
      for (const d of drops) {
        expect(d.length).toBeLessThan(p.length);
        expect(d.width).toBeLessThan(p.width);
      }
      const area = drops.reduce((n, d) => n + d.length * d.width, 0);
      expect(area).toBeLessThan(p.length * p.width);
    }
    expect(found).toBeGreaterThan(0);
  });
  it('of a house makes the skin of its door: the door is what was cut out for it', () => {
    const skin = house.find((p) => p.id.endsWith('door/skin'));
    const drops = house.flatMap((p) => (p.item === skin?.item ? dropsOf(p, 0.125) : []));
    expect(drops.some((d) => Math.abs(d.length - (skin?.length ?? 0)) < 0.01)).toBe(true);
  });
});
