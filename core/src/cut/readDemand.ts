import { onlyThese, ownIds, readList, readNumber, readRecord, readText, readWhole } from './readers.ts';
import { DemandError } from './types.ts';
import type { StickDemand, StickPiece, StickStock } from './types.ts';

/** Longest that a plan may be searched for, seconds. */
const MOST_EFFORT = 600;

/**
 * Reads a stick demand from parsed JSON.
 * @throws DemandError naming the place, the value and the rule
 */
export const readDemand = (json: unknown): StickDemand => {
  const d = readRecord(json, 'A demand');
  onlyThese(d, ['kerf', 'endTrim', 'stock', 'pieces', 'effort'], 'The demand');
  const stock = readList(d.stock, 'stock').map((raw, i): StickStock => {
    const where = `stock[${i}]`;
    const s = readRecord(raw, where);
    onlyThese(s, ['item', 'length', 'cost', 'quantity'], where);
    return {
      item: readText(s.item, `${where}.item`),
      length: readNumber(s.length, `${where}.length`, 0, true),
      cost: readWhole(s.cost, `${where}.cost`, 0),
      quantity: s.quantity === null || s.quantity === undefined ? null : readWhole(s.quantity, `${where}.quantity`, 0),
    };
  });
  const pieces = readList(d.pieces, 'pieces').map((raw, i): StickPiece => {
    const where = `pieces[${i}]`;
    const p = readRecord(raw, where);
    onlyThese(p, ['id', 'item', 'length', 'quantity'], where);
    return {
      id: readText(p.id, `${where}.id`),
      item: readText(p.item, `${where}.item`),
      length: readNumber(p.length, `${where}.length`, 0, true),
      quantity: readWhole(p.quantity ?? 1, `${where}.quantity`, 0),
    };
  });
  ownIds(pieces);
  const effort = d.effort === undefined || d.effort === null ? undefined : readNumber(d.effort, 'effort', 0);
  if (effort !== undefined && effort > MOST_EFFORT)
    throw new DemandError(`effort is ${effort}; it must be ${MOST_EFFORT} seconds at most.`);
  return {
    kerf: readNumber(d.kerf ?? 0.125, 'kerf', 0),
    endTrim: readNumber(d.endTrim ?? 0, 'endTrim', 0),
    stock,
    pieces,
    ...(effort === undefined ? {} : { effort }),
  };
};
