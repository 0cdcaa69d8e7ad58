import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { backoff, dropNote, endProcess, isAlive, isStill, readNote, writeNote } from '../scripts/lib/processes.mjs';
import { isGone } from './launcher.ts';

const work = mkdtempSync(`${tmpdir()}/rubbet-processes-`);
afterAll(() => rmSync(work, { recursive: true, force: true }));
const sleeper = (script: string): number => {
  const child = spawn(process.execPath, ['-e', script, 'a-word-of-its-own'], { stdio: 'ignore' });
  return child.pid as number;
};
const pause = (ms: number): Promise<void> => new Promise((r) => setTimeout(r, ms));

describe('processes', () => {
  it('are told from others that have got their number', async () => {
    const pid = sleeper('setInterval(() => {}, 1000)');
    await pause(200);
    expect(isAlive(pid)).toBe(true);
    expect(isStill(pid, 'a-word-of-its-own')).toBe(true);
    expect(isStill(pid, 'mariadbd')).toBe(false);
    await endProcess(pid);
    expect(isAlive(pid)).toBe(false);
    expect(isStill(pid, 'a-word-of-its-own')).toBe(false);
  });
  it('are taken down when asking does not help', async () => {
    const pid = sleeper("process.on('SIGTERM', () => {}); setInterval(() => {}, 1000)");
    await pause(300);
    await endProcess(pid, 400);
    expect(await isGone(pid, 2)).toBe(true);
  });
  it('that are gone are ended without a word', async () => {
    await expect(endProcess(4_000_000)).resolves.toBeUndefined();
    expect(isStill(NaN, 'x')).toBe(false);
  });
});

describe('waits', () => {
  it('double from half a second to half a minute', () =>
    expect([1, 2, 3, 4, 5, 6, 7, 8, 40].map(backoff)).toEqual([
      500, 1000, 2000, 4000, 8000, 16_000, 30_000, 30_000, 30_000,
    ]));
});

describe('notes of who works on a folder', () => {
  it('come back, and a half written one says nothing', () => {
    const file = `${work}/note.json`;
    expect(readNote(file)).toBeUndefined();
    writeNote(file, { pid: 7 });
    expect(readNote(file)).toEqual({ pid: 7 });
    writeFileSync(file, '{"pid": 7');
    expect(readNote(file)).toBeUndefined();
    dropNote(file);
    dropNote(file);
    expect(readNote(file)).toBeUndefined();
  });
});
