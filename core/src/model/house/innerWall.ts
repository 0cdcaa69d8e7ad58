import type { Pt } from '../../geometry/index.ts';
import { clipBelow } from '../../geometry/index.ts';
import {
  faceOf,
  findWidest,
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
import type { OpeningLayout, OpeningWish, PlacedOpening, Sketch } from '../../frame/index.ts';
import { findMesh, findSheet } from '../../stock/index.ts';
import type { HouseRoof } from './roof.ts';
import { meetingLine } from './walls.ts';
import { sillFor } from './wishes.ts';

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
  /** Its door: rough opening, height of its sill over the floor, and whether its upper panel is clear. */
  readonly door: {
    readonly width: number;
    readonly height: number;
    readonly threshold: number;
    readonly glass: boolean;
  };
  readonly doublePlate: boolean;
  readonly sole: string;
}

/** Says what became of the door: lower than asked, or left out, and what would stand. */
const noteDoor = (sketch: Sketch, plan: InnerWallPlan, layout: OpeningLayout, ceiling: (a: number) => number): void => {
  const where = ['inner-wall/top-plate'];
  const [lowered] = layout.lowered.filter((o) => o.kind === 'people door');
  const got = layout.placed.find((o) => o.id === lowered?.id);
  if (lowered && got)
    sketch.note({
      code: 'inner-door-lowered',
      where,
      severity: 'warn',
      what: `The inner door is ${got.height}″ high, not ${lowered.height}″.`,
      why: 'Its header must pass under the top plate of the inner wall.',
      ...(got.height >= 56
        ? {
            fix: {
              label: `Make it ${Math.floor(got.height * 2) / 2}″`,
              patch: { innerDoorHeight: Math.floor(got.height * 2) / 2 },
            },
          }
        : {}),
    });
  const [left] = layout.left.filter((o) => o.kind === 'people door');
  if (!left) return;
  const zone = { from: WALL, to: plan.roof.depth - WALL, wishes: [left], ceiling };
  const widest = findWidest(zone, left, 24);
  sketch.note({
    code: 'inner-door-left-out',
    where,
    severity: 'stop',
    what: `An inner door ${left.width}″ wide does not fit in the inner wall.`,
    why: 'It needs its studs inside the wall’s own, and its header under the plate; it was left out.',
    fix:
      widest === undefined
        ? { label: 'No inner wall', patch: { innerWall: false } }
        : { label: `Make it ${widest}″ wide`, patch: { innerDoorWidth: widest } },
  });
};

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
    {
      id: 'inner-door',
      kind: 'people door',
      // It may be glazed, and what is said of it is said of a square one.
      level: true,
      width: plan.door.width,
      height: plan.door.height,
      bottom: sillFor(plan.door.threshold),
      // It stands across the ridge: no rafter bears on it.
      flat: true,
      leastHeight: 40,
    },
    ...(n > 0
      ? [
          {
            id: 'store-nests',
            kind: 'nest' as const,
            width: nestRowWidth(n, plan.nestWidth),
            height: 12,
            bottom: plan.nestBottom,
            leastHeight: 10,
            flat: true,
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
  noteDoor(sketch, plan, layout, ceiling);
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
        glass: plan.door.glass,
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
