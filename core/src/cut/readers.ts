import { DemandError } from './types.ts';

/** Readers of what comes from outside: each names the place, the value and the rule. */

export const readRecord = (v: unknown, where: string): Record<string, unknown> => {
  if (typeof v !== 'object' || v === null || Array.isArray(v)) throw new DemandError(`${where} must be an object.`);
  return v as Record<string, unknown>;
};

export const readList = (v: unknown, where: string): readonly unknown[] => {
  if (!Array.isArray(v)) throw new DemandError(`${where} must be a list.`);
  return v;
};

/** @param open whether it must be over `least`, not just as much */
export const readNumber = (v: unknown, where: string, least: number, open = false): number => {
  if (typeof v !== 'number' || !Number.isFinite(v) || v < least || (open && v === least))
    throw new DemandError(
      `${where} is ${JSON.stringify(v)}; it must be a number ${open ? 'over' : 'of at least'} ${least}.`,
    );
  return v;
};

export const readWhole = (v: unknown, where: string, least: number): number => {
  if (!Number.isInteger(readNumber(v, where, least)))
    throw new DemandError(`${where} is ${String(v)}; it must be a whole number.`);
  return v as number;
};

export const readText = (v: unknown, where: string): string => {
  if (typeof v !== 'string' || v === '') throw new DemandError(`${where} is ${JSON.stringify(v)}; it must be a name.`);
  return v;
};

export const onlyThese = (v: Record<string, unknown>, keys: readonly string[], where: string): void => {
  const extra = Object.keys(v).find((k) => !keys.includes(k));
  if (extra !== undefined)
    throw new DemandError(`${where} has "${extra}", which does not belong there; it has ${keys.join(', ')}.`);
};

/** Every piece has a name of its own. */
export const ownIds = (pieces: readonly { readonly id: string }[]): void => {
  const ids = new Set<string>();
  for (const p of pieces) {
    if (ids.has(p.id)) throw new DemandError(`pieces has the id "${p.id}" twice; every piece needs its own.`);
    ids.add(p.id);
  }
};

/** Longest that a plan may be searched for, seconds. */
const MOST_EFFORT = 600;

/** Seconds that a plan may be searched for; nothing where nothing is said. */
export const readEffort = (value: unknown): number | undefined => {
  if (value === undefined || value === null) return undefined;
  const effort = readNumber(value, 'effort', 0);
  if (effort > MOST_EFFORT) throw new DemandError(`effort is ${effort}; it must be ${MOST_EFFORT} seconds at most.`);
  return effort;
};
