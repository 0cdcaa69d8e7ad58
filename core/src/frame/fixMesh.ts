import { add, cross, findPieces, clipBelow, measureArea, measurePtBounds, scale } from '../geometry/index.ts';
import type { ConvexPiece, Pt } from '../geometry/index.ts';
import type { EndCut, MeshFixing, PartDraft } from '../unit/index.ts';
import { longestOf } from '../stock/index.ts';
import type { Axes } from './axes.ts';
import { freeStretches } from './freeStretches.ts';
import type { Stretch } from './freeStretches.ts';
import { polyPart, sawAngle } from './makePart.ts';
import type { Sketch } from './sketch.ts';

/** A 1×2 laid flat over the edge of the mesh. */
const BATTEN = { width: 1.5, thickness: 0.75 };
/** What a batten keeps clear of other parts by, and the shortest piece worth cutting. */
const CLEAR = 1 / 16;
const LEAST = 5;
/** Mesh narrower than this is held all over by its staples. */
const NARROW = 9;
/** A batten as low as this lies on the ground. */
const GROUND = 1;

/** How the mesh of a unit is held: on its upright and sloping faces, and overhead. */
export interface MeshFixPlan {
  readonly sides: MeshFixing;
  readonly overhead: MeshFixing;
  /** Only meshes of these assemblies or parts; all of them where left out. */
  readonly only?: RegExp;
}

/** Axes of a mesh's own plane, outward being the way its depth goes. */
const axesOf = (mesh: PartDraft): Axes => {
  const { origin, u, v } = mesh.place;
  return { origin, a: u, z: v, t: scale(cross(u, v), -1) };
};

/** An edge of a mesh's outline or of a hole in it: the line it lies on, inward being into the mesh. */
interface Edge {
  readonly size: number;
  readonly along: Pt;
  readonly inward: Pt;
  readonly line: number;
}

const edgesOf = (ring: readonly Pt[], way: 1 | -1): readonly Edge[] =>
  ring.map((p, i) => {
    const q = ring[(i + 1) % ring.length] as Pt;
    const size = Math.hypot(q[0] - p[0], q[1] - p[1]);
    const along: Pt = [(q[0] - p[0]) / size, (q[1] - p[1]) / size];
    // Left of an edge that runs around the mesh counter-clockwise.
    const inward: Pt = [-along[1] * way, along[0] * way];
    return { size, along, inward, line: p[0] * inward[0] + p[1] * inward[1] };
  });

/** A batten does not follow a curve: an edge that turns only a little into its neighbour is a flat of one. */
const isCurved = (ring: readonly Edge[], i: number): boolean =>
  [1, ring.length - 1].some((k) => {
    const [a, b] = [(ring[i] as Edge).along, (ring[(i + k) % ring.length] as Edge).along];
    return a[0] * b[0] + a[1] * b[1] > Math.cos((15 * Math.PI) / 180);
  });

/** A band wider than any mesh, to be clipped at its ends. */
const longBand = (e: Edge): readonly Pt[] => {
  const on = (along: number, inward: number): Pt => [
    e.along[0] * along + e.inward[0] * (e.line + inward),
    e.along[1] * along + e.inward[1] * (e.line + inward),
  ];
  const far = 1e3;
  return [on(-far, 0), on(far, 0), on(far, BATTEN.width), on(-far, BATTEN.width)];
};

/** Keeps what lies inside an edge's line, or outside it, `by` inches further in. */
const keep = (ring: readonly Pt[], e: Edge, side: 'inside' | 'outside', by: number): Pt[] =>
  side === 'inside'
    ? clipBelow(ring, [-e.inward[0], -e.inward[1]], -(e.line + by))
    : clipBelow(ring, e.inward, e.line + by);

/** Bands along every edge of a mesh, inside it, the longest running through and the others butting against them. */
const bandsOf = (mesh: PartDraft): { readonly ring: readonly Pt[]; readonly turn: number }[] => {
  const { outline, holes } = mesh.shape;
  const rings = [
    edgesOf(outline, measureArea(outline) < 0 ? -1 : 1),
    ...holes.map((ring) => edgesOf(ring, measureArea(ring) < 0 ? 1 : -1)),
  ];
  const done = new Set<Edge>();
  const out: { ring: readonly Pt[]; turn: number }[] = [];
  const all = rings.flatMap((ring) => ring.map((e, i) => ({ e, ring, i })));
  for (const { e, ring, i } of all.sort((a, b) => b.e.size - a.e.size)) {
    if (e.size < LEAST || isCurved(ring, i)) continue;
    let band = longBand(e);
    for (const [next, sense] of [
      [ring[(i + 1) % ring.length] as Edge, 1],
      [ring[(i + ring.length - 1) % ring.length] as Edge, -1],
    ] as const) {
      // Toward its end the edge leaves the neighbour's inside at a corner that juts out, and enters it at one that is gone around.
      const toward = sense * (e.along[0] * next.inward[0] + e.along[1] * next.inward[1]);
      if (Math.abs(toward) < 1e-6) continue;
      const through = done.has(next);
      band =
        toward < 0
          ? keep(band, next, 'inside', through ? BATTEN.width : 0)
          : keep(band, next, 'outside', through ? 0 : BATTEN.width);
    }
    let turn = (Math.atan2(e.along[1], e.along[0]) * 180) / Math.PI;
    if (turn > 90.001) turn -= 180;
    if (turn <= -89.999) turn += 180;
    if (band.length > 2) out.push({ ring: band, turn });
    done.add(e);
  }
  return out;
};

/** Mitred ends of a strip whose outline is turned to lie along its length. */
const cutsOf = (ring: readonly Pt[]): EndCut[] => {
  const [p0, q0, p1, q1] = measurePtBounds(ring);
  const edge = (q: number, pick: (...n: number[]) => number): number =>
    pick(...ring.filter((p) => Math.abs(p[1] - q) < 1e-6).map((p) => p[0]));
  const rise = q1 - q0;
  return (['start', 'end'] as const).flatMap((end): EndCut[] => {
    const pick = end === 'start' ? Math.min : Math.max;
    const run = Math.abs(edge(q0, pick) - edge(q1, pick));
    const angle = sawAngle(Math.atan2(run, rise));
    return Number.isFinite(run) && angle > 0.1 && p1 > p0 ? [{ end, kind: 'mitre', angle }] : [];
  });
};

const turned = (ring: readonly Pt[], degrees: number): Pt[] => {
  const r = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(r), Math.sin(r)];
  return ring.map(([x, y]): Pt => [x * c + y * s, -x * s + y * c]);
};

/** Stretches of a strip that nothing stands in, `[from, to]` along its length. */
const freeOf = (strip: PartDraft, pieces: readonly ConvexPiece[]): readonly Stretch[] => {
  const [body] = findPieces(strip.shape, strip.place);
  const { origin, u } = strip.place;
  return body ? freeStretches(body, origin, u, strip.length, pieces, CLEAR, LEAST) : [];
};

/** The battens of one face of a mesh, on the side of it that has room. */
const battenFace = (mesh: PartDraft, pieces: readonly ConvexPiece[]): readonly PartDraft[] => {
  const axes = axesOf(mesh);
  const bands = bandsOf(mesh);
  const { place, shape } = mesh;
  const out = cross(place.u, place.v);
  // Nothing lies over an opening.
  const holes = shape.holes.flatMap((ring) =>
    findPieces({ outline: ring, holes: [], depth: 4 }, { ...place, origin: add(place.origin, scale(out, -2)) }),
  );
  const onSide = (from: number): readonly PartDraft[] => {
    let n = 0;
    const inWay = [...pieces, ...holes];
    const strip = (ring: readonly Pt[], turn: number): PartDraft => {
      const cuts = cutsOf(turned(ring, turn));
      return polyPart(
        axes,
        mesh.assembly,
        {
          id: `${mesh.id}-batten-${++n}`,
          name: 'mesh batten',
          role: 'batten',
          item: '1x2',
          ...(cuts.length > 0 ? { cuts } : {}),
        },
        'az',
        ring,
        from,
        BATTEN.thickness,
        { turn },
      );
    };
    return bands.flatMap(({ ring, turn }) => {
      const first = strip(ring, turn);
      const free = freeOf(first, inWay);
      const flat = turned(ring, turn);
      const start = measurePtBounds(flat)[0];
      const made = free.flatMap(([a, b]) => {
        if (b - a < LEAST) return [];
        // The rail behind runs on, so a long batten may be joined anywhere: in equal lengths.
        const lengths = Math.ceil((b - a) / longestOf('1x2') - 1e-6);
        if (lengths === 1 && a <= 0 && b >= first.length) return [first];
        return Array.from({ length: lengths }, (_, k): readonly PartDraft[] => {
          const [from, to] = [a + ((b - a) * k) / lengths, a + ((b - a) * (k + 1)) / lengths];
          const cut = clipBelow(clipBelow(flat, [1, 0], start + to), [-1, 0], -(start + from));
          return cut.length > 2 ? [strip(turned(cut, -turn), turn)] : [];
        }).flat();
      });
      inWay.push(...made.flatMap((p) => findPieces(p.shape, p.place)));
      return made;
    });
  };
  const total = (parts: readonly PartDraft[]): number => parts.reduce((sum, p) => sum + p.length, 0);
  const outer = onSide(-(mesh.shape.depth + BATTEN.thickness));
  const inner = onSide(0);
  return (total(outer) >= total(inner) ? outer : inner).map((p, i) => {
    const [body] = findPieces(p.shape, p.place);
    const low = body !== undefined && body.high[2] < GROUND + BATTEN.width;
    return { ...p, id: `${mesh.id}-batten-${i + 1}`, ...(low ? { item: '1x2-pt' } : {}) };
  });
};

/**
 * Fixes the mesh that a family has drawn, once all else stands: lapped 2 in around the edge of its frame and stapled there, under
 * battens of 1×2 over every edge, or with washers. Battens stop short of whatever stands in their way. Doors keep what they have.
 */
export const fixMesh = (sketch: Sketch, plan: MeshFixPlan): void => {
  if (plan.sides === 'washers' && plan.overhead === 'washers') return;
  const doors = new Set(sketch.assemblies.filter((a) => a.kind === 'door').map((a) => a.id));
  const fixed = sketch.parts.filter(
    (p) =>
      p.role === 'mesh' &&
      p.fit !== 'cut on site' &&
      p.bent === undefined &&
      Math.min(p.length, p.width) >= NARROW &&
      !doors.has(p.assembly) &&
      (plan.only === undefined || plan.only.test(p.id)),
  );
  const pieces = sketch.parts.flatMap((p) => findPieces(p.shape, p.place));
  for (const mesh of fixed) {
    const up = Math.abs(cross(mesh.place.u, mesh.place.v)[2]) > 0.9;
    const fixing = up ? plan.overhead : plan.sides;
    if (fixing === 'washers') continue;
    sketch.revise(mesh.id, { fixing });
    if (fixing !== 'battens') continue;
    const battens = battenFace(mesh, pieces);
    sketch.add(...battens);
    pieces.push(...battens.flatMap((b) => findPieces(b.shape, b.place)));
  }
};
