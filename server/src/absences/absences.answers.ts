/** Somebody who is away on a day: all of it, or from when to when, minutes after midnight. */
export interface Absence {
  readonly id: number;
  readonly userId: number;
  readonly name: string;
  readonly day: string;
  readonly from: number | null;
  readonly to: number | null;
  readonly note: string;
}
