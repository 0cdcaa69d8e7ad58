import type { SheetCut } from '@rubbet/core/cut';

export type BatchState = 'planning' | 'planned' | 'cutting' | 'done' | 'dropped';

/** A part of a piece: whose it is, and where it goes. Inches. */
export interface BatchPart {
  readonly order: number;
  readonly part: string;
  readonly mark: string;
  readonly panel: string;
  readonly length: number;
  readonly width?: number;
  readonly rip?: number;
  readonly ends?: string;
}

/** A piece of a stick, sheet or roll. A piece of a sheet or roll has its place on it. */
export interface BatchPiece {
  readonly length: number;
  readonly width?: number;
  readonly x?: number;
  readonly y?: number;
  readonly parts: readonly BatchPart[];
  /** Width of the strip that ripping leaves. */
  readonly strip?: number;
  /** A strip of mesh that runs on from the one before it, round a corner. */
  readonly bent?: true;
  readonly state: 'open' | 'cut' | 'spoiled';
}

/** What is left of a stick or sheet, or what is ripped from a stick: of another `item` then. Once it is cut, the line of the rack that it lies in, with its mark. */
export interface BatchRest {
  readonly length: number;
  readonly width?: number;
  readonly item?: string;
  readonly stock?: number;
  readonly mark?: string;
}

/** One stick or sheet of a batch, in its turn. Cents. */
export interface BatchLine {
  readonly id: number;
  readonly seq: number;
  /** Lines of one stack are cut lying on each other. */
  readonly stack: number;
  readonly kind: 'stick' | 'sheet' | 'roll' | 'rip';
  readonly item: string;
  readonly length: number;
  readonly width: number | null;
  readonly cost: number;
  /** Where on the rack it is; null where it was to be bought when this was planned. */
  readonly stock: { readonly id: number; readonly mark: string; readonly place: string } | null;
  readonly pieces: readonly BatchPiece[];
  readonly cuts: readonly SheetCut[] | null;
  readonly rests: readonly BatchRest[];
  /** It comes from a stick that this batch rips: it is on the rack once that is done. */
  readonly ripped: boolean;
  /** Order and mark of the part that it is cut out of, where it is no sheet of its own. */
  readonly dropOf: string | null;
  readonly state: 'open' | 'cut';
  readonly cutBy: string | null;
  readonly cutAt: string | null;
  readonly version: number;
}

/** What a batch comes to. Cents. */
export interface BatchFigures {
  readonly pieces: number;
  readonly sticks: number;
  readonly sheets: number;
  /** Batches that were planned before mesh was cut with them have none. */
  readonly rolls?: number;
  /** What the wood costs, and what no plan goes under. */
  readonly cost: number;
  readonly costBound: number;
  readonly proved: boolean;
  /** How often the stop is set. */
  readonly moves: number;
  /** What its rolls of mesh cost. */
  readonly costMesh?: number;
  /** What sticks and mesh of each order by itself would cost, from the yard. */
  readonly costApart: number;
  /** Pieces that are measured in place first, and stay at the bench. */
  readonly waiting: number;
  readonly buy: readonly {
    readonly item: string;
    readonly length: number;
    readonly width: number | null;
    readonly count: number;
    readonly cost: number;
  }[];
  readonly unplaced: readonly { readonly order: number; readonly mark: string; readonly why: string }[];
}

/** A line of the list of batches. */
export interface BatchSummary {
  readonly id: number;
  readonly title: string;
  readonly state: BatchState;
  /** `units`: the first and the last of an order's units, where not all of them are in it. */
  readonly orders: readonly {
    readonly id: number;
    readonly title: string;
    readonly units?: readonly [number, number];
  }[];
  readonly figures: BatchFigures | null;
  readonly lines: number;
  readonly linesCut: number;
  readonly madeBy: string;
  readonly madeAt: string;
  readonly version: number;
}

/** A batch whole. `job` is what plans it, while it does. */
export interface Batch extends BatchSummary {
  readonly list: readonly BatchLine[];
  readonly job: number | null;
}

/** Wood that an order waits for: in a batch, and not on the rack yet. `due` where it is ordered. */
export interface WaitLine {
  readonly item: string;
  readonly length: number;
  readonly width: number | null;
  readonly count: number;
  readonly batchId: number;
  readonly due: string | null;
  readonly purchaseId: number | null;
}

/** An order that has something to cut: how many parts are open, how many of them a batch has already. */
export interface ToCut {
  readonly orderId: number;
  readonly title: string;
  readonly customer: string;
  readonly wantedBy: string;
  readonly open: number;
  /** Units that are followed one by one; 1 where it is one. */
  readonly units: number;
  readonly inBatches: number;
  /** The day that the crew plan has its cutting on. */
  readonly day: string | null;
}
