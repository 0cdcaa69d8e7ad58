// npm run test:cluster: three nodes and two servers on this machine, worked by 20 users while a node and a server are killed.
import { ensureBuilt, ensureModules, ensurePackages, say } from './lib/setup.mjs';
import { freePort } from './lib/database.mjs';
import { pause } from './lib/processes.mjs';
import { startServer } from './lib/serve.mjs';

ensurePackages([
  ['mariadbd', 'mariadb-server'],
  ['rsync', 'rsync'],
]);
ensureModules();
ensureBuilt(['core', 'demo', 'server']);
const { startCluster } = await import('./lib/cluster.mjs');
const { connect } = await import('../server/dist/index.js');

const USERS = 20;
/** Seconds: of work in all, after which the node is killed, and the server. */
const WORK_S = 40;
const KILL_NODE_S = 10;
const KILL_SERVER_S = 22;

const problems = [];
const check = (good, text) => {
  say(`${good ? '   ok  ' : 'FAULT  '}${text}`);
  if (!good) problems.push(text);
};

say('Starting three nodes …');
const cluster = await startCluster();
const servers = [];
let ended = false;
const end = async (code) => {
  if (ended) return;
  ended = true;
  for (const s of servers) await s.stop().catch(() => undefined);
  await cluster.stop();
  process.exit(code);
};
process.on('SIGINT', () => void end(130));
process.on('SIGTERM', () => void end(143));

const client = (bases) => {
  let at = 0;
  let cookie = '';
  const call = async (path, method = 'GET', body) => {
    try {
      const answer = await fetch(`${bases[at]}/api${path}`, {
        method,
        headers: { cookie, ...(body ? { 'content-type': 'application/json' } : {}) },
        ...(body ? { body: JSON.stringify(body) } : {}),
        signal: AbortSignal.timeout(15_000),
      });
      const text = await answer.text();
      return { status: answer.status, body: /^[[{]/.test(text) ? JSON.parse(text) : text, headers: answer.headers };
    } catch {
      // The server is gone: the balancer in front would send us to the other one.
      at = (at + 1) % bases.length;
      return { status: 0, body: undefined };
    }
  };
  return {
    call,
    where: () => bases[at],
    cookie: () => cookie,
    signIn: async (login) => {
      const r = await call('/session', 'POST', { login, password: 'hedgerow' });
      cookie = r.headers
        .getSetCookie()
        .map((c) => c.split(';')[0])
        .join('; ');
    },
  };
};

try {
  for (const i of [0, 1, 2]) check(cluster.size(i) === 3, `node ${i + 1} sees three nodes`);
  const bases = [];
  for (const i of [0, 1]) {
    const port = await freePort();
    servers.push(await startServer({ url: cluster.urlFor(i), port }));
    bases.push(`http://127.0.0.1:${port}`);
  }
  say('Two servers are up, on nodes of their own.');
  const admin = client([bases[1]]);
  await admin.signIn('office');
  const { body: listed } = await admin.call('/orders?limit=60');
  const orders = listed.rows.map((o) => o.id);

  // Somebody listens on the second server for what is done on the first.
  const heard = [];
  const listening = new AbortController();
  void (async () => {
    const r = await fetch(`${bases[1]}/api/live`, { headers: { cookie: admin.cookie() }, signal: listening.signal });
    const decoder = new TextDecoder();
    for await (const bytes of r.body) if (/event: changed/.test(decoder.decode(bytes))) heard.push(Date.now());
  })().catch(() => undefined);

  const acknowledged = [];
  const counts = { acknowledged: 0, stale: 0, away: 0, cut: 0, other: 0 };
  const strange = new Map();
  const moments = [];
  const started = Date.now();
  const running = () => Date.now() - started < WORK_S * 1000;
  const user = async (n) => {
    const mine = client(n % 2 === 0 ? bases : [...bases].reverse());
    await mine.signIn('office');
    for (let k = 0; running(); k++) {
      const name = `user ${n} write ${k}`;
      const { status } = await mine.call('/customers', 'POST', { name });
      if (status === 201) acknowledged.push({ table: 'customers', name });
      const id = orders[(n * 7 + k) % orders.length];
      const { status: read, body: order } = await mine.call(`/orders/${id}`);
      const note = `user ${n} note ${k}`;
      const kept =
        read === 200
          ? await mine.call(`/orders/${id}`, 'PATCH', { version: order.version, notes: note })
          : { status: read };
      if (kept.status === 200) acknowledged.push({ table: 'audit', name: note });
      for (const s of [status, kept.status]) {
        if (s === 200 || s === 201) {
          counts.acknowledged++;
          moments.push(Date.now());
        } else if (s === 409) counts.stale++;
        else if (s === 503) counts.away++;
        else if (s === 0) counts.cut++;
        else {
          counts.other++;
          strange.set(s, (strange.get(s) ?? 0) + 1);
        }
      }
      await pause(120 + Math.random() * 160);
    }
  };
  const users = Array.from({ length: USERS }, (_, n) => user(n));

  await pause(KILL_NODE_S * 1000);
  const job = await client([bases[0]]);
  await job.signIn('shop');
  const { body: asked } = await job.call('/jobs', 'POST', { kind: 'papers' });
  const nodeAt = Date.now();
  cluster.kill(0);
  say('Node 1 is killed.');
  await pause((KILL_SERVER_S - KILL_NODE_S) * 1000);
  const serverAt = Date.now();
  process.kill(servers[0].child.pid, 'SIGKILL');
  say('Server 1 is killed.');
  await Promise.all(users);
  say(`Worked for ${WORK_S} s with ${USERS} users: ${JSON.stringify(counts)}`);

  check(counts.acknowledged > USERS * 20, `${counts.acknowledged} writes were acknowledged`);
  check(
    counts.other === 0,
    `nothing was answered with a fault of ours${counts.other > 0 ? `: ${JSON.stringify([...strange])}` : ''}`,
  );
  const gap = (from) => {
    const after = moments.filter((t) => t > from);
    const first = after.length > 0 ? Math.min(...after) - from : Infinity;
    return first;
  };
  const longest = [...moments]
    .sort((a, b) => a - b)
    .reduce((m, t, i, all) => (i > 0 ? Math.max(m, t - all[i - 1]) : 0), 0);
  say(
    `The first write after the node's death came after ${gap(nodeAt)} ms, after the server's after ${gap(serverAt)} ms; the longest time without any was ${longest} ms.`,
  );
  check(
    heard.some((t) => t > serverAt),
    `live updates went on: ${heard.length} heard, the last after the server's death`,
  );
  let state = '';
  for (let i = 0; i < 200 && !['done', 'failed', 'stopped'].includes(state); i++) {
    state = (await admin.call(`/jobs/${asked.id}`)).body?.state ?? '';
    await pause(300);
  }
  check(state === 'done', `the job that was asked for on server 1 is ${state}`);

  say('Node 1 comes back …');
  await cluster.restart(0);
  check(
    [0, 1, 2].every((i) => cluster.size(i) === 3),
    'three nodes again',
  );
  for (const i of [0, 1, 2]) {
    const db = connect(cluster.urlOf(i));
    const names = new Set(await db('customers').where('name', 'like', 'user %').pluck('name'));
    const notes = new Set(
      (await db('audit').where({ entity: 'order', action: 'change' }).pluck('detail')).map(
        (d) => (typeof d === 'string' ? JSON.parse(d) : d).notes,
      ),
    );
    const lost = acknowledged.filter((a) => !(a.table === 'customers' ? names : notes).has(a.name));
    check(
      lost.length === 0,
      `node ${i + 1} has all ${acknowledged.length} acknowledged writes${lost.length > 0 ? `, but ${lost.length}` : ''}`,
    );
    await db.destroy();
  }
  listening.abort();
  say(
    JSON.stringify({
      users: USERS,
      seconds: WORK_S,
      ...counts,
      lost: problems.length,
      firstAfterNode: gap(nodeAt),
      firstAfterServer: gap(serverAt),
      longestPause: longest,
      heard: heard.length,
    }),
  );
} catch (error) {
  problems.push(error.message);
  process.stderr.write(`${error.stack}\n`);
}
say(problems.length === 0 ? '\nThe cluster lost nothing.' : `\n${problems.length} faults.`);
await end(problems.length === 0 ? 0 : 1);
