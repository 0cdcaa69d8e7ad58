import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { run } from './run.ts';

// npm changes to the project's folder; a file is meant from where the command was typed.
const from = process.env.INIT_CWD ?? process.cwd();

const result = run(process.argv.slice(2), {
  readFile: (path) => readFileSync(resolve(from, path), 'utf8'),
  readInput: () => readFileSync(0, 'utf8'),
});
if (result.out !== '') process.stdout.write(result.out);
if (result.error !== '') process.stderr.write(`${result.error}\n`);
process.exitCode = result.code;
