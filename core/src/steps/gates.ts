import type { Gate } from './types.ts';

/** A gate with a length that must be read and written down before its step is done. */
export type ReadGate = Gate & { readonly expected: number; readonly tolerance: number };

/** Whether a step's check is a length that is read and written down; others are looked at. */
export const isRead = (gate: Gate | undefined): gate is ReadGate =>
  gate?.expected !== undefined && gate.tolerance !== undefined && gate.tolerance > 0;

/** How many readings a gate takes: both diagonals, or one. */
export const readingsOf = (gate: Gate): number => (/both diagonals/.test(gate.what) ? 2 : 1);

/** A kept reading rounds to this: nobody is turned away for less. */
const ROUNDS = 1 / 64;

/** What readings say of a gate: how far the worst of them is off, and whether that is within what it allows. */
export const judgeGate = (
  gate: ReadGate,
  found: readonly number[],
): { readonly off: number; readonly within: boolean } => {
  const off = Math.max(...found.map((f) => Math.abs(f - gate.expected)), Math.max(...found) - Math.min(...found));
  return { off, within: off <= gate.tolerance + ROUNDS };
};

/** Least difference from the drawing that nobody measures by mistake, inches, and as a share of the length. */
const FAR = { least: 2, share: 0.1 } as const;

/** Whether a length that was found in place is too far from what was expected to be believed: it is measured again. */
export const isFarOff = (expected: number, found: number): boolean =>
  Math.abs(found - expected) > Math.max(FAR.least, expected * FAR.share);

/** What to do about readings that are outside, in words. */
export const reworkText = (gate: ReadGate, found: readonly number[]): string => {
  const apart = Math.max(...found) - Math.min(...found);
  if (found.length > 1 && apart > gate.tolerance)
    return 'Out of square: push the corners of the longer diagonal together until both agree, brace it, and read again.';
  if (found.length > 1)
    return 'Square, but not of its size: look for a piece cut wrong before anything is fixed to it, and read again.';
  return 'Outside what it may be: mend it, and read again. What depends on it waits.';
};
