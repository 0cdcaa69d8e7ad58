import { gzipSync } from 'node:zlib';
import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { checkBuild } from '@rubbet/core/check';
import { planSticks } from '@rubbet/core/cut';
import { drawBuild } from '@rubbet/core/draw';
import { buildSpec, parseSpec } from '@rubbet/core/model';
import { computeOrder } from '@rubbet/core/order';
import { moveOperation, planCrews } from '@rubbet/core/crews';
import { stickDemandOf, takeOff } from '@rubbet/core/takeoff';
import { MODELS, ORDERS } from '@rubbet/demo';
import { makeShop } from './shops/makeShop.ts';

/** Prints one figure as one JSON line: what was measured, its median, unit and budget. */
const print = (
  figure: string,
  value: number,
  unit: string,
  budget?: number,
  more: Record<string, unknown> = {},
): void =>
  console.log(
    JSON.stringify({
      figure,
      value: Math.round(value * 100) / 100,
      unit,
      ...(budget === undefined ? {} : { budget, within: value <= budget }),
      ...more,
    }),
  );

const median = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0;

const time = (runs: number, work: (run: number) => void): number => {
  for (let i = 0; i < Math.min(12, runs); i++) work(i);
  return median(
    Array.from({ length: runs }, (_, i) => {
      const from = performance.now();
      work(i);
      return performance.now() - from;
    }),
  );
};

const specs = MODELS.map((m) => parseSpec({ family: m.family, params: m.params }));
const largest = specs.reduce((a, b) => (buildSpec(b).parts.length > buildSpec(a).parts.length ? b : a));
const parts = buildSpec(largest).parts.length;

print(
  'frame, checks, takeoff of the largest demo unit',
  time(31, () => {
    const build = buildSpec(largest);
    checkBuild(build, largest);
    takeOff(build, 'quick');
  }),
  'ms',
  20,
  { parts },
);

print(
  'one changed length to its picture',
  time(31, (i) => {
    const spec = { ...largest, params: { ...largest.params, wallHeight: 92 + (i % 5) } };
    drawBuild(computeOrder({ spec }, undefined, 'quick').build, 'front');
  }),
  'ms',
  50,
);

const plans = specs.map((s) => {
  const demand = stickDemandOf(buildSpec(s).parts);
  const from = performance.now();
  const plan = planSticks(demand);
  return { ms: performance.now() - from, plan };
});
print('stick plan of a demo order, slowest', Math.max(...plans.map((p) => p.ms)), 'ms', 300);
print('stick plans proved minimal', plans.filter((p) => p.plan.proved).length, `of ${plans.length}`);
print(
  'widest gap of a stick plan to its bound, in sticks',
  Math.max(...plans.map((p) => (p.plan.cost - p.plan.bound) / Math.max(...p.plan.sticks.map((s) => s.cost)))),
  'sticks',
  1,
);

const together = ORDERS.filter((o) => o.model !== undefined).flatMap((o, i) => {
  const m = MODELS.find((x) => x.name === o.model);
  if (!m) return [];
  return stickDemandOf(
    buildSpec(parseSpec({ family: m.family, params: { ...m.params, ...o.change } })).parts,
  ).pieces.map((p) => ({ ...p, id: `${i}/${p.id}`, quantity: p.quantity * 2 }));
});
const stock = stickDemandOf(specs.flatMap((s) => buildSpec(s).parts)).stock;
const from = performance.now();
const batch = planSticks({ kerf: 0.125, endTrim: 0, stock, pieces: together });
print('all demo orders together', performance.now() - from, 'ms', 5000, {
  pieces: together.reduce((n, p) => n + p.quantity, 0),
  sticks: batch.sticks.length,
  gap: (batch.cost - batch.bound) / batch.cost,
});

const shop = makeShop(1, 60);
print(
  'plan of sixty orders, begun and looked for',
  time(1, () => void planCrews(shop, { seconds: 4 })),
  'ms',
  5000,
  { operations: shop.operations.length },
);
const plan = planCrews(shop, { rounds: 0 }).plan;
const told = {
  ...shop,
  published: plan.map(({ operation, start, place, people, trailer }) => ({
    operation,
    start,
    people,
    ...(place === null ? {} : { place }),
    ...(trailer === null ? {} : { trailer }),
  })),
};
const moved = plan[Math.floor(plan.length / 2)];
print(
  'moving one block of sixty orders',
  time(3, () => void (moved && moveOperation(told, { operation: moved.operation, start: moved.start + 1440 }))),
  'ms',
  500,
);

const dist = fileURLToPath(new URL('../../web/dist', import.meta.url));
const html = readFileSync(`${dist}/index.html`, 'utf8');
const named = [...html.matchAll(/assets\/[\w.-]+\.(?:js|css)/g)].map((m) => m[0]);
const zipped = named.reduce((sum, f) => sum + gzipSync(readFileSync(`${dist}/${f}`)).length, 0);
print('first load, gzipped', zipped / 1024, 'KB', 250, { files: named.length });
const scene = readdirSync(`${dist}/assets`).find((f) => f.startsWith('Scene-') && f.endsWith('.js'));
if (scene)
  print('3D chunk, loaded when first needed', gzipSync(readFileSync(`${dist}/assets/${scene}`)).length / 1024, 'KB');
