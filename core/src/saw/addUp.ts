/** A stick, sheet or roll that was cut. Inches. */
export interface CutUp {
  readonly kind: 'stick' | 'sheet' | 'roll';
  readonly length: number;
  readonly width: number | null;
  readonly pieces: readonly { readonly length: number; readonly width?: number; readonly state: string }[];
  /** What went back to the rack; strips of a stick have a width. */
  readonly rests: readonly { readonly length: number; readonly width?: number }[];
}

/** Where it went: inches of a stick, square inches of a sheet. All but `taken` add up to `taken`. */
export interface Went {
  readonly taken: number;
  readonly pieces: number;
  readonly returned: number;
  readonly kerf: number;
  readonly spoiled: number;
  readonly scrap: number;
}

/**
 * Where a stick or sheet went: good pieces, what went back, what the blade took, what was no good, and what is scrap. A strip that
 * ripping leaves is of the width of its piece, and counted with it.
 */
export const addUp = (cut: CutUp, kerf: number): Went => {
  const sheet = cut.kind !== 'stick';
  const size = (p: { readonly length: number; readonly width?: number }): number =>
    sheet ? p.length * (p.width ?? 0) : p.length;
  const taken = sheet ? cut.length * (cut.width ?? 0) : cut.length;
  const sum = (list: readonly { readonly length: number; readonly width?: number }[]): number =>
    list.reduce((n, p) => n + size(p), 0);
  const pieces = sum(cut.pieces.filter((p) => p.state !== 'spoiled'));
  const spoiled = sum(cut.pieces.filter((p) => p.state === 'spoiled'));
  const returned = sum(cut.rests.filter((r) => sheet || r.width === undefined));
  const left = Math.max(0, taken - pieces - spoiled - returned);
  // Mesh is cut with snips: nothing is lost. On a sheet the kerfs are the lines beside its pieces: half of the way round each.
  const lost =
    cut.kind === 'roll'
      ? 0
      : sheet
        ? cut.pieces.reduce((n, p) => n + kerf * (p.length + (p.width ?? 0)), 0)
        : kerf * (cut.pieces.length - (left < kerf - 1e-9 ? 1 : 0));
  const blade = Math.min(left, Math.max(0, lost));
  return { taken, pieces, returned, kerf: blade, spoiled, scrap: left - blade };
};
