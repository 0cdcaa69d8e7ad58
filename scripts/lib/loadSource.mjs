// TypeScript becomes JavaScript as it is loaded, and is kept for the next process that needs it.
import { transformSync } from '@swc/core';
import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const kept = fileURLToPath(new URL('../../node_modules/.cache/sources/', import.meta.url));
mkdirSync(kept, { recursive: true });
const rules = readFileSync(new URL('../../.swcrc', import.meta.url), 'utf8');
const options = { ...JSON.parse(rules), swcrc: false, sourceMaps: 'inline' };
delete options.$schema;
// Sources import each other as they are written.
options.jsc.rewriteRelativeImportExtensions = false;

export const load = async (url, context, next) => {
  const [plain] = url.split('?');
  if (!/\.tsx?$/.test(plain) || plain.includes('/node_modules/')) return next(url, context);
  const file = fileURLToPath(plain);
  const written = readFileSync(file, 'utf8');
  const place = `${kept}${createHash('sha1').update(rules).update(file).update(written).digest('hex')}.mjs`;
  const made = (source) => ({ format: 'module', shortCircuit: true, source });
  try {
    return made(readFileSync(place, 'utf8'));
  } catch {
    const { code } = transformSync(written, { ...options, filename: file });
    // Whole or not at all: other processes look for it as well.
    writeFileSync(`${place}.${process.pid}`, code);
    renameSync(`${place}.${process.pid}`, place);
    return made(code);
  }
};
