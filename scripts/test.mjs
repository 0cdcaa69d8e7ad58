// npm test: sets up what is missing, then lint, types, build, and every test on a throw-away database.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { pathToFileURL } from 'node:url';
import { ensureBuilt, ensureModules, ensurePackages, root, say, whenOrphaned } from './lib/setup.mjs';
import { startDatabase } from './lib/database.mjs';

const extra = process.argv.slice(2);
const started = Date.now();
const stamp = () => `${Math.round((Date.now() - started) / 1000)} s`;

ensurePackages([
  ['mariadbd', 'mariadb-server'],
  ['chromium', 'chromium'],
]);
ensureModules();

const run = (name, command, args, env = {}) =>
  new Promise((resolve) => {
    say(`\n── ${name} (${stamp()})`);
    const child = spawn(command, args, {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env },
    });
    // Long work says that it is alive.
    const tick = setInterval(() => say(`   … ${name}, ${stamp()}`), 60_000);
    child.once('exit', (code) => {
      clearInterval(tick);
      resolve(code ?? 1);
    });
  });

const temporary = mkdtempSync(`${tmpdir()}/rubbet-test-`);
let database;
const end = async (code) => {
  await database?.stop();
  rmSync(temporary, { recursive: true, force: true });
  process.exit(code);
};
process.on('SIGINT', () => void end(130));
process.on('SIGTERM', () => void end(143));
whenOrphaned(() => void end(143));

/** Runs scripts one after the other; the name of the first that failed. */
const inTurn = async (scripts) => {
  for (const [name, script, ...args] of scripts)
    if ((await run(name, 'npm', ['run', '-s', script, '--', ...args])) !== 0) return name;
  return undefined;
};
if (extra.length === 0) {
  // Two lines of work beside each other: a machine has two cores at least.
  const failed = await Promise.all([
    inTurn([['lint', 'lint']]),
    inTurn([
      ['types', 'typecheck'],
      ['types of the answers', 'types', '--check'],
    ]),
  ]);
  for (const name of failed)
    if (name) {
      say(`\n${name} failed.`);
      await end(1);
    }
}
say(`\n── build (${stamp()})`);
try {
  ensureBuilt();
  database = await startDatabase();
} catch (error) {
  process.stderr.write(`${error.message}\n`);
  await end(1);
}
const code = await run('tests', process.execPath, ['node_modules/jest/bin/jest.js', '--maxWorkers=2', ...extra], {
  // Tests are the sources themselves.
  NODE_OPTIONS: `--import=${pathToFileURL(`${root}/scripts/lib/sources.mjs`).href} --conditions=rubbet-source --enable-source-maps --no-warnings`,
  TEST_DATABASE_URL: database.url,
  TEST_TEMPLATE: `${temporary}/demo.sql`,
  NODE_ENV: 'test',
  RUBBET_POOL: 'inline',
  RUBBET_PLAN_SECONDS: '0.25',
});
await end(code);
