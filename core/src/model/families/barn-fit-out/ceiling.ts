import { boxPart, SLIVER, UNIT_AXES, WALL } from '../../../frame/index.ts';
import type { Sketch } from '../../../frame/index.ts';
import { findMesh } from '../../../stock/index.ts';
import type { BarnFitOutParams } from './params.ts';

const T = 1.5;
const JOIST = 3.5;
const BEAM = 5.5;
const PLY = 0.5;
const JOISTS_AT = 24;
/** A joist of 2×4 hangs between beams no farther apart than this. */
const BAY = 96;

/** Joists, beams and ledgers of the ceiling, for the span check. */
export interface CeilingFit {
  readonly joistSpan: number;
  readonly beams: number;
  readonly beamSpan: number;
  readonly joist: string;
}

/**
 * A ceiling over the fit-out: sistered 2×6 beams across it, carried by the front plate and a post at the barn's wall, 2×4 joists
 * hung between them at 24 in, ledgers at the ends, and boards or mesh on top.
 */
export const frameCeiling = (sketch: Sketch, p: BarnFitOutParams, z: number): CeilingFit => {
  const { length: L, depth: D } = p;
  const a = UNIT_AXES;
  const id = 'ceiling';
  const bays = Math.max(1, Math.ceil(L / BAY));
  const storage = p.ceiling === 'storage';
  const joistItem = '2x4';
  const top = z + BEAM;
  // Ledgers: at the barn's left wall, at its back wall, and over the right wall's plate.
  const beams: number[] = [];
  for (let i = 1; i < bays; i++) beams.push(Math.round(((L * i) / bays - T) * 16) / 16);
  const add = (
    tag: string,
    name: string,
    role: 'rim' | 'joist' | 'post' | 'blocking',
    item: string,
    from: readonly [number, number, number],
    size: readonly [number, number, number],
    along: 'a' | 't' | 'z',
  ) => sketch.add(boxPart(a, id, { id: `${id}/${tag}`, name, role, item }, from, size, along));
  add('ledger-left', 'ledger on the barn’s wall', 'rim', '2x6', [0, 0, z], [T, D, BEAM], 't');
  add(
    'ledger-right',
    p.ownRight ? 'rim over the right wall' : 'ledger on the barn’s wall',
    'rim',
    '2x6',
    [L - T, 0, z],
    [T, D, BEAM],
    't',
  );
  beams.forEach((x, i) => {
    add(`beam-${i + 1}-1`, 'ceiling beam, one of a pair', 'rim', '2x6', [x, 0, z], [T, D, BEAM], 't');
    add(`beam-${i + 1}-2`, 'ceiling beam, one of a pair', 'rim', '2x6', [x + T, 0, z], [T, D, BEAM], 't');
    // The far end stands on a post against the barn's wall.
    add(`post-${i + 1}`, 'post under the beam', 'post', '4x4', [x - 0.25, D - JOIST, 0], [JOIST, JOIST, z], 'z');
  });
  const edges = [T, ...beams.flatMap((x) => [x, x + 2 * T]), L - T];
  const joists: number[] = [0];
  for (let k = 1; k * JOISTS_AT < D - 3; k++) joists.push(k * JOISTS_AT - T / 2);
  joists.push(D - T);
  for (let b = 0; b * 2 < edges.length; b++) {
    const x0 = edges[b * 2] as number;
    const x1 = edges[b * 2 + 1] as number;
    joists.forEach((y, i) => {
      // Over the front plate it is as deep as the beams, so that nothing stays open under it.
      const front = i === 0;
      const deep = front ? BEAM : JOIST;
      add(
        `joist-${b + 1}-${i + 1}`,
        front ? 'rim over the front plate' : i === joists.length - 1 ? 'end joist' : 'ceiling joist',
        'joist',
        front ? '2x6' : joistItem,
        [x0, y, top - deep],
        [x1 - x0, T, deep],
        'a',
      );
    });
  }
  const wall = (part: string, long: number) =>
    sketch.join({
      kind: 'lag',
      parts: [`${id}/${part}`],
      fasteners: [{ item: 'lag-4', length: 4, count: 2 * Math.max(2, Math.ceil(long / 24)) }],
    });
  wall('ledger-left', D);
  if (!p.ownRight) wall('ledger-right', D);
  if (storage) {
    let n = 0;
    const starts = [0, ...beams.map((x) => x + T), L];
    const rows = Array.from({ length: Math.ceil((D - 1e-6) / 48) + 1 }, (_, k) => Math.min(D, k * 48));
    // A strip too narrow to be screwed is shared with the sheet before it, on the joist nearest to that.
    const last = rows.length - 2;
    if (last > 0 && D - (rows[last] as number) < SLIVER)
      rows[last] = Math.max(...joists.map((y) => y + T / 2).filter((y) => y < D - SLIVER - T), D / 2);
    for (let b = 0; b + 1 < starts.length; b++)
      for (const [k, y] of rows.slice(0, -1).entries()) {
        const wide = (rows[k + 1] as number) - y;
        const [x0, x1] = [starts[b] as number, starts[b + 1] as number];
        sketch.add(
          boxPart(
            a,
            id,
            { id: `${id}/floor-${++n}`, name: 'ceiling sheet', role: 'floor', item: 'ply-1/2' },
            [x0, y, top],
            [x1 - x0, wide, PLY],
            'a',
          ),
        );
      }
  } else {
    const mesh = findMesh(p.mesh);
    sketch.add(
      boxPart(
        a,
        id,
        { id: `${id}/mesh`, name: 'ceiling mesh', role: 'mesh', item: mesh.key },
        [0, 0, top],
        [L, D, mesh.thickness],
        'a',
      ),
    );
  }
  sketch.assembly({
    id,
    name: 'ceiling',
    kind: 'roof',
    face: { origin: [0, 0, top], u: [1, 0, 0], v: [0, 1, 0] },
    flat: false,
    tapes: [],
    joins: {
      to: 'front-wall',
      how: 'ledgers lagged to the barn’s posts, beams on the plate and on their posts, joists hung in ties',
    },
  });
  sketch.face({
    id,
    name: 'ceiling',
    place: { origin: [0, 0, top], u: [1, 0, 0], v: [0, 1, 0] },
    region: [
      [0, 0],
      [L, 0],
      [L, D],
      [0, D],
    ],
    within: [-1, 1],
  });
  return { joistSpan: L / bays - 2 * T, beams: beams.length, beamSpan: D - WALL - JOIST, joist: joistItem };
};
