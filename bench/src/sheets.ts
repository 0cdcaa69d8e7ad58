import { planSheetDemand } from '@rubbet/core/cut';
import { randomOf } from '@rubbet/core/cut';
import type { SheetPiece } from '@rubbet/core/cut';
import { buildSpec, parseSpec } from '@rubbet/core/model';
import { itemsOf } from '@rubbet/core/stock';
import { MODELS } from '@rubbet/demo';

// npm run bench:sheets [-- SEEDS [SECONDS]]: sheets of generated demands and of demo orders together, one JSON line a kind.
const seeds = Number(process.argv[2] ?? 40);
const effort = process.argv[3] === undefined ? 'full' : Number(process.argv[3]);
const stock = itemsOf('sheet').map((s) => ({
  item: s.key,
  length: s.length,
  width: s.width,
  cost: s.cost,
  quantity: null,
}));

const partsOf = (index: number): SheetPiece[] => {
  const m = MODELS[index % MODELS.length] as (typeof MODELS)[number];
  return buildSpec(parseSpec({ family: m.family, params: m.params })).parts.flatMap((p): SheetPiece[] => {
    const item = itemsOf('sheet').find((s) => s.key === p.item);
    return item
      ? [{ id: `${index}/${p.id}`, item: p.item, length: p.length, width: p.width, quantity: 1, grain: item.grain }]
      : [];
  });
};
const all = MODELS.map((_, i) => partsOf(i));

const KINDS: Readonly<Record<string, (seed: number) => SheetPiece[]>> = {
  'one order': (seed) => all[seed % all.length] as SheetPiece[],
  'orders together': (seed) => {
    const r = randomOf(seed);
    return Array.from({ length: 3 + Math.floor(r() * 5) }, (_, k) =>
      (all[Math.floor(r() * all.length)] as SheetPiece[]).map((p) => ({ ...p, id: `${k}/${p.id}` })),
    ).flat();
  },
  'any rectangles': (seed) => {
    const r = randomOf(seed + 1000);
    return Array.from({ length: 8 + Math.floor(r() * 40) }, (_, i) => ({
      id: String(i),
      item: 'ply-1/2',
      length: 6 + Math.floor(r() * 80 * 8) / 8,
      width: 4 + Math.floor(r() * 40 * 8) / 8,
      quantity: 1,
      grain: r() < 0.3,
    }));
  },
};

for (const saw of ['track', 'table'] as const)
  for (const [kind, make] of Object.entries(KINDS)) {
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
