import { DemoPasswords } from './auth/demoPasswords.ts';
import { isEmpty, makeSetupCode } from './auth/setupCode.ts';
import { createApp } from './createApp.ts';
import { connect, migrate } from './database/connect.ts';
import { loadDemo } from './demo/loadDemo.ts';

const url = process.env.DATABASE_URL ?? '';
const LOOPBACK = '127.0.0.1';
/** Where it listens: on this machine alone unless told otherwise. */
let host = process.env.HOST ?? LOOPBACK;
const port = Number(process.env.PORT ?? 4680);

const say = (message: string): never => {
  process.stderr.write(`${message}\n`);
  process.exit(1);
};

try {
  const db = connect(url);
  await migrate(db);
  if (process.env.DEMO !== 'no') await loadDemo(db, process.env.DEMO === 'reset');
  if (await isEmpty(db)) process.stdout.write(`setup ${await makeSetupCode(db)}\n`);
  if (host !== LOOPBACK && (await new DemoPasswords().stand(db))) {
    process.stderr.write(
      `The passwords of the demo still stand, and anybody can read about them: Rubbet listens on this machine only, not on ${host}. Change or deactivate those sign-ins under Settings, People, then start again.\n`,
    );
    host = LOOPBACK;
  }
  await db.destroy();
} catch (error) {
  const code = (error as { code?: string }).code ?? '';
  if (code === 'ECONNREFUSED')
    say('The database does not answer at DATABASE_URL: start it, or leave DATABASE_URL out to use a private one.');
  else if (code === 'ER_ACCESS_DENIED_ERROR')
    say('The database refuses the user or password in DATABASE_URL: check both.');
  else say(`The database could not be made ready: ${error instanceof Error ? error.message : String(error)}`);
}

const app = await createApp(process.env.WEB_DIR === undefined ? {} : { webDir: process.env.WEB_DIR });
/** Times that the port is tried: whoever held it for us needs a moment to let go. */
const TRIES = 20;
process.stdout.write('opening\n');
for (let attempt = 1; ; attempt++) {
  try {
    await app.listen(port, host);
    break;
  } catch (error) {
    const code = (error as { code?: string }).code;
    if (code === 'EADDRINUSE' && attempt < TRIES) {
      await new Promise((r) => setTimeout(r, 100));
      continue;
    }
    if (code === 'EADDRINUSE')
      say(`Port ${port} is in use by another program: stop it, or choose another with PORT=… npm start.`);
    if (code === 'EACCES')
      say(`Port ${port} may not be opened by this user: choose one over 1024 with PORT=… npm start.`);
    throw error;
  }
}
process.stdout.write(`ready ${port}\n`);
let stopping = false;
const stop = (): void => {
  if (stopping) return;
  stopping = true;
  // Whoever holds a connection open is not waited for for ever.
  setTimeout(() => process.exit(0), 8000).unref();
  void app.close().then(() => process.exit(0));
};
// Without whoever started it, nobody would stop it: it goes as well.
const parent = Number(process.env.RUBBET_PARENT ?? 0);
if (parent > 0) setInterval(() => process.ppid !== parent && stop(), 500).unref();
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
