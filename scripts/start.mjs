// npm start: sets up what is missing, then serves the application with its demo.
import { existsSync } from 'node:fs';
import { createServer } from 'node:net';
import {
  dataDir,
  ensureBuilt,
  ensureDir,
  ensureModules,
  ensurePackages,
  root,
  say,
  stopWith,
  whenOrphaned,
} from './lib/setup.mjs';
import { startDatabase } from './lib/database.mjs';
import { startServer } from './lib/serve.mjs';

const reset = process.argv.includes('--reset-demo');
const port = Number(process.env.PORT ?? 4680);
if (!Number.isInteger(port) || port < 1 || port > 65535)
  stopWith(`PORT is "${process.env.PORT}"; it must be a number from 1 to 65535.`);

const portIsFree = () =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', (e) => resolve(e.code));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });
if (!reset) {
  const free = await portIsFree();
  if (free === 'EADDRINUSE')
    stopWith(`Port ${port} is in use by another program: stop it, or choose another with PORT=… npm start.`);
  if (free === 'EACCES')
    stopWith(`Port ${port} may not be opened by this user: choose one over 1024 with PORT=… npm start.`);
}

const own = process.env.DATABASE_URL === undefined;
if (own) ensurePackages([['mariadbd', 'mariadb-server']]);
ensureModules();
ensureBuilt(reset ? ['core', 'demo', 'server'] : undefined);

let database;
if (own) {
  ensureDir(dataDir);
  const fresh = !existsSync(`${dataDir}/db/data/mysql`);
  say(fresh ? 'Making a private database …' : 'Starting the private database …');
  database = await startDatabase(`${dataDir}/db`);
}
const url = process.env.DATABASE_URL ?? database.url;

let server;
let stopping = false;
const stop = async (code) => {
  if (stopping) return;
  stopping = true;
  await server?.stop();
  await database?.stop();
  process.exit(code);
};
process.on('SIGINT', () => void stop(0));
process.on('SIGTERM', () => void stop(0));
whenOrphaned(() => void stop(0));

try {
  const { freePort } = await import('./lib/database.mjs');
  server = await startServer({ url, port: reset ? await freePort() : port, demo: reset ? 'reset' : 'yes' });
} catch (error) {
  process.stderr.write(`${error.message}\n`);
  await stop(1);
}
if (reset) {
  say('The demo is as new.');
  await stop(0);
} else {
  say(`
Rubbet is at http://127.0.0.1:${port}

  office   login office   password hedgerow    (everything)
  shop     login shop     password hedgerow    (bench, board, rack)
  driver   login driver   password hedgerow    (road, delivery sheets)

Data is kept in ${own ? dataDir.replace(`${root}/`, '') : 'the database of DATABASE_URL'}; npm run demo:reset restores the demo. Ctrl-C stops everything.`);
  server.child.once('exit', () => void stop(stopping ? 0 : 1));
}
