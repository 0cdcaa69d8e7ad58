// What a fresh machine lacks: Debian packages, node modules, builds. Each is looked for first and set up only if missing.
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('../..', import.meta.url)).replace(/\/$/, '');
/** A business of one's own lives beside the demo, never in it: whichever command is meant for it says so. */
export const ownBusiness = process.argv.includes('--own');
export const dataDir = process.env.RUBBET_DATA ?? `${root}/${ownBusiness ? '.rubbet-own' : '.rubbet'}`;

// Debian keeps the database server where a plain user's path does not look.
process.env.PATH = `${process.env.PATH ?? ''}:/usr/sbin`;

export const say = (text) => process.stdout.write(`${text}\n`);

/** Ends with one sentence. */
export const stopWith = (text) => {
  process.stderr.write(`${text}\n`);
  process.exit(1);
};

const has = (command) => spawnSync('sh', ['-c', `command -v ${command}`]).status === 0;

/** Installs Debian packages whose command is not there. */
export const ensurePackages = (wanted) => {
  const missing = wanted
    .filter(([command]) => !has(command) && !existsSync(`/usr/sbin/${command}`))
    .map(([, name]) => name);
  if (missing.length === 0) return;
  if (!has('apt-get'))
    stopWith(
      `This needs ${missing.join(' and ')}, and there is no apt-get to install it with: install it by hand, then start again.`,
    );
  if (process.getuid?.() !== 0)
    stopWith(
      `This needs ${missing.join(' and ')}: run "sudo apt-get install -y --no-install-recommends ${missing.join(' ')}", then start again.`,
    );
  say(`Installing ${missing.join(', ')} …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const apt = (args) => spawnSync('apt-get', args, { env, stdio: ['ignore', 'ignore', 'pipe'] });
  apt(['update', '-q']);
  const done = apt(['install', '-y', '-q', '--no-install-recommends', ...missing]);
  if (done.status !== 0)
    stopWith(`Installing ${missing.join(', ')} failed: ${String(done.stderr).trim().split('\n').at(-1)}`);
};

/** Runs `npm ci` when the lock file is not the one that was installed last. */
export const ensureModules = () => {
  const lock = createHash('sha256')
    .update(readFileSync(`${root}/package-lock.json`))
    .digest('hex');
  const stamp = `${root}/node_modules/.rubbet-lock`;
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  say('Installing node modules …');
  const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  if (done.status !== 0) stopWith('npm ci failed: look at the lines above, then start again.');
  writeFileSync(stamp, lock);
};

const newest = (path) => {
  if (!existsSync(path)) return 0;
  if (!statSync(path).isDirectory()) return statSync(path).mtimeMs;
  return readdirSync(path, { recursive: true, withFileTypes: true })
    .filter((e) => e.isFile())
    .reduce((at, e) => Math.max(at, statSync(`${e.parentPath}/${e.name}`).mtimeMs), 0);
};

/** Written last into what is built, so that a build that was cut off does not count as one. */
export const BUILT = '.built';

/** Builds every package whose output is missing, unfinished or older than its sources. */
export const ensureBuilt = (wanted = ['core', 'cli', 'demo', 'server', 'web']) => {
  const coreAt = newest(`${root}/core/src`);
  const stale = wanted.filter((p) => {
    const stamp = `${root}/${p}/dist/${BUILT}`;
    if (!existsSync(stamp)) return true;
    const sources = Math.max(
      newest(`${root}/${p}/src`),
      p === 'web' ? Math.max(coreAt, newest(`${root}/web/index.html`), newest(`${root}/web/vite.config.ts`)) : 0,
    );
    return sources > statSync(stamp).mtimeMs;
  });
  if (stale.length === 0) return;
  say(`Building ${stale.join(', ')} …`);
  try {
    execFileSync(process.execPath, [`${root}/scripts/build.mjs`, ...stale], {
      stdio: ['ignore', 'inherit', 'inherit'],
    });
  } catch {
    throw new Error(`Building ${stale.join(', ')} failed: look at the lines above, mend it, then start again.`);
  }
};

export const ensureDir = (dir) => {
  try {
    mkdirSync(dir, { recursive: true });
  } catch (error) {
    stopWith(
      error.code === 'EACCES'
        ? `${dir} may not be written by this user: choose another place with RUBBET_DATA=…`
        : `${dir} could not be made: ${error.message}`,
    );
  }
};

/** Calls back once when the process that started this one is gone: a runner that is ended does not always pass it on. */
export const whenOrphaned = (then) => {
  const parent = process.ppid;
  const watch = setInterval(() => {
    if (process.ppid === parent) return;
    clearInterval(watch);
    then();
  }, 500);
  watch.unref();
};
