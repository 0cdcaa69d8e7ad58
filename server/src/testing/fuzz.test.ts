import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { openTestApp } from './testApp.ts';
import type { Agent, TestApp } from './testApp.ts';

/** Bad requests that are sent, the same ones every time; another `SEED` sends others. */
const REQUESTS = Number(process.env.FUZZ_REQUESTS ?? 700);
const SEED = Number(process.env.SEED ?? 20_260);
/** A request is never allowed to take longer, whatever is in it; far over what an honest one takes. */
const LONGEST_MS = 15_000;

interface Route {
  readonly method: 'get' | 'post' | 'put' | 'patch' | 'delete';
  readonly path: string;
}
const description = JSON.parse(readFileSync(new URL('../../openapi.json', import.meta.url), 'utf8')) as {
  paths: Record<string, Record<string, { requestBody?: { content: Record<string, { schema: { $ref?: string } }> } }>>;
  components: { schemas: Record<string, { properties?: Record<string, unknown> }> };
};
const routes: Route[] = Object.entries(description.paths).flatMap(([path, methods]) =>
  Object.keys(methods).map((method) => ({ method: method as Route['method'], path })),
);
/** Names of the fields that a route takes, so that rubbish lands where it is read. */
const fieldsOf = (r: Route): string[] => {
  const ref = description.paths[r.path]?.[r.method]?.requestBody?.content['application/json']?.schema.$ref;
  const name = ref?.split('/').at(-1) ?? '';
  return Object.keys(description.components.schemas[name]?.properties ?? {});
};

const rubbish: fc.Arbitrary<unknown> = fc.oneof(
  { weight: 4, arbitrary: fc.jsonValue({ maxDepth: 3 }) },
  {
    weight: 6,
    arbitrary: fc.constantFrom<unknown>(
      null,
      '',
      '   ',
      0,
      -1,
      1.5,
      1e20,
      Number.MAX_SAFE_INTEGER,
      true,
      [],
      {},
      [[]],
      'x'.repeat(5000),
      '2026-W01-1',
      '2026-02-30',
      '9999-99-99',
      "'; DROP TABLE orders; --",
      '%_%',
      '\u0000',
      '\ud800',
      '￿',
      '💥'.repeat(50),
      'constructor',
      '__proto__',
      { $gt: '' },
      { toString: 'x' },
      { length: 1e9 },
      { family: 'raised-lean-to', params: { length: 1e9 } },
      { family: 'house-with-run', params: {}, fittings: Array.from({ length: 60 }, () => ({})) },
      { family: 'constructor', schema: 1, params: {} },
      { pads: Array.from({ length: 500 }, (_, i) => ({ id: `p${i}`, x: 0, y: 0, rod: 1 })) },
      {
        pads: [
          { id: 'a', x: 0, y: 0, rod: 1 },
          { id: 'b', x: 0, y: 0, rod: 1 },
          { id: 'c', x: 0, y: 0, rod: 1 },
        ],
      },
      { check: { severities: { constructor: 'off' } } },
      ['days', 'acceptance', 'work order'],
    ),
  },
);
const raw = fc.constantFrom(
  '{',
  '[1,2',
  'null',
  '"text"',
  '{"version": 1e309}',
  '{"__proto__": {"role": "office"}}',
  `${'['.repeat(3000)}${']'.repeat(3000)}`,
  `{"value": ${'{"a":'.repeat(400)}1${'}'.repeat(400)}}`,
  `{"title": "${'a'.repeat(600_000)}"}`,
  `{"survey": [${'1,'.repeat(30_000)}1]}`,
  '\ufeff{}',
  '{"a":1}{"b":2}',
);
const segment = fc.constantFrom(
  '0',
  '-1',
  '1',
  '99999999999999999999',
  'NaN',
  '1e3',
  'null',
  '%00',
  '%zz',
  '..%2f..',
  "'",
  'ä',
  'a'.repeat(300),
);
const query = fc.constantFrom(
  '',
  '?search=a&search=b',
  '?limit=1e9',
  '?offset=-5',
  '?search[x]=1',
  '?__proto__=1',
  '?search=%ff',
  '?search=%00',
  '?station[]=bench',
  `?search=${'x'.repeat(4000)}`,
);

let app: TestApp;
const agents: { who: string; agent: Agent }[] = [];
let orders: number[] = [];
beforeAll(async () => {
  // Work is done in threads, as the product does it: nobody waits for somebody else's papers.
  delete process.env.RUBBET_POOL;
  app = await openTestApp('rubbet_fuzz');
  for (const who of ['office', 'shop', 'driver'] as const) agents.push({ who, agent: await app.as(who) });
  agents.push({ who: 'nobody', agent: app.anyone() });
  orders = await app.db('orders').orderBy('id').pluck('id');
});
afterAll(() => app.close());

it(`answers ${REQUESTS} bad requests with a sentence each and none with a fault of its own`, async () => {
  const { token } = await app.order(orders[8] as number);
  const counts = new Map<number, number>();
  const faults: unknown[] = [];
  let slowest = 0;
  const one = fc
    .tuple(
      fc.constantFrom(...routes),
      fc.constantFrom(...[0, 0, 0, 0, 1, 2, 3]),
      fc.array(
        fc.oneof({ weight: 3, arbitrary: fc.nat(orders.length - 1).map(String) }, { weight: 1, arbitrary: segment }),
        { minLength: 3, maxLength: 3 },
      ),
      fc.oneof({ weight: 1, arbitrary: query }, { weight: 2, arbitrary: fc.constant('') }),
      fc.oneof(
        { weight: 8, arbitrary: fc.array(rubbish, { minLength: 8, maxLength: 8 }).map((values) => ({ values })) },
        { weight: 2, arbitrary: raw.map((text) => ({ text })) },
      ),
      fc.nat(3),
    )
    .map(([route, agent, ids, search, body, honest]) => ({ route, agent, ids, search, body, honest }));
  const requests = fc.sample(one, { numRuns: REQUESTS, seed: SEED });
  for (const { route, agent, ids, search, body, honest } of requests) {
    const { agent: sender, who } = agents[agent] as (typeof agents)[number];
    // Signing out or guessing the login away would end the test, not the server.
    // What never ends, and what ends sign-ins, is tried elsewhere.
    if (/^\/api\/(session|live|me\/password|people\/\{id\}|setup)$/.test(route.path)) continue;
    let k = 0;
    const path = route.path.replace(/\{(\w+)\}/g, (_, name: string) => {
      const chosen = ids[k++ % 3] as string;
      if (name === 'token') return honest > 1 && token !== null ? token : chosen;
      return name === 'id' || name === 'order' ? String(orders[Number(chosen)] ?? chosen) : chosen;
    });
    const fields = fieldsOf(route);
    const started = Date.now();
    let call = sender[route.method](`${path}${search}`);
    if (route.method !== 'get') {
      call = call.set('content-type', 'application/json');
      if ('text' in body) call = call.send(body.text);
      else {
        const sent: Record<string, unknown> = {};
        for (const [i, f] of fields.entries()) if (i % 2 === honest % 2 || honest > 2) sent[f] = body.values[i % 8];
        if (honest === 1) sent.version = 1;
        call = call.send(JSON.stringify(sent));
      }
    }
    const answer = await call.ok(() => true);
    const took = Date.now() - started;
    slowest = Math.max(slowest, took);
    counts.set(answer.status, (counts.get(answer.status) ?? 0) + 1);
    const problem = answer.body as { code?: unknown; message?: unknown };
    const told =
      answer.status < 400 ||
      (typeof problem.code === 'string' &&
        typeof problem.message === 'string' &&
        /^[^a-z].*[.!]$/s.test(problem.message));
    if (answer.status >= 500 || !told || took > LONGEST_MS)
      faults.push({
        who,
        method: route.method,
        path: `${path}${search}`.slice(0, 200),
        body: JSON.stringify(body).slice(0, 300),
        status: answer.status,
        message: problem.message,
        took,
      });
  }
  const sum = [...counts.entries()].sort(([a], [b]) => a - b).map(([s, n]) => `${n} × ${s}`);
  process.stdout.write(`   bad requests: ${sum.join(', ')}; the slowest took ${slowest} ms\n`);
  expect(faults).toEqual([]);
  // Everything still opens after all of it.
  const office = agents[0]?.agent as Agent;
  for (const id of orders) expect((await office.get(`/api/orders/${id}`)).status).toBe(200);
  for (const page of ['orders', 'board', 'road', 'today', 'models', 'settings', 'rack', 'customers'])
    await office.get(`/api/${page}`).expect(200);
});
