import type { CutRoll, MeshPlan, RollStrip, SheetPlan, StickCut } from '@rubbet/core/cut';
import { readTicket } from '@rubbet/core/takeoff';
import type { WorkPart } from '../../data/types.ts';

/** A piece to be cut: the parts that it becomes, two where it is ripped down the middle. */
export interface Ticket {
  readonly mark: string;
  readonly length: number;
  readonly ripped: boolean;
  readonly parts: readonly WorkPart[];
  readonly isCut: boolean;
}

/** Parts by mark, those that are cut first: the pieces that a plan names first are those that were cut first. */
const queuesOf = (parts: readonly WorkPart[]): ((mark: string) => WorkPart | undefined) => {
  const queues = new Map<string, WorkPart[]>();
  for (const p of [...parts].sort((a, b) => Number(b.state === 'cut') - Number(a.state === 'cut') || a.id - b.id))
    queues.set(p.mark, [...(queues.get(p.mark) ?? []), p]);
  return (mark) => queues.get(mark)?.shift();
};

const isCut = (parts: readonly WorkPart[]): boolean => parts.length > 0 && parts.every((p) => p.state === 'cut');

/** Hands the parts of a work order out to the cuts of its sticks, each part once, stick by stick. */
export const handOutTickets = (
  sticks: readonly StickCut[],
  parts: readonly WorkPart[],
): readonly (readonly Ticket[])[] => {
  const take = queuesOf(parts);
  return sticks.map((stick) =>
    stick.cuts.map((cut): Ticket => {
      const ticket = readTicket(cut.id);
      const mine = Array.from({ length: ticket.parts }, () => take(ticket.mark)).filter((p) => p !== undefined);
      return { mark: ticket.mark, length: cut.length, ripped: ticket.parts === 2, parts: mine, isCut: isCut(mine) };
    }),
  );
};

/** Hands the parts of a work order out to the places on its sheets, each part once, sheet by sheet. */
export const handOutPlaces = (plan: SheetPlan, parts: readonly WorkPart[]): readonly (readonly Ticket[])[] => {
  const take = queuesOf(parts);
  return plan.sheets.map((sheet) =>
    sheet.places.map((place): Ticket => {
      const mine = [take(place.id)].filter((p) => p !== undefined);
      return { mark: place.id, length: place.length, ripped: false, parts: mine, isCut: isCut(mine) };
    }),
  );
};

/** A strip on a roll with the part that it becomes; a face of several strips is one part. */
export interface StripTicket {
  readonly strip: RollStrip;
  readonly part: WorkPart | undefined;
}

/** Rolls with the length that is used of each, and their strips with their parts. Strips of what is cut on site have no part here. */
export const handOutStrips = (
  plan: MeshPlan,
  parts: readonly WorkPart[],
): readonly { readonly roll: CutRoll; readonly used: number; readonly tickets: readonly StripTicket[] }[] => {
  const byId = new Map(parts.map((p) => [p.partId, p]));
  return plan.layout.map((roll) => ({
    roll,
    used: Math.max(12, ...roll.strips.map((s) => s.x + s.length)),
    tickets: roll.strips.map((strip) => ({ strip, part: byId.get(strip.face) })),
  }));
};
