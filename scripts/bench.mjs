// npm run bench: builds, then prints one JSON line per figure.
import { execFileSync } from 'node:child_process';
import { ensureBuilt, ensureModules, root } from './lib/setup.mjs';

ensureModules();
ensureBuilt(['core', 'demo', 'web', 'bench']);
const [what = 'figures', ...rest] = process.argv.slice(2);
execFileSync(process.execPath, [`bench/dist/${what}.js`, ...rest], { cwd: root, stdio: 'inherit' });
