import { onlyThese, readList, readNumber, readRecord, readText, readWhole } from './readers.ts';
import type { StickStock } from './types.ts';

/**
 * Reads what lies on a rack from parsed JSON: `{"sticks": [{"item", "length", "quantity"?, "cost"?}]}`. An offcut costs
 * nothing where nothing is said.
 * @throws DemandError naming the place, the value and the rule
 */
export const readRack = (json: unknown): StickStock[] => {
  const r = readRecord(json, 'A rack');
  onlyThese(r, ['sticks'], 'The rack');
  return readList(r.sticks ?? [], 'sticks').map((raw, i) => {
    const where = `sticks[${i}]`;
    const s = readRecord(raw, where);
    onlyThese(s, ['item', 'length', 'quantity', 'cost'], where);
    return {
      item: readText(s.item, `${where}.item`),
      length: readNumber(s.length, `${where}.length`, 0, true),
      cost: readWhole(s.cost ?? 0, `${where}.cost`, 0),
      quantity: readWhole(s.quantity ?? 1, `${where}.quantity`, 0),
    };
  });
};
