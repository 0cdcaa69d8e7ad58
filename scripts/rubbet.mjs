// The core from the command line: builds what is missing or older than its sources, then hands over.
import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const newest = (dir) =>
  readdirSync(dir, { recursive: true, withFileTypes: true })
    .filter((e) => e.isFile())
    .reduce((at, e) => Math.max(at, statSync(`${e.parentPath}/${e.name}`).mtimeMs), 0);
if (!existsSync(`${root}/node_modules/@swc/core`)) {
  spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', process.stderr, process.stderr],
  });
}
const stale = ['core', 'cli'].filter(
  (p) => !existsSync(`${root}/${p}/dist`) || newest(`${root}/${p}/src`) > newest(`${root}/${p}/dist`),
);
if (stale.length > 0)
  execFileSync(process.execPath, [`${root}/scripts/build.mjs`, ...stale], {
    stdio: ['ignore', process.stderr, process.stderr],
  });
await import('../cli/dist/main.js');
