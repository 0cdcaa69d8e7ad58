import { planSticks } from '@rubbet/core/cut';
import { demandOf, KINDS } from './cutting/demands.ts';

// npm run bench:sticks [-- SEEDS [SECONDS]]: plans demands of every kind and prints one JSON line a kind.
const seeds = Number(process.argv[2] ?? 40);
const effort = process.argv[3] === undefined ? 'full' : Number(process.argv[3]);

for (const kind of KINDS) {
  const runs = kind === 'weeks' ? Math.max(1, Math.round(seeds / 4)) : seeds;
  let proved = 0;
  let gaps = 0;
  let worst = 0;
  let inSticks = 0;
  const times: number[] = [];
  for (let seed = 1; seed <= runs; seed++) {
    const demand = demandOf(kind, seed);
    const from = performance.now();
    const plan = planSticks(demand, effort);
    times.push(performance.now() - from);
    if (plan.proved) proved++;
    const over = plan.cost - plan.bound;
    gaps += over / Math.max(1, plan.bound);
    worst = Math.max(worst, over / Math.max(1, plan.bound));
    inSticks = Math.max(inSticks, over / Math.max(...demand.stock.map((s) => s.cost)));
  }
  times.sort((a, b) => a - b);
  const round = (n: number, by = 100): number => Math.round(n * by) / by;
  console.log(
    JSON.stringify({
      kind,
      demands: runs,
      proved: `${round((100 * proved) / runs, 1)} %`,
      meanGap: `${round((100 * gaps) / runs, 1000)} %`,
      worstGap: `${round(100 * worst)} %`,
      mostOver: `${round(inSticks)} sticks`,
      median: `${round(times[Math.floor(runs / 2)] ?? 0, 1)} ms`,
      slowest: `${round(times.at(-1) ?? 0, 1)} ms`,
    }),
  );
}
