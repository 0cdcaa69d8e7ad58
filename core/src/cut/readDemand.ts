import { DemandError } from './types.ts';
import type { StickDemand, StickPiece, StickStock } from './types.ts';

const record = (v: unknown, where: string): Record<string, unknown> => {
  if (typeof v !== 'object' || v === null || Array.isArray(v)) throw new DemandError(`${where} must be an object.`);
  return v as Record<string, unknown>;
};
const list = (v: unknown, where: string): readonly unknown[] => {
  if (!Array.isArray(v)) throw new DemandError(`${where} must be a list.`);
  return v;
};
const number = (v: unknown, where: string, least: number, open = false): number => {
  if (typeof v !== 'number' || !Number.isFinite(v) || v < least || (open && v === least))
    throw new DemandError(
      `${where} is ${JSON.stringify(v)}; it must be a number ${open ? 'over' : 'of at least'} ${least}.`,
    );
  return v;
};
const whole = (v: unknown, where: string, least: number): number => {
  if (!Number.isInteger(number(v, where, least)))
    throw new DemandError(`${where} is ${String(v)}; it must be a whole number.`);
  return v as number;
};
const text = (v: unknown, where: string): string => {
  if (typeof v !== 'string' || v === '') throw new DemandError(`${where} is ${JSON.stringify(v)}; it must be a name.`);
  return v;
};
const only = (v: Record<string, unknown>, keys: readonly string[], where: string): void => {
  const extra = Object.keys(v).find((k) => !keys.includes(k));
  if (extra !== undefined)
    throw new DemandError(`${where} has "${extra}", which does not belong there; it has ${keys.join(', ')}.`);
};

/** Longest that a plan may be searched for, seconds. */
const MOST_EFFORT = 600;

/**
 * Reads a stick demand from parsed JSON.
 * @throws DemandError naming the place, the value and the rule
 */
export const readDemand = (json: unknown): StickDemand => {
  const d = record(json, 'A demand');
  only(d, ['kerf', 'endTrim', 'stock', 'pieces', 'effort'], 'The demand');
  const stock = list(d.stock, 'stock').map((raw, i): StickStock => {
    const where = `stock[${i}]`;
    const s = record(raw, where);
    only(s, ['item', 'length', 'cost', 'quantity'], where);
    return {
      item: text(s.item, `${where}.item`),
      length: number(s.length, `${where}.length`, 0, true),
      cost: whole(s.cost, `${where}.cost`, 0),
      quantity: s.quantity === null || s.quantity === undefined ? null : whole(s.quantity, `${where}.quantity`, 0),
    };
  });
  const pieces = list(d.pieces, 'pieces').map((raw, i): StickPiece => {
    const where = `pieces[${i}]`;
    const p = record(raw, where);
    only(p, ['id', 'item', 'length', 'quantity'], where);
    return {
      id: text(p.id, `${where}.id`),
      item: text(p.item, `${where}.item`),
      length: number(p.length, `${where}.length`, 0, true),
      quantity: whole(p.quantity ?? 1, `${where}.quantity`, 0),
    };
  });
  const ids = new Set<string>();
  for (const p of pieces) {
    if (ids.has(p.id)) throw new DemandError(`pieces has the id "${p.id}" twice; every piece needs its own.`);
    ids.add(p.id);
  }
  const effort = d.effort === undefined || d.effort === null ? undefined : number(d.effort, 'effort', 0);
  if (effort !== undefined && effort > MOST_EFFORT)
    throw new DemandError(`effort is ${effort}; it must be ${MOST_EFFORT} seconds at most.`);
  return {
    kerf: number(d.kerf ?? 0.125, 'kerf', 0),
    endTrim: number(d.endTrim ?? 0, 'endTrim', 0),
    stock,
    pieces,
    ...(effort === undefined ? {} : { effort }),
  };
};
