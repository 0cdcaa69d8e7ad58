import { clean } from '../measure/index.ts';

/** A rectangle wanted from a sheet: `length` along the sheet's grain when `grain` is set. */
export interface SheetPiece {
  readonly id: string;
  readonly item: string;
  readonly length: number;
  readonly width: number;
  readonly quantity: number;
  readonly grain: boolean;
}

/** A piece laid on a sheet: low corner and extents, x along the sheet's length. */
export interface SheetPlace {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly length: number;
  readonly width: number;
  readonly turned: boolean;
}

/** One sheet of the plan. */
export interface SheetLayout {
  readonly item: string;
  readonly length: number;
  readonly width: number;
  readonly places: readonly SheetPlace[];
}

/** A sheet plan; every layout can be cut by straight cuts from edge to edge. */
export interface SheetPlan {
  readonly sheets: readonly SheetLayout[];
  /** The least number of sheets any plan could use, by area and by pieces too large to share. */
  readonly bound: number;
  readonly unplaced: readonly { readonly id: string; readonly quantity: number; readonly why: string }[];
}

export interface SheetStock {
  readonly item: string;
  readonly length: number;
  readonly width: number;
}

interface Rect {
  readonly x: number;
  readonly y: number;
  readonly l: number;
  readonly w: number;
}
type One = Omit<SheetPiece, 'quantity'>;
type Order = (a: One, b: One) => number;

const ORDERS: readonly Order[] = [
  (a, b) => b.length * b.width - a.length * a.width,
  (a, b) => Math.max(b.length, b.width) - Math.max(a.length, a.width) || b.length * b.width - a.length * a.width,
  (a, b) => b.width - a.width || b.length - a.length,
  (a, b) => b.length - a.length || b.width - a.width,
];
type Split = 'short' | 'long' | 'length' | 'width';
const SPLITS: readonly Split[] = ['short', 'long', 'length', 'width'];

/** The two rectangles left of a free one after a piece is cut from its corner. */
const splitFree = (free: Rect, l: number, w: number, kerf: number, how: Split): Rect[] => {
  const dl = free.l - l - kerf;
  const dw = free.w - w - kerf;
  const lengthFirst = how === 'length' || (how === 'short' && dl < dw) || (how === 'long' && dl >= dw);
  const out: Rect[] = lengthFirst
    ? [
        { x: free.x, y: free.y + w + kerf, l: free.l, w: dw },
        { x: free.x + l + kerf, y: free.y, l: dl, w },
      ]
    : [
        { x: free.x + l + kerf, y: free.y, l: dl, w: free.w },
        { x: free.x, y: free.y + w + kerf, l, w: dw },
      ];
  return out.filter((r) => r.l > 0.5 && r.w > 0.5);
};

const EPS = 1e-6;

const layOut = (stock: SheetStock, pieces: readonly One[], kerf: number, split: Split): SheetLayout[] => {
  const sheets: { places: SheetPlace[]; free: Rect[] }[] = [];
  for (const piece of pieces) {
    let best: { sheet: number; free: number; l: number; w: number; turned: boolean; score: number } | undefined;
    const consider = (sheet: number, k: number, free: Rect, turned: boolean): void => {
      const l = turned ? piece.width : piece.length;
      const w = turned ? piece.length : piece.width;
      if (l > free.l + EPS || w > free.w + EPS) return;
      const score = Math.min(free.l - l, free.w - w) + sheet * 1e-3;
      if (!best || score < best.score) best = { sheet, free: k, l, w, turned, score };
    };
    const look = (s: number): void =>
      sheets[s]?.free.forEach((free, k) => {
        consider(s, k, free, false);
        if (!piece.grain) consider(s, k, free, true);
      });
    sheets.forEach((_, s) => look(s));
    if (!best) {
      sheets.push({ places: [], free: [{ x: 0, y: 0, l: stock.length, w: stock.width }] });
      look(sheets.length - 1);
    }
    if (!best) continue;
    const sheet = sheets[best.sheet];
    const free = sheet?.free[best.free];
    if (!sheet || !free) continue;
    sheet.places.push({
      id: piece.id,
      x: clean(free.x),
      y: clean(free.y),
      length: best.l,
      width: best.w,
      turned: best.turned,
    });
    sheet.free.splice(best.free, 1, ...splitFree(free, best.l, best.w, kerf, split));
  }
  return sheets.map((s) => ({ item: stock.item, length: stock.length, width: stock.width, places: s.places }));
};

/** How much of the last sheet is left over: of plans with equally many sheets the one that empties the last is kept. */
const lastUse = (sheets: readonly SheetLayout[]): number =>
  Math.min(...sheets.map((s) => s.places.reduce((sum, p) => sum + p.length * p.width, 0)));

/**
 * Lays rectangles on sheets so that each sheet can be cut by straight cuts from edge to edge; grain is kept.
 * Tries every combination of order and split rule and keeps the plan with the fewest sheets.
 */
export const planSheets = (stocks: readonly SheetStock[], pieces: readonly SheetPiece[], kerf = 0.125): SheetPlan => {
  const sheets: SheetLayout[] = [];
  const unplaced: SheetPlan['unplaced'][number][] = [];
  let bound = 0;
  for (const item of [...new Set(pieces.map((p) => p.item))]) {
    const stock = stocks.find((s) => s.item === item);
    const mine = pieces.filter((p) => p.item === item && p.quantity > 0);
    if (!stock) {
      unplaced.push(...mine.map((p) => ({ id: p.id, quantity: p.quantity, why: `No sheet of ${item} is known.` })));
      continue;
    }
    const fits = (p: SheetPiece): boolean =>
      (p.length <= stock.length + EPS && p.width <= stock.width + EPS) ||
      (!p.grain && p.width <= stock.length + EPS && p.length <= stock.width + EPS);
    for (const p of mine)
      if (!fits(p))
        unplaced.push({
          id: p.id,
          quantity: p.quantity,
          why: `At ${clean(p.length)} × ${clean(p.width)} in it is larger than a sheet of ${stock.length} × ${stock.width}${p.grain ? ' with its grain' : ''}.`,
        });
    const ones = mine.filter(fits).flatMap((p) => Array.from({ length: p.quantity }, (): One => p));
    if (ones.length === 0) continue;
    let best: SheetLayout[] | undefined;
    for (const order of ORDERS) {
      const sorted = [...ones].sort(order);
      for (const split of SPLITS) {
        const plan = layOut(stock, sorted, kerf, split);
        if (!best || plan.length < best.length || (plan.length === best.length && lastUse(plan) < lastUse(best)))
          best = plan;
      }
    }
    sheets.push(...(best ?? []));
    const area = ones.reduce((sum, p) => sum + p.length * p.width, 0);
    const large = ones.filter(
      (p) => Math.min(p.length, p.width) > stock.width / 2 && Math.max(p.length, p.width) > stock.length / 2,
    ).length;
    bound += Math.max(Math.ceil(area / (stock.length * stock.width) - EPS), large);
  }
  return { sheets, bound, unplaced };
};
