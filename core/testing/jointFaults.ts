import { findPieces, measureSeparation } from '../src/geometry/index.ts';
import type { ConvexPiece, Vec3 } from '../src/geometry/index.ts';
import { findUnheld } from '../src/join/index.ts';
import { planSteps } from '../src/steps/index.ts';
import { findHardware } from '../src/stock/index.ts';
import { takeOff } from '../src/takeoff/index.ts';
import { countJoints, findFloating } from '../src/unit/index.ts';
import type { Build, Joint, JointKind, Part } from '../src/unit/index.ts';

/** Joints whose hardware spans a gap: what moves, what is strapped, what a bolt draws together. */
const BRIDGED: ReadonlySet<JointKind> = new Set([
  'hook',
  'toe-screwed',
  'hinge',
  'latch',
  'bolt',
  'strap',
  'tie',
  'hung',
  'rests',
  'staple',
  'lag',
]);
/** Joints driven square through the first of their parts. */
const SQUARE: ReadonlySet<JointKind> = new Set([
  'face-nailed',
  'face-screwed',
  'gasketed screw',
  'batten clamp',
  'staple',
  'roofing nail',
  'gusset',
]);
const TOUCH = 1 / 16;
/** How far hinges, straps and the like reach at most. */
const REACH = 6;

const piecesOf = (part: Part): readonly ConvexPiece[] => findPieces(part.shape, part.place);
/** Whether two parts come within reach of each other; looking stops at the first of their pieces that do. */
const areNear = (a: Part, b: Part, reach: number): boolean =>
  piecesOf(a).some((p) => piecesOf(b).some((q) => measureSeparation(p, q, reach) <= reach));

/** Where a line through a point lies inside a convex piece, by its corners' planes: `[from, to]` along the line. */
const spanIn = (piece: ConvexPiece, at: Vec3, way: Vec3): readonly [number, number] | undefined => {
  let from = -Infinity;
  let to = Infinity;
  for (let k = 0; k < piece.normals.length; k++) {
    const n = piece.normals[k] as Vec3;
    const [lo, hi] = [piece.reaches[2 * k] as number, piece.reaches[2 * k + 1] as number];
    const c = at[0] * n[0] + at[1] * n[1] + at[2] * n[2];
    const v = way[0] * n[0] + way[1] * n[1] + way[2] * n[2];
    if (Math.abs(v) < 1e-9) {
      if (c < lo - TOUCH || c > hi + TOUCH) return undefined;
      continue;
    }
    const [a, b] = v > 0 ? [(lo - c) / v, (hi - c) / v] : [(hi - c) / v, (lo - c) / v];
    if (a > from) from = a;
    if (b < to) to = b;
  }
  return to > from ? [from, to] : undefined;
};

/** The directions in which the faces of a part look; a skin's own is that of any of its pieces. */
const waysOf = (part: Part): readonly Vec3[] => piecesOf(part)[0]?.normals ?? [];

/** Whether there is a straight way from a joint's middle along which its fastener finds as much wood as it is long. */
const findsWood = (joint: Joint, parts: readonly Part[]): boolean => {
  const { at, bite } = joint;
  const first = parts[0];
  if (!at || !bite || !first) return true;
  const longest = bite.through + bite.into;
  return waysOf(first).some((way) => {
    const spans = parts.flatMap((p) => piecesOf(p).flatMap((q) => spanIn(q, at, way) ?? []));
    let wood = 0;
    for (let i = 0; i < spans.length; i += 2) {
      const [a, b] = [spans[i] as number, spans[i + 1] as number];
      if (a < REACH && b > -REACH) wood += b - a;
    }
    return wood >= longest - TOUCH;
  });
};

/**
 * What is wrong with how a build is held together: parts that no chain of joints ties to what carries it, joints of parts that are
 * not there or do not meet, fasteners that are longer than the wood they go through and into.
 */
export const jointFaults = (build: Build): string[] => {
  const byId = new Map(build.parts.map((p) => [p.id, p]));
  const wrong = findUnheld(build).map((id) => `${id} is held by no joint`);
  for (const j of build.joints) {
    const parts = j.parts.flatMap((id) => byId.get(id) ?? []);
    if (parts.length === 0 || parts.length < j.parts.length)
      wrong.push(`${j.id} (${j.kind}) names ${j.parts.join(', ')}`);
    for (const f of j.fasteners)
      if (!(f.count >= 1 && Number.isInteger(f.count) && findHardware(f.item).length === f.length))
        wrong.push(`${j.id} drives ${f.count} ${f.item} of ${f.length}`);
    const reach = BRIDGED.has(j.kind) ? REACH : TOUCH;
    parts.slice(1).forEach((p, i) => {
      if (!parts.slice(0, i + 1).some((q) => areNear(p, q, reach)))
        wrong.push(`${j.kind} of ${j.parts.join(' and ')}: ${p.id} is not there`);
    });
    if (j.bite && j.bite.into <= 0) wrong.push(`${j.kind} of ${j.parts.join(' and ')} holds in nothing`);
    if (SQUARE.has(j.kind) && !findsWood(j, parts))
      wrong.push(
        `${j.kind} of ${j.parts.join(' and ')} drives ${j.fasteners.map((f) => f.item).join()} out of the wood`,
      );
  }
  return wrong;
};

/** What joints, steps and take-off do not say alike: every fastener and fitting, line by line. */
export const countFaults = (build: Build): string[] => {
  const wrong: string[] = [];
  const sum = countJoints(build.joints);
  const steps = planSteps(build);
  const worked = countJoints(steps);
  const bought = new Map(
    takeOff(build, 'quick')
      .lines.filter((l) => l.kind === 'hardware')
      .map((l) => [l.item, l.quantity]),
  );
  const all = [...sum.fasteners, ...sum.hardware];
  for (const { item, count } of all) {
    const inSteps = [...worked.fasteners, ...worked.hardware].find((f) => f.item === item)?.count ?? 0;
    if (inSteps !== count) wrong.push(`${item}: ${count} in joints, ${inSteps} in steps`);
    if (bought.get(item) !== count) wrong.push(`${item}: ${count} in joints, ${bought.get(item) ?? 0} bought`);
  }
  if (bought.size !== all.length) wrong.push(`${bought.size} lines bought, ${all.length} in joints`);
  const seen = new Map<string, number>();
  for (const s of steps) for (const id of s.joints) seen.set(id, (seen.get(id) ?? 0) + 1);
  for (const j of build.joints) if (seen.get(j.id) !== 1) wrong.push(`${j.id} is made ${seen.get(j.id) ?? 0} times`);
  return [...wrong, ...findFloating(build).map((id) => `${id} touches nothing`)];
};
