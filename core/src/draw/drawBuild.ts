import { measurePtBounds, rectangle, toWorld } from '../geometry/index.ts';
import { printLength } from '../measure/index.ts';
import type { Pt } from '../geometry/index.ts';
import { partsOf } from '../unit/index.ts';
import type { Assembly, Build, Part } from '../unit/index.ts';
import { boundsOfItems, dimension } from './dimensions.ts';
import { drawApart, hasLayers } from './drawApart.ts';
import { drawSection } from './drawSection.ts';
import { paintOrder } from './paintOrder.ts';
import { CAMERAS, faceCamera, flatArea, nearness, see, solidFaces, surfaceItems, toneOf } from './project.ts';
import type { Camera } from './project.ts';
import type { DrawItem, Drawing } from './types.ts';

/** Raised when a view is not one that a build has. */
export class ViewError extends Error {
  constructor(view: string, views: readonly string[]) {
    super(`There is no view "${view}"; this build has ${views.join(', ')}.`);
    this.name = 'ViewError';
  }
}

/** What to draw: all of it, the bare frame, or with some parts picked out. */
export interface DrawOptions {
  readonly show?: 'finished' | 'frame';
  /** Parts picked out; the rest is faded. */
  readonly highlight?: readonly string[];
  /** Only these are there; else all. */
  readonly there?: ReadonlySet<string>;
}

const SKINS = new Set(['siding', 'mesh', 'roofing', 'deck', 'trim']);
/** What the bare frame is seen without: its skins and what lies over or inside them. */
export const OVER_FRAME: ReadonlySet<string> = new Set([...SKINS, 'batten', 'cover', 'liner', 'glazing']);

/** Names of all views of a build. */
export const viewsOf = (build: Build): string[] => [
  'front',
  'back',
  'left',
  'right',
  'plan',
  'three',
  'section',
  ...build.assemblies.filter((a) => a.flat || a.kind === 'base' || a.kind === 'roof').map((a) => `panel:${a.id}`),
  ...build.assemblies.filter((a) => hasLayers(build, a)).map((a) => `apart:${a.id}`),
];

/** What is in view: a frame without its skins; a finished unit without the deck that its roofing hides. */
const shown = (build: Build, options: DrawOptions): Part[] => {
  const picked = new Set(options.highlight);
  const parts = options.there ? build.parts.filter((p) => options.there?.has(p.id)) : build.parts;
  if (options.show === 'frame') return parts.filter((p) => !OVER_FRAME.has(p.role) || picked.has(p.id));
  const covered = new Set(parts.filter((p) => p.role === 'roofing').map((p) => p.assembly));
  return parts.filter(
    (p) => p.role !== 'deck' || !covered.has(p.assembly) || options.highlight?.includes(p.id) === true,
  );
};

const fillOf = (part: Part, options: DrawOptions): ReturnType<typeof toneOf> =>
  options.highlight === undefined ? toneOf(part) : options.highlight.includes(part.id) ? 'tape' : 'faded';

const flatItems = (c: Camera, parts: readonly Part[], options: DrawOptions): DrawItem[] =>
  [...parts]
    .sort((a, b) => nearness(c, a) - nearness(c, b))
    .map(
      (part) =>
        ({
          kind: 'area',
          rings: flatArea(c, part),
          fill: fillOf(part, options),
          stroke: options.highlight && !options.highlight.includes(part.id) ? 'soft' : 'ink',
          part: part.id,
        }) as const,
    );

/** The ground under an elevation: level, or falling along a run whose bays step down with it. */
const groundLines = (build: Build, view: string, from: number, to: number): DrawItem[] => {
  const line = (a: Pt, b: Pt): DrawItem => ({ kind: 'line', from: a, to: b, stroke: 'ground', weight: 2 });
  const { bays, base } = build.facts;
  if (!bays || bays.drop === 0 || (view !== 'front' && view !== 'back')) return [line([from, 0], [to, 0])];
  const total = bays.count * bays.drop;
  // The run's end, and where it meets the house, as this view shows them.
  const way = view === 'front' ? 1 : -1;
  const end = base[0] * way;
  const house = (base[0] + bays.count * bays.length) * way;
  const [low, high] = way === 1 ? [from, to] : [to, from];
  return [line([low, -total], [end, -total]), line([end, -total], [house, 0]), line([house, 0], [high, 0])];
};

/** Places and widths of a wall's openings as one chain of dimensions between the unit and its overall length. */
const openingChain = (build: Build, view: string, c: Camera, foot: number, size: number): DrawItem[] => {
  const openings = build.openings.filter((o) => o.wall === view && o.kind !== 'nest');
  const wall = build.assemblies.find((a) => a.id === `${view}-wall`);
  if (openings.length === 0 || !wall) return [];
  const x = (a: number): number => see(c, toWorld(wall.face, a, 0))[0];
  const edges = openings.flatMap((o) => [x(o.left), x(o.left + o.width)]);
  // The wall as it is skinned: an end wall's framing stops inside the others.
  const skin = build.parts.filter((p) => p.assembly === wall.id && (p.role === 'siding' || p.role === 'mesh'));
  const across = skin.flatMap((p) => {
    const [x0, , x1] = measurePtBounds(flatArea(c, p)[0] ?? []);
    return [x0, x1];
  });
  const ends = across.length > 0 ? [Math.min(...across), Math.max(...across)] : [];
  const stops = [...new Set([...ends, ...edges].map((n) => Math.round(n * 64) / 64))].sort((m, n) => m - n);
  const small = size * 0.72;
  // Where a figure finds no room between its ticks the chain leaves it to the neighbours.
  return stops.slice(1).flatMap((b, i) => {
    const a = stops[i] as number;
    const text = printLength(b - a);
    return b - a < text.length * small * 0.75 ? [] : dimension([a, foot], [b, foot], -size * 0.9, small, 'chalk', text);
  });
};

/** A bent part as its flats, each a part of its own to the painter: what is inside a curve is neither before nor behind it. */
const flatten = (part: Part): Part[] => {
  const n = part.bent;
  const ring = part.shape.outline;
  if (n === undefined || ring.length !== 2 * n + 2) return [part];
  return Array.from({ length: n }, (_, k) => ({
    ...part,
    shape: {
      ...part.shape,
      outline: [ring[k], ring[k + 1], ring[2 * n - k], ring[2 * n + 1 - k]] as Pt[],
    },
  }));
};

/** Parts from far to near; what is picked out comes last, over the rest, so that it shows from inside as well. */
const painted = (c: Camera, parts: readonly Part[], options: DrawOptions): Part[] => {
  const picked = new Set(options.highlight);
  const order = paintOrder(c, parts.flatMap(flatten));
  return [...order.filter((p) => !picked.has(p.id)), ...order.filter((p) => picked.has(p.id))];
};

/** Courses and ribs of a roof; a picture that picks parts out is left plain. */
const coverLines = (c: Camera, part: Part, options: DrawOptions): readonly DrawItem[] =>
  options.highlight === undefined ? surfaceItems(c, part) : [];

const drawSquareOn = (build: Build, view: string, options: DrawOptions): Drawing => {
  const c = CAMERAS[view] as Camera;
  const parts = shown(build, options);
  const items: DrawItem[] = painted(c, parts, options).flatMap((part) => [
    ...solidFaces(c, part, fillOf(part, options))
      .sort((m, n) => m.depth - n.depth)
      .map((f) => ({ ...f.area, shade: (f.area.shade ?? 0) / 3 })),
    ...coverLines(c, part, options),
  ]);
  const box = measurePtBounds(items.flatMap((i) => (i.kind === 'area' ? i.rings.flat() : [])));
  const size = Math.max(3, (box[2] - box[0]) / 26);
  const [bx0, by0, bx1, by1] = build.facts.base;
  const feet = [see(c, [bx0, by0, 0]), see(c, [bx1, by1, 0])];
  const left = Math.min(...feet.map((p) => p[0]));
  const right = Math.max(...feet.map((p) => p[0]));
  if (view === 'plan') {
    items.push(
      ...dimension([left, box[1]], [right, box[1]], -size * 2, size),
      ...dimension([box[0], by0], [box[0], by1], -size * 2, size),
    );
  } else {
    // Over what stands in the ground, so that it shows how deep.
    items.push(...groundLines(build, view, box[0] - size * 2, box[2] + size * 2));
    items.push(
      ...dimension([left, Math.min(0, box[1])], [right, Math.min(0, box[1])], -size * 2.6, size),
      ...dimension([box[0], 0], [box[0], box[3]], -size * 2, size),
    );
    // A low floor has no room for its figure beside the line; the section shows it.
    if (build.facts.floorHeight > size * 4)
      items.push(...dimension([box[2], 0], [box[2], build.facts.floorHeight], size * 3, size));
    items.push(...openingChain(build, view, c, Math.min(0, box[1]), size));
  }
  return {
    title: view === 'plan' ? 'Plan' : `${view[0]?.toUpperCase() ?? ''}${view.slice(1)} elevation`,
    bounds: boundsOfItems(items, size),
    items,
  };
};

const drawThree = (build: Build, options: DrawOptions): Drawing => {
  const c = CAMERAS.three as Camera;
  const items: DrawItem[] = painted(c, shown(build, options), options).flatMap((part) => [
    ...solidFaces(c, part, fillOf(part, options))
      .sort((a, b) => a.depth - b.depth)
      .map((f) => f.area),
    ...coverLines(c, part, options),
  ]);
  return { title: 'View', bounds: boundsOfItems(items, 2), items };
};

/** One label a mark, where it stands clear of those already set. */
const labels = (c: Camera, parts: readonly Part[], size: number, options: DrawOptions): DrawItem[] => {
  const done = new Set<string>();
  const taken: Pt[] = [];
  const out: DrawItem[] = [];
  const far = (p: Pt): number =>
    Math.min(Infinity, ...taken.map((t) => Math.max(Math.abs(t[0] - p[0]) / 2.4, Math.abs(t[1] - p[1]))));
  for (const part of parts) {
    if (done.has(part.mark)) continue;
    done.add(part.mark);
    const same = parts.filter((p) => p.mark === part.mark);
    const spots = same.flatMap((p): Pt[] => {
      const [x0, y0, x1, y1] = measurePtBounds(flatArea(c, p)[0] ?? []);
      return [0.5, 0.3, 0.7, 0.15, 0.85].map((f): Pt =>
        x1 - x0 > y1 - y0 ? [x0 + (x1 - x0) * f, (y0 + y1) / 2] : [(x0 + x1) / 2, y0 + (y1 - y0) * f],
      );
    });
    const spot = spots.find((s) => far(s) > size * 1.5) ?? spots.reduce((a, b) => (far(b) > far(a) ? b : a));
    taken.push(spot);
    out.push({
      kind: 'text',
      at: spot,
      text: part.mark,
      size,
      anchor: 'middle',
      tone: 'paper',
      tag:
        part.fit === 'measure in place'
          ? 'chalk'
          : options.highlight && !options.highlight.includes(part.id)
            ? 'soft'
            : 'ink',
    });
  }
  return out;
};

/** What is sawn out of a plate later, dashed: while the panel lies flat the plate runs through. */
const sawnGaps = (c: Camera, parts: readonly Part[], move: (p: Pt) => Pt): DrawItem[] =>
  parts.flatMap((plate) => {
    if (!plate.sawnOut) return [];
    const pieces = [plate, ...parts.filter((p) => plate.sawnOut?.includes(p.id))]
      .map((p) => measurePtBounds(flatArea(c, p)[0]?.map(move) ?? []))
      .sort((p, q) => p[0] - q[0]);
    return pieces.slice(1).map((right, i): DrawItem => {
      const [, y0, x0, y1] = pieces[i] as (typeof pieces)[number];
      const ring = rectangle(x0, y0, right[0], y1);
      return { kind: 'area', rings: [ring], fill: 'none', stroke: 'chalk', dashed: true };
    });
  });

const drawPanel = (build: Build, assembly: Assembly, options: DrawOptions): Drawing => {
  const c = faceCamera(assembly.face);
  const mine = partsOf(build.parts, assembly.id);
  const skins = mine.filter((p) => SKINS.has(p.role));
  const frame = mine.filter((p) => !SKINS.has(p.role));
  const bare = frame.length > 0;
  const origin = see(c, assembly.face.origin);
  const move = (p: Pt): Pt => [p[0] - origin[0], p[1] - origin[1]];
  const highlightsSkin = options.highlight?.some((id) => skins.some((s) => s.id === id)) ?? false;
  const body = (highlightsSkin ? [...frame, ...skins] : bare ? frame : skins).filter(
    (p) => p.role !== 'roofing' || !bare,
  );
  const areas = flatItems(c, body, options).map((i) =>
    i.kind === 'area' ? { ...i, rings: i.rings.map((r) => r.map(move)) } : i,
  );
  const box = measurePtBounds(areas.flatMap((i) => (i.kind === 'area' ? i.rings.flat() : [])));
  const size = Math.max(1.4, (box[2] - box[0]) / 30, (box[3] - box[1]) / 26);
  const items: DrawItem[] = [...areas];
  if (bare && !highlightsSkin)
    for (const s of skins)
      items.push({
        kind: 'area',
        rings: flatArea(c, s).map((r) => r.map(move)),
        fill: 'none',
        stroke: 'soft',
        dashed: true,
      });
  items.push(...sawnGaps(c, body, move));
  const tags = labels(c, body, size, options).map((i) => (i.kind === 'text' ? { ...i, at: move(i.at) } : i));
  items.push(...tags);
  items.push(
    ...dimension([box[0], box[1]], [box[2], box[1]], -size * 3.4, size),
    ...dimension([box[0], box[1]], [box[0], box[3]], -size * 2.2, size),
  );
  if (assembly.square) {
    const { width, height } = assembly.square;
    items.push(
      {
        kind: 'line',
        from: [box[0], box[1]],
        to: [box[0] + width, box[1] + height],
        stroke: 'keel',
        weight: 0.8,
        dashed: true,
      },
      {
        kind: 'line',
        from: [box[0] + width, box[1]],
        to: [box[0], box[1] + height],
        stroke: 'keel',
        weight: 0.8,
        dashed: true,
      },
    );
  }
  const tape = assembly.tapes[0];
  const first = tape ? mine.find((p) => p.id === tape.parts[0]) : undefined;
  if (tape && first) {
    const [x0] = measurePtBounds(flatArea(c, first)[0]?.map(move) ?? []);
    for (const mark of tape.marks) {
      const x = x0 + mark.at;
      items.push(
        { kind: 'line', from: [x, box[1] - size * 0.4], to: [x, box[1] - size * 1.6], stroke: 'ink', weight: 1.2 },
        {
          kind: 'text',
          at: [mark.side === 'right' ? x + 0.75 : x - 0.75, box[1] - size * 1.2],
          text: '×',
          size: Math.min(size * 0.7, 1.4),
          anchor: 'middle',
          tone: 'ink',
        },
      );
    }
  }
  return { title: assembly.name, bounds: boundsOfItems(items, size), items };
};

/**
 * Draws a build: `front`, `back`, `left`, `right`, `plan`, `three`, `section`, `panel:<assembly>` with marks and dimensions, or
 * `apart:<assembly>`, a panel lying flat with what goes on its frame lifted off.
 * @throws ViewError naming the views there are
 */
export const drawBuild = (build: Build, view: string, options: DrawOptions = {}): Drawing => {
  if (view === 'three') return drawThree(build, options);
  if (view === 'section') return drawSection(build);
  if (view in CAMERAS) return drawSquareOn(build, view, options);
  const assembly = /^(panel|apart):/.test(view) ? build.assemblies.find((a) => a.id === view.slice(6)) : undefined;
  if (!assembly) throw new ViewError(view, viewsOf(build));
  if (view.startsWith('apart:')) {
    if (!hasLayers(build, assembly)) throw new ViewError(view, viewsOf(build));
    return drawApart(build, assembly, options);
  }
  return drawPanel(build, assembly, options);
};
