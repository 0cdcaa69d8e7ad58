import { createHash } from 'node:crypto';

/** How often a supplier has everything, and how often it has some of it; the rest of the time there is none for a while. */
const ALL = 0.72;
const SOME = 0.93;

/** What a supplier answers for one line. */
export interface DeskAnswer {
  readonly has: number;
  readonly days: number;
}

/**
 * Stands in for a supplier's desk: what it has of something and in how many days it is here. The same question on the same day
 * has the same answer. Whoever connects a real supplier puts another in its place.
 */
export const askDesk = (
  supplier: string,
  what: { readonly item: string; readonly length: number | null; readonly quantity: number },
  day: string,
  leadDays: number,
): DeskAnswer => {
  const hash = createHash('sha256')
    .update([supplier, what.item, what.length ?? '', day].join('|'))
    .digest();
  const chance = hash.readUInt16BE(0) / 65_536;
  const share = hash.readUInt16BE(2) / 65_536;
  if (chance < ALL) return { has: what.quantity, days: leadDays };
  if (chance < SOME) return { has: Math.floor(what.quantity * share), days: leadDays };
  return { has: 0, days: leadDays + 5 + Math.floor(share * 9) };
};
