// npm start: sets up what is missing, then serves the application with its demo, and starts again whatever of it dies.
import { existsSync } from 'node:fs';
import { isBackupDue, makeBackup, pruneBackups } from './lib/backup.mjs';
import { findRunning, freePort, startDatabase } from './lib/database.mjs';
import { backoff, dropNote, isStill, pause, readNote, writeNote } from './lib/processes.mjs';
import { holdPort, startServer } from './lib/serve.mjs';
import {
  dataDir,
  ownBusiness,
  ensureBuilt,
  ensureDir,
  ensureModules,
  ensurePackages,
  root,
  say,
  stopWith,
  whenOrphaned,
} from './lib/setup.mjs';

const reset = process.argv.includes('--reset-demo');
const port = Number(process.env.PORT ?? 4680);
if (!Number.isInteger(port) || port < 1 || port > 65535)
  stopWith(`PORT is "${process.env.PORT}"; it must be a number from 1 to 65535.`);
const own = process.env.DATABASE_URL === undefined;
const folder = `${dataDir}/db`;
const note = `${dataDir}/launcher.json`;

/** How long a part must have run before its next death counts as a first one. */
const STEADY_MS = 60_000;

let held;
let database;
let server;
let stopping = false;
const stop = async (code) => {
  if (stopping) return;
  stopping = true;
  held?.release();
  await server?.stop();
  await database?.stop();
  if (!reset && readNote(note)?.pid === process.pid) dropNote(note);
  process.exit(code);
};
process.on('SIGINT', () => void stop(0));
process.on('SIGTERM', () => void stop(0));
process.on('SIGHUP', () => void stop(0));
whenOrphaned(() => void stop(0));

/** Holds the port with a sentence until the server takes it. */
const hold = async () => {
  held ??= await holdPort(port);
};
const release = () => {
  held?.release();
  held = undefined;
};

if (reset) {
  ensureModules();
  ensureBuilt(['core', 'demo', 'server']);
  try {
    if (own) {
      ensurePackages([['mariadbd', 'mariadb-server']]);
      ensureDir(dataDir);
    }
    const running = own ? findRunning(folder) : process.env.DATABASE_URL;
    database = running === undefined ? await startDatabase(folder) : undefined;
    server = await startServer({ url: running ?? database.url, port: await freePort(), demo: 'reset' });
    say('The demo is as new. Whoever was signed in signs in again.');
    await stop(0);
  } catch (error) {
    process.stderr.write(`${error.message}\n`);
    await stop(1);
  }
}

const other = readNote(note);
if (other && other.pid !== process.pid && isStill(other.pid, 'start.mjs'))
  stopWith(
    `Rubbet runs from this folder already (process ${other.pid}), at http://127.0.0.1:${other.port}: use that one, or stop it first.`,
  );
try {
  await hold();
} catch (error) {
  stopWith(
    error.code === 'EACCES'
      ? `Port ${port} may not be opened by this user: choose one over 1024 with PORT=… npm start.`
      : `Port ${port} is in use by another program: stop it, or choose another with PORT=… npm start.`,
  );
}
ensureDir(dataDir);
writeNote(note, { pid: process.pid, port });

/** Keeps a part running: starts it, and starts it again with growing waits when it dies, on one port, until Rubbet is stopped. */
const keepUp = async (name, start, onDeath) => {
  let part = await start();
  let since = Date.now();
  void (async () => {
    for (let deaths = 0; !stopping;) {
      const why = await part.gone;
      if (stopping) return;
      deaths = Date.now() - since > STEADY_MS ? 1 : deaths + 1;
      await onDeath?.();
      for (;;) {
        say(`The ${name} ended unexpectedly (${why}). It is started again in ${backoff(deaths) / 1000} s.`);
        await pause(backoff(deaths));
        if (stopping) return;
        try {
          part = await start();
          since = Date.now();
          say(`The ${name} is up again.`);
          break;
        } catch (error) {
          deaths++;
          say(error.message);
        }
      }
    }
  })();
};

try {
  if (own) ensurePackages([['mariadbd', 'mariadb-server']]);
  ensureModules();
  ensureBuilt();
  if (own) {
    say(existsSync(`${folder}/data`) ? 'Starting the private database …' : 'Making a private database …');
    const dbPort = await freePort();
    await keepUp('database', async () => {
      database?.clean();
      database = await startDatabase(folder, { port: dbPort });
      return database;
    });
  }
  const url = process.env.DATABASE_URL ?? database.url;
  let code;
  await keepUp(
    'server',
    async () => {
      server = await startServer({
        url,
        port,
        demo: ownBusiness ? 'no' : 'yes',
        onOpening: release,
        onSetup: (given) => {
          code = given;
        },
      });
      return server;
    },
    hold,
  );
  const demoLogins = `
  office   login office   password hedgerow    (everything)
  shop     login shop     password hedgerow    (bench, board, rack)
  driver   login driver   password hedgerow    (road, delivery sheets)
`;
  const firstPage = `
  Nobody is in the book yet. Open http://127.0.0.1:${port}/setup
  and give this code there:   ${code}
`;
  say(`
Rubbet is at http://127.0.0.1:${port}
${code === undefined ? (ownBusiness ? '' : demoLogins) : firstPage}
Data is kept in ${own ? dataDir.replace(`${root}/`, '') : 'the database of DATABASE_URL'}, a backup is made every night${ownBusiness ? '' : '; npm run demo:reset restores the demo'}. Ctrl-C stops everything.`);
  const nightly = async () => {
    if (stopping || !isBackupDue()) return;
    try {
      const file = await makeBackup({ url });
      pruneBackups();
      say(`Backed up to ${file.replace(`${root}/`, '')}.`);
    } catch (error) {
      say(`The nightly backup failed: ${error.message} It is tried again in an hour.`);
    }
  };
  setInterval(() => void nightly(), 3_600_000).unref();
  setTimeout(() => void nightly(), 5 * 60_000).unref();
} catch (error) {
  process.stderr.write(`${error.message}\n`);
  await stop(1);
}
