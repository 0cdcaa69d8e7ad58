import { findPieces } from '../geometry/index.ts';
import { findItem } from '../stock/index.ts';
import { measurePartsMass } from '../unit/index.ts';
import type { Assembly, Build, Opening, Part, PartDraft, Tape } from '../unit/index.ts';
import { faceOf } from './axes.ts';
import type { Axes } from './axes.ts';
import { boxPart } from './makePart.ts';
import { asksFor, Sketch } from './sketch.ts';
import type { Ask } from './sketch.ts';

/** The largest panel that can be carried and driven: inches along the wall, pounds. */
export interface PanelLimits {
  readonly long: number;
  readonly weight: number;
}

const T = 1.5;
const EPS = 1e-6;
/** A panel narrower than this is not worth a seam. Common practice, no source. */
const LEAST = 36;
/** Bolts that hold two panels together, at most this far apart along the seam. Common practice, no source. */
const BOLTED_AT = 30;
/** Anchor bolts of a sole: two at the least and no farther apart. IRC R403.1.6 (from memory). */
const ANCHORED_AT = 48;

interface Extent {
  readonly part: Part;
  /** Along the wall, inward, and up. */
  readonly a: readonly [number, number];
  readonly t: readonly [number, number];
  readonly z: readonly [number, number];
}

/** A wall's own directions, from its face; its inward direction is u × v turned round. */
const axesOf = (a: Assembly): Axes => {
  const { origin, u, v } = a.face;
  const out = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]] as const;
  return { origin, a: u, t: [-out[0] + 0, -out[1] + 0, -out[2] + 0], z: v };
};

const extentOf =
  (axes: Axes) =>
  (part: Part): Extent => {
    const pieces = findPieces(part.shape, part.place);
    const along = (d: Axes['a']): readonly [number, number] => {
      const k = [0, 1, 2].find((i) => Math.abs(d[i as 0 | 1 | 2]) > 0.5) as 0 | 1 | 2;
      const lows = pieces.map((p) => (d[k] > 0 ? p.low[k] - axes.origin[k] : axes.origin[k] - p.high[k]));
      const highs = pieces.map((p) => (d[k] > 0 ? p.high[k] - axes.origin[k] : axes.origin[k] - p.low[k]));
      return [Math.min(...lows), Math.max(...highs)];
    };
    return { part, a: along(axes.a), t: along(axes.t), z: along(axes.z) };
  };

const middle = (e: Extent): number => (e.a[0] + e.a[1]) / 2;

/** Places along a wall where it may come apart: a stud under a joint of its sheets, with nothing but plates across it. */
const seamsOf = (parts: readonly Extent[]): number[] =>
  parts
    .filter((e) => e.part.role === 'stud' && Math.abs(e.a[1] - e.a[0] - T) < EPS)
    .map(middle)
    .filter((c) =>
      parts.every((e) => {
        const across = e.a[0] < c - EPS && e.a[1] > c + EPS;
        const beside = e.a[0] < c + T - EPS && e.a[1] > c - T + EPS;
        if (e.part.role === 'plate') return true;
        if (across) return e.part.role === 'stud' && Math.abs(middle(e) - c) < EPS;
        // Blocks may be cut back; anything else upright would stand where the second stud goes.
        return !beside || e.part.role === 'blocking' || findItem(e.part.item).kind !== 'lumber';
      }),
    );

/** The seams that make panels within the limits, nearest to equal; undefined where there are none such. */
const chooseSeams = (from: number, to: number, most: number, candidates: readonly number[]): number[] | undefined => {
  for (let n = Math.max(2, Math.ceil((to - from) / most - EPS)); n <= 6; n++) {
    const seams: number[] = [];
    for (let k = 1; k < n; k++) {
      const wish = from + ((to - from) * k) / n;
      const near = candidates
        .filter((c) => !seams.includes(c))
        .sort((p, q) => Math.abs(p - wish) - Math.abs(q - wish))[0];
      if (near !== undefined) seams.push(near);
    }
    const lines = [from, ...seams.sort((p, q) => p - q), to];
    const widths = lines.slice(1).map((x, i) => x - (lines[i] as number));
    if (seams.length === n - 1 && widths.every((w) => w >= LEAST && w <= most + EPS)) return seams;
  }
  return undefined;
};

interface Split {
  readonly parts: readonly PartDraft[];
  readonly assemblies: readonly Assembly[];
  readonly bolts: readonly Ask[];
  /** The panel that a place along the wall belongs to. */
  readonly panelAt: (a: number) => string;
  /** Where along the wall that panel's own face begins. */
  readonly startOf: (a: number) => number;
  readonly axes: Axes;
  /** Parts that took a cut part's place, by its id; pieces of one plate are named by the first of them. */
  readonly cut: ReadonlyMap<string, readonly PartDraft[]>;
  /** The same for each piece that went into a plate. */
  readonly took: ReadonlyMap<string, readonly PartDraft[]>;
}

const splitWall = (build: Build, wall: Assembly, seams: readonly number[]): Split => {
  const axes = axesOf(wall);
  const all = build.parts.filter((p) => p.assembly === wall.id).map(extentOf(axes));
  const ids = [wall.id, ...seams.map((_, k) => `${wall.id}-${k + 2}`)];
  const panelAt = (a: number): string => ids[seams.filter((c) => a > c).length] as string;
  const cap = `${wall.id}-cap`;
  const plates = all.filter((e) => e.part.role === 'plate');
  const highest = Math.max(...plates.map((e) => e.z[1]));
  // Bottom, top and an upper one that ties them.
  const doubled = new Set(plates.map((e) => Math.round(e.z[0] * 64))).size > 2;
  const ties = (e: Extent): boolean => doubled && e.z[1] > highest - EPS;
  const out: PartDraft[] = [];
  const cut = new Map<string, PartDraft[]>();
  const took = new Map<string, PartDraft[]>();
  const draftOf = (e: Extent, assembly: string, more: Partial<PartDraft> = {}): PartDraft => {
    const { mark: _mark, ...draft } = e.part;
    return { ...draft, ...more, assembly };
  };
  const boxed = (
    e: Extent,
    id: string,
    a: readonly [number, number],
    more: Partial<PartDraft> = {},
    panel = panelAt((a[0] + a[1]) / 2),
  ): PartDraft => {
    const upright = e.part.role === 'stud';
    const made = boxPart(
      axes,
      panel,
      {
        id,
        name: e.part.name,
        role: e.part.role,
        item: e.part.item,
        fit: e.part.fit,
        notches: [],
        ...(e.part.tolerance === undefined ? {} : { tolerance: e.part.tolerance }),
      },
      [a[0], e.t[0], e.z[0]],
      [a[1] - a[0], e.t[1] - e.t[0], e.z[1] - e.z[0]],
      upright ? 'z' : 'a',
    );
    return { ...made, ...more };
  };
  const levels = new Map<number, Extent[]>();
  for (const e of plates) {
    const at = Math.round(e.z[0] * 64);
    if (!ties(e)) levels.set(at, [...(levels.get(at) ?? []), e]);
  }
  for (const e of all) {
    const { part } = e;
    const inside = seams.filter((c) => e.a[0] < c - EPS && e.a[1] > c + EPS);
    // The upper one of two top plates ties the panels: it goes on when they stand.
    if (part.role === 'plate') {
      if (ties(e)) out.push(draftOf(e, cap));
      continue;
    }
    if (inside.length === 0) {
      const at = seams.find((c) => Math.abs(middle(e) - c) < EPS);
      const near =
        part.role === 'blocking'
          ? seams.find((c) => Math.abs(e.a[1] - c + T / 2) < EPS || Math.abs(e.a[0] - c - T / 2) < EPS)
          : undefined;
      if (near !== undefined && at === undefined) {
        const a: readonly [number, number] = e.a[1] < near ? [e.a[0], near - T] : [near + T, e.a[1]];
        const made = boxed(e, part.id, a);
        out.push(made);
        cut.set(part.id, [made]);
      } else out.push(draftOf(e, panelAt(middle(e))));
      continue;
    }
    if (part.role === 'stud') {
      const c = inside[0] as number;
      const pair = [boxed(e, part.id, [c - T, c]), boxed(e, `${part.id}-b`, [c, c + T])];
      out.push(...pair);
      cut.set(part.id, pair);
      continue;
    }
  }
  const lines = [Math.min(...plates.map((e) => e.a[0])), ...seams, Math.max(...plates.map((e) => e.a[1]))];
  // In a panel a plate is one piece; where a door stands on the floor it is sawn out of it when the wall stands.
  for (const level of levels.values()) {
    level.sort((p, q) => p.a[0] - q.a[0]);
    const first = level[0] as Extent;
    const made: PartDraft[] = [];
    ids.forEach((id, k) => {
      const [p0, p1] = [lines[k] as number, lines[k + 1] as number];
      const runs: [number, number][] = [];
      for (const e of level) {
        const [b0, b1] = [Math.max(p0, e.a[0]), Math.min(p1, e.a[1])];
        if (b1 - b0 < EPS) continue;
        const last = runs.at(-1);
        if (last && b0 - last[1] < EPS) last[1] = b1;
        else runs.push([b0, b1]);
      }
      const name = k === 0 ? first.part.id : `${first.part.id}-at-${k + 1}`;
      const rests = runs.slice(1).map((_, n) => `${name}-beyond-${n + 1}`);
      const gaps = runs.slice(1).map(([b], n) => {
        const a = (runs[n] as [number, number])[1];
        const kind = build.openings.find((o) => o.assembly === wall.id && Math.abs(o.left - a) < 0.1)?.kind ?? 'door';
        return `${b - a}″ under the ${kind}`;
      });
      runs.forEach((run, n) =>
        made.push(
          boxed(
            first,
            n === 0 ? name : (rests[n - 1] as string),
            run,
            n > 0
              ? { fit: 'sawn in place' }
              : rests.length > 0
                ? {
                    sawnOut: rests,
                    notches: [`runs through; sawn out once the wall stands: ${gaps.join(', ')}`],
                    length: p1 - (run[0] as number),
                    shortPoint: p1 - (run[0] as number),
                  }
                : {},
            id,
          ),
        ),
      );
    });
    out.push(...made);
    for (const e of level) {
      cut.set(e.part.id, e === first ? made : []);
      took.set(e.part.id, made);
    }
  }
  const fitted = out;
  const from = lines[0] as number;
  const assemblies = ids.map((id, k): Assembly => {
    const [a0, a1] = [lines[k] as number, lines[k + 1] as number];
    return {
      ...wall,
      face: k === 0 ? wall.face : faceOf(axes, a0),
      id,
      name: `${wall.name}, panel ${k + 1}`,
      ...(wall.square ? { square: { width: a1 - a0, height: wall.square.height - (doubled ? T : 0) } } : {}),
      tapes: wall.tapes.map((t): Tape => ({
        ...t,
        parts: fitted
          .filter(
            (p) =>
              p.assembly === id &&
              p.role === 'plate' &&
              p.fit !== 'sawn in place' &&
              t.parts.some((q) => p.id === q || p.id.startsWith(`${q}-at-`)),
          )
          .map((p) => p.id),
        length: a1 - a0,
        marks: t.marks.flatMap((m) => {
          const pair = cut.get(m.part);
          if (pair && seams.some((c) => Math.abs(from + m.at + T / 2 - c) < EPS))
            return pair.flatMap((p, i) =>
              p.assembly === id ? [{ ...m, part: p.id, at: i === 0 ? a1 - a0 - T : 0 }] : [],
            );
          const at = from + m.at - a0;
          return at > -EPS && at < a1 - a0 - EPS ? [{ ...m, at }] : [];
        }),
      })),
      ...(k === 0 || !wall.joins
        ? {}
        : {
            joins: {
              to: wall.joins.to,
              how: `${wall.joins.how}, bolted to the panel before it through the studs that meet`,
            },
          }),
    };
  });
  if (fitted.some((p) => p.assembly === cap))
    assemblies.push({
      id: cap,
      name: `${wall.name} upper plate`,
      kind: 'frame',
      face: wall.face,
      flat: false,
      tapes: [],
      joins: { to: wall.id, how: 'over all panels of the wall, its joints apart from their seams: it ties them' },
    });
  const bolts = [...cut.values()].flatMap((pair): Ask[] => {
    const [first, second] = pair;
    return first?.role === 'stud' && second
      ? [
          {
            kind: 'bolt',
            parts: [first.id, second.id],
            hardware: { 'carriage-bolt': Math.max(2, Math.ceil(first.length / BOLTED_AT)) },
            instead: true,
          },
        ]
      : [];
  });
  const startOf = (a: number): number => (panelAt(a) === wall.id ? 0 : (lines[ids.indexOf(panelAt(a))] as number));
  return { parts: fitted, assemblies, bolts, panelAt, startOf, axes, cut, took };
};

/**
 * A build whose long walls come apart into panels that can be carried and driven: each ends on a stud of its own, the two that meet are
 * bolted together, sheets meet between them, and an upper plate ties them. What finds no place for a seam stays whole.
 */
export const splitPanels = (build: Build, limits: PanelLimits): Build => {
  const splits = build.assemblies.flatMap((wall): readonly (readonly [Assembly, Split])[] => {
    if (wall.kind !== 'wall' || !wall.flat || wall.site === true || !wall.square || wall.turned !== undefined)
      return [];
    const mine = build.parts.filter((p) => p.assembly === wall.id);
    const weight = measurePartsMass(mine).weight;
    const all = mine.map(extentOf(axesOf(wall)));
    const [from, to] = [Math.min(...all.map((e) => e.a[0])), Math.max(...all.map((e) => e.a[1]))];
    const most = Math.min(limits.long, ((to - from) * limits.weight) / Math.max(1, weight));
    if (to - from <= limits.long && weight <= limits.weight) return [];
    const seams = chooseSeams(from, to, most, seamsOf(all));
    return seams ? [[wall, splitWall(build, wall, seams)]] : [];
  });
  if (splits.length === 0) return build;
  const of = new Map(splits.map(([wall, s]) => [wall.id, s]));
  const cutOf = new Map(splits.flatMap(([, s]) => [...s.cut]));
  const tookOf = new Map(splits.flatMap(([, s]) => [...s.took]));
  const parts = [
    ...build.parts.filter((p) => !of.has(p.assembly)).map(({ mark: _mark, ...p }): PartDraft => p),
    ...splits.flatMap(([, s]) => s.parts),
  ];
  const byId = new Map(build.parts.map((p) => [p.id, p]));
  /** The panel of a split wall that some parts are at. */
  const panelFor = (wall: string, ids: readonly string[]): string => {
    const s = of.get(wall);
    const part = ids.map((id) => byId.get(id)).find((p) => p !== undefined);
    return s && part ? s.panelAt(middle(extentOf(s.axes)(part))) : wall;
  };
  const assemblies = build.assemblies.flatMap((a) => {
    const s = of.get(a.id);
    if (s) return s.assemblies;
    if (!a.joins || !of.has(a.joins.to)) return [a];
    const mine = build.parts.filter((p) => p.assembly === a.id).map((p) => p.id);
    return [{ ...a, joins: { ...a.joins, to: panelFor(a.joins.to, mine) } }];
  });
  const openings = build.openings.map((o): Opening => {
    const s = of.get(o.assembly);
    const at = o.left + o.width / 2;
    return s ? { ...o, assembly: s.panelAt(at), left: o.left - s.startOf(at) } : o;
  });
  const asks = asksFor(build).flatMap((ask): Ask[] => {
    const nearest = typeof ask.nearest === 'string' ? panelFor(ask.nearest, ask.parts) : ask.nearest;
    // What is joined to a plate that was cut is joined to the piece in its own panel.
    const beside = ask.parts.find((id) => byId.has(id) && !tookOf.has(id));
    const own = ask.parts.map((id) => {
      const at = byId.get(id)?.assembly;
      if (!tookOf.has(id) || at === undefined || beside === undefined) return id;
      const panel = panelFor(at, [beside]);
      return tookOf.get(id)?.find((p) => p.assembly === panel && p.fit !== 'sawn in place')?.id ?? id;
    });
    const moved = { ...ask, parts: own, ...(nearest === undefined ? {} : { nearest }) };
    // Every piece of a sole that was cut has anchors of its own.
    const pieces = ask.parts.length === 1 ? cutOf.get(ask.parts[0] as string) : undefined;
    if (!pieces || ask.hardware?.['anchor-bolt'] === undefined) return [moved];
    return pieces.map((p) => ({
      ...moved,
      parts: [p.id],
      hardware: { 'anchor-bolt': Math.max(2, Math.ceil(p.length / ANCHORED_AT)) },
    }));
  });
  return Sketch.remake(build, { parts, assemblies, openings, asks: [...asks, ...splits.flatMap(([, s]) => s.bolts)] });
};
