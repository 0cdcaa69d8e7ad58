import type { Spot } from './standing.ts';
import type { Operation } from './types.ts';

/** Most pieces of work that are done straight after one another, set up once: more of them only come apart again. */
const MOST = 4;

/** Work on the board by what it is set up for, and what goes straight on from what. */
export class Alike {
  private readonly there = new Map<string, Set<Spot>>();
  private readonly next = new Map<Spot, Spot>();

  /** Notes that a spot is on the board, or that it is off it. */
  note(spot: Spot, take: boolean): void {
    const { setup } = spot.op;
    if (!setup) return;
    const mine = this.there.get(setup.like) ?? new Set();
    this.there.set(setup.like, mine);
    if (take) {
      mine.add(spot);
      if (spot.after) this.next.set(spot.after, spot);
    } else {
      mine.delete(spot);
      if (spot.after) this.next.delete(spot.after);
    }
  }

  /** What goes straight on from a spot. */
  nextOf(spot: Spot): Spot | undefined {
    return this.next.get(spot);
  }

  /** Work from which an operation could go straight on. */
  open(op: Operation): Spot[] {
    const out: Spot[] = [];
    for (const last of this.there.get(op.setup?.like ?? '') ?? []) {
      if (this.next.has(last) || last.op.order === op.order) continue;
      let n = 1;
      for (let s = last.after; s; s = s.after) n++;
      if (n < MOST) out.push(last);
    }
    return out;
  }
}
