// npm run restore FILE: reads a backup in, after what is there now has been put aside in a backup of its own.
import { mkdtempSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { makeBackup, openBackup, restoreBackup } from './lib/backup.mjs';
import { startDatabase } from './lib/database.mjs';
import { isStill, readNote } from './lib/processes.mjs';
import {
  dataDir,
  ensureBuilt,
  ensureDir,
  ensureModules,
  ensurePackages,
  ownBusiness,
  root,
  say,
} from './lib/setup.mjs';

const fail = (text) => {
  process.stderr.write(`${text}\n`);
  process.exit(1);
};
const named = process.argv.slice(2).find((a) => a !== '--own');
if (named === undefined)
  fail(
    'Say which backup: npm run restore .rubbet/backups/FILE; for a business of your own npm run restore -- --own .rubbet-own/backups/FILE',
  );
const launcher = readNote(`${dataDir}/launcher.json`);
if (launcher && isStill(launcher.pid, 'start.mjs'))
  fail(`Rubbet is running (process ${launcher.pid}): stop it first, then read the backup in.`);

const own = process.env.DATABASE_URL === undefined;
if (own) ensurePackages([['mariadbd', 'mariadb-server']]);
ensureModules();
ensureBuilt(['core', 'demo', 'server']);
let database;
try {
  ensureDir(dataDir);
  database = own ? await startDatabase(`${dataDir}/db`) : undefined;
  const url = process.env.DATABASE_URL ?? database.url;
  const { connect, newestMigration } = await import('../server/dist/index.js');
  const db = connect(url);
  const holds = await db.schema.hasTable('migrations');
  await db.destroy();
  // Looked through before anything is touched.
  const looked = mkdtempSync(`${dataDir}/.looking-`);
  try {
    await openBackup(resolve(named), looked);
  } finally {
    rmSync(looked, { recursive: true, force: true });
  }
  if (holds) {
    const kept = await makeBackup({ url, label: '-before-restore' });
    say(`What was there is in ${kept.replace(`${root}/`, '')}.`);
  }
  const manifest = await restoreBackup({ url, file: resolve(named), newest: newestMigration });
  const rows = Object.values(manifest.tables).reduce((a, b) => a + b, 0);
  say(
    `Read in: ${rows} records of ${manifest.made.slice(0, 16).replace('T', ' ')} UTC. Start Rubbet again with npm start${ownBusiness ? ' -- --own' : ''}.`,
  );
} catch (error) {
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 1;
} finally {
  await database?.stop();
}
