// npm run bench: builds, then prints one JSON line per figure.
import { execFileSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { ensureBuilt, ensureModules, root } from './lib/setup.mjs';

ensureModules();
ensureBuilt(['core', 'demo', 'web']);
rmSync(`${root}/bench/dist`, { recursive: true, force: true });
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
  ],
  { cwd: `${root}/bench`, stdio: 'inherit' },
);
execFileSync(process.execPath, ['bench/dist/figures.js'], { cwd: root, stdio: 'inherit' });
