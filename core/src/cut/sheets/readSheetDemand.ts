import { onlyThese, ownIds, readEffort, readList, readNumber, readRecord, readText, readWhole } from '../readers.ts';
import { DemandError } from '../types.ts';
import type { SheetDemand, SheetKind, SheetPiece } from './types.ts';

/**
 * Reads a sheet demand from parsed JSON.
 * @throws DemandError naming the place, the value and the rule
 */
export const readSheetDemand = (json: unknown): SheetDemand => {
  const d = readRecord(json, 'A demand');
  onlyThese(d, ['kerf', 'saw', 'stock', 'pieces', 'effort'], 'The demand');
  const saw = d.saw ?? 'track';
  if (saw !== 'track' && saw !== 'table')
    throw new DemandError(`saw is ${JSON.stringify(saw)}; it must be "track" or "table".`);
  const stock = readList(d.stock, 'stock').map((raw, i): SheetKind => {
    const where = `stock[${i}]`;
    const s = readRecord(raw, where);
    onlyThese(s, ['item', 'length', 'width', 'cost', 'quantity'], where);
    return {
      item: readText(s.item, `${where}.item`),
      length: readNumber(s.length, `${where}.length`, 0, true),
      width: readNumber(s.width, `${where}.width`, 0, true),
      cost: readWhole(s.cost, `${where}.cost`, 0),
      quantity: s.quantity === null || s.quantity === undefined ? null : readWhole(s.quantity, `${where}.quantity`, 0),
    };
  });
  const pieces = readList(d.pieces, 'pieces').map((raw, i): SheetPiece => {
    const where = `pieces[${i}]`;
    const p = readRecord(raw, where);
    onlyThese(p, ['id', 'item', 'length', 'width', 'quantity', 'grain'], where);
    const grain = p.grain ?? false;
    if (typeof grain !== 'boolean')
      throw new DemandError(`${where}.grain is ${JSON.stringify(grain)}; it must be true or false.`);
    return {
      id: readText(p.id, `${where}.id`),
      item: readText(p.item, `${where}.item`),
      length: readNumber(p.length, `${where}.length`, 0, true),
      width: readNumber(p.width, `${where}.width`, 0, true),
      quantity: readWhole(p.quantity ?? 1, `${where}.quantity`, 0),
      grain,
    };
  });
  ownIds(pieces);
  const effort = readEffort(d.effort);
  return {
    kerf: readNumber(d.kerf ?? 0.125, 'kerf', 0),
    saw,
    stock,
    pieces,
    ...(effort === undefined ? {} : { effort }),
  };
};
