import { DISPATCH, planCrews } from '@rubbet/core/crews';
import { makeShop } from './shops/makeShop.ts';

// npm run bench:crews [-- SEEDS [ORDERS [SECONDS]]]: plans of seeded shops against rules of dispatch and what no plan goes under.
const seeds = Number(process.argv[2] ?? 5);
const orders = Number(process.argv[3] ?? 60);
const seconds = Number(process.argv[4] ?? 5);

const days = (late: readonly { readonly days: number }[]): number => late.reduce((n, l) => n + l.days, 0);
const sums = { plan: 0, bound: 0, faults: 0, late: 0 };
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
  console.log(
    JSON.stringify({
      seed,
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
    bound: sums.bound,
  }),
);
