// npm run backup: writes everything into one file, while Rubbet runs or while it does not.
import { makeBackup } from './lib/backup.mjs';
import { findRunning, startDatabase } from './lib/database.mjs';
import { dataDir, ensureDir, ownBusiness, root, say } from './lib/setup.mjs';

let database;
try {
  ensureDir(dataDir);
  const running = process.env.DATABASE_URL ?? findRunning(`${dataDir}/db`);
  database = running === undefined ? await startDatabase(`${dataDir}/db`) : undefined;
  const file = await makeBackup({ url: running ?? database.url });
  say(
    `Backed up to ${file.replace(`${root}/`, '')}. Read it in again with npm run restore ${ownBusiness ? '-- --own ' : ''}${file.replace(`${root}/`, '')}`,
  );
} catch (error) {
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 1;
} finally {
  await database?.stop();
}
