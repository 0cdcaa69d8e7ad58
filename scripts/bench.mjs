// npm run bench: builds, then prints one JSON line per figure.
import { execFileSync } from 'node:child_process';
import { ensureBuilt, ensureModules, root } from './lib/setup.mjs';

ensureModules();
ensureBuilt(['core', 'demo', 'web', 'bench']);
execFileSync(process.execPath, ['bench/dist/figures.js'], { cwd: root, stdio: 'inherit' });
