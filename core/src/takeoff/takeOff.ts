import { meshFaceOf } from './meshFaces.ts';
import { countJoints, hasCut, isPadBlock, measureTravelling } from '../unit/index.ts';
import type { Build, Part } from '../unit/index.ts';
import { planRolls, planSheets, planSticks } from '../cut/index.ts';
import type { Effort, MeshPlan, SheetPlan, StickDemand, StickPiece, StickPlan, StickStock } from '../cut/index.ts';
import {
  findHardware,
  findItem,
  findLumber,
  findRoofing,
  measureBoardFeet,
  PIECE_UNIT,
  findSheet,
  itemsOf,
} from '../stock/index.ts';

/** One line of what to buy. */
export interface TakeoffLine {
  readonly item: string;
  readonly name: string;
  readonly kind: 'lumber' | 'sheet' | 'mesh' | 'roofing' | 'piece' | 'hardware';
  /** What is bought, in words: `8 ft`, `4 × 8 ft`, `36 in × 50 ft`, `each`. */
  readonly size: string;
  readonly quantity: number;
  /** Cents each and in all. */
  readonly each: number;
  readonly cost: number;
}

/** What to buy for a build, and the plans it follows from. */
export interface Takeoff {
  readonly lines: readonly TakeoffLine[];
  readonly cost: number;
  readonly boardFeet: number;
  readonly sticks: StickPlan;
  readonly sheets: SheetPlan;
  readonly mesh: MeshPlan;
  /** Share of the bought lumber length and sheet area that no part uses. */
  readonly waste: number;
}

export const KERF = 0.125;

/** Length that a stick must give a part: its long point, ripped or not. */
const lumberParts = (parts: readonly Part[]): Part[] =>
  parts.filter((p) => findItem(p.item).kind === 'lumber' && hasCut(p));

/** Stock of every lumber length, without limit, at catalogue prices. */
export const catalogueSticks = (): StickStock[] =>
  itemsOf('lumber').flatMap((l) =>
    l.lengths.map((s) => ({ item: l.key, length: s.length, cost: s.cost, quantity: null })),
  );

/** Ends the name of a ticket whose piece is ripped into two parts. */
const PAIR = '×2';

/** What a cut ticket stands for: the mark of its parts, and how many of them one piece gives. */
export const readTicket = (id: string): { readonly mark: string; readonly parts: 1 | 2 } => {
  const [name = id] = id.split('·');
  return name.endsWith(PAIR) ? { mark: name.slice(0, -PAIR.length), parts: 2 } : { mark: name, parts: 1 };
};

/** Name of the ticket of a piece that is ripped into two parts of a mark. */
export const pairTicket = (mark: string): string => `${mark}${PAIR}`;

/** Whether a piece of its stock, ripped down the middle, gives two of a part. */
const comesInPairs = (part: Part): boolean =>
  part.rip !== undefined && 2 * part.rip + KERF <= findLumber(part.item).width + 1e-9;

/** The stick demand of some parts, equal parts together; ripped parts that come in pairs take one piece for two. */
export const stickDemandOf = (
  parts: readonly Part[],
  stock: readonly StickStock[] = catalogueSticks(),
): StickDemand => {
  const pieces = new Map<string, StickPiece>();
  const add = (id: string, p: Part, by: number): void => {
    const before = pieces.get(id);
    const quantity = (before?.quantity ?? 0) + by;
    if (quantity > 0) pieces.set(id, { id, item: p.item, length: p.length, quantity });
    else pieces.delete(id);
  };
  for (const p of lumberParts(parts)) {
    const odd = pieces.has(p.mark);
    if (odd && comesInPairs(p)) {
      add(p.mark, p, -1);
      add(pairTicket(p.mark), p, 1);
    } else add(p.mark, p, 1);
  }
  const items = new Set([...pieces.values()].map((p) => p.item));
  return { kerf: KERF, endTrim: 0, stock: stock.filter((s) => items.has(s.item)), pieces: [...pieces.values()] };
};

/** Sheet layouts for the sheet parts among some parts. */
export const sheetPlanOf = (parts: readonly Part[], effort: Effort = 'full'): SheetPlan => {
  const mine = parts.filter((p) => findItem(p.item).kind === 'sheet');
  const groups = new Map<string, { part: Part; quantity: number }>();
  for (const p of mine) groups.set(p.mark, { part: p, quantity: (groups.get(p.mark)?.quantity ?? 0) + 1 });
  return planSheets(
    itemsOf('sheet').map((s) => ({ item: s.key, length: s.length, width: s.width })),
    [...groups.entries()].map(([id, { part, quantity }]) => {
      const { grain } = findSheet(part.item);
      return { id, item: part.item, length: part.length, width: part.width, quantity, grain };
    }),
    KERF,
    effort,
  );
};

/** The mesh of a unit as one roll plan: every face in strips, every strip where it is cut from its roll. */
export const planMesh = (parts: readonly Part[], effort: Effort = 'full'): MeshPlan =>
  planRolls(
    parts.filter((p) => p.role === 'mesh').map((p) => meshFaceOf(p, parts)),
    itemsOf('mesh').flatMap((m) => m.rolls.map((r) => ({ item: m.key, ...r }))),
    effort,
  );

const feet = (inches: number): string => `${Math.round(inches / 12)} ft`;

const count = <T>(list: readonly T[], key: (t: T) => string): Map<string, { first: T; n: number }> => {
  const out = new Map<string, { first: T; n: number }>();
  for (const t of list) {
    const before = out.get(key(t));
    out.set(key(t), { first: before?.first ?? t, n: (before?.n ?? 0) + 1 });
  }
  return out;
};

/** Starter course, ridge and cut ends of shingles. Common practice, no source. */
const SHINGLE_WASTE = 1.1;

/** Everything to buy for a build: sticks by length, sheets, rolls, roofing, fasteners and fittings. */
export const takeOff = (build: Build, effort: Effort = 'full'): Takeoff => {
  const { parts } = build;
  const sticks = planSticks(stickDemandOf(parts), effort);
  const sheets = sheetPlanOf(parts, effort);
  const mesh = planMesh(parts, effort);
  const lines: TakeoffLine[] = [];
  const add = (item: string, size: string, quantity: number, each: number): void => {
    const found = findItem(item);
    if (quantity > 0)
      lines.push({ item, name: found.name, kind: found.kind, size, quantity, each, cost: quantity * each });
  };
  for (const { first, n } of count(sticks.sticks, (s) => `${s.item}|${s.length}`).values())
    add(first.item, feet(first.length), n, first.cost);
  for (const { first, n } of count(sheets.sheets, (s) => s.item).values())
    add(first.item, '4 × 8 ft', n, findSheet(first.item).cost);
  for (const r of mesh.rolls) add(r.item, `${r.width} in × ${feet(r.length)}`, r.count, r.cost);
  const roofing = parts.filter((p) => p.role === 'roofing');
  const roofPlan = planSticks(
    {
      kerf: 0,
      endTrim: 0,
      stock: itemsOf('roofing').flatMap((r) =>
        r.lengths.map((l) => ({ item: r.key, length: l.length, cost: l.cost, quantity: null })),
      ),
      pieces: roofing
        .filter((p) => findRoofing(p.item).bundle === undefined)
        .map((p) => ({ id: p.id, item: p.item, length: p.length + (p.lap ?? 0), quantity: 1 })),
    },
    effort,
  );
  for (const { first, n } of count(roofPlan.sticks, (s) => `${s.item}|${s.length}`).values())
    add(first.item, `36 in × ${feet(first.length)}`, n, first.cost);
  for (const { key, bundle } of itemsOf('roofing')) {
    const area = roofing.filter((p) => p.item === key).reduce((sum, p) => sum + (p.length * p.width) / 144, 0);
    if (bundle && area > 0)
      add(
        key,
        `bundle, ${Math.round(bundle.covers)} sq ft`,
        Math.ceil((area * SHINGLE_WASTE) / bundle.covers),
        bundle.cost,
      );
  }
  for (const line of piecesOf(
    parts.filter((p) => !isPadBlock(p)),
    effort,
  ))
    add(line.item, line.size, line.quantity, line.each);
  const used = countJoints(build.joints);
  for (const { item, count } of [...used.fasteners, ...used.hardware].sort((a, b) => (a.item < b.item ? -1 : 1)))
    add(item, 'each', count, findHardware(item).cost);
  const boughtLength = sticks.sticks.reduce((sum, s) => sum + s.length, 0);
  const usedLength = sticks.sticks.reduce((sum, s) => sum + s.cuts.reduce((t, c) => t + c.length, 0), 0);
  const boughtArea = sheets.sheets.reduce((sum, s) => sum + s.length * s.width, 0);
  const usedArea = sheets.sheets.reduce((sum, s) => sum + s.places.reduce((t, p) => t + p.length * p.width, 0), 0);
  // Lumber and sheets are weighed against each other by what was paid for them.
  const stickCost = sticks.cost;
  const sheetCost = lines.filter((l) => l.kind === 'sheet').reduce((sum, l) => sum + l.cost, 0);
  const lost =
    (boughtLength > 0 ? (1 - usedLength / boughtLength) * stickCost : 0) +
    (boughtArea > 0 ? (1 - usedArea / boughtArea) * sheetCost : 0);
  return {
    lines,
    cost: lines.reduce((sum, l) => sum + l.cost, 0),
    boardFeet: lumberParts(parts).reduce((sum, p) => sum + measureBoardFeet(findLumber(p.item), p.length), 0),
    sticks,
    sheets,
    mesh,
    waste: stickCost + sheetCost > 0 ? lost / (stickCost + sheetCost) : 0,
  };
};

/** Pipe by the length, panels and block by the piece, tarp and clear panels by the sheet that each needs. */
const piecesOf = (
  parts: readonly Part[],
  effort: Effort,
): { item: string; size: string; quantity: number; each: number }[] =>
  itemsOf('piece').flatMap((piece) => {
    const mine = parts.filter((p) => p.item === piece.key);
    if (mine.length === 0) return [];
    const by = PIECE_UNIT[piece.key];
    if (by === 'each') return [{ item: piece.key, size: 'each', quantity: mine.length, each: piece.cost }];
    if (by === 'foot') {
      const plan = planSticks(
        {
          kerf: KERF,
          endTrim: 0,
          stock: [{ item: piece.key, length: piece.length, cost: piece.cost, quantity: null }],
          // A piece longer than the pipe is coupled from whole lengths and a rest.
          pieces: mine.flatMap((p) => {
            const whole = Math.floor((p.length - 1e-6) / piece.length);
            return [
              ...(whole > 0 ? [{ id: `${p.id}/whole`, item: piece.key, length: piece.length, quantity: whole }] : []),
              { id: p.id, item: piece.key, length: p.length - whole * piece.length, quantity: 1 },
            ];
          }),
        },
        effort,
      );
      return [{ item: piece.key, size: feet(piece.length), quantity: plan.sticks.length, each: piece.cost }];
    }
    const sheets = mine.reduce((n, p) => n + Math.ceil((p.length * p.width) / (piece.length * piece.width) - 1e-6), 0);
    return [
      { item: piece.key, size: `${feet(piece.width)} × ${feet(piece.length)}`, quantity: sheets, each: piece.cost },
    ];
  });

/** Outside size of a build in inches, for trailers and gates. */
export const outsideSize = (build: Build): readonly [number, number, number] =>
  measureTravelling(build.parts).size as readonly [number, number, number];
