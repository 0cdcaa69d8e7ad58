/** A place, machine or trailer that is not to be had on a day: all of it, or from when to when, minutes after midnight. */
export interface Outage {
  readonly id: number;
  readonly kind: 'row' | 'trailer';
  /** Row of the board, or trailer. */
  readonly ref: string;
  readonly name: string;
  readonly day: string;
  readonly from: number | null;
  readonly to: number | null;
  readonly note: string;
}
