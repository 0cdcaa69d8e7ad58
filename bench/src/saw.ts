import { buildSpec, parseSpec } from '@rubbet/core/model';
import { countStops, planSaw, ripTogether, SAW_RULES } from '@rubbet/core/saw';
import type { SawPart } from '@rubbet/core/saw';
import { planSticks } from '@rubbet/core/cut';
import { catalogueSticks, stickDemandOf } from '@rubbet/core/takeoff';
import { findItem } from '@rubbet/core/stock';
import { hasCut } from '@rubbet/core/unit';
import { MODELS } from '@rubbet/demo';

// npm run bench:saw: the standard models as one batch, and how often the stop is set with and without an order of cuts.
const builds = MODELS.map((m) => buildSpec(parseSpec({ family: m.family, params: m.params })));
const parts: SawPart[] = builds.flatMap((b, order) =>
  b.parts
    .filter((p) => hasCut(p) && findItem(p.item).kind === 'lumber')
    .map((p) => ({
      order,
      part: p.id,
      mark: p.mark,
      panel: p.assembly,
      item: p.item,
      length: p.length,
      ...(p.rip === undefined ? {} : { rip: p.rip }),
    })),
);
const sources = catalogueSticks().map((s) => ({ ...s, stock: null }));
let from = performance.now();
const plan = planSaw(ripTogether(parts, SAW_RULES.kerf), sources, SAW_RULES);
const ms = performance.now() - from;
from = performance.now();
const plain = planSticks(
  stickDemandOf(builds.flatMap((b, k) => b.parts.map((p) => ({ ...p, mark: `${k}.${p.mark}` })))),
);
const plainMs = performance.now() - from;
const asPlanned = plain.sticks.flatMap((s) => s.cuts.map((c) => c.length));
const order = (list: readonly { readonly left: number }[]): number =>
  Math.round(list.reduce((n, s) => n + (s.left >= SAW_RULES.longRest ? s.left : 0), 0));
console.log(
  JSON.stringify({
    pieces: parts.length,
    sticks: plan.sticks.length,
    sticksPlain: plain.sticks.length,
    cost: plan.cost,
    costPlain: plain.cost,
    proved: plan.proved,
    stopMoves: plan.moves,
    stopMovesAsPlanned: countStops(asPlanned),
    lengths: new Set(parts.map((p) => `${p.item}|${p.length}`)).size,
    longRests: order(plan.sticks),
    longRestsPlain: order(plain.sticks),
    ms: Math.round(ms),
    msPlain: Math.round(plainMs),
  }),
);
