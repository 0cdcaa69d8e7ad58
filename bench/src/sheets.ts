import { planSheetDemand } from '@rubbet/core/cut';
import { itemsOf } from '@rubbet/core/stock';
import { SHEET_KINDS, SHEETS as stock } from './cutting/sheetDemands.ts';

// npm run bench:sheets [-- SEEDS [SECONDS]]: sheets of generated demands and of demo orders together, one JSON line a kind.
const seeds = Number(process.argv[2] ?? 40);
const effort = process.argv[3] === undefined ? 'full' : Number(process.argv[3]);
for (const saw of ['track', 'table'] as const)
  for (const [kind, make] of Object.entries(SHEET_KINDS)) {
    let proved = 0;
    let within = 0;
    let sheets = 0;
    let least = 0;
    const times: number[] = [];
    for (let seed = 0; seed < seeds; seed++) {
      const pieces = make(seed);
      const from = performance.now();
      const plan = planSheetDemand({ kerf: 0.125, saw, stock, pieces }, effort);
      times.push(performance.now() - from);
      // Item by item: each is proved, or a sheet over.
      const items = [...new Set(pieces.map((p) => p.item))];
      let over = 0;
      for (const item of items) {
        const cost = itemsOf('sheet').find((s) => s.key === item)?.cost ?? 1;
        const mine = plan.sheets.filter((s) => s.item === item).length;
        const alone = planSheetDemand(
          { kerf: 0.125, saw, stock, pieces: pieces.filter((p) => p.item === item) },
          'full',
        );
        over = Math.max(over, mine - Math.round(alone.bound / cost));
      }
      if (plan.proved) proved++;
      if (over <= 1) within++;
      sheets += plan.cost;
      least += plan.bound;
    }
    times.sort((a, b) => a - b);
    const share = (n: number): string => `${Math.round((100 * n) / Math.max(1, seeds))} %`;
    console.log(
      JSON.stringify({
        saw,
        kind,
        demands: seeds,
        proved: share(proved),
        provedOrOneOver: share(within),
        over: `${Math.round((1000 * (sheets - least)) / Math.max(1, least)) / 10} %`,
        median: `${Math.round(times[Math.floor(seeds / 2)] ?? 0)} ms`,
        slowest: `${Math.round(times.at(-1) ?? 0)} ms`,
      }),
    );
  }
