import fc from 'fast-check';
import { Free } from './free.ts';

/** The same as a list of how often each slot is taken: slow, and plain to see. */
class Plain {
  private readonly taken: number[];
  constructor(private readonly open: readonly boolean[]) {
    this.taken = open.map(() => 0);
  }
  is(s: number): boolean {
    return this.open[s] === true && this.taken[s] === 0;
  }
  has(from: number, to: number): boolean {
    return to <= this.open.length && Array.from({ length: to - from }, (_, k) => from + k).every((s) => this.is(s));
  }
  first(from: number, of: (s: number) => boolean): number {
    for (let s = from; s < this.open.length; s++) if (of(s)) return s;
    return this.open.length;
  }
  book(from: number, to: number, by: 1 | -1): void {
    for (let s = from; s < Math.min(to, this.open.length); s++) this.taken[s] = (this.taken[s] as number) + by;
  }
}

const days = fc.array(fc.boolean(), { minLength: 1, maxLength: 150 });
const span = fc.tuple(fc.integer({ min: 0, max: 140 }), fc.integer({ min: 1, max: 70 }));

describe('free slots', () => {
  it('say the same as a list of them, whatever is taken and given back, twice over as well', () => {
    fc.assert(
      fc.property(days, fc.array(fc.tuple(span, fc.boolean()), { maxLength: 25 }), span, (open, deeds, [at, long]) => {
        const free = new Free((s) => open[s] as boolean, open.length);
        const plain = new Plain(open);
        const taken: (readonly [number, number])[] = [];
        for (const [[from, length], giveBack] of deeds) {
          if (giveBack && taken.length > 0) {
            const [a, b] = taken.splice(from % taken.length, 1)[0] as readonly [number, number];
            free.book(a, b, -1);
            plain.book(a, b, -1);
          } else if (from < open.length) {
            free.book(from, from + length, 1);
            plain.book(from, from + length, 1);
            taken.push([from, from + length]);
          }
        }
        const from = at % open.length;
        expect(free.has(from, from + long)).toBe(plain.has(from, from + long));
        expect(free.openFrom(from)).toBe(plain.first(from, (s) => plain.is(s)));
        expect(free.shutFrom(from)).toBe(plain.first(from, (s) => !plain.is(s)));
        expect(free.run(from, long)).toBe(plain.first(from, (s) => plain.has(s, s + long)));
        // All given back, it is as it was.
        for (const [a, b] of taken) free.book(a, b, -1);
        const again = Array.from(open, (_, s) => free.has(s, s + 1));
        expect(again).toEqual(open);
      }),
      { numRuns: 300 },
    );
  });
  it('are none behind the last, at the edges of a word either', () => {
    for (const count of [1, 31, 32, 33, 63, 64, 65]) {
      const free = new Free(() => true, count);
      expect(free.has(0, count)).toBe(true);
      expect(free.has(0, count + 1)).toBe(false);
      expect([free.openFrom(count), free.shutFrom(0), free.run(0, count + 1)]).toEqual([count, count, count]);
      free.book(count - 1, count, 1);
      expect([free.has(0, count), free.shutFrom(0)]).toEqual([false, count - 1]);
    }
  });
  it('are looked for no further than is asked', () => {
    const free = new Free((s) => s > 90, 128);
    expect(free.run(0, 5)).toBe(91);
    expect(free.run(0, 5, 40)).toBeGreaterThanOrEqual(40);
  });
});
