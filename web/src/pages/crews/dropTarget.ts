/** A row of the board as it is drawn: how many lanes, and in which lane each block stands. */
export interface DrawnRow {
  readonly id: string;
  readonly lanes: number;
  readonly laneOf: ReadonlyMap<string, number>;
}

/** How the board is drawn, pixels; `perMinute` pixels a working minute. */
export interface BoardScale {
  readonly perMinute: number;
  readonly lane: number;
  /** Added to the height of a row's lanes. */
  readonly pad: number;
  /** Working minutes that a dropped block snaps to. */
  readonly snap: number;
}

/** Where a block comes to stand that was dragged by some pixels: the row under its middle, and a start that snaps, never before the calendar. */
export const findDropTarget = (
  block: { readonly task: string; readonly row: string; readonly start: number },
  moved: { readonly x: number; readonly y: number },
  rows: readonly DrawnRow[],
  scale: BoardScale,
): { readonly row: string; readonly start: number } => {
  const start = Math.max(0, Math.round((block.start + moved.x / scale.perMinute) / scale.snap) * scale.snap);
  const height = (r: DrawnRow): number => r.lanes * scale.lane + scale.pad;
  const from = rows.findIndex((r) => r.id === block.row);
  const above = rows.slice(0, Math.max(0, from)).reduce((sum, r) => sum + height(r), 0);
  const lane = rows[from]?.laneOf.get(block.task) ?? 0;
  let y = above + (lane + 0.44) * scale.lane + moved.y;
  for (const r of rows) {
    y -= height(r);
    if (y < 0) return { row: r.id, start };
  }
  return { row: rows.at(-1)?.id ?? block.row, start };
};
