/** A size of something that is to be bought, and what it is for. Inches, cents. */
export interface NeedLine {
  readonly item: string;
  readonly name: string;
  readonly length: number | null;
  readonly width: number | null;
  readonly wanted: number;
  readonly onRack: number;
  readonly onOrder: number;
  readonly buy: number;
  readonly pack: number;
  readonly each: number;
  readonly cost: number;
  readonly supplierId: string | null;
  /** The day that it is needed, and the last day to order it by; null where nothing but the least that is kept asks for it. */
  readonly by: string | null;
  readonly orderBy: string | null;
  readonly orders: readonly number[];
}

/** What all accepted orders need that is neither on the rack nor on its way. */
export interface NeedsAnswer {
  readonly lines: readonly NeedLine[];
  readonly cost: number;
  readonly orders: number;
}

export type PurchaseState = 'draft' | 'ordered' | 'in part' | 'received' | 'cancelled';

export interface PurchaseLine {
  readonly id: number;
  readonly item: string;
  readonly name: string;
  readonly length: number | null;
  readonly width: number | null;
  readonly quantity: number;
  readonly received: number;
  readonly each: number;
  readonly cost: number;
}

/** A line of the list of purchase orders. */
export interface PurchaseSummary {
  readonly id: number;
  readonly supplierId: string;
  readonly supplier: string;
  readonly state: PurchaseState;
  readonly due: string | null;
  readonly orderedAt: string | null;
  readonly lines: number;
  readonly cost: number;
  readonly version: number;
}

/** What a supplier says of a line: how many it has, and in how many days they are here. */
export interface Availability {
  readonly line: number;
  readonly has: number;
  readonly days: number;
}

/** A purchase order whole. */
export interface Purchase extends PurchaseSummary {
  readonly note: string;
  readonly madeBy: string;
  readonly list: readonly PurchaseLine[];
  readonly sent: readonly {
    readonly to: string;
    readonly subject: string;
    readonly body: string;
    readonly at: string;
  }[];
}
