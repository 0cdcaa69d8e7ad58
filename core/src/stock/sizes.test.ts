import { findItem, findMesh, withItems } from './catalogue.ts';
import { readItemChanges } from './readItemChanges.ts';
import { changeOfSizes, priceOf, sizesOfItem } from './sizes.ts';
import { STOCK } from './items.ts';

describe('sizes of an item', () => {
  it.each(STOCK.map((s) => [s.key, s] as const))('%s is what its sizes say, and can be said by them', (key, item) => {
    const sizes = sizesOfItem(item);
    expect(sizes.length).toBeGreaterThan(0);
    expect(new Set(sizes.map((s) => s.size)).size).toBe(sizes.length);
    const dearer = sizes.map((s) => ({ size: s.size, cost: s.cost + 7 }));
    const changes = readItemChanges({ [key]: changeOfSizes(item, dearer) });
    withItems(changes, () => {
      const after = sizesOfItem(findItem(key));
      expect(after.filter((s) => s.carried).map((s) => [s.size, s.cost])).toEqual(dearer.map((s) => [s.size, s.cost]));
    });
  });

  it('stand among the trade’s where the business does not carry them', () => {
    withItems(
      {
        '2x4': {
          lengths: [
            { length: 120, cost: 500 },
            { length: 150, cost: 640 },
          ],
        },
      },
      () => {
        expect(sizesOfItem(findItem('2x4')).map((s) => [s.size, s.carried])).toEqual([
          ['96', false],
          ['120', true],
          ['144', false],
          ['150', true],
          ['168', false],
          ['192', false],
        ]);
      },
    );
  });
});

describe('what a size costs', () => {
  it('is its price, in proportion where that length is not sold', () => {
    expect(priceOf('2x4', 96, null)).toBe(416);
    // 41 1/2 of 96 in at $4.16.
    expect(priceOf('2x4', 41.5, null)).toBe(Math.round((416 * 41.5) / 96));
    expect(priceOf('ply-1/2', null, null)).toBe(3450);
    expect(priceOf('hinge', null, null)).toBe(620);
    const roll = findMesh('hardware-cloth').rolls[4];
    expect(priceOf('hardware-cloth', roll?.length ?? 0, roll?.width ?? 0)).toBe(roll?.cost);
  });
  it('follows the business’s own', () => {
    withItems({ '2x4': { lengths: [{ length: 96, cost: 500 }] }, hinge: { cost: 1 } }, () => {
      expect(priceOf('2x4', 96, null)).toBe(500);
      expect(priceOf('2x4', 192, null)).toBe(1000);
      expect(priceOf('hinge', null, null)).toBe(1);
    });
  });
});
