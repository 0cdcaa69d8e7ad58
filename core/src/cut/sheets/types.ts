/** A rectangle wanted from a sheet: `length` along the sheet's grain when `grain` is set. */
export interface SheetPiece {
  readonly id: string;
  readonly item: string;
  readonly length: number;
  readonly width: number;
  readonly quantity: number;
  readonly grain: boolean;
}

/** A sheet as it is bought. */
export interface SheetStock {
  readonly item: string;
  readonly length: number;
  readonly width: number;
}

/** A kind of sheet that can be had: `quantity` null for as many as wanted. Inches and cents. */
export interface SheetKind extends SheetStock {
  readonly cost: number;
  readonly quantity: number | null;
}

/** With a track saw any cut from edge to edge; with a table saw rips along the sheet first, then cross cuts, then a last trim. */
export type SheetSaw = 'track' | 'table';

/** What to cut from what. */
export interface SheetDemand {
  readonly kerf: number;
  readonly saw: SheetSaw;
  readonly stock: readonly SheetKind[];
  readonly pieces: readonly SheetPiece[];
  /** Seconds that a plan may be searched for; else as long as is usual. */
  readonly effort?: number;
}

/** A piece on a sheet: its low corner, and how it lies there; x along the sheet's length. */
export interface SheetPut {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly length: number;
  readonly width: number;
}

/** One cut, in its turn: from edge to edge of what lies there then. `along` is the way that the saw goes: the sheet's length, or its width. */
export interface SheetCut {
  readonly along: 'length' | 'width';
  /** The edge of what is kept, on the sheet: the kerf is beyond it. */
  readonly at: number;
  /** From where to where it goes. */
  readonly from: number;
  readonly to: number;
}

/** One sheet with what comes out of it, and its cuts in sequence. */
export interface SheetCutUp {
  readonly item: string;
  readonly length: number;
  readonly width: number;
  readonly cost: number;
  readonly pieces: readonly SheetPut[];
  readonly cuts: readonly SheetCut[];
}

/** A plan of sheets: `bound` is the least any plan can cost, `proved` that this one costs just that. */
export interface SheetsPlan {
  readonly sheets: readonly SheetCutUp[];
  readonly cost: number;
  readonly bound: number;
  readonly proved: boolean;
  readonly unplaced: readonly { readonly id: string; readonly quantity: number; readonly why: string }[];
}
