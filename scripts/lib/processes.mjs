// Processes that this program starts, and what is left of those of an earlier one.
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';

export const pause = (ms) => new Promise((r) => setTimeout(r, ms));

/** Whether a process of that number lives. */
export const isAlive = (pid) => {
  try {
    process.kill(pid, 0);
  } catch (error) {
    return error.code === 'EPERM';
  }
  try {
    // One that has ended and is not fetched by its parent yet does not count.
    return !/^\d+ \(.*\) Z/.test(readFileSync(`/proc/${pid}/stat`, 'utf8'));
  } catch {
    return true;
  }
};

/** Whether a process lives and is what it was written down as: numbers are given out again. */
export const isStill = (pid, word) => {
  if (!Number.isInteger(pid) || !isAlive(pid)) return false;
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(word);
  } catch {
    return true;
  }
};

/** Ends a process: asks first, then takes it down. */
export const endProcess = async (pid, patience = 30_000) => {
  const until = Date.now() + patience;
  const send = (signal) => {
    try {
      process.kill(pid, signal);
    } catch {
      // It is gone already.
    }
  };
  send('SIGTERM');
  while (isAlive(pid) && Date.now() < until) await pause(100);
  if (!isAlive(pid)) return;
  send('SIGKILL');
  while (isAlive(pid)) await pause(100);
};

/** A small file that says who works on a folder. */
export const readNote = (path) => {
  try {
    return existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : undefined;
  } catch {
    // Half written by a start that was cut off: it says nothing.
    return undefined;
  }
};
export const writeNote = (path, note) => writeFileSync(path, JSON.stringify(note), { mode: 0o600 });
export const dropNote = (path) => rmSync(path, { force: true });

/** Waits before the n-th try: half a second, doubled each time, at most half a minute. */
export const backoff = (n) => Math.min(30_000, 500 * 2 ** (n - 1));
