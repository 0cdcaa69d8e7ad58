/** What is cut in one go: equal sticks lying on each other. Lengths in inches. */
export interface CutStack<T> {
  readonly sticks: readonly T[];
  /** Lengths in the order in which the stop is set for them. */
  readonly stops: readonly number[];
}

const same = (a: number, b: number): boolean => Math.abs(a - b) < 1e-6;
const distinct = (lengths: readonly number[]): number[] => [...new Set(lengths)].sort((a, b) => b - a);

/** How often the stop is set where lengths are cut in this order. */
export const countStops = (lengths: readonly number[]): number =>
  lengths.filter((l, i) => i === 0 || !same(l, lengths[i - 1] as number)).length;

/**
 * The order in which sticks of one item are cut: equal ones stacked, the longest piece first, and each stack where the stop
 * stands where the one before has left it, as often as that can be had.
 * @param high how many sticks lie on each other
 */
export const orderCuts = <T extends { readonly length: number; readonly cuts: readonly { readonly length: number }[] }>(
  sticks: readonly T[],
  high: number,
): CutStack<T>[] => {
  const groups = new Map<string, T[]>();
  for (const s of sticks) {
    const key = `${s.length}|${s.cuts
      .map((c) => c.length)
      .sort((a, b) => b - a)
      .join()}`;
    groups.set(key, [...(groups.get(key) ?? []), s]);
  }
  const stacks = [...groups.values()].flatMap((mine) =>
    Array.from({ length: Math.ceil(mine.length / high) }, (_, k) => ({
      sticks: mine.slice(k * high, (k + 1) * high),
      lengths: distinct((mine[0] as T).cuts.map((c) => c.length)),
    })),
  );
  // The longest first; among these the one with the fewest other lengths, which hands the stop on soonest.
  const left = stacks.sort((a, b) => (b.lengths[0] ?? 0) - (a.lengths[0] ?? 0) || a.lengths.length - b.lengths.length);
  // How many stacks still want a length: one that only two share is kept for where they meet.
  const out: CutStack<T>[] = [];
  let at: number | undefined;
  while (left.length > 0) {
    const wanted = new Map<number, number>();
    for (const s of left) for (const l of s.lengths) wanted.set(l, (wanted.get(l) ?? 0) + 1);
    const here = at;
    const meets = here === undefined ? [] : left.filter((s) => s.lengths.some((l) => same(l, here)));
    // Of those that start where the stop stands, first what holds no other length, then what leads on.
    const leads = (s: (typeof left)[number]): number =>
      s.lengths.length === 1 ? 2 : s.lengths.some((l) => !same(l, here as number) && (wanted.get(l) ?? 0) > 1) ? 1 : 0;
    const next = [...meets].sort((a, b) => leads(b) - leads(a))[0] ?? (left[0] as (typeof left)[number]);
    left.splice(left.indexOf(next), 1);
    for (const l of next.lengths) wanted.set(l, (wanted.get(l) ?? 1) - 1);
    const enter = next.lengths.find((l) => here !== undefined && same(l, here)) ?? (next.lengths[0] as number);
    const others = next.lengths.filter((l) => !same(l, enter));
    // It ends at a length that most of what is left wants too.
    const end = [...others].sort((a, b) => (wanted.get(b) ?? 0) - (wanted.get(a) ?? 0))[0];
    const stops = end === undefined ? [enter] : [enter, ...others.filter((l) => !same(l, end)), end];
    out.push({ sticks: next.sticks, stops });
    at = stops.at(-1);
  }
  return out;
};
