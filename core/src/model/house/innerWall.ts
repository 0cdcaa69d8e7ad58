import type { Pt } from '../../geometry/index.ts';
import { clipBelow } from '../../geometry/index.ts';
import {
  faceOf,
  fitDoor,
  fitFeedTubes,
  fitNestRow,
  frameWall,
  layoutOpenings,
  nestRowWidth,
  polyPart,
  ridgeOf,
  skinWall,
  wallAxes,
  WALL,
} from '../../frame/index.ts';
import type { OpeningWish, PlacedOpening, Sketch } from '../../frame/index.ts';
import { findMesh, findSheet } from '../../stock/index.ts';
import type { HouseRoof } from './roof.ts';
import { meetingLine } from './walls.ts';

const T = 1.5;
const SKIN = 'ply-1/2';

/** The wall between bird room and store. */
export interface InnerWallPlan {
  readonly roof: HouseRoof;
  /** Its face in the store, along the front. */
  readonly store: number;
  readonly length: number;
  readonly floor: number;
  readonly spacing: number;
  readonly nests: number;
  readonly nestWidth: number;
  readonly nestDepth: number;
  readonly nestBottom: number;
  readonly feedTubes: number;
  readonly doublePlate: boolean;
  readonly sole: string;
}

/**
 * Frames the inner wall with its door and the nests that open into the store; above a level plate mesh closes the gable, so that
 * air passes and birds do not.
 */
export const frameInnerWall = (
  sketch: Sketch,
  plan: InnerWallPlan,
): {
  readonly nests: number;
  readonly nestBottom: number;
  readonly openings: readonly PlacedOpening[];
  readonly centres: readonly number[];
} => {
  const { roof, store, floor: z } = plan;
  const D = roof.depth;
  const id = 'inner-wall';
  const name = 'inner wall';
  // Seen from the store: to the right is the back, inward are the birds.
  const axes = wallAxes('right', [store, 0, z]);
  const lean = roof.kind === 'lean';
  const raked = T * Math.sqrt(1 + roof.slope.fall ** 2);
  const plates = plan.doublePlate ? 2 : 1;
  const ceiling = (a: number): number => (lean ? roof.under(a) - raked : roof.front - plates * T);
  let count = Math.min(plan.nests, 4);
  const wishes = (n: number): OpeningWish[] => [
    { id: 'inner-door', kind: 'people door', width: 28, height: 74, bottom: T, leastHeight: 56 },
    ...(n > 0
      ? [
          {
            id: 'store-nests',
            kind: 'nest' as const,
            width: nestRowWidth(n, plan.nestWidth),
            height: 12,
            bottom: plan.nestBottom,
            leastHeight: 10,
          },
        ]
      : []),
  ];
  let layout = layoutOpenings(WALL, D - WALL, wishes(count), ceiling);
  // Nests give way to the door, one box at a time.
  while (count > 0 && layout.left.length > 0) layout = layoutOpenings(WALL, D - WALL, wishes(--count), ceiling);
  if (count < plan.nests)
    sketch.note({
      code: 'store-nests-fewer',
      where: ['inner-wall/top-plate'],
      severity: 'stop',
      what: `Only ${count} of ${plan.nests} nests fit beside the door in the inner wall.`,
      why: 'The wall holds the door and the nests with their studs.',
      fix: { label: `Make it ${count}`, patch: { storeNests: count } },
    });
  const openings = layout.placed;
  const tall = Math.max(ceiling(WALL), ceiling(D - WALL)) > 92;
  const line = meetingLine(openings, 36, Math.min(90, ceiling(WALL) - 1, ceiling(D - WALL) - 1));
  const framed = frameWall(sketch, {
    id,
    name,
    axes,
    from: WALL,
    to: D - WALL,
    height: lean ? roof.under(0) : roof.front,
    slope: lean ? -roof.slope.fall : 0,
    spacing: plan.spacing,
    layoutFrom: 0,
    openings,
    bottomItem: plan.sole,
    ...(plan.doublePlate && !lean ? { doublePlate: true } : {}),
    ...(tall ? { blockRows: [line] } : {}),
  });
  const skin = findSheet(SKIN);
  skinWall(sketch, {
    id,
    name,
    axes,
    from: WALL,
    to: D - WALL,
    bottom: 0,
    top: (a) => (lean ? roof.under(a) : roof.front),
    item: skin.key,
    thickness: skin.thickness,
    sheet: skin.width,
    course: 96,
    breaks: [line],
    centres: framed.centres,
    cripples: framed.cripples,
    openings,
  });
  if (!lean) {
    const mesh = findMesh('hardware-cloth');
    const ring: Pt[] = [
      [WALL, roof.front],
      [D - WALL, roof.front],
      [D - WALL, roof.under(D - WALL)],
      [D / 2, roof.under(D / 2)],
      [WALL, roof.under(WALL)],
    ];
    const cut = clipBelow(ring, [0, 1], ridgeOf(roof.slope).bottom);
    sketch.add(
      polyPart(
        axes,
        id,
        { id: `${id}/mesh`, name: 'mesh over the inner wall', role: 'mesh', item: mesh.key },
        'az',
        cut,
        T,
        mesh.thickness,
      ),
    );
    // Its foot is turned over the plate and stapled there, its edges to the rafters over it.
    sketch.join({
      kind: 'staple',
      parts: [`${id}/mesh`],
      nearest: id,
      fasteners: [{ item: 'staple', length: 0.5, count: Math.ceil((2 * D) / 3) }],
    });
  }
  sketch.assembly({
    id,
    name,
    kind: 'wall',
    face: faceOf(axes),
    flat: true,
    ...(lean ? {} : { square: { width: D - 2 * WALL, height: roof.front } }),
    tapes: [framed.tape],
    joins: { to: 'front-wall', how: 'stood between front and back wall, end studs nailed through to blocking' },
  });
  for (const o of openings) {
    sketch.opening({
      id: `${id}/${o.id}`,
      kind: o.kind,
      assembly: id,
      left: o.left,
      bottom: o.bottom,
      width: o.width,
      height: o.height,
      sillAboveGround: z + o.bottom,
    });
    if (o.kind === 'people door')
      fitDoor(sketch, {
        id: 'inner-door',
        name: 'inner door',
        axes,
        opening: o,
        skin: { item: SKIN, thickness: skin.thickness, role: 'door' },
        joins: id,
      });
    else
      fitNestRow(sketch, {
        id: 'store-nests',
        axes,
        opening: o,
        count,
        boxWidth: plan.nestWidth,
        depth: plan.nestDepth,
        out: skin.thickness,
        joins: id,
      });
  }
  // Feed tubes stand where neither the door nor the nests are.
  const places: number[] = [];
  const half = 2.25;
  let a = D - WALL - half - 1;
  while (a > WALL + half + 1 && places.length < plan.feedTubes) {
    const at = a;
    // A nest row's lid stands out beyond its hole.
    const clear = openings.every((o) => {
      const off = half + (o.kind === 'nest' ? 3 : 1.5);
      return at + off <= o.left || at - off >= o.left + o.width;
    });
    if (clear) places.push(a);
    a -= clear ? 7 : 0.5;
  }
  const high = Math.min(ceiling(WALL), ceiling(D - WALL));
  const drawn = high > 76 ? places.length : 0;
  if (drawn > 0) fitFeedTubes(sketch, axes, { places, out: skin.thickness, from: 12, joins: id });
  if (drawn < plan.feedTubes)
    sketch.note({
      code: 'feed-tubes-fewer',
      where: ['inner-wall/top-plate'],
      severity: 'warn',
      what: `Only ${drawn} of ${plan.feedTubes} feed tubes find room on the inner wall.`,
      why: 'They are 60 in long; door, nests and roof take the rest of the wall.',
      fix: { label: `Make it ${drawn}`, patch: { feedTubes: drawn } },
    });
  return {
    nests: openings.some((o) => o.kind === 'nest') ? count : 0,
    nestBottom: plan.nestBottom,
    openings,
    centres: framed.centres,
  };
};
