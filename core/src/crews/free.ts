/** Free slots of somebody or something: for each slot the first from it on that is not free, and the first that is. */
export class Free {
  readonly next: Int32Array;
  readonly again: Int32Array;
  private readonly taken: Uint8Array;
  private readonly open: Uint8Array;
  constructor(open: (slot: number) => boolean, count: number) {
    this.next = new Int32Array(count + 1);
    this.again = new Int32Array(count + 1);
    this.again[count] = count;
    this.taken = new Uint8Array(count);
    this.open = Uint8Array.from({ length: count }, (_, s) => (open(s) ? 1 : 0));
    this.next[count] = count;
    for (let s = count - 1; s >= 0; s--) {
      this.next[s] = this.open[s] === 1 ? (this.next[s + 1] as number) : s;
      this.again[s] = this.open[s] === 1 ? s : (this.again[s + 1] as number);
    }
  }
  has(from: number, to: number): boolean {
    return (this.next[from] as number) >= to;
  }
  /** Where it is free again after the first slot from here on that is not. */
  after(from: number): number {
    return this.again[this.next[from] as number] as number;
  }
  /** Takes slots, or gives them back; what is taken twice, by hand, is free when both are gone. */
  book(from: number, to: number, by: 1 | -1): void {
    const { next, again, taken, open } = this;
    for (let s = from; s < to; s++) taken[s] = (taken[s] as number) + by;
    for (let s = to - 1; s >= 0; s--) {
      const free = open[s] === 1 && taken[s] === 0;
      const now = free ? (next[s + 1] as number) : s;
      const then = free ? s : (again[s + 1] as number);
      if (s < from && next[s] === now && again[s] === then) return;
      next[s] = now;
      again[s] = then;
    }
  }
}
