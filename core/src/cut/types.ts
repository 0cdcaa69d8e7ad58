/** A stock length that can be had: `quantity` null for as many as wanted. Inches and cents. */
export interface StickStock {
  readonly item: string;
  readonly length: number;
  readonly cost: number;
  readonly quantity: number | null;
}

/** Equal pieces wanted. */
export interface StickPiece {
  readonly id: string;
  readonly item: string;
  readonly length: number;
  readonly quantity: number;
  /** How often its length counts where stock does not do for all; once if it is not said. */
  readonly urgency?: number;
}

/** What to cut from what. `endTrim` is lost from every stick before the first piece, its saw cut included. */
export interface StickDemand {
  readonly kerf: number;
  readonly endTrim: number;
  readonly stock: readonly StickStock[];
  readonly pieces: readonly StickPiece[];
  /** Seconds that a plan may be searched for; else as long as is usual. */
  readonly effort?: number;
}

/** One stick and its cuts in order; `left` is what remains after the last kerf. */
export interface StickCut {
  readonly item: string;
  readonly length: number;
  readonly cost: number;
  readonly cuts: readonly { readonly id: string; readonly length: number }[];
  /** Pieces of it that were cut and are no good: their wood is gone. */
  readonly spoiled?: readonly { readonly id: string; readonly length: number }[];
  readonly left: number;
}

/** A stick plan: `bound` is the least any plan can cost, `proved` that this one costs just that. */
export interface StickPlan {
  readonly sticks: readonly StickCut[];
  readonly cost: number;
  readonly bound: number;
  readonly proved: boolean;
  readonly unplaced: readonly { readonly id: string; readonly quantity: number; readonly why: string }[];
  /** Where stock runs short: inches of pieces left uncut that a longer rack would give, and the least that any plan leaves; what is urgent counts as often as it says. */
  readonly uncut?: { readonly length: number; readonly least: number };
}

/** Raised when a demand cannot be read; names the place, the value and the rule. */
export class DemandError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'DemandError';
  }
}
