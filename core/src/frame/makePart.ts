import { cross, dot, measurePtBounds, rectangle } from '../geometry/index.ts';
import type { Placement, Pt, Vec3 } from '../geometry/index.ts';
import type { EndCut, Fit, PartDraft, Role } from '../unit/index.ts';
import { findItem } from '../stock/index.ts';
import { inAxes } from './axes.ts';
import type { Axes, AxisName } from './axes.ts';

/** What every new part is told about itself. */
export interface PartText {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly item: string;
  readonly fit?: Fit;
  readonly tolerance?: number;
  readonly rip?: number;
  readonly cuts?: readonly EndCut[];
  readonly notches?: readonly string[];
  readonly lap?: number;
  readonly sawnOut?: PartDraft['sawnOut'];
  readonly wrap?: string;
}

/** What an outline shows of its piece: the wide face, the edge (length by thickness), or the cross-section. */
export type OutlineForm = 'face' | 'edge' | 'section';

const extentAt = (outline: readonly Pt[], q: number): number => {
  const at = outline.filter((p) => Math.abs(p[1] - q) < 1e-6).map((p) => p[0]);
  return at.length < 2 ? Infinity : Math.max(...at) - Math.min(...at);
};

const finish = (
  text: PartText,
  outline: readonly Pt[],
  holes: readonly (readonly Pt[])[],
  depth: number,
  place: Placement,
  assembly: string,
  along: 'u' | 'v' = 'u',
  form: OutlineForm = 'face',
): PartDraft => {
  const [p0, q0, p1, q1] = measurePtBounds(outline);
  const shorter = Math.min(extentAt(outline, q0), extentAt(outline, q1), p1 - p0);
  const lumber = findItem(text.item).kind === 'lumber';
  const long = along === 'u' ? p1 - p0 : q1 - q0;
  const other = along === 'u' ? q1 - q0 : p1 - p0;
  const length = form === 'section' ? depth : long;
  const section = form === 'section' ? [long, other] : [other, depth];
  const faced = !lumber && form === 'face';
  return {
    id: text.id,
    name: text.name,
    role: text.role,
    item: text.item,
    assembly,
    shape: { outline, holes, depth },
    place,
    length,
    shortPoint: lumber && form !== 'section' ? shorter : length,
    width: faced ? other : Math.max(...section),
    thickness: faced ? depth : Math.min(...section),
    cuts: text.cuts ?? [],
    notches: text.notches ?? [],
    ...(text.rip === undefined ? {} : { rip: text.rip }),
    ...(text.lap === undefined ? {} : { lap: text.lap }),
    ...(text.sawnOut ? { sawnOut: text.sawnOut } : {}),
    ...(text.wrap === undefined ? {} : { wrap: text.wrap }),
    fit: text.fit ?? 'cut to length',
    ...(text.tolerance === undefined ? {} : { tolerance: text.tolerance }),
  };
};

/**
 * A square-cut piece as a box in a wall's directions: `from` its low corner, `size` its extents in (a, t, z).
 * @param along the direction of its length (or of a sheet's grain)
 */
export const boxPart = (
  axes: Axes,
  assembly: string,
  text: PartText,
  from: Vec3,
  size: Vec3,
  along: AxisName,
): PartDraft => {
  const names: AxisName[] = ['a', 't', 'z'];
  const extent = { a: size[0], t: size[1], z: size[2] };
  const rest = names.filter((n) => n !== along) as [AxisName, AxisName];
  // The wide face is drawn, the thin direction is the depth.
  const [wide, thin] = extent[rest[0]] >= extent[rest[1]] ? rest : ([rest[1], rest[0]] as const);
  const dirs = { a: axes.a, t: axes.t, z: axes.z };
  const u = dirs[along];
  const v = dirs[wide];
  const flipped = dot(cross(u, v), dirs[thin]) < 0;
  const shift = (n: AxisName): number => (flipped && n === thin ? extent[thin] : 0);
  const origin = inAxes(axes, from[0] + shift('a'), from[1] + shift('t'), from[2] + shift('z'));
  return finish(text, rectangle(0, 0, extent[along], extent[wide]), [], extent[thin], { origin, u, v }, assembly);
};

/** Which plane of a wall an outline is drawn in. */
export type PlaneName = 'az' | 'tz' | 'at';

/**
 * A piece from an outline drawn in a plane of the wall, pushed from `from` by `depth` along the third direction.
 * @param turn degrees from the plane's first direction to the piece's length; its outline is kept along that length
 * @param grain direction of a sheet's length after the turn
 */
export const polyPart = (
  axes: Axes,
  assembly: string,
  text: PartText,
  plane: PlaneName,
  outline: readonly Pt[],
  from: number,
  depth: number,
  options: {
    readonly turn?: number;
    readonly holes?: readonly (readonly Pt[])[];
    readonly grain?: 'u' | 'v';
    readonly form?: OutlineForm;
  } = {},
): PartDraft => {
  const first = plane === 'tz' ? axes.t : axes.a;
  const second = plane === 'at' ? axes.t : axes.z;
  const third = plane === 'az' ? axes.t : plane === 'tz' ? axes.a : axes.z;
  const r = ((options.turn ?? 0) * Math.PI) / 180;
  const c = Math.cos(r);
  const s = Math.sin(r);
  const turned = (p: Pt): Pt => [p[0] * c + p[1] * s, -p[0] * s + p[1] * c];
  // Outlines drawn by formula may give a corner twice.
  const ring = outline
    .filter((p, i) => {
      const q = outline[(i + 1) % outline.length] as Pt;
      return Math.abs(p[0] - q[0]) > 1e-6 || Math.abs(p[1] - q[1]) > 1e-6;
    })
    .map(turned);
  const [p0, q0] = measurePtBounds(ring);
  const moved = (p: Pt): Pt => [p[0] - p0, p[1] - q0];
  const mix = (m: number, n: number): Vec3 => [
    first[0] * m + second[0] * n,
    first[1] * m + second[1] * n,
    first[2] * m + second[2] * n,
  ];
  const u = mix(c, s);
  const v = mix(-s, c);
  const flipped = dot(cross(u, v), third) < 0;
  const level = flipped ? from + depth : from;
  const base = inAxes(axes, plane === 'tz' ? level : 0, plane === 'az' ? level : 0, plane === 'at' ? level : 0);
  const origin: Vec3 = [
    base[0] + u[0] * p0 + v[0] * q0,
    base[1] + u[1] * p0 + v[1] * q0,
    base[2] + u[2] * p0 + v[2] * q0,
  ];
  return finish(
    text,
    ring.map(moved),
    (options.holes ?? []).map((h) => h.map(turned).map(moved)),
    depth,
    { origin, u, v },
    assembly,
    options.grain ?? 'u',
    options.form ?? 'face',
  );
};

/** Degrees rounded to a tenth, as a saw's scale is read. */
export const sawAngle = (radians: number): number => Math.round((Math.abs(radians) * 1800) / Math.PI) / 10 + 0;
