import { findPieces } from '../geometry/index.ts';
import { isPadBlock } from '../unit/index.ts';
import type { Build, Part, Role } from '../unit/index.ts';

/** What kind of thing comes down on the ground. */
export type BearingKind = 'leg' | 'runner' | 'sill' | 'sole' | 'plate' | 'rim';

/** Something of a unit that must be carried: along a line from end to end, or at a point where both are the same. Inches. */
export interface Bearing {
  readonly kind: BearingKind;
  readonly parts: readonly string[];
  readonly assembly: string;
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  /** Its underside. */
  readonly z: number;
  readonly wide: number;
}

const BEARING: Partial<Record<Role, BearingKind>> = {
  leg: 'leg',
  runner: 'runner',
  sill: 'sill',
  plate: 'plate',
  rim: 'rim',
};
/** How close a part lies on another that it is carried by it. */
const TOUCH = 1 / 16;
/** Runners this close are one: the two of a skid. */
const PAIR = 2;

interface Box {
  readonly part: Part;
  readonly low: readonly [number, number, number];
  readonly high: readonly [number, number, number];
}

const boxOf = (part: Part): Box => {
  const pieces = findPieces(part.shape, part.place);
  const pick = (k: 0 | 1 | 2, side: 'low' | 'high', f: (...n: number[]) => number): number =>
    f(...pieces.map((p) => p[side][k]));
  return {
    part,
    low: [pick(0, 'low', Math.min), pick(1, 'low', Math.min), pick(2, 'low', Math.min)],
    high: [pick(0, 'high', Math.max), pick(1, 'high', Math.max), pick(2, 'high', Math.max)],
  };
};

const overlaps = (a: Box, b: Box): boolean =>
  [0, 1].every((k) => a.low[k as 0 | 1] < b.high[k as 0 | 1] - TOUCH && b.low[k as 0 | 1] < a.high[k as 0 | 1] - TOUCH);

/** Skins and covers carry nothing. */
const CARRIES = (p: Part): boolean =>
  !['mesh', 'siding', 'trim', 'liner', 'batten', 'block', 'ramp', 'stop'].includes(p.role);

const lineOf = (b: Box, kind: BearingKind): Pick<Bearing, 'from' | 'to' | 'wide'> => {
  const [dx, dy] = [b.high[0] - b.low[0], b.high[1] - b.low[1]];
  const [mx, my] = [(b.low[0] + b.high[0]) / 2, (b.low[1] + b.high[1]) / 2];
  if (kind === 'leg') return { from: [mx, my], to: [mx, my], wide: Math.max(dx, dy) };
  return dx >= dy
    ? { from: [b.low[0], my], to: [b.high[0], my], wide: dy }
    : { from: [mx, b.low[1]], to: [mx, b.high[1]], wide: dx };
};

/**
 * Everything of a unit that comes down on what carries it: what is framing, and has no framing of the unit under it. A unit inside
 * another building has none.
 */
export const findBearings = (build: Build): Bearing[] => {
  if (build.facts.indoors) return [];
  const boxes = build.parts.filter(CARRIES).map(boxOf);
  const curb = build.parts.filter((p) => p.role === 'block' && !isPadBlock(p)).map(boxOf);
  // A house without a floor of its own stands on the soles of its walls.
  const base = new Set(build.assemblies.filter((a) => a.kind === 'base').map((a) => a.id));
  const apart = new Set(build.assemblies.filter((a) => a.apart === true).map((a) => a.id));
  const out: Bearing[] = [];
  for (const b of boxes) {
    const role = BEARING[b.part.role];
    // The sill of an opening carries nothing but its wall's skin.
    if (role === undefined || (role === 'sill' && !base.has(b.part.assembly))) continue;
    const onCurb = curb.some((q) => overlaps(q, b) && Math.abs(q.high[2] - b.low[2]) < 1);
    const carried =
      onCurb ||
      boxes.some((q) => q !== b && overlaps(q, b) && q.low[2] < b.low[2] - TOUCH && q.high[2] > b.low[2] - TOUCH);
    if (carried) continue;
    const kind = role === 'plate' && base.size === 0 && !apart.has(b.part.assembly) ? 'sole' : role;
    const { from, to, wide } = lineOf(b, kind);
    const pair =
      kind === 'runner'
        ? out.find((o) => o.kind === 'runner' && Math.abs(o.from[1] - from[1]) < PAIR && Math.abs(o.z - b.low[2]) < 3)
        : undefined;
    if (pair) {
      const [x0, x1] = [Math.min(pair.from[0], from[0]), Math.max(pair.to[0], to[0])];
      const y = (pair.from[1] + from[1]) / 2;
      out[out.indexOf(pair)] = {
        ...pair,
        parts: [...pair.parts, b.part.id],
        from: [x0, y],
        to: [x1, y],
        z: Math.min(pair.z, b.low[2]),
        wide: Math.max(pair.wide, Math.abs(pair.from[1] - from[1]) + wide),
      };
      continue;
    }
    out.push({ kind, parts: [b.part.id], assembly: b.part.assembly, from, to, z: b.low[2], wide });
  }
  return out;
};
