import { planSheetDemand } from './sheets/planSheetDemand.ts';
import type { SheetCut, SheetPiece, SheetStock } from './sheets/types.ts';
import type { Effort } from './sticks/searchPatterns.ts';

/** A piece laid on a sheet: low corner and extents, x along the sheet's length. */
export interface SheetPlace {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly length: number;
  readonly width: number;
  readonly turned: boolean;
}

/** One sheet of the plan. */
export interface SheetLayout {
  readonly item: string;
  readonly length: number;
  readonly width: number;
  readonly places: readonly SheetPlace[];
  /** In sequence; plans kept from before have none. */
  readonly cuts?: readonly SheetCut[];
}

/** A sheet plan; every layout can be cut by straight cuts from edge to edge. */
export interface SheetPlan {
  readonly sheets: readonly SheetLayout[];
  /** The least number of sheets any plan could use, by area and by dual-feasible functions. */
  readonly bound: number;
  readonly unplaced: readonly { readonly id: string; readonly quantity: number; readonly why: string }[];
}

/**
 * Lays rectangles on sheets so that each can be cut by straight cuts from edge to edge, in the sequence that is given with it;
 * grain is kept. `quick` looks no further than the first good layout.
 */
export const planSheets = (
  stocks: readonly SheetStock[],
  pieces: readonly SheetPiece[],
  kerf = 0.125,
  effort: Effort = 'full',
): SheetPlan => {
  const plan = planSheetDemand(
    // Every sheet counts the same: the plan with the fewest is looked for.
    { kerf, saw: 'track', stock: stocks.map((s) => ({ ...s, cost: 1, quantity: null })), pieces },
    effort,
  );
  const wanted = new Map(pieces.map((p) => [p.id, p]));
  return {
    sheets: plan.sheets.map((s) => ({
      item: s.item,
      length: s.length,
      width: s.width,
      places: s.pieces.map((p) => ({
        ...p,
        turned: Math.abs(p.length - (wanted.get(p.id)?.length ?? p.length)) > 1e-6,
      })),
      cuts: s.cuts,
    })),
    bound: plan.bound,
    unplaced: plan.unplaced,
  };
};
