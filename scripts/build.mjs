// Builds the packages that run under Node: each package's sources go to its dist, type-free.
import { execFileSync } from 'node:child_process';
import { rmSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const packages = process.argv.slice(2).filter((a) => !a.startsWith('-'));

for (const name of packages.length > 0 ? packages.filter((p) => p !== 'web') : ['core', 'cli', 'demo', 'server']) {
  rmSync(`${root}/${name}/dist`, { recursive: true, force: true });
  execFileSync(
    process.execPath,
    [
      `${root}/node_modules/@swc/cli/bin/swc.js`,
      'src',
      '-d',
      'dist',
      '--strip-leading-paths',
      '--config-file',
      '../.swcrc',
      '-q',
      '--ignore',
      '**/*.test.ts',
    ],
    { cwd: `${root}/${name}`, stdio: ['ignore', process.stderr, process.stderr] },
  );
  writeFileSync(`${root}/${name}/dist/.built`, '');
}
if (packages.length === 0 || packages.includes('web')) {
  execFileSync(process.execPath, ['node_modules/vite/bin/vite.js', 'build', 'web', '--logLevel', 'warn'], {
    cwd: root,
    stdio: ['ignore', process.stderr, process.stderr],
  });
  writeFileSync(`${root}/web/dist/.built`, '');
}
