/** A piece of a stick or sheet, and the parts that it gives. */
interface CutPiece {
  readonly state: string;
  readonly parts: readonly { readonly order: number; readonly panel: string; readonly mark: string }[];
}

/** What of a batch goes into one panel of one order. */
export interface Bundle {
  readonly key: string;
  readonly order: number;
  readonly panel: string;
  readonly pieces: number;
  readonly cut: number;
  /** Marks with how many of each: `A2 ×3`. */
  readonly marks: readonly string[];
}

/** Pieces of a batch by order and panel, as they are bundled off the saw. */
export const bundlesOf = (lines: readonly { readonly pieces: readonly CutPiece[] }[]): Bundle[] => {
  const groups = new Map<string, { order: number; panel: string; parts: { mark: string; cut: boolean }[] }>();
  // A spoiled piece is not there, and is cut again from another stick.
  for (const piece of lines.flatMap((l) => l.pieces).filter((p) => p.state !== 'spoiled'))
    for (const { order, panel, mark } of piece.parts) {
      const key = `${order} ${panel}`;
      const group = groups.get(key) ?? { order, panel, parts: [] };
      group.parts.push({ mark, cut: piece.state === 'cut' });
      groups.set(key, group);
    }
  return [...groups]
    .map(([key, { order, panel, parts }]) => {
      const counts = new Map<string, number>();
      for (const p of parts) counts.set(p.mark, (counts.get(p.mark) ?? 0) + 1);
      return {
        key,
        order,
        panel,
        pieces: parts.length,
        cut: parts.filter((p) => p.cut).length,
        marks: [...counts]
          .sort(([a], [b]) => a.localeCompare(b, undefined, { numeric: true }))
          .map(([mark, n]) => (n > 1 ? `${mark} ×${n}` : mark)),
      };
    })
    .sort((a, b) => a.order - b.order || a.panel.localeCompare(b.panel));
};
