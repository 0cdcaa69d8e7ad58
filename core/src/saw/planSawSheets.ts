import { planSheetDemand } from '../cut/index.ts';
import type { SheetCut, SheetCutUp, SheetSaw } from '../cut/index.ts';
import { clean } from '../measure/index.ts';
import { findSheet } from '../stock/index.ts';
import type { SawPart } from './types.ts';

const EPS = 1e-6;

/** A rectangle that is wanted from a sheet, the length along its grain. */
export interface SawSheetPart extends SawPart {
  readonly width: number;
  /** What is cut out of it, to cut others from. */
  readonly drops?: readonly { readonly length: number; readonly width: number }[];
}

/** What sheets come from: a line of the rack, or the yard. */
export interface SheetSource {
  readonly stock: number | null;
  readonly item: string;
  readonly length: number;
  readonly width: number;
  readonly cost: number;
  readonly quantity: number | null;
}

/** A piece on a sheet: where it lies, low corner, and how; x along the sheet. */
export interface SawPut {
  readonly x: number;
  readonly y: number;
  readonly length: number;
  readonly width: number;
  readonly part: SawSheetPart;
}

/** One sheet in its turn, with its cuts in sequence and what is left that is worth keeping. Sheets of one `stack` are cut lying on each other. */
export interface SawSheet {
  readonly item: string;
  readonly length: number;
  readonly width: number;
  readonly cost: number;
  readonly stock: number | null;
  readonly pieces: readonly SawPut[];
  readonly cuts: readonly SheetCut[];
  readonly rests: readonly { readonly length: number; readonly width: number }[];
  readonly stack: number;
  /** It is what was cut out of this part, not a sheet. */
  readonly dropOf?: SawPart;
}

export interface SawSheets {
  readonly sheets: readonly SawSheet[];
  readonly cost: number;
  readonly bound: number;
  readonly proved: boolean;
  readonly unplaced: readonly { readonly part: SawPart; readonly why: string }[];
}

interface Rect {
  readonly x: number;
  readonly y: number;
  readonly l: number;
  readonly w: number;
}

/** Narrowest rest that is kept, and the least of its length, inches. */
const NARROWEST = 8;
const SHORTEST = 24;

/** What lies there after a sheet's cuts and is none of its pieces: rectangles, the largest first. */
export const findRests = (sheet: Pick<SheetCutUp, 'length' | 'width' | 'pieces' | 'cuts'>, kerf: number): Rect[] => {
  let there: Rect[] = [{ x: 0, y: 0, l: sheet.length, w: sheet.width }];
  for (const { along, at, from, to } of sheet.cuts) {
    const k = there.findIndex((r) =>
      along === 'length'
        ? r.x > from - EPS && r.x + r.l < to + EPS && r.y < at - EPS && r.y + r.w > at + EPS
        : r.y > from - EPS && r.y + r.w < to + EPS && r.x < at - EPS && r.x + r.l > at + EPS,
    );
    const r = there[k];
    if (!r) continue;
    const rest: Rect[] =
      along === 'length'
        ? [
            { ...r, w: at - r.y },
            { ...r, y: at + kerf, w: r.y + r.w - at - kerf },
          ]
        : [
            { ...r, l: at - r.x },
            { ...r, x: at + kerf, l: r.x + r.l - at - kerf },
          ];
    there = [...there.slice(0, k), ...rest.filter((q) => q.l > EPS && q.w > EPS), ...there.slice(k + 1)];
  }
  return there
    .filter((r) => !sheet.pieces.some((p) => Math.abs(p.x - r.x) < 0.01 && Math.abs(p.y - r.y) < 0.01))
    .sort((a, b) => b.l * b.w - a.l * a.w);
};

const kindOf = (s: Pick<SheetCutUp, 'item' | 'length' | 'width'>): string => `${s.item}|${s.length}|${s.width}`;

const bare = ({ drops: _, width: __, ...part }: SawSheetPart): SawPart => part;

/** What is cut out of some parts, equal drops together, with the parts that they come from. */
const dropsByKind = (
  parts: readonly SawSheetPart[],
): Map<string, { readonly kind: Omit<SheetSource, 'quantity'>; readonly from: SawSheetPart[] }> => {
  const out = new Map<string, { kind: Omit<SheetSource, 'quantity'>; from: SawSheetPart[] }>();
  for (const part of parts)
    for (const drop of part.drops ?? []) {
      const kind = { stock: null, item: part.item, length: clean(drop.length), width: clean(drop.width), cost: 0 };
      const before = out.get(kindOf(kind));
      if (before) before.from.push(part);
      else out.set(kindOf(kind), { kind, from: [part] });
    }
  return out;
};

/**
 * Plans the sheets of a batch from the rack and what can be bought, equal sheets together.
 * @param cut parts that are cut already, with what was cut out of them and still lies there
 */
export const planSawSheets = (
  parts: readonly SawSheetPart[],
  sources: readonly SheetSource[],
  rules: { readonly kerf: number; readonly saw: SheetSaw },
  cut: readonly SawSheetPart[] = [],
): SawSheets => {
  const sizeOf = (p: SawSheetPart): string => `${p.item}|${p.length}|${p.width}`;
  const queue = new Map<string, SawSheetPart[]>();
  for (const p of [...parts].sort((a, b) => a.order - b.order || a.panel.localeCompare(b.panel)))
    queue.set(sizeOf(p), [...(queue.get(sizeOf(p)) ?? []), p]);
  const open = dropsByKind([...parts, ...cut]);
  const all: SheetSource[] = [
    ...[...open.values()].map(({ kind, from }) => ({ ...kind, quantity: from.length })),
    ...sources,
  ];
  const plan = planSheetDemand({
    kerf: rules.kerf,
    saw: rules.saw,
    stock: all.map(({ stock: _, ...s }) => s),
    pieces: [...queue].map(([id, mine]) => {
      const { item, length, width } = mine[0] as SawSheetPart;
      return { id, item, length, width, quantity: mine.length, grain: findSheet(item).grain };
    }),
  });
  const left = sources.map((s) => s.quantity);
  const cutUp = (s: SheetCutUp): Omit<SawSheet, 'stock' | 'rests'> => ({
    item: s.item,
    length: s.length,
    width: s.width,
    cost: s.cost,
    pieces: s.pieces.map(({ id, ...put }) => ({ ...put, part: queue.get(id)?.shift() as SawSheetPart })),
    cuts: s.cuts,
    stack: stacks.indexOf(keyOf(s)),
  });
  const keyOf = (s: SheetCutUp): string =>
    `${s.item}|${s.length}|${s.width}|${s.pieces.map((p) => `${p.x},${p.y},${p.length},${p.width}`).join()}`;
  // Drops are there once what they are cut out of is: after all sheets, the larger before what is cut out of theirs.
  const isDrop = (s: SheetCutUp): boolean => open.has(kindOf(s)) && s.cost === 0;
  const inTurn = [...plan.sheets].sort(
    (a, b) => Number(isDrop(a)) - Number(isDrop(b)) || (isDrop(a) ? b.length * b.width - a.length * a.width : 0),
  );
  const stacks = [...new Set(inTurn.map(keyOf))];
  const sheets = inTurn
    .sort((a, b) => stacks.indexOf(keyOf(a)) - stacks.indexOf(keyOf(b)))
    .map((s): SawSheet => {
      const dropOf = isDrop(s) ? open.get(kindOf(s))?.from.shift() : undefined;
      if (dropOf)
        return {
          ...cutUp(s),
          stock: null,
          rests: [],
          dropOf: bare(dropOf),
        };
      const k = sources.findIndex(
        (q, i) =>
          q.item === s.item && q.length === s.length && q.width === s.width && q.cost === s.cost && left[i] !== 0,
      );
      const before = left[k];
      if (before !== null && before !== undefined) left[k] = before - 1;
      return {
        ...cutUp(s),
        stock: sources[k]?.stock ?? null,
        rests: findRests(s, rules.kerf)
          .map((r) => ({ length: clean(Math.max(r.l, r.w)), width: clean(Math.min(r.l, r.w)) }))
          .filter((r) => r.width >= NARROWEST && r.length >= SHORTEST),
      };
    });
  // A drop that nothing is cut from goes back to the rack with what is left of its part's sheet, where it is large enough.
  const unused = new Map<SawSheetPart, { length: number; width: number }[]>();
  for (const { kind, from } of open.values())
    for (const part of from) {
      const rest = {
        length: clean(Math.max(kind.length, kind.width)),
        width: clean(Math.min(kind.length, kind.width)),
      };
      if (rest.width >= NARROWEST && rest.length >= SHORTEST) unused.set(part, [...(unused.get(part) ?? []), rest]);
    }
  const kept = sheets.map((s) => ({ ...s, rests: [...s.rests, ...s.pieces.flatMap((p) => unused.get(p.part) ?? [])] }));
  return {
    sheets: kept,
    cost: plan.cost,
    bound: plan.bound,
    proved: plan.proved,
    unplaced: plan.unplaced.flatMap((u) =>
      (queue.get(u.id) ?? []).slice(0, u.quantity).map((part) => ({ part, why: u.why })),
    ),
  };
};
