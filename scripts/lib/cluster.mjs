// Three MariaDB nodes on the loopback address that replicate to each other with Galera, from Debian's packages.
import { spawn, spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { freePort } from './database.mjs';
import { endProcess, pause } from './processes.mjs';

const PROVIDER = '/usr/lib/galera/libgalera_smm.so';

// What copies the data to a node that joins gives root's rights away and then gets nowhere: the nodes run as Debian's own user.
const isRoot = process.getuid?.() === 0;
const USER = isRoot ? ['--user=mysql'] : [];
const give = (path) => isRoot && spawnSync('chown', ['-R', 'mysql:', path]);

const sql = (node, text) =>
  spawnSync('mariadb', ['--no-defaults', `--socket=${node.run}/s`, '-uroot', `-p${node.password}`, '-N', '-e', text], {
    encoding: 'utf8',
  });
const statusOf = (node, name) => sql(node, `SHOW STATUS LIKE '${name}'`).stdout?.trim().split('\t')[1];

/** Starts a node on its folder and waits until it takes part. Throws an Error with the last lines of its log when it does not. */
export const startNode = async (node, { first = false } = {}) => {
  const others = node.cluster.map((n) => `127.0.0.1:${n.talk}`).join(',');
  node.child = spawn(
    'mariadbd',
    [
      '--no-defaults',
      `--datadir=${node.dir}/data`,
      `--socket=${node.run}/s`,
      `--port=${node.port}`,
      '--bind-address=127.0.0.1',
      `--log-error=${node.dir}/log.err`,
      `--pid-file=${node.run}/pid`,
      '--skip-name-resolve',
      '--max-connections=200',
      '--binlog-format=ROW',
      '--innodb-autoinc-lock-mode=2',
      '--innodb-flush-log-at-trx-commit=2',
      '--wsrep-on=ON',
      `--wsrep-provider=${PROVIDER}`,
      '--wsrep-cluster-name=rubbet',
      `--wsrep-cluster-address=gcomm://${others}`,
      `--wsrep-node-name=${node.name}`,
      `--wsrep-node-address=127.0.0.1:${node.talk}`,
      `--wsrep-sst-method=rsync`,
      `--wsrep-sst-receive-address=127.0.0.1:${node.sync}`,
      // A node that is gone is given up after two seconds, so that the others go on.
      `--wsrep-provider-options=gmcast.listen_addr=tcp://127.0.0.1:${node.talk};ist.recv_addr=127.0.0.1:${node.ist};evs.suspect_timeout=PT2S;evs.inactive_timeout=PT4S;evs.keepalive_period=PT0.5S`,
      ...(first ? ['--wsrep-new-cluster', `--init-file=${node.dir}/init.sql`] : []),
      ...USER,
    ],
    { stdio: 'ignore', detached: true },
  );
  let ended = false;
  node.child.once('exit', () => (ended = true));
  for (let i = 0; i < 900 && !ended; i++) {
    if (statusOf(node, 'wsrep_ready') === 'ON' && statusOf(node, 'wsrep_local_state_comment') === 'Synced') return;
    await pause(100);
  }
  const log = existsSync(`${node.dir}/log`)
    ? readFileSync(`${node.dir}/log`, 'utf8').trim().split('\n').slice(-12)
    : [];
  throw new Error(`The node ${node.name} did not come up:\n${log.join('\n')}`);
};

/** Starts a cluster. Gives its nodes, an address for servers that prefer each, and a way to stop it. */
export const startCluster = async (count = 3) => {
  if (!existsSync(PROVIDER)) throw new Error('Galera is missing: apt-get install -y galera-4 rsync.');
  const dir = mkdtempSync(`${tmpdir()}/rubbet-cluster-`);
  chmodSync(dir, 0o755);
  const password = randomBytes(15).toString('base64url');
  const nodes = [];
  for (let i = 0; i < count; i++) {
    const node = {
      name: `node${i + 1}`,
      dir: `${dir}/node${i + 1}`,
      run: mkdtempSync(`${tmpdir()}/rubbet-sock-`),
      password,
      cluster: nodes,
      port: await freePort(),
      talk: await freePort(),
      ist: await freePort(),
      sync: await freePort(),
    };
    mkdirSync(node.dir);
    give(dir);
    give(node.run);
    const made = spawnSync(
      'mariadb-install-db',
      [
        '--no-defaults',
        `--datadir=${node.dir}/data`,
        '--auth-root-authentication-method=normal',
        '--skip-test-db',
        ...USER,
      ],
      { encoding: 'utf8' },
    );
    if (made.status !== 0) throw new Error(`The folder of ${node.name} could not be made: ${made.stderr}`);
    nodes.push(node);
  }
  writeFileSync(
    `${nodes[0].dir}/init.sql`,
    [
      'CREATE DATABASE rubbet CHARACTER SET utf8mb4;',
      `CREATE USER 'rubbet'@'127.0.0.1' IDENTIFIED BY '${password}';`,
      "GRANT ALL ON *.* TO 'rubbet'@'127.0.0.1';",
      `ALTER USER 'root'@'localhost' IDENTIFIED BY '${password}';`,
      '',
    ].join('\n'),
    { mode: 0o600 },
  );
  give(dir);
  const stop = async () => {
    for (const node of [...nodes].reverse()) {
      if (node.child && node.child.exitCode === null && node.child.signalCode === null)
        await endProcess(node.child.pid, 20_000);
      rmSync(node.run, { recursive: true, force: true });
    }
    rmSync(dir, { recursive: true, force: true });
  };
  try {
    for (const [i, node] of nodes.entries()) await startNode(node, { first: i === 0 });
  } catch (error) {
    await stop();
    throw error;
  }
  const urlFrom = (order) =>
    `mysql://rubbet:${encodeURIComponent(password)}@${order.map((n) => `127.0.0.1:${n.port}`).join(',')}/rubbet`;
  return {
    nodes,
    /** An address that prefers a node and falls back on the others. */
    urlFor: (i) => urlFrom([...nodes.slice(i), ...nodes.slice(0, i)]),
    urlOf: (i) => urlFrom([nodes[i]]),
    size: (i) => Number(statusOf(nodes[i], 'wsrep_cluster_size')),
    kill: (i) => process.kill(nodes[i].child.pid, 'SIGKILL'),
    restart: (i) => startNode(nodes[i]),
    stop,
  };
};
