import { layStrips, ways } from './fillStrips.ts';
import type { InStrip } from './fillStrips.ts';
import type { SheetCut, SheetKind, SheetPiece, SheetPut, SheetSaw } from './types.ts';

/** One rectangle that is wanted. */
export type OnePiece = Pick<SheetPiece, 'id' | 'length' | 'width' | 'grain'>;

/** A sheet being filled. */
export interface Filled {
  readonly kind: number;
  readonly pieces: readonly SheetPut[];
  /** What each place holds, in the order of `pieces`. */
  readonly wanted: readonly OnePiece[];
  /** In sequence: each from edge to edge of what lies there then. */
  readonly cuts: readonly SheetCut[];
}

/** A sheet's filling, and what found no place on it. */
interface OneSheet {
  readonly put: SheetPut[];
  readonly in: OnePiece[];
  readonly out: OnePiece[];
  readonly cuts: SheetCut[];
}

interface Free {
  readonly x: number;
  readonly y: number;
  readonly l: number;
  readonly w: number;
}

/** What is left beside and beyond a piece: the long rest along the sheet, along its width, or whichever is larger or smaller. */
export const SPLITS = ['short', 'long', 'length', 'width'] as const;
export type Split = (typeof SPLITS)[number];

const EPS = 1e-6;

/** The cuts that free a piece in the corner of a rectangle, and what they leave of it. */
const cutFree = (free: Free, l: number, w: number, kerf: number, how: Split): { cuts: SheetCut[]; rests: Free[] } => {
  const dl = free.l - l - kerf;
  const dw = free.w - w - kerf;
  const lengthFirst = how === 'length' || (how === 'short' && dl < dw) || (how === 'long' && dl >= dw);
  const along: SheetCut = { along: 'length', at: free.y + w, from: free.x, to: free.x + (lengthFirst ? free.l : l) };
  const across: SheetCut = { along: 'width', at: free.x + l, from: free.y, to: free.y + (lengthFirst ? w : free.w) };
  const cuts = [...(free.w > w + EPS ? [along] : []), ...(free.l > l + EPS ? [across] : [])];
  const rests = lengthFirst
    ? [
        { x: free.x, y: free.y + w + kerf, l: free.l, w: dw },
        { x: free.x + l + kerf, y: free.y, l: dl, w },
      ]
    : [
        { x: free.x + l + kerf, y: free.y, l: dl, w: free.w },
        { x: free.x, y: free.y + w + kerf, l, w: dw },
      ];
  return { cuts: lengthFirst ? cuts : cuts.reverse(), rests: rests.filter((r) => r.l > EPS && r.w > EPS) };
};

/** Fills one sheet from a list, in its order, by cuts from edge to edge; gives what went in and what did not. */
const fillTrack = (kind: SheetKind, list: readonly OnePiece[], kerf: number, split: Split): OneSheet => {
  let free: Free[] = [{ x: 0, y: 0, l: kind.length, w: kind.width }];
  const put: SheetPut[] = [];
  const taken: OnePiece[] = [];
  const out: OnePiece[] = [];
  const cuts: SheetCut[] = [];
  for (const piece of list) {
    let best: { at: number; l: number; w: number; score: number } | undefined;
    free.forEach((f, at) => {
      for (const [l, w] of ways(piece)) {
        if (l > f.l + EPS || w > f.w + EPS) continue;
        const score = Math.min(f.l - l, f.w - w);
        if (!best || score < best.score - EPS) best = { at, l, w, score };
      }
    });
    if (!best) {
      out.push(piece);
      continue;
    }
    const { at, l, w } = best;
    const f = free[at] as Free;
    put.push({ id: piece.id, x: f.x, y: f.y, length: l, width: w });
    taken.push(piece);
    const { cuts: mine, rests } = cutFree(f, l, w, kerf, split);
    cuts.push(...mine);
    free = [...free.slice(0, at), ...rests, ...free.slice(at + 1)];
  }
  return { put, in: taken, out, cuts };
};

/** The same in strips along the sheet, for a table saw. */
const fillTable = (kind: SheetKind, list: readonly OnePiece[], kerf: number): OneSheet => {
  const strips: { w: number; x: number; pieces: InStrip[] }[] = [];
  let top = 0;
  const out: OnePiece[] = [];
  for (const piece of list) {
    let best: { strip: (typeof strips)[number] | undefined; l: number; w: number; score: number } | undefined;
    for (const [l, w] of ways(piece)) {
      for (const strip of strips) {
        if (w > strip.w + EPS || strip.x + l > kind.length + EPS) continue;
        const score = (strip.w - w) * l;
        if (!best || score < best.score - EPS) best = { strip, l, w, score };
      }
      // A strip of its own, where the piece lies long: less of the sheet's width goes for it.
      if (top + w <= kind.width + EPS && l <= kind.length + EPS) {
        const score = 1e6 + w;
        if (!best || score < best.score - EPS) best = { strip: undefined, l, w, score };
      }
    }
    if (!best) {
      out.push(piece);
      continue;
    }
    const { l, w } = best;
    let { strip } = best;
    if (!strip) {
      strip = { w, x: 0, pieces: [] };
      strips.push(strip);
      top += w + kerf;
    }
    strip.pieces.push({ piece, length: l, width: w });
    strip.x += l + kerf;
  }
  const laid = layStrips(
    kind,
    strips.map((s) => ({ width: s.w, pieces: s.pieces })),
    kerf,
  );
  return { put: laid.put, in: laid.wanted, out, cuts: laid.cuts };
};

/** Whether a piece fits on a sheet of a kind at all. */
export const fitsOn = (kind: Pick<SheetKind, 'length' | 'width'>, p: OnePiece): boolean =>
  ways(p).some(([l, w]) => l <= kind.length + EPS && w <= kind.width + EPS);

/** A rule by which sheets are filled. */
export interface Filling {
  readonly split: Split;
  /** Which kind of sheet is taken first, where the next piece fits on it and there is one. */
  readonly prefer: number;
}

/** What some pieces are cut from, sheet by sheet in their order; what finds none is left out. */
export const fillSheets = (
  kinds: readonly SheetKind[],
  left: readonly (number | null)[],
  list: readonly OnePiece[],
  kerf: number,
  saw: SheetSaw,
  { split, prefer }: Filling,
): { readonly sheets: Filled[]; readonly out: OnePiece[] } => {
  const sheets: Filled[] = [];
  const still = [...left];
  const nowhere: OnePiece[] = [];
  let rest = [...list];
  const fill = (k: number, pieces: readonly OnePiece[]) =>
    saw === 'table'
      ? fillTable(kinds[k] as SheetKind, pieces, kerf)
      : fillTrack(kinds[k] as SheetKind, pieces, kerf, split);
  while (rest.length > 0) {
    const next = rest[0] as OnePiece;
    const can = kinds.map((_, k) => k).filter((k) => still[k] !== 0 && fitsOn(kinds[k] as SheetKind, next));
    if (can.length === 0) {
      nowhere.push(next);
      rest = rest.slice(1);
      continue;
    }
    // Of the kinds that take it the one whose wood costs least for what comes out of it, the preferred one first.
    let best: { k: number; done: OneSheet; score: number } | undefined;
    for (const k of can) {
      const done = fill(k, rest);
      if (done.in.length === 0) continue;
      const area = done.in.reduce((sum, p) => sum + p.length * p.width, 0);
      const score = (kinds[k] as SheetKind).cost / area - (k === prefer ? 1e9 : 0);
      if (!best || score < best.score) best = { k, done, score };
    }
    if (!best) {
      nowhere.push(next);
      rest = rest.slice(1);
      continue;
    }
    const before = still[best.k] ?? null;
    if (before !== null) still[best.k] = before - 1;
    sheets.push({ kind: best.k, pieces: best.done.put, wanted: best.done.in, cuts: best.done.cuts });
    rest = best.done.out;
  }
  return { sheets, out: nowhere };
};
