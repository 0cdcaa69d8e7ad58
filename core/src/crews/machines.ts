import { BAY } from './works.ts';
import type { Board, InTurn } from './board.ts';
import { inTurn } from './inTurn.ts';
import type { Operation, Shop } from './types.ts';

/** Iterations without a better turn after which the best is shaken, and how often then. */
const STUCK = 1500;
const SHAKES = 8;
/** Shortest and longest time, in iterations, for which two are not changed back. */
const TABU = [8, 16] as const;

/** The one machine of each operation: the only place, or the only person, that it can be done at or by. */
const machinesOf = (shop: Shop, ops: readonly Operation[]): number[] => {
  const names = new Map<string, number>();
  const numberOf = (name: string): number => {
    const n = names.get(name) ?? names.size;
    names.set(name, n);
    return n;
  };
  return ops.map((op) => {
    const places = shop.places.filter((p) => p.kind === op.place);
    if (places.length === 1) return numberOf(`at ${places[0]?.id ?? ''}`);
    const people = shop.people.filter((p) => [op.skill, ...(op.helpers ?? [])].some((s) => p.skills.includes(s)));
    return people.length === 1 ? numberOf(`by ${people[0]?.id ?? ''}`) : -1;
  });
};

/** Operations on their machines as a graph: heads, tails and the turn on each machine. */
class Turns {
  readonly n: number;
  readonly head: Int32Array;
  readonly tail: Int32Array;
  readonly before: Int32Array;
  readonly behind: Int32Array;
  private readonly queue: Int32Array;
  private readonly open: Int32Array;
  readonly time: readonly number[];
  private readonly needs: readonly (readonly number[])[];
  private readonly wanted: readonly (readonly number[])[];

  constructor(
    time: readonly number[],
    needs: readonly (readonly number[])[],
    wanted: readonly (readonly number[])[],
    machines: readonly (readonly number[])[],
  ) {
    this.time = time;
    this.needs = needs;
    this.wanted = wanted;
    this.n = time.length;
    this.head = new Int32Array(this.n);
    this.tail = new Int32Array(this.n);
    this.before = new Int32Array(this.n).fill(-1);
    this.behind = new Int32Array(this.n).fill(-1);
    this.queue = new Int32Array(this.n);
    this.open = new Int32Array(this.n);
    for (const list of machines)
      list.forEach((v, i) => {
        this.before[v] = list[i - 1] ?? -1;
        this.behind[v] = list[i + 1] ?? -1;
      });
  }

  /** Whether that was the last that an operation waited for. */
  private closes(v: number): boolean {
    const left = (this.open[v] as number) - 1;
    this.open[v] = left;
    return left === 0;
  }

  /** Longest ways to and from every operation; how long all of it takes, or -1 where something waits for itself. */
  measure(): number {
    const { n, head, tail, before, behind, queue, open, time, needs, wanted } = this;
    let end = 0;
    for (let v = 0; v < n; v++) {
      open[v] = (needs[v] as number[]).length + ((before[v] as number) >= 0 ? 1 : 0);
      if (open[v] === 0) queue[end++] = v;
    }
    let all = 0;
    for (let at = 0; at < end; at++) {
      const v = queue[at] as number;
      const m = before[v] as number;
      let h = m < 0 ? 0 : (head[m] as number) + (time[m] as number);
      for (const u of needs[v] as number[]) h = Math.max(h, (head[u] as number) + (time[u] as number));
      head[v] = h;
      all = Math.max(all, h + (time[v] as number));
      for (const w of wanted[v] as number[]) if (this.closes(w)) queue[end++] = w;
      const b = behind[v] as number;
      if (b >= 0 && this.closes(b)) queue[end++] = b;
    }
    if (end < n) return -1;
    for (let at = n - 1; at >= 0; at--) {
      const v = queue[at] as number;
      const b = behind[v] as number;
      let t = b < 0 ? 0 : (tail[b] as number) + (time[b] as number);
      for (const w of wanted[v] as number[]) t = Math.max(t, (tail[w] as number) + (time[w] as number));
      tail[v] = t;
    }
    return all;
  }

  /** About how long the longest way through two would be that follow each other on a machine, changed over. */
  guess(u: number, v: number): number {
    const { head, tail, time } = this;
    const after = (list: readonly number[], m: number): number =>
      list.reduce((h, x) => Math.max(h, (head[x] as number) + (time[x] as number)), m < 0 ? 0 : reach(head, time, m));
    const until = (list: readonly number[], m: number): number =>
      list.reduce((t, x) => Math.max(t, (tail[x] as number) + (time[x] as number)), m < 0 ? 0 : reach(tail, time, m));
    const headV = after(this.needs[v] as number[], this.before[u] as number);
    const headU = Math.max(after(this.needs[u] as number[], -1), headV + (time[v] as number));
    const tailU = until(this.wanted[u] as number[], this.behind[v] as number);
    const tailV = Math.max(until(this.wanted[v] as number[], -1), tailU + (time[u] as number));
    return Math.max(headV + (time[v] as number) + tailV, headU + (time[u] as number) + tailU);
  }

  /** Changes two over that follow each other on a machine. */
  swap(u: number, v: number): void {
    const { before, behind } = this;
    const [b, a] = [before[u] as number, behind[v] as number];
    if (b >= 0) behind[b] = v;
    if (a >= 0) before[a] = u;
    before[v] = b;
    behind[v] = u;
    before[u] = v;
    behind[u] = a;
  }

  /** Pairs that may be changed over to shorten all: at the ends of each run of one machine on a longest way. */
  pairs(all: number): [number, number][] {
    const { n, head, tail, time, before, behind } = this;
    const critical = (v: number): boolean => (head[v] as number) + (time[v] as number) + (tail[v] as number) === all;
    let v = -1;
    for (let k = 0; k < n && v < 0; k++) if (head[k] === 0 && critical(k)) v = k;
    const runs: number[][] = [];
    for (; v >= 0;) {
      const at = v;
      const done = (head[at] as number) + (time[at] as number);
      const last = runs.at(-1);
      if (last && before[at] === last.at(-1)) last.push(at);
      else runs.push([at]);
      const b = behind[at] as number;
      const next = [b, ...(this.wanted[at] as number[])].find((x) => x >= 0 && head[x] === done && critical(x));
      v = next ?? -1;
    }
    const out: [number, number][] = [];
    runs.forEach((run, i) => {
      if (run.length < 2) return;
      const [a, b, y, z] = [run[0], run[1], run.at(-2), run.at(-1)] as [number, number, number, number];
      if (i > 0) out.push([a, b]);
      if (i < runs.length - 1 && (run.length > 2 || i === 0)) out.push([y, z]);
    });
    return out;
  }
}

/** How long the way up to behind an operation is. */
const reach = (way: Int32Array, time: readonly number[], m: number): number => (way[m] as number) + (time[m] as number);

/**
 * A turn in which the last of everything is done early, where operations have one machine each: tabu search over the turns on the
 * machines, in which two are changed over that stand at the end of a run of the longest way (Nowicki and Smutnicki 1996, from memory).
 * What has no machine of its own waits for nothing but what it needs. Undefined where units stand in bays, which this knows nothing of.
 * @param more whether there is time for another step
 */
export const turnOnMachines = (
  shop: Shop,
  board: Board,
  random: () => number,
  more: (step: number) => boolean,
): InTurn[] | undefined => {
  const ops = inTurn(shop.operations);
  if (ops.length === 0 || ops.some((o) => o.place === BAY)) return undefined;
  const at = new Map(ops.map((o, i) => [o.id, i]));
  const time = ops.map((o) => board.spots.lengthOf(o, o.people[1]));
  const needs = ops.map((o) => o.needs.flatMap((n) => at.get(n) ?? []));
  const wanted: number[][] = ops.map(() => []);
  needs.forEach((list, v) => list.forEach((u) => wanted[u]?.push(v)));
  const machine = machinesOf(shop, ops);
  const turns = new Turns(time, needs, wanted, firstTurn(time, needs, machine, random));
  let all = turns.measure();
  if (all < 0) return undefined;
  let best = all;
  let kept = Int32Array.from(turns.head);
  let order = [Int32Array.from(turns.before), Int32Array.from(turns.behind)] as const;
  const until = new Map<number, number>();
  let since = 0;
  for (let step = 0; more(step); step++) {
    if (++since > STUCK) {
      turns.before.set(order[0]);
      turns.behind.set(order[1]);
      until.clear();
      since = 0;
      all = turns.measure();
      for (let k = 0; k < SHAKES; k++) {
        const list = turns.pairs(all);
        const [u, v] = list[Math.floor(random() * list.length)] ?? [-1, -1];
        if (u < 0) break;
        turns.swap(u, v);
        all = turns.measure();
      }
    }
    let chosen: readonly [number, number] | undefined;
    let least = Infinity;
    const pairs = turns.pairs(all);
    if (pairs.length === 0) break;
    for (const [u, v] of pairs) {
      const guess = turns.guess(u, v);
      const held = (until.get(u * ops.length + v) ?? -1) >= step;
      if (held && guess >= best) continue;
      if (guess < least || (guess === least && random() < 0.5)) {
        least = guess;
        chosen = [u, v];
      }
    }
    const [u, v] = chosen ?? (pairs[Math.floor(random() * pairs.length)] as [number, number]);
    turns.swap(u, v);
    until.set(v * ops.length + u, step + TABU[0] + Math.floor(random() * (TABU[1] - TABU[0])));
    all = turns.measure();
    if (all >= best) continue;
    best = all;
    kept = Int32Array.from(turns.head);
    order = [Int32Array.from(turns.before), Int32Array.from(turns.behind)];
    since = 0;
  }
  const k = new Map(shop.orders.map((o, i) => [o.id, i]));
  return ops
    .map((op, i) => ({ op, k: k.get(op.order) ?? 0, begins: kept[i] as number }))
    .sort((a, b) => a.begins - b.begins)
    .map(({ op, k: of }) => ({ op, k: of }));
};

/** Turns on the machines to begin with: of what could be next, what has the most work behind it. */
const firstTurn = (
  time: readonly number[],
  needs: readonly (readonly number[])[],
  machine: readonly number[],
  random: () => number,
): number[][] => {
  const n = time.length;
  const left = new Float64Array(n);
  // What stands behind is looked at first: operations come in their turn.
  for (let v = n - 1; v >= 0; v--) {
    left[v] = (left[v] as number) + (time[v] as number);
    for (const u of needs[v] as number[]) left[u] = Math.max(left[u] as number, left[v] as number);
  }
  const free = new Map<number, number>();
  const ends = new Float64Array(n).fill(-1);
  const out: number[][] = Array.from({ length: Math.max(0, ...machine) + 1 }, () => []);
  for (let count = 0; count < n; count++) {
    let chosen = -1;
    let [soonest, most] = [Infinity, 0];
    for (let v = 0; v < n; v++) {
      if ((ends[v] as number) >= 0 || (needs[v] as number[]).some((u) => (ends[u] as number) < 0)) continue;
      const m = machine[v] as number;
      const ready = Math.max(m < 0 ? 0 : (free.get(m) ?? 0), ...(needs[v] as number[]).map((u) => ends[u] as number));
      const less = -(left[v] as number) - random();
      if (ready > soonest || (ready === soonest && less >= most)) continue;
      [soonest, most, chosen] = [ready, less, v];
    }
    const m = machine[chosen] as number;
    ends[chosen] = soonest + (time[chosen] as number);
    if (m < 0) continue;
    free.set(m, ends[chosen] as number);
    out[m]?.push(chosen);
  }
  return out;
};
