import { clean } from '../../measure/index.ts';
import { boundSheets } from './boundSheets.ts';
import { fillStrips } from './fillStrips.ts';
import { fillSheets, fitsOn, SPLITS } from './fillSheets.ts';
import type { Filled, OnePiece } from './fillSheets.ts';
import type { SheetDemand, SheetKind, SheetsPlan } from './types.ts';
import { randomOf } from '../randomOf.ts';
import { planStrips } from './planStrips.ts';
import type { Effort } from '../sticks/searchPatterns.ts';

/** Plans of an item that are tried with their pieces in another order, and sheets that are planned anew, at most. */
const TRIES = 400;
/** Pieces laid in all tries together: what is large is tried less often, and is the same on every machine. */
const MOST_LAID = 60_000;
/** What a plan by strips takes, counted as pieces that are laid. */
const STRIPS = 6;

interface Draft {
  readonly sheets: readonly Filled[];
  readonly out: readonly OnePiece[];
}

const areaOf = (list: readonly OnePiece[]): number => list.reduce((sum, p) => sum + p.length * p.width, 0);
const costOf = (kinds: readonly SheetKind[], d: Draft): number =>
  d.sheets.reduce((sum, s) => sum + (kinds[s.kind]?.cost ?? 0), 0);

/** How empty the emptiest sheet is: of plans that cost the same the one that is nearest to needing a sheet less. */
const emptiest = (kinds: readonly SheetKind[], d: Draft): number =>
  Math.min(1, ...d.sheets.map((s) => areaOf(s.wanted) / ((kinds[s.kind]?.length ?? 1) * (kinds[s.kind]?.width ?? 1))));

const isBetter = (kinds: readonly SheetKind[], a: Draft, b: Draft | undefined): boolean => {
  if (!b) return true;
  const [ua, ub] = [areaOf(a.out), areaOf(b.out)];
  if (Math.abs(ua - ub) > 1e-6) return ua < ub;
  const [ca, cb] = [costOf(kinds, a), costOf(kinds, b)];
  return ca !== cb ? ca < cb : emptiest(kinds, a) < emptiest(kinds, b) - 1e-9;
};

const ORDERS: readonly ((a: OnePiece, b: OnePiece) => number)[] = [
  (a, b) => b.length * b.width - a.length * a.width,
  (a, b) => Math.max(b.length, b.width) - Math.max(a.length, a.width) || b.length * b.width - a.length * a.width,
  (a, b) => b.width - a.width || b.length - a.length,
  (a, b) => b.length - a.length || b.width - a.width,
  (a, b) => Math.min(b.length, b.width) - Math.min(a.length, a.width) || b.length * b.width - a.length * a.width,
];

const planItem = (
  kinds: readonly SheetKind[],
  ones: readonly OnePiece[],
  { kerf, saw }: SheetDemand,
  least: number,
  effort: Effort,
): Draft & { readonly least: number } => {
  let best: Draft | undefined;
  let floor = least;
  const all = kinds.map((k) => k.quantity);
  const done = (): boolean => best !== undefined && best.out.length === 0 && costOf(kinds, best) <= floor;
  let laid = 0;
  const attempt = (list: readonly OnePiece[], split: (typeof SPLITS)[number], prefer: number): void => {
    laid += list.length;
    const draft = fillSheets(kinds, all, list, kerf, saw, { split, prefer });
    if (isBetter(kinds, draft, best)) best = draft;
  };
  const splits = saw === 'table' ? SPLITS.slice(0, 1) : SPLITS;
  for (const order of ORDERS)
    for (const split of splits)
      for (let prefer = -1; prefer < (kinds.length > 1 ? kinds.length : 0); prefer++)
        if (!done()) attempt([...ones].sort(order), split, prefer);
  // Strips may be filled by themselves first, from what there is without limit: any saw cuts those.
  const endless = kinds.findIndex((k) => k.quantity === null && ones.every((p) => fitsOn(k, p)));
  const byStrips = (list: readonly OnePiece[], upright: boolean): void => {
    if (endless < 0 || effort === 'quick') return;
    laid += STRIPS * list.length;
    const sheets = fillStrips(kinds[endless] as SheetKind, endless, list, kerf, upright);
    if (sheets.reduce((n, s) => n + s.wanted.length, 0) < list.length) return;
    const draft = { sheets, out: [] };
    if (isBetter(kinds, draft, best)) best = draft;
  };
  for (const order of ORDERS)
    for (const upright of [false, true]) if (!done()) byStrips([...ones].sort(order), upright);
  if (saw === 'table' && effort !== 'quick' && !done() && best?.out.length === 0) {
    const { sheets, bound } = planStrips(kinds, ones, kerf, best.sheets, floor);
    floor = Math.max(floor, bound);
    if (sheets && isBetter(kinds, { sheets, out: [] }, best)) best = { sheets, out: [] };
  }
  const random = randomOf(ones.length * 97 + kinds.length);
  const pick = (n: number): number => Math.floor(random() * n);
  /** Neighbours change places here and there. */
  const shuffled = (list: OnePiece[], share: number): OnePiece[] => {
    for (let i = 0; i + 1 < list.length; i++)
      if (random() < share) [list[i], list[i + 1]] = [list[i + 1] as OnePiece, list[i] as OnePiece];
    return list;
  };
  const until = typeof effort === 'number' ? Date.now() + 1000 * effort : 0;
  const goOn = (k: number): boolean =>
    effort !== 'quick' && (typeof effort === 'number' ? Date.now() < until : k < TRIES && laid < MOST_LAID);
  for (let k = 0; goOn(k) && !done(); k++) {
    const now = best as Draft;
    if (saw === 'table' && k % 3 === 0) {
      byStrips(shuffled([...ones].sort(ORDERS[pick(ORDERS.length)]), 0.4), random() < 0.3);
      continue;
    }
    if (now.sheets.length > 2 && k % 2 === 0) {
      // A few sheets planned anew, the emptiest among them.
      const fullness = now.sheets.map(
        (s) => areaOf(s.wanted) / ((kinds[s.kind]?.length ?? 1) * (kinds[s.kind]?.width ?? 1)),
      );
      const chosen = new Set([fullness.indexOf(Math.min(...fullness))]);
      while (chosen.size < Math.min(now.sheets.length, 2 + pick(3))) chosen.add(pick(now.sheets.length));
      const kept = now.sheets.filter((_, i) => !chosen.has(i));
      const pieces = [...now.sheets.filter((_, i) => chosen.has(i)).flatMap((s) => s.wanted), ...now.out];
      const left = all.map((q, j) => (q === null ? null : q - kept.filter((s) => s.kind === j).length));
      laid += pieces.length;
      const sorted = shuffled([...pieces].sort(ORDERS[pick(ORDERS.length)]), 0.25);
      const again = fillSheets(kinds, left, sorted, kerf, saw, {
        split: splits[pick(splits.length)] ?? 'short',
        prefer: pick(kinds.length + 1) - 1,
      });
      const draft = { sheets: [...kept, ...again.sheets], out: again.out };
      if (isBetter(kinds, draft, best)) best = draft;
      continue;
    }
    const list = shuffled([...ones].sort(ORDERS[pick(ORDERS.length)]), 0.3);
    attempt(list, splits[pick(splits.length)] ?? 'short', pick(kinds.length + 1) - 1);
  }
  return { ...(best ?? { sheets: [], out: ones }), least: floor };
};

/**
 * Plans which rectangles come out of which sheets at the least cost of the sheets, each sheet cut by straight cuts from edge to
 * edge in a sequence that the saw can do; grain is kept. What cannot be cut is listed with the reason.
 */
export const planSheetDemand = (demand: SheetDemand, effort: Effort = demand.effort ?? 'full'): SheetsPlan => {
  const unplaced: SheetsPlan['unplaced'][number][] = [];
  const sheets: SheetsPlan['sheets'][number][] = [];
  let bound = 0;
  const items = [...new Set(demand.pieces.map((p) => p.item))];
  const each = typeof effort === 'number' ? effort / Math.max(1, items.length) : effort;
  for (const item of items) {
    const kinds = demand.stock.filter((s) => s.item === item && s.quantity !== 0);
    const mine = demand.pieces.filter((p) => p.item === item && p.quantity > 0);
    const ones: OnePiece[] = [];
    for (const p of mine) {
      if (kinds.length === 0) unplaced.push({ id: p.id, quantity: p.quantity, why: `No ${item} is in stock.` });
      else if (!kinds.some((k) => fitsOn(k, p)))
        unplaced.push({
          id: p.id,
          quantity: p.quantity,
          why: `At ${clean(p.length)} × ${clean(p.width)} in it is larger than any sheet of ${item}${p.grain ? ', with its grain along the sheet' : ''}.`,
        });
      else ones.push(...Array.from({ length: p.quantity }, () => p));
    }
    if (ones.length === 0) continue;
    const least = boundSheets(kinds, ones, demand.kerf, each);
    const draft = planItem(kinds, ones, demand, least, each);
    for (const { kind, pieces, cuts } of draft.sheets) {
      const k = kinds[kind] as SheetKind;
      const put = pieces.map((p) => ({ ...p, x: clean(p.x), y: clean(p.y) }));
      sheets.push({
        item,
        length: k.length,
        width: k.width,
        cost: k.cost,
        pieces: put,
        cuts: cuts.map((c) => ({ ...c, at: clean(c.at), from: clean(c.from), to: clean(c.to) })),
      });
    }
    for (const p of mine) {
      const quantity = draft.out.filter((o) => o.id === p.id).length;
      if (quantity > 0) unplaced.push({ id: p.id, quantity, why: `There is not enough ${item} in stock.` });
    }
    // Nothing bounds what a plan costs that cuts less.
    if (draft.out.length === 0) bound += Math.min(draft.least, costOf(kinds, draft));
  }
  const cost = sheets.reduce((sum, s) => sum + s.cost, 0);
  return { sheets, cost, bound, proved: unplaced.length === 0 && cost <= bound, unplaced };
};
