import { add, cross, dot, isInShape, scale, sub } from '../geometry/index.ts';
import type { Vec3 } from '../geometry/index.ts';
import { findContacts, lengthDirection } from '../unit/index.ts';
import type { Contact, JointDraft, PartDraft } from '../unit/index.ts';
import { isFrame, layerOf } from './layers.ts';

/** Framing that stands behind a place of a skin: the part, how much of the place it backs, and how deep it is there. */
export interface Backing {
  readonly part: PartDraft;
  readonly long: number;
  readonly short: number;
  readonly deep: number;
  readonly onEnd: boolean;
  /** Middle of what it backs. */
  readonly at: Vec3;
}

/** What the rules of joinery look at: how the parts of a unit meet. */
export interface Scene {
  readonly contacts: readonly Contact[];
  /** Whether two panels are bolted to each other, so that they come apart again. */
  readonly bolted: (a: string, b: string) => boolean;
  /** The framing behind a contact on one side of a skin, on its other side. */
  readonly behind: (skin: PartDraft, contact: Contact) => readonly Backing[];
}

/** What a family says of how its panels are joined. */
export interface Joinery {
  readonly bolted?: (a: string, b: string) => boolean;
}

/** One rule of joinery: how two parts that meet are joined, or nothing where it has nothing to say of them. */
export type JoineryRule = (meet: Contact, scene: Scene) => JointDraft | readonly JointDraft[] | 'none' | undefined;

/** The same contact seen from its other part. */
export const turnRound = (c: Contact): Contact => ({
  ...c,
  a: c.b,
  b: c.a,
  normal: scale(c.normal, -1),
  onA: c.onB,
  onB: c.onA,
  deepA: c.deepB,
  deepB: c.deepA,
});

/** Two directions in a skin's plane. */
type Basis = readonly [Vec3, Vec3];

interface Rect {
  readonly lo: readonly [number, number];
  readonly hi: readonly [number, number];
}

const basisOf = (c: Contact): Basis => [c.along, cross(c.normal, c.along)];

/** Bounds of a contact along two directions. */
const rectOn = ([u, v]: Basis, c: Contact): Rect => {
  const across = cross(c.normal, c.along);
  const half = (axis: Vec3): number =>
    (Math.abs(dot(c.along, axis)) * c.long + Math.abs(dot(across, axis)) * c.short) / 2;
  const [x, y, hu, hv] = [dot(c.centre, u), dot(c.centre, v), half(u), half(v)];
  return { lo: [x - hu, y - hv], hi: [x + hu, y + hv] };
};

/** What two contacts share, along two directions. */
interface Share extends Rect {
  readonly basis: Basis;
  readonly long: number;
  readonly short: number;
}

/** How far inside a part is looked for its wood. */
const DEEP = 1 / 64;
/** Places of a shared patch that are looked at, as shares of its size from its middle. */
const SPOTS = [0, -0.25, 0.25, -0.42, 0.42];

/** What two contacts on both sides of a skin share, seen along the one's own directions: exact where they lie the same way. */
const shareOf = (basis: Basis, mine: Contact, theirs: Contact): Share | undefined => {
  const [m, t] = [rectOn(basis, mine), rectOn(basis, theirs)];
  const lo = [Math.max(m.lo[0], t.lo[0]), Math.max(m.lo[1], t.lo[1])] as const;
  const hi = [Math.min(m.hi[0], t.hi[0]), Math.min(m.hi[1], t.hi[1])] as const;
  const [wide, high] = [hi[0] - lo[0], hi[1] - lo[1]];
  return wide < 0.5 || high < 0.5
    ? undefined
    : { lo, hi, basis, long: Math.max(wide, high), short: Math.min(wide, high) };
};

/** The first place of a patch, from its middle outward, that passes. */
const findSpot = ({ lo, hi, basis }: Share, level: Vec3, passes: (at: Vec3) => boolean): Vec3 | undefined => {
  const [u, v] = basis;
  for (const i of SPOTS)
    for (const k of SPOTS) {
      const x = (lo[0] + hi[0]) / 2 + k * (hi[0] - lo[0]);
      const y = (lo[1] + hi[1]) / 2 + i * (hi[1] - lo[1]);
      const at = add(add(scale(u, x), scale(v, y)), level);
      if (passes(at)) return at;
    }
  return undefined;
};

/** True where two contacts are too far apart to share anything. */
const areApart = (a: Contact, b: Contact, skin: number): boolean => {
  const reach = (a.long + a.short + b.long + b.short) / 2 + skin;
  const d = sub(a.centre, b.centre);
  return dot(d, d) > reach * reach;
};

/** True where a contact lies on a wide side of a skin rather than on its edges. */
export const isOnFace = (skin: PartDraft, c: Contact): boolean => (c.a === skin ? c.onA : c.onB) === 'face';

/** True where a contact lies in the plane that a skin's outline is drawn in. */
const isInPlane = (skin: PartDraft, c: Contact): boolean =>
  Math.abs(dot(c.normal, cross(skin.place.u, skin.place.v))) > 0.9;

/** Layers that are never joined to one another, whatever sides they meet with. */
const STRANGERS: ReadonlySet<string> = new Set(
  (
    [
      ['sheet', 'sheet'],
      ['mesh', 'mesh'],
      ['mesh', 'roofing'],
      ['leaf', 'wall'],
      ['leaf', 'pen'],
      ['leaf', 'stop'],
      ['leaf', 'on'],
      ['leaf', 'box'],
      ['stop', 'sheet'],
      ['stop', 'mesh'],
      ['over', 'over'],
      ['over', 'own'],
    ] as const
  ).flatMap(([a, b]) => [`${a} ${b}`, `${b} ${a}`]),
);

const isChannel = (p: PartDraft): boolean => p.role === 'channel';

const mayJoin = (a: PartDraft, b: PartDraft): boolean =>
  !STRANGERS.has(`${layerOf(a)} ${layerOf(b)}`) ||
  // A pop door may slide on a leaf.
  (isChannel(a) && layerOf(b) === 'leaf') ||
  (isChannel(b) && layerOf(a) === 'leaf');

/** What there is to know of how some parts meet. */
export const lookAt = (parts: readonly PartDraft[], joinery: Joinery): Scene => {
  const contacts = findContacts(parts, mayJoin);
  const frames = new Map<PartDraft, Contact[]>();
  for (const c of contacts)
    for (const [skin, other] of [
      [c.a, c.b],
      [c.b, c.a],
    ] as const)
      if (!isFrame(skin) && (isFrame(other) || layerOf(other) === 'leaf') && isInPlane(skin, c)) {
        const list = frames.get(skin);
        if (list) list.push(c);
        else frames.set(skin, [c]);
      }
  const behind = (skin: PartDraft, contact: Contact): readonly Backing[] => {
    const mine = contact.a === skin;
    const out = mine ? contact.normal : scale(contact.normal, -1);
    const strip = mine ? contact.b : contact.a;
    const deep = mine ? contact.deepA : contact.deepB;
    const level = scale(contact.normal, dot(contact.centre, contact.normal));
    const basis = basisOf(contact);
    const found: Backing[] = [];
    for (const c of frames.get(skin) ?? []) {
      if (areApart(contact, c, deep)) continue;
      const theirs = c.a === skin;
      // On the other side of the skin.
      if (dot(out, c.normal) * (theirs ? 1 : -1) > -0.9) continue;
      // The less they share, the nearer to the truth: a slanting place fills less than its bounds.
      const first = shareOf(basis, contact, c);
      const second = first && shareOf(basisOf(c), contact, c);
      if (!first || !second) continue;
      const share = first.long * first.short <= second.long * second.short ? first : second;
      const other = theirs ? c.b : c.a;
      // Where strip, skin and framing are all there: any of them may be cut out or slant away.
      const at = findSpot(
        share,
        level,
        (spot) =>
          isInShape(strip.shape, strip.place, add(spot, scale(out, DEEP))) &&
          isInShape(skin.shape, skin.place, add(spot, scale(out, -DEEP))) &&
          isInShape(other.shape, other.place, add(spot, scale(out, -deep - DEEP))),
      );
      if (at)
        found.push({
          long: share.long,
          short: share.short,
          at,
          part: other,
          deep: theirs ? c.deepB : c.deepA,
          onEnd: (theirs ? c.onB : c.onA) === 'end',
        });
    }
    return found;
  };
  return { contacts, bolted: joinery.bolted ?? (() => false), behind };
};

/** True where a contact runs along a stick rather than across it. */
export const runsAlong = (part: PartDraft, c: Contact): boolean =>
  c.long > c.short * 1.2 && Math.abs(dot(lengthDirection(part), c.along)) > 0.7;
