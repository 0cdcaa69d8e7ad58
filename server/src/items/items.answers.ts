import type { RowFault } from '@rubbet/core/formats';
import type { ItemKind, ItemSize } from '@rubbet/core/stock';

/** Who wood and hardware are bought from. */
export interface Supplier {
  readonly id: string;
  readonly name: string;
  readonly phone: string;
  readonly email: string;
  readonly leadDays: number;
  readonly note: string;
  readonly active: boolean;
  readonly version: number;
}

/** An item as the business has it. */
export interface ItemLine {
  readonly item: string;
  readonly name: string;
  readonly kind: ItemKind;
  readonly sizes: readonly ItemSize[];
  readonly pack: number;
  readonly gravity: number | null;
  readonly supplierId: string | null;
  readonly leadDays: number | null;
  readonly least: number;
  readonly onRack: number;
  readonly version: number;
}

/** What was paid for a size, and since when. */
export interface PriceEntry {
  readonly size: string;
  readonly cost: number;
  readonly supplierId: string | null;
  readonly by: string;
  readonly at: string;
}

/** What a price list would change, or has changed, line by line. */
export interface PriceListAnswer {
  readonly faults: readonly RowFault[];
  readonly lines: readonly {
    readonly item: string;
    readonly name: string;
    readonly size: string;
    readonly before: number | null;
    readonly cost: number;
    readonly carried: boolean;
  }[];
  readonly applied: boolean;
}

/** An accepted order whose costs at today's prices are not those that it was accepted at. Cents. */
export interface MarginLine {
  readonly orderId: number;
  readonly title: string;
  readonly accepted: number;
  readonly costThen: number;
  readonly costNow: number;
  /** Margins as shares of the price. */
  readonly marginThen: number;
  readonly marginNow: number;
}
