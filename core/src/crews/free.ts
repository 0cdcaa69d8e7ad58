/** Free slots of somebody or something, a bit each. */
export class Free {
  readonly count: number;
  private readonly bits: Int32Array;
  private readonly open: Int32Array;
  private readonly taken: Int32Array;
  /** How often slots are taken beyond the first time, by hand. */
  private readonly again = new Map<number, number>();
  constructor(open: (slot: number) => boolean, count: number) {
    this.count = count;
    // Behind the last slot nothing is free.
    const words = (count >> 5) + 1;
    this.open = new Int32Array(words);
    for (let s = 0; s < count; s++) if (open(s)) this.open[s >> 5] = (this.open[s >> 5] as number) | (1 << (s & 31));
    this.bits = Int32Array.from(this.open);
    this.taken = new Int32Array(words);
  }
  /** Whether all slots from one up to another are free. */
  has(from: number, to: number): boolean {
    if (to > this.count) return false;
    const { bits } = this;
    const last = (to - 1) >> 5;
    for (let w = from >> 5; w <= last; w++) {
      const wanted = maskOf(w, from, to);
      if (((bits[w] as number) & wanted) !== wanted) return false;
    }
    return true;
  }
  /** The first slot from here on that is free; behind the last where none is. */
  openFrom(from: number): number {
    const { bits, count } = this;
    if (from >= count) return count;
    let w = from >> 5;
    let x = (bits[w] as number) & (-1 << (from & 31));
    while (x === 0) {
      if (++w >= bits.length) return count;
      x = bits[w] as number;
    }
    return (w << 5) + 31 - Math.clz32(x & -x);
  }
  /** The first slot from here on that is not free. */
  shutFrom(from: number): number {
    const { bits, count } = this;
    if (from >= count) return count;
    let w = from >> 5;
    let x = ~(bits[w] as number) & (-1 << (from & 31));
    while (x === 0) x = ~(bits[++w] as number);
    return Math.min(count, (w << 5) + 31 - Math.clz32(x & -x));
  }
  /** Where it is free again after the first slot from here on that is not. */
  after(from: number): number {
    return this.openFrom(this.shutFrom(from));
  }
  /**
   * The first slot from here on from which so many are free; behind the last where there is none.
   * @param cap what lies behind it is not looked for: some slot behind it is given then
   */
  run(from: number, length: number, cap = this.count): number {
    let s = this.openFrom(from);
    while (s < cap && s < this.count) {
      const shut = this.shutFrom(s);
      if (shut - s >= length) return s;
      s = this.openFrom(shut);
    }
    return s;
  }
  /** Takes slots, or gives them back; what is taken twice, by hand, is free when both are gone. */
  book(from: number, to: number, by: 1 | -1): void {
    const { bits, taken, open, again } = this;
    const last = (Math.min(to, this.count) - 1) >> 5;
    for (let w = from >> 5; w <= last; w++) {
      const mask = maskOf(w, from, to);
      const was = taken[w] as number;
      if (by === 1) {
        if ((was & mask) !== 0) this.countAgain(w, was & mask, 1);
        taken[w] = was | mask;
      } else taken[w] = was & (~mask | (again.size === 0 ? 0 : this.countAgain(w, mask, -1)));
      bits[w] = (open[w] as number) & ~(taken[w] as number);
    }
  }
  /** Counts slots of a word that are taken once more or once less; gives those that were taken more than once. */
  private countAgain(word: number, mask: number, by: 1 | -1): number {
    let still = 0;
    for (let k = 0; k < 32; k++) {
      if (((mask >> k) & 1) === 0) continue;
      const s = (word << 5) + k;
      const n = this.again.get(s) ?? 0;
      if (n > 0) still |= 1 << k;
      if (n + by > 0) this.again.set(s, n + by);
      else this.again.delete(s);
    }
    return still;
  }
}

/** Bits of a word that stand for slots from one up to another. */
const maskOf = (word: number, from: number, to: number): number => {
  let mask = -1;
  if (word === from >> 5) mask &= -1 << (from & 31);
  if (word === to >> 5) mask &= ~(-1 << (to & 31));
  return mask;
};
