import { findItem, findLumber, itemsOf, longestOf, withItems } from './catalogue.ts';
import { ItemError, readItemChanges } from './readItemChanges.ts';
import { STOCK } from './items.ts';

describe("a shop's own items", () => {
  const own = {
    '2x4': {
      lengths: [
        { length: 120, cost: 700 },
        { length: 144, cost: 800 },
      ],
      gravity: 0.5,
    },
    'hardware-cloth': { costs: { '36x600': 11900 } },
    hinge: { cost: 650 },
  };

  it('are found by whatever looks one up meanwhile, and by nothing after', () => {
    const before = findLumber('2x4');
    withItems(own, () => {
      expect(findLumber('2x4').lengths).toEqual(own['2x4'].lengths);
      expect(findLumber('2x4').gravity).toBe(0.5);
      expect(longestOf('2x4')).toBe(144);
      expect(findItem('hinge')).toMatchObject({ cost: 650 });
      const roll = itemsOf('mesh')
        .find((m) => m.key === 'hardware-cloth')
        ?.rolls.find((r) => r.width === 36 && r.length === 600);
      expect(roll?.cost).toBe(11900);
      // What is not changed is as it was.
      expect(findLumber('2x6')).toBe(STOCK.find((s) => s.key === '2x6'));
    });
    expect(findLumber('2x4')).toBe(before);
  });

  it('are put back where the work fails, and hold inside one another', () => {
    expect(() =>
      withItems(own, () => {
        withItems({ hinge: { cost: 1 } }, () => {
          expect(findItem('hinge')).toMatchObject({ cost: 1 });
          // Each says all that is otherwise than the trade's list.
          expect(longestOf('2x4')).toBe(192);
        });
        withItems({}, () => expect(longestOf('2x4')).toBe(144));
        expect(longestOf('2x4')).toBe(144);
        throw new Error('no');
      }),
    ).toThrow('no');
    expect(longestOf('2x4')).toBe(192);
  });

  it('are read as they are written', () => {
    expect(readItemChanges(own)).toEqual(own);
    expect(
      readItemChanges({
        '2x4': {
          lengths: [
            { length: 144, cost: 2 },
            { length: 96, cost: 1 },
          ],
        },
      }),
    ).toEqual({
      '2x4': {
        lengths: [
          { length: 96, cost: 1 },
          { length: 144, cost: 2 },
        ],
      },
    });
  });

  it.each([
    [[], /must be an object/],
    [{ moon: {} }, /no item "moon"/],
    [{ '2x4': 3 }, /said of 2x4 must be an object/],
    [{ '2x4': { cost: 3 } }, /2x4 is lumber and has no "cost"; it takes lengths and gravity/],
    [{ '2x4': { lengths: [] } }, /at least one length/],
    [{ '2x4': { lengths: [{ length: 96, cost: 1.5 }] } }, /lengths\[0\].cost is 1.5/],
    [
      {
        '2x4': {
          lengths: [
            { length: 96, cost: 1 },
            { length: 96, cost: 2 },
          ],
        },
      },
      /a length twice/,
    ],
    [{ '2x4': { lengths: [{ length: 96, cost: 1, colour: 1 }] } }, /nothing else/],
    [{ '2x4': { gravity: 2 } }, /gravity is 2; wood is 0.25 to 0.9/],
    [{ 'hardware-cloth': { costs: { '36x601': 1 } } }, /has "36x601"; it is sold as/],
    [{ 'ply-1/2': { cost: -1 } }, /price is whole cents/],
  ])('%j says what, where and how to mend it', (json, message) => {
    expect(() => readItemChanges(json)).toThrow(ItemError);
    expect(() => readItemChanges(json)).toThrow(message);
  });
});
