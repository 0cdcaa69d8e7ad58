import fc from 'fast-check';
import { placeBlocks } from './placeBlocks.ts';
import type { Item } from './placeBlocks.ts';

const block = (height: number): Item => ({ height, whole: false, begins: true });
const rest = (height: number): Item => ({ height, whole: false, begins: false });
const whole = (height: number): Item => ({ height, whole: true, begins: false });

/** How much of every page is taken, laid out as decided; what is whole is never torn. */
const fill = (items: readonly Item[], anew: readonly boolean[]): number[] => {
  const pages = [0];
  const room = (): number => 1 - (pages.at(-1) ?? 0);
  items.forEach((item, i) => {
    let left = item.height;
    if (anew[i] || (item.whole && left <= 1 && left > room())) pages.push(0);
    while (left > 1e-9) {
      if (room() < 1e-6) pages.push(0);
      const here = Math.min(left, room());
      pages[pages.length - 1] = (pages.at(-1) ?? 0) + here;
      left -= here;
    }
  });
  return pages;
};

describe('what begins a page', () => {
  it('is what would be torn, where the page before is well begun', () => {
    expect(placeBlocks([rest(0.5), block(0.4), block(0.3), block(0.9)])).toEqual([false, false, true, false]);
  });
  it('is not what fits in one piece', () => expect(placeBlocks([rest(0.6), block(0.3)])).toEqual([false, false]));
  it('is not what comes after a page that has just spilled over', () =>
    expect(placeBlocks([block(1.06), block(0.99)])).toEqual([false, false]));
  it('is nothing twice: a full page needs no end', () =>
    expect(placeBlocks([block(1), block(1)])).toEqual([false, false]));
  it('counts what went on to the next page whole', () => {
    // The picture leaves a third of the first page, and ends the second at a sixth: the next begins there.
    expect(placeBlocks([rest(0.66), whole(0.5), block(0.7)])).toEqual([false, false, true]);
    expect(placeBlocks([rest(0.66), whole(0.35), block(0.9)])).toEqual([false, false, false]);
  });
  it('tears a table between its rows and says its head again', () => {
    const table: Item = { height: 0.5, whole: false, rows: 5, begins: false };
    // Four rows fit in what is left, the last stands under the head on the next page: there is room for what follows.
    expect(placeBlocks([rest(0.55), table, block(0.9)])).toEqual([false, false, false]);
    // Three of them would have ended it at half a page.
    const rows: Item = { height: 0.9, whole: false, rows: 9, begins: false };
    expect(placeBlocks([rest(0.55), rows, block(0.9)])).toEqual([false, false, true]);
  });
  it('leaves no page but the last less than two fifths full, but before what is whole', () => {
    const item = fc.record({
      height: fc.double({ min: 0.02, max: 2.5, noNaN: true }),
      whole: fc.constant(false),
      begins: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(item, { minLength: 1, maxLength: 20 }), (items) => {
        for (const p of fill(items, placeBlocks(items)).slice(0, -1)) expect(p).toBeGreaterThan(0.4 - 1e-6);
      }),
    );
  });
  it('tears nothing that is read as one and fits on a page, where two fifths of the page are taken', () => {
    const items = fc.array(fc.double({ min: 0.05, max: 0.6, noNaN: true }).map(block), { minLength: 2, maxLength: 20 });
    fc.assert(
      fc.property(items, (all) => {
        const anew = placeBlocks(all);
        let taken = 0;
        all.forEach(({ height }, i) => {
          if (anew[i]) taken = 0;
          // Torn only where it begins high on its page.
          if (taken + height > 1 + 1e-6 && taken < 1 - 1e-6) expect(taken).toBeLessThan(0.4 + 1e-6);
          taken = taken + height > 1 ? (taken + height) % 1 : taken + height;
        });
      }),
    );
  });
});
