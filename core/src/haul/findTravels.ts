import { measureBounds, measureMass, measurePartsMass } from '../unit/index.ts';
import type { Assembly, Build, Part } from '../unit/index.ts';
import type { Method, Step } from '../steps/index.ts';

/** One thing that is lifted on to a trailer and off it: a unit, a panel, or a bundle of sticks and sheets. Inches, pounds. */
export interface Travels {
  readonly id: string;
  readonly name: string;
  readonly kind: 'unit' | 'panel' | 'bundle';
  /** Longest, middle and least extent. */
  readonly size: readonly [number, number, number];
  /** Across the unit as it is carried in: its narrower side; a panel goes on edge. */
  readonly across: number;
  readonly weight: number;
}

const sizeOf = (parts: readonly Part[]): readonly [number, number, number] => {
  const { size } = measureBounds(parts);
  const [a = 0, b = 0, c = 0] = [...size].sort((p, q) => q - p);
  return [a, b, c];
};

/** What lies bundled is as long as its longest piece, and about a foot square. Common practice, no source. */
const BUNDLE = 14;

/** What is rolled or folded up to travel, and the roll. */
const ROLLED: ReadonlySet<string> = new Set(['mesh', 'tarp']);
const ROLL = 48;

/** A piece as it lies in a bundle: its longer side along it. */
const lying = (p: Part): readonly [number, number] =>
  ROLLED.has(p.role) || p.item === 'tarp'
    ? [Math.min(ROLL, Math.max(p.length, p.width)), BUNDLE]
    : [Math.max(p.length, p.width), Math.min(p.length, p.width)];

const bundle = (id: string, name: string, parts: readonly Part[]): Travels => {
  const long = Math.max(...parts.map((p) => lying(p)[0]));
  const wide = Math.max(BUNDLE, ...parts.map((p) => lying(p)[1]));
  return {
    id,
    name,
    kind: 'bundle',
    size: [long, wide, BUNDLE],
    across: Math.min(wide, long),
    weight: measurePartsMass(parts).weight,
  };
};

/** What travels as one piece among panels; the rest is bundled. */
const isPanel = (a: Assembly): boolean =>
  a.kind === 'base' || a.flat || a.kind === 'door' || a.kind === 'lid' || a.kind === 'nest';

/** Panels that are framed on site, by the steps that were planned for a unit. */
export const findFramedThere = (
  build: Build,
  steps: readonly Pick<Step, 'place' | 'verb' | 'assembly'>[],
): ReadonlySet<string> => {
  const panels = new Set(build.assemblies.filter(isPanel).map((a) => a.id));
  return new Set(
    steps.flatMap((s) =>
      s.place === 'site' && s.verb === 'frame' && s.assembly !== undefined && panels.has(s.assembly)
        ? [s.assembly]
        : [],
    ),
  );
};

/**
 * What of a unit travels by a method: whole, as panels with bundles for the rest, or as sticks and sheets. Block is counted with the foundation.
 * @param there assemblies that are framed on site although the rest comes as panels
 */
export const findTravels = (build: Build, method: Method, there: ReadonlySet<string> = new Set()): Travels[] => {
  const parts = build.parts.filter((p) => p.role !== 'block' && p.fit !== 'sawn in place');
  const of = (id: string): Part[] => parts.filter((p) => p.assembly === id);
  if (method === 'on-site') {
    const sheets = parts.filter((p) => p.thickness < 1 && p.width > 12);
    const sticks = parts.filter((p) => !sheets.includes(p));
    return [
      ...(sticks.length > 0 ? [bundle('sticks', 'sticks, cut', sticks)] : []),
      ...(sheets.length > 0 ? [bundle('sheets', 'sheets, cut', sheets)] : []),
    ];
  }
  const out: Travels[] = [];
  // Ramps, skirts and fills are cut where it stands: their wood and mesh come along.
  const site = new Set(build.assemblies.filter((a) => a.site === true).map((a) => a.id));
  const cutThere = parts.filter((p) => site.has(p.assembly));
  const apart = method === 'whole' ? build.assemblies.filter((a) => a.apart === true) : build.assemblies;
  if (method === 'whole') {
    const away = new Set(build.assemblies.filter((a) => a.apart === true || a.site === true).map((a) => a.id));
    const body = parts.filter((p) => !away.has(p.assembly));
    const { size } = measureBounds(body);
    const gone = measurePartsMass(parts.filter((p) => away.has(p.assembly))).weight;
    if (body.length > 0)
      out.push({
        id: 'unit',
        name: 'the unit',
        kind: 'unit',
        size: [Math.max(size[0], size[1]), Math.min(size[0], size[1]), size[2]],
        across: Math.min(size[0], size[1]),
        weight: measureMass(build).weight - gone,
      });
  }
  for (const a of apart) {
    if (a.site === true) continue;
    const mine = of(a.id);
    if (mine.length === 0) continue;
    if (there.has(a.id)) {
      out.push(bundle(a.id, `${a.name}, cut`, mine));
      continue;
    }
    if (!isPanel(a)) {
      out.push(bundle(a.id, a.name, mine));
      continue;
    }
    const size = sizeOf(mine);
    out.push({
      id: a.id,
      name: a.name,
      kind: 'panel',
      size,
      across: size[2],
      weight: measurePartsMass(mine).weight,
    });
  }
  if (cutThere.length > 0) out.push(bundle('site-parts', 'what is cut on site', cutThere));
  return out;
};
