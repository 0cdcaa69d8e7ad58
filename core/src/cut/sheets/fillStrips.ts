import { planSticks } from '../planSticks.ts';
import type { Filled, OnePiece } from './fillSheets.ts';
import type { SheetCut, SheetKind, SheetPut } from './types.ts';

const EPS = 1e-6;
/** Lengths are added up in these when a strip is filled: rounded up, so that what is chosen fits. */
const STEP = 1 / 8;

/** A piece as it lies in a strip. */
export interface InStrip {
  readonly piece: OnePiece;
  readonly length: number;
  readonly width: number;
}

/** A strip along the sheet, as wide as its widest piece. */
export interface Strip {
  readonly width: number;
  readonly pieces: readonly InStrip[];
}

/** Strips one over another on a sheet, and its cuts: rips, then cross cuts strip by strip, then a trim of what is narrower than its strip. */
export const layStrips = (
  kind: Pick<SheetKind, 'length' | 'width'>,
  strips: readonly Strip[],
  kerf: number,
): { readonly put: SheetPut[]; readonly wanted: OnePiece[]; readonly cuts: SheetCut[] } => {
  const put: SheetPut[] = [];
  const wanted: OnePiece[] = [];
  const rips: SheetCut[] = [];
  const across: SheetCut[] = [];
  let y = 0;
  for (const s of strips) {
    if (y + s.width < kind.width - EPS) rips.push({ along: 'length', at: y + s.width, from: 0, to: kind.length });
    const trims: SheetCut[] = [];
    let x = 0;
    for (const p of s.pieces) {
      put.push({ id: p.piece.id, x, y, length: p.length, width: p.width });
      wanted.push(p.piece);
      if (x + p.length < kind.length - EPS) across.push({ along: 'width', at: x + p.length, from: y, to: y + s.width });
      if (p.width < s.width - EPS) trims.push({ along: 'length', at: y + p.width, from: x, to: x + p.length });
      x += p.length + kerf;
    }
    across.push(...trims);
    y += s.width + kerf;
  }
  return { put, wanted, cuts: [...rips, ...across] };
};

/** Which way round a piece may lie on a sheet: along it, and turned where it has no grain. */
export const ways = (p: OnePiece): readonly (readonly [number, number])[] =>
  p.grain || p.length === p.width
    ? [[p.length, p.width]]
    : [
        [p.length, p.width],
        [p.width, p.length],
      ];

/** The pieces whose area fills a length best, none wider than the strip: a knapsack, each piece once, as it may lie. */
const fillLength = (room: number, width: number, list: readonly OnePiece[], kerf: number): InStrip[] => {
  const cells = Math.floor((room + kerf) / STEP + EPS);
  if (cells <= 0) return [];
  const best = new Float64Array(cells + 1);
  const can = list.flatMap((piece, at) => {
    const lying = ways(piece).filter(([l, w]) => w <= width + EPS && l <= room + EPS);
    return lying.length === 0 ? [] : [{ piece, at, lying }];
  });
  const taken = can.map(() => new Int8Array(cells + 1).fill(-1));
  can.forEach(({ lying }, i) => {
    const mine = taken[i] as Int8Array;
    for (let s = cells; s >= 1; s--)
      lying.forEach(([l, w], k) => {
        const need = Math.ceil((l + kerf) / STEP - EPS);
        if (need > s) return;
        const value = (best[s - need] as number) + l * w;
        if (value > (best[s] as number) + EPS) {
          best[s] = value;
          mine[s] = k;
        }
      });
  });
  const out: InStrip[] = [];
  let s = cells;
  for (let i = can.length - 1; i >= 0; i--) {
    const { piece, lying } = can[i] as (typeof can)[number];
    const k = (taken[i] as Int8Array)[s] as number;
    if (k < 0) continue;
    const [length, w] = lying[k] as readonly [number, number];
    out.push({ piece, length, width: w });
    s -= Math.ceil((length + kerf) / STEP - EPS);
  }
  return out;
};

/**
 * Sheets of one kind for a table saw: strips first, each begun by the next piece of the list and filled with what fits it best,
 * then as few sheets as these strips take, as sticks are planned.
 * @param upright whether a piece that may be turned begins a strip standing across the sheet
 */
export const fillStrips = (
  kind: SheetKind,
  at: number,
  list: readonly OnePiece[],
  kerf: number,
  upright: boolean,
): Filled[] => {
  const strips: Strip[] = [];
  let rest = [...list];
  while (rest.length > 0) {
    const piece = rest[0] as OnePiece;
    const lying = ways(piece)
      .filter(([l, w]) => l <= kind.length + EPS && w <= kind.width + EPS)
      .sort((a, b) => (upright ? b[1] - a[1] : a[1] - b[1]))[0];
    if (!lying) return [];
    const [length, width] = lying;
    const more = fillLength(kind.length - length - kerf, width, rest.slice(1), kerf);
    const mine = [{ piece, length, width }, ...more].sort((a, b) => b.width - a.width || b.length - a.length);
    strips.push({ width, pieces: mine });
    const gone = new Map<OnePiece, number>();
    for (const m of mine) gone.set(m.piece, (gone.get(m.piece) ?? 0) + 1);
    // Equal pieces are one and the same in the list: as many go as are taken.
    rest = rest.filter((p) => {
      const n = gone.get(p) ?? 0;
      if (n > 0) gone.set(p, n - 1);
      return n === 0;
    });
  }
  const byWidth = new Map<number, Strip[]>();
  for (const s of strips) byWidth.set(s.width, [...(byWidth.get(s.width) ?? []), s]);
  const plan = planSticks(
    {
      kerf,
      endTrim: 0,
      stock: [{ item: 'x', length: kind.width, cost: 1, quantity: null }],
      pieces: [...byWidth].map(([width, mine]) => ({
        id: String(width),
        item: 'x',
        length: width,
        quantity: mine.length,
      })),
    },
    'quick',
  );
  if (plan.unplaced.length > 0) return [];
  return plan.sticks.map((s) => {
    const mine = s.cuts.map((c) => byWidth.get(Number(c.id))?.shift() as Strip);
    const { put, wanted, cuts } = layStrips(kind, mine, kerf);
    return { kind: at, pieces: put, wanted, cuts };
  });
};
