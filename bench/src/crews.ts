import { DISPATCH, planCrews } from '@rubbet/core/crews';
import { moveOperation, proposePlans } from '@rubbet/core/crews';
import type { Shop } from '@rubbet/core/crews';
import { annealTurn } from './shops/anneal.ts';
import { makeShop } from './shops/makeShop.ts';

// npm run bench:crews [-- SEEDS [ORDERS [SECONDS [ANNEALED]]]]: plans of seeded shops against rules of dispatch, an annealing of so many
// seconds over the same board, and what no plan goes under; how long a move and a morning take.
const seeds = Number(process.argv[2] ?? 5);
const orders = Number(process.argv[3] ?? 60);
const seconds = Number(process.argv[4] ?? 5);
const annealed = Number(process.argv[5] ?? 0);

const days = (late: readonly { readonly days: number }[]): number => late.reduce((n, l) => n + l.days, 0);
const sums = { plan: 0, bound: 0, faults: 0, late: 0, annealed: 0, noWorse: 0 };
const byRule = new Map<string, number>();
for (let seed = 1; seed <= seeds; seed++) {
  const shop = makeShop(seed, orders);
  const found = planCrews(shop, { seconds });
  sums.plan += found.cost.total;
  sums.bound += found.bound;
  sums.faults += found.faults.length;
  sums.late += days(found.late);
  for (const [name, rule] of Object.entries(DISPATCH)) {
    // One rule alone, and no search.
    const sorted = { ...shop, orders: [...shop.orders].sort(rule(shop)) };
    const byHand = planCrews(sorted, { rounds: 0, rule: name });
    byRule.set(name, (byRule.get(name) ?? 0) + days(byHand.late));
  }
  const rival = annealed > 0 ? annealTurn(shop, annealed) : undefined;
  sums.annealed += rival?.cost.total ?? 0;
  if (rival && found.cost.total <= rival.cost.total) sums.noWorse++;
  // A block moved by a day in the plan that people were told, and a morning on which somebody is ill.
  const told: Shop = {
    ...shop,
    published: found.plan.map(({ operation, start, place, people, trailer }) => ({
      operation,
      start,
      people,
      ...(place === null ? {} : { place }),
      ...(trailer === null ? {} : { trailer }),
    })),
  };
  const block = found.plan[Math.floor(found.plan.length / 3)];
  const a = performance.now();
  if (block) moveOperation(told, { operation: block.operation, start: block.start + 1440 });
  const moveMs = Math.round(performance.now() - a);
  const c = performance.now();
  const [first, ...others] = told.people;
  if (first)
    proposePlans(
      { ...told, people: [{ ...first, away: [{ day: shop.first }] }, ...others] },
      { seconds: 1.2 },
      { minutes: 120, days: [shop.first] },
    );
  const morningMs = Math.round(performance.now() - c);
  console.log(
    JSON.stringify({
      seed,
      moveMs,
      morningMs,
      ...(rival ? { annealed: rival.cost.total, turnsTried: rival.tried } : {}),
      orders,
      daysLate: days(found.late),
      ordersLate: found.late.length,
      cost: found.cost.total,
      bound: found.bound,
      faults: found.faults.length,
    }),
  );
}
console.log(
  JSON.stringify({
    all: seeds,
    daysLate: sums.late,
    ...Object.fromEntries(byRule),
    cost: sums.plan,
    ...(annealed > 0 ? { annealed: sums.annealed, noWorseThanAnnealed: sums.noWorse } : {}),
    bound: sums.bound,
  }),
);
