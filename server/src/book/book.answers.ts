/** One deed of the book. `detail`: each field that changed with `from` and `to`, or what the deed says of itself. */
export interface DeedLine {
  readonly id: number;
  readonly at: string;
  readonly actor: string;
  readonly action: string;
  readonly entity: string;
  readonly entityId: string;
  readonly detail: Readonly<Record<string, unknown>>;
}

/** A page of the book, newest first; `before` is where the next one begins. */
export interface BookAnswer {
  readonly deeds: readonly DeedLine[];
  readonly before: number | null;
}
