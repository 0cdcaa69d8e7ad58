/** A part that is wanted from the saw: whose it is, and where it goes. Inches. */
export interface SawPart {
  /** Number of the order. */
  readonly order: number;
  /** The part in that order's work order, with its unit where there are several. */
  readonly part: string;
  readonly mark: string;
  readonly panel: string;
  readonly item: string;
  readonly length: number;
  /** Width that it is ripped to. */
  readonly rip?: number;
  /** How its ends are cut, in words; nothing where both are square. */
  readonly ends?: string;
}

/** A piece as it comes off a stick: one part, or several that are ripped from it. */
export interface SawPiece {
  readonly item: string;
  readonly length: number;
  readonly parts: readonly SawPart[];
  /** Width of the strip that ripping leaves, where it is wide enough to keep. */
  readonly strip?: number;
}

/** What sticks come from: a line of the rack, or the yard. Lines of one item stand in the order in which they are to be used. */
export interface SawSource {
  /** The line of the rack; nothing where it is to be bought. */
  readonly stock: number | null;
  readonly item: string;
  readonly length: number;
  /** Cents that it takes out of the business: nothing for an offcut. */
  readonly cost: number;
  /** Null for as many as wanted. */
  readonly quantity: number | null;
  /** A wider stick that so many of these are ripped from; `stock` is its line then. */
  readonly rip?: { readonly item: string; readonly parts: number };
}

/** A wider stick that is ripped along its length before anything is cut from what it gives. */
export interface SawRip {
  readonly item: string;
  readonly length: number;
  readonly stock: number | null;
  readonly gives: { readonly item: string; readonly parts: number };
}

/** One stick in its turn: `left` is what remains, `stack` counts sticks that are cut together, lying on each other. */
export interface SawStick {
  readonly item: string;
  readonly length: number;
  readonly cost: number;
  readonly stock: number | null;
  readonly cuts: readonly SawPiece[];
  readonly left: number;
  readonly stack: number;
  /** It comes from one of the batch's own rips. */
  readonly ripped?: true;
}

/** Sticks of a batch in the order in which they are cut. */
export interface SawSticks {
  readonly sticks: readonly SawStick[];
  /** What is ripped first. */
  readonly rips: readonly SawRip[];
  readonly cost: number;
  readonly bound: number;
  readonly proved: boolean;
  /** How often the stop is set. */
  readonly moves: number;
  readonly unplaced: readonly { readonly part: SawPart; readonly why: string }[];
}

/** How a business saws. Inches, cents. */
export interface SawRules {
  readonly kerf: number;
  /** Cut off the knotty end of every stick before its first piece. */
  readonly endTrim: number;
  /** Below this a remainder is firewood. */
  readonly firewood: number;
  /** Share of its price that a remainder is worth once it is as long as `longRest`; a shorter one less, in proportion. */
  readonly restWorth: number;
  readonly longRest: number;
  /** How high equal sticks are stacked under the blade. */
  readonly stack: number;
  /** What it costs to set the stop anew. */
  readonly stopMove: number;
  /** What it costs to send 8 ft of a stick along the blade once. */
  readonly ripPass: number;
  /** What sheets are cut with: a track saw in any order, or a table saw, ripping first. */
  readonly sheets: 'track' | 'table';
}

/** Usual values (common practice, no source); each business sets its own. */
export const SAW_RULES: SawRules = {
  kerf: 0.125,
  endTrim: 0,
  firewood: 12,
  restWorth: 0.5,
  longRest: 48,
  stack: 3.5,
  stopMove: 25,
  ripPass: 45,
  sheets: 'track',
};
