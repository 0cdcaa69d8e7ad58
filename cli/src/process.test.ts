import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../..', import.meta.url));
const folder = mkdtempSync(`${tmpdir()}/rubbet-cli-`);
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const rubbet = (args: string[], input = '') =>
  spawnSync(process.execPath, ['scripts/rubbet.mjs', ...args], {
    cwd: root,
    input,
    encoding: 'utf8',
    env: { ...process.env, NODE_OPTIONS: '', INIT_CWD: folder },
  });

describe('the command as it is typed', () => {
  it('reads a file from where it was typed, and standard input', () => {
    writeFileSync(`${folder}/pen.json`, JSON.stringify({ family: 'low-pen', params: { width: "4'" } }));
    const file = rubbet(['mass', 'pen.json']);
    expect([file.status, file.stderr]).toEqual([0, '']);
    const piped = rubbet(['mass'], '{"family":"low-pen","params":{"width":48}}');
    expect(JSON.parse(piped.stdout)).toEqual(JSON.parse(file.stdout));
  });
  it('feeds one verb into another', () => {
    const spec = rubbet(['defaults', 'raised-lean-to']).stdout;
    const svg = rubbet(['draw', '-', '--view', 'panel:front-wall', '--svg'], spec);
    expect(svg.status).toBe(0);
    expect(svg.stdout).toMatch(/^<svg[\s\S]*<\/svg>\n$/);
  });
  it('ends a fault in one sentence on standard error and exit code 2', () => {
    const bad = rubbet(['build'], '{"family":"low-pen","params":{"height":99}}');
    expect(bad.status).toBe(2);
    expect(bad.stdout).toBe('');
    expect(bad.stderr).toBe('height (Height): 99 is out of range; it takes 18" to 42".\n');
    expect(rubbet(['build', 'gone.json']).stderr).toMatch(/^gone.json cannot be read/);
  });
});
