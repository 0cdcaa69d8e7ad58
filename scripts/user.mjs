// npm run user -- add NAME ROLE… | reset LOGIN: lets somebody in who is locked out, with a one-time link.
import { findRunning, startDatabase } from './lib/database.mjs';
import { readNote } from './lib/processes.mjs';
import { dataDir, ensureBuilt, ensureModules, ensurePackages, say } from './lib/setup.mjs';

const [verb, who, ...roles] = process.argv.slice(2).filter((a) => a !== '--own');
const HELP = `npm run user -- add "Name of the person" office shop driver   takes somebody in, with one or more roles
npm run user -- reset LOGIN                                  gives them a link for a new password
Add --own for a business of your own, as you start it.`;
if ((verb !== 'add' && verb !== 'reset') || who === undefined) {
  process.stderr.write(`${HELP}\n`);
  process.exit(2);
}

let database;
try {
  const given = process.env.DATABASE_URL;
  if (given === undefined) ensurePackages([['mariadbd', 'mariadb-server']]);
  ensureModules();
  ensureBuilt(['core', 'demo', 'server']);
  const running = given ?? findRunning(`${dataDir}/db`);
  database = running === undefined ? await startDatabase(`${dataDir}/db`) : undefined;
  const { connect, migrate, addFromTerminal, resetFromTerminal } = await import('../server/dist/index.js');
  const db = connect(running ?? database.url);
  try {
    // A running Rubbet has done this; one that was updated while it was stopped has not.
    await migrate(db);
    const made = verb === 'add' ? await addFromTerminal(db, who, roles) : await resetFromTerminal(db, who);
    const port = readNote(`${dataDir}/launcher.json`)?.port ?? process.env.PORT ?? 4680;
    say(`Open this within a week, once:\n\n  http://127.0.0.1:${port}/welcome/${made.token}\n`);
  } finally {
    await db.destroy();
  }
} catch (error) {
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 1;
} finally {
  await database?.stop();
}
