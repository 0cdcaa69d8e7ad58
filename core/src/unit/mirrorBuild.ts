import { add, dot, findPieces, scale, sub, toLocal, toWorld } from '../geometry/index.ts';
import type { Placement, Pt, Vec3 } from '../geometry/index.ts';
import type { Joint } from './joint.ts';
import type { Assembly, Build, Part, Side, Tape } from './types.ts';

/** The side that a side becomes. */
export const SWAPPED: Record<Side, Side> = { front: 'front', back: 'back', left: 'right', right: 'left' };

/** Words for sides change places, so that a mirrored unit's left wall is called its right one. */
export const swapWords = (text: string): string =>
  text.replace(
    /\b(left|right|Left|Right)\b/g,
    (w) => ({ left: 'right', right: 'left', Left: 'Right', Right: 'Left' })[w] ?? w,
  );

/** A tape pulled from the other end. */
const mirrorTape = (tape: Tape): Tape => ({
  ...tape,
  title: swapWords(tape.title),
  marks: [...tape.marks]
    .reverse()
    .map((m) => ({ ...m, at: tape.length - m.at, side: m.side === 'right' ? ('left' as const) : ('right' as const) })),
});

/** Width that a panel's face is turned in: its plate and as much again as it starts from the face's edge, else what it reaches. */
const measureFace = (build: Build, a: Assembly): number => {
  // What was turned once is turned back in the same width.
  if (a.turned !== undefined) return a.turned;
  const tape = a.tapes[0];
  const plate = build.parts.find((p) => p.id === tape?.parts[0]);
  if (tape && plate) return 2 * toLocal(a.face, plate.place.origin)[0] + tape.length;
  return Math.max(
    0,
    ...build.parts
      .filter((p) => p.assembly === a.id)
      .flatMap((p) =>
        findPieces(p.shape, p.place).flatMap((piece) => piece.points.map((c) => dot(sub(c, a.face.origin), a.face.u))),
      ),
  );
};

/**
 * The same unit with left and right exchanged, over its own middle. Ids stay, so that parts can be compared; names, sides and
 * tapes are turned round.
 */
export const mirrorBuild = (build: Build): Build => {
  const [x0, , x1] = build.facts.base;
  const flip = (p: Vec3): Vec3 => [x0 + x1 - p[0], p[1], p[2]];
  const turn = (d: Vec3): Vec3 => [-d[0], d[1], d[2]];
  const mirrorPart = (part: Part): Part => {
    const { place, shape } = part;
    // The reflected directions are left-handed; starting from the far face makes them right-handed again.
    const far = toWorld(place, 0, 0, shape.depth);
    return {
      ...part,
      name: swapWords(part.name),
      place: { origin: flip(far), u: turn(place.u), v: turn(place.v) },
    };
  };
  const parts = build.parts.map(mirrorPart);
  const widths = new Map(build.assemblies.map((a) => [a.id, measureFace(build, a)]));
  const mirrorFace = (face: Placement, width: number): Placement => ({
    origin: flip(add(face.origin, scale(face.u, width))),
    u: scale(turn(face.u), -1),
    v: turn(face.v),
  });
  const mirrorAssembly = ({ turned, ...a }: Assembly): Assembly => ({
    ...a,
    name: swapWords(a.name),
    face: mirrorFace(a.face, widths.get(a.id) ?? 0),
    ...(turned === undefined ? { turned: widths.get(a.id) ?? 0 } : {}),
    tapes: a.tapes.map(mirrorTape),
    ...(a.joins ? { joins: { ...a.joins, how: swapWords(a.joins.how) } } : {}),
  });
  let joints: readonly Joint[] | undefined;
  return {
    family: build.family,
    capacity: build.capacity,
    parts,
    assemblies: build.assemblies.map(mirrorAssembly),
    openings: build.openings.map((o) => ({
      ...o,
      left: (widths.get(o.assembly) ?? 0) - o.left - o.width,
      ...(o.rake === undefined ? {} : { rake: -o.rake }),
      ...(o.wall ? { wall: SWAPPED[o.wall] } : {}),
    })),
    faces: build.faces.map((f) => {
      const place: Placement = { origin: flip(f.place.origin), u: scale(turn(f.place.u), -1), v: turn(f.place.v) };
      // u was turned round, so the region is too; its outward direction stays outward.
      const region = f.region.map(([p, q]): Pt => [-p, q]).reverse();
      return { ...f, name: swapWords(f.name), place, region };
    }),
    get joints() {
      return (joints ??= build.joints.map((j) => (j.at ? { ...j, at: flip(j.at) } : j)));
    },
    notes: build.notes.map((n) => ({
      ...n,
      what: swapWords(n.what),
      why: swapWords(n.why),
      ...(n.fix ? { fix: { ...n.fix, label: swapWords(n.fix.label) } } : {}),
    })),
    facts: {
      ...build.facts,
      ...(build.facts.nests
        ? { nests: { ...build.facts.nests, wall: SWAPPED[build.facts.nests.wall as Side] ?? build.facts.nests.wall } }
        : {}),
    },
  };
};
