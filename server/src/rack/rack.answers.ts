/** A line of the rack: what lies there, and how many. Lengths in inches. */
export interface RackLine {
  readonly id: number;
  readonly item: string;
  readonly length: number | null;
  readonly place: string;
  readonly mark: string;
  readonly quantity: number;
}
