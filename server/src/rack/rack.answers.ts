/** A line of the rack: what lies there, how many, and how many of them batches have spoken for. Lengths in inches. */
export interface RackLine {
  readonly id: number;
  readonly item: string;
  readonly length: number | null;
  readonly width: number | null;
  readonly place: string;
  readonly mark: string;
  readonly quantity: number;
  readonly reserved: number;
  /** Since when it lies there. */
  readonly since: string;
}

/** An entry of the rack's ledger: nothing of it is ever changed. */
export interface LedgerEntry {
  readonly id: number;
  readonly stockId: number;
  readonly item: string;
  readonly length: number | null;
  readonly mark: string;
  readonly kind: 'received' | 'cut' | 'used' | 'returned' | 'spoiled' | 'counted' | 'corrected';
  readonly change: number;
  readonly why: string;
  readonly by: string;
  readonly at: string;
  readonly batchId: number | null;
  readonly purchaseId: number | null;
}

/** What a count sheet would change, or has changed, line by line. */
export interface CountAnswer {
  readonly faults: readonly { readonly row: number; readonly message: string }[];
  readonly lines: readonly {
    readonly item: string;
    readonly length: number | null;
    readonly mark: string;
    readonly before: number;
    readonly after: number;
  }[];
  readonly applied: boolean;
}
