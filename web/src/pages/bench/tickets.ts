import type { SheetPlan, StickCut } from '@rubbet/core/cut';
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
