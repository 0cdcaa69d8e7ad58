import { readFileSync } from 'node:fs';
import { run } from './run.ts';

const result = run(process.argv.slice(2), {
  readFile: (path) => readFileSync(path, 'utf8'),
  readInput: () => readFileSync(0, 'utf8'),
});
if (result.out !== '') process.stdout.write(result.out);
if (result.error !== '') process.stderr.write(`${result.error}\n`);
process.exitCode = result.code;
