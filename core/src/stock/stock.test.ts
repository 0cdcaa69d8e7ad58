import { LUMBER, MESHES, STOCK } from './items.ts';
import { findItem, findLumber, findSheet } from './catalogue.ts';
import { measureBoardFeet, measureDensity } from './measureDensity.ts';

// Dressed sizes, dry. Source: American Softwood Lumber Standard, NIST PS 20 (from memory).
const PS20: Record<string, [number, number]> = {
  '1x2': [0.75, 1.5],
  '1x2-pt': [0.75, 1.5],
  '1x3': [0.75, 2.5],
  '1x4': [0.75, 3.5],
  '1x6': [0.75, 5.5],
  '1x8': [0.75, 7.25],
  '5/4x6': [1, 5.5],
  '2x2': [1.5, 1.5],
  '2x3': [1.5, 2.5],
  '2x4': [1.5, 3.5],
  '2x6': [1.5, 5.5],
  '2x8': [1.5, 7.25],
  '2x10': [1.5, 9.25],
  '2x12': [1.5, 11.25],
  '4x4': [3.5, 3.5],
  '4x6-pt': [3.5, 5.5],
  '6x6-pt': [5.5, 5.5],
};

describe('stock', () => {
  it.each(Object.entries(PS20))('%s has its dressed size', (key, [thickness, width]) => {
    expect(findLumber(key)).toMatchObject({ thickness, width });
  });
  it('sells fence pickets of 5/8 × 5 1/2 × 72 (common practice, no source)', () => {
    const picket = findLumber('picket');
    expect([picket.thickness, picket.width, picket.lengths.map((l) => l.length)]).toEqual([0.625, 5.5, [72]]);
  });
  it('has mesh rolls 24, 36 and 48 in wide, 25, 50 and 100 ft long (common practice, no source)', () => {
    for (const mesh of MESHES) {
      expect([...new Set(mesh.rolls.map((r) => r.width))]).toEqual([24, 36, 48]);
      expect([...new Set(mesh.rolls.map((r) => r.length / 12))]).toEqual([25, 50, 100]);
    }
  });
  it('names every item once', () => expect(new Set(STOCK.map((s) => s.key)).size).toBe(STOCK.length));
  it('counts board feet: an 8 ft 2×4 has 5⅓', () =>
    expect(measureBoardFeet(findLumber('2x4'), 96)).toBeCloseTo(16 / 3, 9));
  it('weighs spruce-pine-fir at about 29 lb per cubic foot (Wood Handbook formula, from memory)', () => {
    expect(measureDensity(findLumber('2x4')) * 1728).toBeCloseTo(29.35, 1);
    expect(measureDensity(findLumber('2x4-pt'))).toBeGreaterThan(measureDensity(findLumber('2x4')));
  });
  it('says which key is unknown or of another kind', () => {
    expect(() => findItem('2x5')).toThrow('There is no stock item "2x5".');
    expect(() => findSheet('2x4')).toThrow('Stock item "2x4" is lumber, not sheet.');
  });
  it('has lengths within what yards sell', () => {
    for (const item of LUMBER) for (const l of item.lengths) expect([6, 8, 10, 12, 14, 16]).toContain(l.length / 12);
  });
});
