// npm run bench:load: how long answers take with the demo's orders and with those of some years, one JSON line a figure.
import { createHash } from 'node:crypto';
import { pause } from '../scripts/lib/processes.mjs';
import { freePort, startDatabase } from '../scripts/lib/database.mjs';
import { ensureBuilt, ensureModules, ensurePackages } from '../scripts/lib/setup.mjs';
import { startServer } from '../scripts/lib/serve.mjs';
import { fill, SIZES } from './fill.mjs';

ensurePackages([['mariadbd', 'mariadb-server']]);
ensureModules();
ensureBuilt(['core', 'demo', 'server']);
const { connect } = await import('../server/dist/index.js');

/** Users at once, and for how long each page is asked for. */
const USERS = 50;
const SECONDS = Number(process.env.BENCH_SECONDS ?? 8);
/** Milliseconds that an answer may take, on a machine on which the reference load takes as long as it did where budgets were set. */
const THOUGHT_MS = 1000;
const BUDGET = { page: 50, tick: 20, accept: 150, health: 50 };
const REFERENCE_MS = 100;

/** A fixed load of this machine, ms: budgets are stated as ratios to it as well, since machines differ twofold. */
const reference = () => {
  const times = [];
  for (let run = 0; run < 5; run++) {
    const from = performance.now();
    let text = 'reference';
    for (let i = 0; i < 60_000; i++) text = createHash('sha256').update(text).digest('hex');
    times.push(performance.now() - from);
  }
  return times.sort((a, b) => a - b)[2];
};
const machine = reference();
const print = (figure, value, budget, more = {}) =>
  console.log(
    JSON.stringify({
      figure,
      value: Math.round(value * 10) / 10,
      unit: 'ms',
      ...(budget === undefined
        ? {}
        : {
            budget,
            within: value <= budget,
            ofReference: Math.round((value / machine) * 1000) / 1000,
            withinReference: value / machine <= budget / REFERENCE_MS,
          }),
      ...more,
    }),
  );
const sorted = (list) => [...list].sort((a, b) => a - b);
const share = (list, p) => sorted(list)[Math.min(list.length - 1, Math.floor(list.length * p))] ?? 0;

const database = await startDatabase();
const port = await freePort();
const server = await startServer({ url: database.url, port });
const base = `http://127.0.0.1:${port}`;
const db = connect(database.url);

const signIn = async (login) => {
  const r = await fetch(`${base}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ login, password: 'hedgerow' }),
  });
  const cookie = r.headers
    .getSetCookie()
    .map((c) => c.split(';')[0])
    .join('; ');
  return async (path, method = 'GET', body, read = true) => {
    const from = performance.now();
    const answer = await fetch(`${base}/api${path}`, {
      method,
      headers: { cookie, ...(body ? { 'content-type': 'application/json' } : {}) },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    const text = await answer.text();
    return {
      ms: performance.now() - from,
      status: answer.status,
      body: read && /^[[{]/.test(text) ? JSON.parse(text) : text,
      cookie,
    };
  };
};

const pages = async (label) => {
  const office = await signIn('office');
  const { body: list } = await office('/orders?limit=60&station=bench');
  const order = list.rows[0].id;
  for (const [name, path] of [
    ['list', '/orders?limit=100'],
    ['list, searched', '/orders?limit=100&search=sorrel'],
    ['order', `/orders/${order}`],
    ['board', '/board'],
    ['bench', `/orders/${order}/work-order`],
    ['today', '/today'],
    ['road', '/road'],
    ['customers', '/customers?search=lane'],
  ]) {
    // Whatever was just filled is read once or twice before it counts.
    for (let i = 0; i < 20; i++) await office(path);
    const times = [];
    let failed = 0;
    const until = performance.now() + SECONDS * 1000;
    // Users come and go as they like: each begins somewhere in the first second, and thinks for a second after each answer.
    await Promise.all(
      Array.from({ length: USERS }, async () => {
        await pause(Math.random() * THOUGHT_MS);
        while (performance.now() < until) {
          const { ms, status } = await office(path, 'GET', undefined, false);
          times.push(ms);
          if (status !== 200) failed++;
          await pause(THOUGHT_MS * (0.8 + Math.random() * 0.4));
        }
      }),
    );
    print(`${label}: ${name}, ${USERS} users, p95`, share(times, 0.95), BUDGET.page, {
      median: Math.round(share(times, 0.5) * 10) / 10,
      requests: times.length,
      failed,
    });
  }
};

const work = async (label) => {
  const office = await signIn('office');
  const { body: list } = await office('/orders?limit=60&station=bench');
  const id = list.rows.at(-1).id;
  const { body: plan } = await office(`/orders/${id}/work-order/plan`);
  const ticks = [];
  for (const step of plan.steps.filter((s) => !['yard', 'road', 'site'].includes(s.station)).slice(0, 24)) {
    const { body } = await office(`/orders/${id}/work-order`);
    const row = body.steps.find((s) => s.stepId === step.id);
    if (row.state === 'done') continue;
    const { ms, status } = await office(`/orders/${id}/work-order/steps/${row.id}`, 'PATCH', {
      version: row.version,
      state: 'done',
    });
    if (status === 200) ticks.push(ms);
  }
  print(`${label}: a step ticked, median`, share(ticks, 0.5), BUDGET.tick, {
    slowest: Math.round(Math.max(...ticks)),
    ticks: ticks.length,
  });
  const accepts = [];
  const { body: waiting } = await office('/orders?limit=40&station=price');
  for (const row of waiting.rows.slice(0, 8)) {
    // Whoever accepts has looked at the price before.
    await office(`/orders/${row.id}/price`);
    const { body: order } = await office(`/orders/${row.id}`);
    const { ms, status } = await office(`/orders/${row.id}/accept`, 'POST', { version: order.version });
    if (status === 200) accepts.push(ms);
  }
  if (accepts.length > 0)
    print(`${label}: a price accepted, median`, share(accepts, 0.5), BUDGET.accept, { accepted: accepts.length });
};

const papers = async (label) => {
  // Ten people, each with a PDF of their own at the same moment.
  const { password_hash } = await db('users').where({ login: 'office' }).first('password_hash');
  for (let i = 0; i < 10; i++)
    await db('users').insert({
      name: `Printer ${i}`,
      login: `${label}-${i}`.replace(/\W/g, '-'),
      password_hash,
      roles: '["office"]',
    });
  const people = [];
  for (let i = 0; i < 10; i++) people.push(await signIn(`${label}-${i}`.replace(/\W/g, '-')));
  const { body: list } = await people[0]('/orders?limit=20&station=bench');
  const office = people[0];
  const from = performance.now();
  let printed = 0;
  const all = Promise.all(
    people.map(async (p, i) => {
      const { status } = await p(`/orders/${list.rows[i % list.rows.length].id}/work-order.pdf`);
      if (status === 200) printed++;
    }),
  );
  let busy = true;
  void all.then(() => (busy = false));
  const health = [];
  while (busy) {
    health.push((await office('/health')).ms);
    await new Promise((r) => setTimeout(r, 15));
  }
  const took = performance.now() - from;
  print(`${label}: health while ten PDFs are made, slowest`, Math.max(...health), BUDGET.health, {
    median: Math.round(share(health, 0.5) * 10) / 10,
    asked: health.length,
    printed,
    tenTook: Math.round(took),
  });
};

try {
  print('reference load of this machine', machine);
  for (const label of ['15 orders', '5,000 orders']) {
    if (label !== '15 orders') {
      const from = performance.now();
      await fill(db, SIZES);
      print(`filled to ${SIZES.orders} orders`, performance.now() - from);
    }
    await pages(label);
    await work(label);
    await papers(label);
  }
} finally {
  await db.destroy();
  await server.stop();
  await database.stop();
}
