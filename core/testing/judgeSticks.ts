import highsLoader from 'highs';
import type { PatternProblem } from '../src/cut/sticks/problem.ts';

type Highs = Awaited<ReturnType<typeof highsLoader>>;
let highs: Highs | undefined;

/** Every way to fill every stock with what is wanted. */
const allPatterns = (p: PatternProblem): { readonly stock: number; readonly counts: number[] }[] =>
  p.stocks.flatMap(({ capacity }, stock) => {
    const out: { stock: number; counts: number[] }[] = [];
    const counts = p.sizes.map(() => 0);
    const fill = (at: number, room: number): void => {
      if (at === p.sizes.length) {
        if (counts.some((n) => n > 0)) out.push({ stock, counts: [...counts] });
        return;
      }
      const size = p.sizes[at] as number;
      for (let n = Math.min(p.demand[at] as number, Math.floor(room / size)); n >= 0; n--) {
        counts[at] = n;
        fill(at + 1, room - n * size);
      }
      counts[at] = 0;
    };
    fill(0, capacity);
    return out;
  });

/**
 * The least that sticks and penalties for what stays uncut come to, by an exact MIP library (HiGHS) over every pattern. For
 * small problems only.
 */
export const judgeSticks = async (p: PatternProblem): Promise<number> => {
  highs ??= await highsLoader();
  const patterns = allPatterns(p);
  const sum = (terms: readonly string[]): string => (terms.length > 0 ? terms.join(' ') : '0 u0');
  const rows = p.sizes.map(
    (_, i) =>
      ` r${i}: ${sum(patterns.flatMap((q, j) => ((q.counts[i] as number) > 0 ? [`+ ${q.counts[i]} x${j}`] : [])))} + 1 u${i} >= ${p.demand[i]}`,
  );
  const limits = p.stocks.flatMap((s, k) => {
    const mine = patterns.flatMap((q, j) => (q.stock === k ? [`+ 1 x${j}`] : []));
    return s.quantity === null || mine.length === 0 ? [] : [` l${k}: ${mine.join(' ')} <= ${s.quantity}`];
  });
  const cost = [
    ...patterns.map((q, j) => `+ ${p.stocks[q.stock]?.cost ?? 0} x${j}`),
    ...p.penalties.map((c, i) => `+ ${c} u${i}`),
  ];
  const names = [...patterns.map((_, j) => `x${j}`), ...p.sizes.map((_, i) => `u${i}`)];
  const model = `Minimize\n obj: ${cost.join(' ')}\nSubject To\n${[...rows, ...limits].join('\n')}\nGeneral\n ${names.join(' ')}\nEnd`;
  const result = highs.solve(model);
  if (result.Status !== 'Optimal') throw new Error(`The judge says ${result.Status}.`);
  return Math.round(result.ObjectiveValue);
};
