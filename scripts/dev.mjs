// npm run dev: web with hot reload; server, core and demo rebuilt and restarted when their sources change.
import { spawn } from 'node:child_process';
import { watch } from 'node:fs';
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
import { freePort, startDatabase } from './lib/database.mjs';
import { startServer } from './lib/serve.mjs';

const own = process.env.DATABASE_URL === undefined;
if (own) ensurePackages([['mariadbd', 'mariadb-server']]);
ensureModules();
ensureDir(dataDir);
let database;
try {
  ensureBuilt(['core', 'demo', 'server']);
  database = own ? await startDatabase(`${dataDir}/db`) : undefined;
} catch (error) {
  stopWith(error.message);
}
const url = process.env.DATABASE_URL ?? database.url;
const port = await freePort();
let server = await startServer({ url, port });
const vite = spawn(
  process.execPath,
  ['node_modules/vite/bin/vite.js', 'web', '--host', '127.0.0.1', '--port', process.env.PORT ?? '4680'],
  { cwd: root, stdio: 'inherit', env: { ...process.env, API_URL: `http://127.0.0.1:${port}` } },
);

let stopping = false;
const stop = async () => {
  if (stopping) return;
  stopping = true;
  vite.kill('SIGTERM');
  await server?.stop();
  await database?.stop();
  process.exit(0);
};
process.on('SIGINT', () => void stop());
process.on('SIGTERM', () => void stop());
whenOrphaned(() => void stop());
vite.once('exit', () => void stop());

let timer;
let busy = false;
const rebuild = () => {
  clearTimeout(timer);
  timer = setTimeout(() => {
    if (busy) return rebuild();
    busy = true;
    void (async () => {
      try {
        ensureBuilt(['core', 'demo', 'server']);
        await server?.stop();
        server = await startServer({ url, port });
        say('The server is up again.');
      } catch (error) {
        server = undefined;
        process.stderr.write(`${error.message}\nIt starts again with the next change.\n`);
      } finally {
        busy = false;
      }
    })();
  }, 250);
};
for (const dir of ['core/src', 'demo/src', 'server/src']) watch(`${root}/${dir}`, { recursive: true }, rebuild);
