import { planSticks } from './planSticks.ts';
import type { Effort } from './sticks/searchPatterns.ts';
import { waysOf } from './meshWays.ts';
import type { MeshFace, Way } from './meshWays.ts';

export type { MeshFace, Ribs } from './meshWays.ts';

/** A roll that can be had. */
export interface RollStock {
  readonly item: string;
  readonly width: number;
  readonly length: number;
  readonly cost: number;
  /** As many as wanted where it is not said. */
  readonly quantity?: number | null;
}

/** Strips of one face: how many of which roll, lapped. */
export interface MeshStrips {
  readonly face: string;
  readonly item: string;
  readonly roll: number;
  readonly strips: number;
  readonly length: number;
  /** Which way the strips run on the face. */
  readonly run: 'level' | 'upright';
  /** Middles of the laps, from the face's lower edge where strips lie level, from its start where they stand. */
  readonly seams: readonly number[];
  /** Every seam has wood behind it. */
  readonly onWood: boolean;
  /** The height is a whole roll wide: nothing is cut away along it. */
  readonly exact: boolean;
}

/** A strip where it is cut from its roll: `x` along the roll, `y` across it, inches. */
export interface RollStrip {
  readonly face: string;
  readonly x: number;
  readonly y: number;
  /** Across the roll, and along it. */
  readonly width: number;
  readonly length: number;
  /** Runs on from the strip before it, bent round the corner between their faces instead of cut off. */
  readonly bent?: true;
}

/** One roll, and what is cut from it. */
export interface CutRoll {
  readonly item: string;
  readonly width: number;
  readonly length: number;
  readonly cost: number;
  readonly strips: readonly RollStrip[];
}

/** A mesh plan: strips, and the rolls they come from. */
export interface MeshPlan {
  readonly strips: readonly MeshStrips[];
  readonly rolls: readonly {
    readonly item: string;
    readonly width: number;
    readonly length: number;
    readonly cost: number;
    readonly count: number;
  }[];
  /** Every roll by itself, with the cuts along it. */
  readonly layout: readonly CutRoll[];
  readonly cost: number;
}

const EPS = 1e-6;

interface Piece {
  /** Faces that it covers one after the other. */
  readonly faces: readonly { readonly face: string; readonly length: number }[];
  readonly width: number;
  readonly length: number;
}

/** Strips of some ways; where `wrapped`, those of faces around a corner from each other in one piece, as far as a roll goes. */
const piecesOf = (ways: readonly Way[], longest: number, wrapped: boolean): Piece[] => {
  const out: Piece[] = [];
  const done = new Set<Way>();
  for (const way of ways) {
    if (done.has(way)) continue;
    const { wrap } = way.face;
    const around = wrap ? ways.filter((w) => w.face.wrap?.id === wrap.id) : [];
    const length = around.reduce((sum, w) => sum + w.along, 0);
    const alike = around.every(
      (w) => w.run === 'level' && w.widths.length === 1 && Math.abs(w.across - way.across) < EPS,
    );
    if (wrapped && wrap && around.length === wrap.faces && alike && length <= longest + EPS) {
      for (const w of around) done.add(w);
      out.push({ faces: around.map((w) => ({ face: w.face.id, length: w.along })), width: way.across, length });
    } else
      out.push(
        ...way.widths.map((width) => ({ faces: [{ face: way.face.id, length: way.along }], width, length: way.along })),
      );
  }
  return out;
};

/** Strips beside each other across a roll, cut off it together. */
interface Shelf {
  readonly length: number;
  readonly pieces: { readonly piece: Piece; readonly y: number }[];
  free: number;
}

/** Lays strips beside each other where a roll is wide enough: the longest first, each beside the first it fits. */
const shelve = (pieces: readonly Piece[], roll: number): Shelf[] => {
  const shelves: Shelf[] = [];
  for (const piece of [...pieces].sort((a, b) => b.length - a.length || b.width - a.width)) {
    const on = shelves.find((s) => s.free >= piece.width - EPS && s.length >= piece.length - EPS);
    if (on) {
      on.pieces.push({ piece, y: roll - on.free });
      on.free -= piece.width;
    } else shelves.push({ length: piece.length, pieces: [{ piece, y: 0 }], free: roll - piece.width });
  }
  return shelves;
};

/** Cuts the strips of some ways from the rolls of one width. */
const cutWidth = (ways: readonly Way[], stock: readonly RollStock[], effort: Effort, wrapped: boolean): CutRoll[] => {
  const roll = (stock[0] as RollStock).width;
  const shelves = shelve(piecesOf(ways, Math.max(...stock.map((r) => r.length)), wrapped), roll);
  const plan = planSticks(
    {
      kerf: 0,
      endTrim: 0,
      stock: stock.map((r) => ({ item: r.item, length: r.length, cost: r.cost, quantity: r.quantity ?? null })),
      pieces: shelves.map((s, i) => ({
        id: `${i}`,
        item: (stock[0] as RollStock).item,
        length: s.length,
        quantity: 1,
      })),
    },
    effort,
  );
  return plan.sticks.map((stick) => {
    let x = 0;
    const strips = stick.cuts.flatMap((cut) => {
      const shelf = shelves[Number(cut.id)] as Shelf;
      const from = x;
      x += cut.length;
      return shelf.pieces.flatMap(({ piece, y }) => {
        let start = from;
        return piece.faces.map(({ face, length }, k): RollStrip => {
          const strip = { face, x: start, y, width: piece.width, length, ...(k > 0 ? { bent: true as const } : {}) };
          start += length;
          return strip;
        });
      });
    });
    return { item: stick.item, width: roll, length: stick.length, cost: stick.cost, strips };
  });
};

const costOf = (rolls: readonly CutRoll[]): number => rolls.reduce((sum, r) => sum + r.cost, 0);

/** Every choice of some widths out of all, none left out. */
const subsets = (widths: readonly number[]): number[][] =>
  Array.from({ length: 2 ** widths.length - 1 }, (_, n) => widths.filter((_w, k) => ((n + 1) >> k) & 1));

/** What a way takes of a roll, in its money: strips that lie beside others count by their own width. */
const shareOf = (way: Way, perInch: ReadonlyMap<number, number>): number => {
  const each = perInch.get(way.roll) ?? 0;
  return way.widths.reduce((sum, w) => sum + way.along * each * (w > way.roll / 2 ? 1 : w / way.roll), 0);
};

/** The cheapest cover of the faces of one kind of mesh. */
const planItem = (
  faces: readonly MeshFace[],
  stock: readonly RollStock[],
  effort: Effort,
): { ways: Way[]; rolls: CutRoll[] } => {
  const widths = [...new Set(stock.map((r) => r.width))].sort((a, b) => a - b);
  const endless = stock.filter((r) => (r.quantity ?? null) === null);
  const longest = Math.max(...stock.map((r) => r.length));
  const perInch = new Map(
    widths.map((w) => [w, Math.min(...endless.filter((r) => r.width === w).map((r) => r.cost / r.length))]),
  );
  const cutAll = (ways: readonly Way[], how: Effort, wrapped: boolean): CutRoll[] =>
    widths.flatMap((w) => {
      const mine = ways.filter((way) => way.roll === w);
      const rolls = stock.filter((r) => r.width === w);
      return mine.length === 0 ? [] : cutWidth(mine, rolls, how, wrapped);
    });
  const round = faces.some((f) => f.wrap);
  // Round a corner in one piece where that costs no more: there is less to cut, and no end at the corner that lifts.
  const cut = (ways: readonly Way[], how: Effort): CutRoll[] => {
    const apart = cutAll(ways, how, false);
    const whole = round ? cutAll(ways, how, true) : apart;
    return costOf(whole) <= costOf(apart) + EPS ? whole : apart;
  };
  let best: { ways: Way[]; cost: number } | undefined;
  const tried = new Set<string>();
  const look = (ways: Way[]): boolean => {
    const key = ways.map((w) => `${w.roll}/${w.along}`).join();
    if (tried.has(key)) return false;
    tried.add(key);
    const cost = costOf(cut(ways, 'quick'));
    if (best && cost >= best.cost - EPS) return false;
    best = { ways, cost };
    return true;
  };
  // First the unit as a whole from some widths alone, then one face at a time laid otherwise.
  const all = faces.map((f) => waysOf(f, widths, longest));
  for (const some of subsets(widths)) {
    const from = all.map((ways) => ways.filter((w) => some.includes(w.roll)));
    if (from.some((ways) => ways.length === 0)) continue;
    look(
      from.map((ways) =>
        ways.reduce((a, b) => {
          const d = shareOf(b, perInch) - shareOf(a, perInch);
          return d < -EPS || (Math.abs(d) <= EPS && b.widths.length < a.widths.length) ? b : a;
        }),
      ),
    );
  }
  const groups = new Map<string, number[]>();
  faces.forEach((f, i) => {
    const key = JSON.stringify([f.width, f.height, f.ribs]);
    groups.set(key, [...(groups.get(key) ?? []), i]);
  });
  const alike = [...groups.values()].filter((members) => members.length > 1);
  if (effort === 'full')
    for (let round = 0, better = true; better && round < ROUNDS; round++) {
      better = false;
      // Faces that are alike go together first: one of them alone might want a roll of its own.
      for (const members of [...alike, ...faces.map((_, i) => [i])])
        for (const [k] of (all[members[0] as number] as Way[]).entries()) {
          const ways = [...(best as { ways: Way[] }).ways];
          for (const i of members) ways[i] = (all[i] as Way[])[k] as Way;
          if (tried.size < TRIES && look(ways)) better = true;
        }
    }
  const { ways } = best as { ways: Way[] };
  const together = { ways, rolls: cut(ways, effort) };
  if (effort !== 'full' || faces.length === 1) return together;
  // Never dearer than every face by itself.
  const alone = faces.map((f) => planItem([f], endless, effort));
  const apart = { ways: alone.flatMap((p) => p.ways), rolls: alone.flatMap((p) => p.rolls) };
  return costOf(apart.rolls) < costOf(together.rolls) ? apart : together;
};

/** How long better covers are looked for. */
const ROUNDS = 3;
const TRIES = 300;

/**
 * Lays the mesh of a whole unit out together: for every face the width of roll and the direction of its strips, with laps of 2 in
 * or more at seams, on wood where any way of covering it has them there, so that the rolls to buy cost least. Strips are cut from rolls as pieces from sticks, narrow ones beside each other.
 */
export const planRolls = (
  faces: readonly MeshFace[],
  rolls: readonly RollStock[],
  effort: Effort = 'full',
): MeshPlan => {
  const layout: CutRoll[] = [];
  const chosen = new Map<string, Way>();
  for (const item of new Set(faces.map((f) => f.item))) {
    const planned = planItem(
      faces.filter((f) => f.item === item),
      rolls.filter((r) => r.item === item),
      effort,
    );
    layout.push(...planned.rolls);
    for (const way of planned.ways) chosen.set(way.face.id, way);
  }
  const strips = faces.map((f): MeshStrips => {
    const way = chosen.get(f.id) as Way;
    return {
      face: f.id,
      item: f.item,
      roll: way.roll,
      strips: way.widths.length,
      length: way.along,
      run: way.run,
      seams: way.seams,
      onWood: way.onWood,
      exact: Math.abs(way.across - way.roll) < 1 / 16,
    };
  });
  const bought = new Map<string, MeshPlan['rolls'][number]>();
  for (const { item, width, length, cost } of layout) {
    const key = `${item}|${width}|${length}`;
    bought.set(key, { item, width, length, cost, count: (bought.get(key)?.count ?? 0) + 1 });
  }
  return { strips, rolls: [...bought.values()], layout, cost: costOf(layout) };
};
