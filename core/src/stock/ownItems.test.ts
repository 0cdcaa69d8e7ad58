import { findItem, itemsOf, withItems } from './catalogue.ts';
import { isOwn, ownKey } from './ownItems.ts';
import { readItemChanges } from './readItemChanges.ts';
import { priceOf } from './sizes.ts';

describe('an item of one’s own', () => {
  const key = ownKey('  Wood   glue ');
  it('says by its key what it is, so that it is known wherever it is met', () => {
    expect(key).toBe('own:Wood glue');
    expect([isOwn(key), isOwn('2x4'), isOwn('own:')]).toEqual([true, false, false]);
    expect(findItem(key)).toMatchObject({ name: 'Wood glue', kind: 'hardware', cost: 0, pack: 1 });
    expect(() => findItem('glue')).toThrow(/no stock item "glue"/);
  });
  it('costs what the business says, and stands among what it counts', () => {
    const changes = readItemChanges({ [key]: { cost: 1895, pack: 4 } });
    withItems(changes, () => {
      expect(priceOf(key, null, null)).toBe(1895);
      expect(itemsOf('hardware').find((h) => h.key === key)?.pack).toBe(4);
    });
    expect(itemsOf('hardware').some((h) => h.key === key)).toBe(false);
  });
  it('takes a price and a pack, and says what else it was given', () => {
    expect(() => readItemChanges({ [key]: { gravity: 0.5 } })).toThrow(/has no "gravity"; it takes cost and pack/);
    expect(() => readItemChanges({ [key]: { pack: 0 } })).toThrow(/pack is 0; a pack is 1 to 10000/);
    expect(() => readItemChanges({ '2x4': { pack: 5 } })).toThrow(/has no "pack"/);
  });
});
