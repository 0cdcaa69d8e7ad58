import { onlyThese, ownIds, readEffort, readList, readNumber, readRecord, readText, readWhole } from './readers.ts';
import type { StickDemand, StickPiece, StickStock } from './types.ts';

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
    onlyThese(p, ['id', 'item', 'length', 'quantity', 'urgency'], where);
    return {
      id: readText(p.id, `${where}.id`),
      item: readText(p.item, `${where}.item`),
      length: readNumber(p.length, `${where}.length`, 0, true),
      quantity: readWhole(p.quantity ?? 1, `${where}.quantity`, 0),
      ...(p.urgency === undefined ? {} : { urgency: readWhole(p.urgency, `${where}.urgency`, 1) }),
    };
  });
  ownIds(pieces);
  const effort = readEffort(d.effort);
  return {
    kerf: readNumber(d.kerf ?? 0.125, 'kerf', 0),
    endTrim: readNumber(d.endTrim ?? 0, 'endTrim', 0),
    stock,
    pieces,
    ...(effort === undefined ? {} : { effort }),
  };
};
