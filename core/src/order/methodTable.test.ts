import { readFileSync, writeFileSync } from 'node:fs';
import { methodTable, TABLE_MILES } from '../../testing/methodTable.ts';

const path = new URL('../../../docs/methods.md', import.meta.url);
const cells = (row: string): string[] =>
  row
    .split('|')
    .slice(1, -1)
    .map((c) => c.trim());
/** Lines of the table: its head, the line under it, and where it ends. */
const tableOf = (lines: readonly string[]): readonly [number, number] => {
  const from = lines.findIndex((l) => cells(l)[0] === 'unit') + 2;
  const to = lines.findIndex((l, i) => i >= from && !l.startsWith('|'));
  return [from, to < 0 ? lines.length : to];
};

it('the table of methods in the handbook is what is computed (WRITE_DOCS=1 and npm run format write it anew)', () => {
  const lines = readFileSync(path, 'utf8').split('\n');
  const [from, to] = tableOf(lines);
  const rows = methodTable();
  if (process.env.WRITE_DOCS === '1')
    writeFileSync(path, [...lines.slice(0, from), ...rows, ...lines.slice(to)].join('\n'));
  const kept = readFileSync(path, 'utf8').split('\n');
  expect(kept.slice(...tableOf(kept)).map(cells)).toEqual(rows.map(cells));
  expect(kept.join(' ')).toContain(`${TABLE_MILES} miles`);
});
