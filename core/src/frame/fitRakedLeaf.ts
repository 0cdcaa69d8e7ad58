import type { Pt } from '../geometry/index.ts';
import type { EndCut } from '../unit/index.ts';
import type { DoorPlan } from './fitDoor.ts';
import { openingTop } from './layoutOpenings.ts';
import { boxPart, polyPart, sawAngle } from './makePart.ts';
import type { PartText } from './makePart.ts';
import type { Sketch } from './sketch.ts';

const BOARD = 0.75;
const STILE = 3.5;

/** The slant of a door under a raked plate: what it adds where it is measured upright, and its angle. */
const slantOf = (plan: Pick<DoorPlan, 'opening'>): { readonly plumb: number; readonly angle: number } => {
  const rake = plan.opening.rake ?? 0;
  return { plumb: Math.sqrt(1 + rake * rake), angle: Math.atan(rake) };
};

/** An upright piece whose top follows the rake. */
const upright = (a: number, wide: number, z0: number, top: (a: number) => number): Pt[] => [
  [a, z0],
  [a + wide, z0],
  [a + wide, top(a + wide)],
  [a, top(a)],
];

/** A piece along the rake, `deep` under it measured upright. */
const along = (from: number, to: number, top: (a: number) => number, deep: number): Pt[] => [
  [from, top(from) - deep],
  [to, top(to) - deep],
  [to, top(to)],
  [from, top(from)],
];

/** A leaf whose head follows a raked plate: skin, two stiles sawn to the rake, level rails below and one along the rake. */
export const frameRakedLeaf = (
  sketch: Sketch,
  plan: Pick<DoorPlan, 'id' | 'name' | 'axes' | 'skin' | 'inset' | 'opening'>,
  gap: number,
): void => {
  const { axes, id, name, skin, opening: o } = plan;
  const t = plan.inset ?? 0;
  const { plumb, angle } = slantOf(plan);
  const [a0, z0, wide] = [o.left + gap, o.bottom + gap, o.width - 2 * gap];
  const a1 = a0 + wide;
  const top = (a: number): number => openingTop(o, a) - gap * plumb;
  const cut = sawAngle(angle);
  const board = { item: '1x4', role: 'door' as const };
  const stile: Pick<PartText, 'cuts'> = {
    cuts: [
      { end: 'start', kind: 'square', angle: 0 },
      { end: 'end', kind: 'mitre', angle: cut },
    ],
  };
  const ends: EndCut[] = [
    { end: 'start', kind: 'mitre', angle: cut },
    { end: 'end', kind: 'mitre', angle: cut },
  ];
  const low = Math.min(top(a0), top(a1)) - z0;
  const level = low > 40 ? 2 : 1;
  const railAt = (i: number): number => z0 + ((low - STILE) * i) / level;
  sketch.add(
    polyPart(
      axes,
      id,
      { id: `${id}/skin`, name: `${name} skin`, role: skin.role, item: skin.item },
      'az',
      upright(a0, wide, z0, top),
      t - skin.thickness,
      skin.thickness,
      { grain: 'v' },
    ),
    ...[a0, a1 - STILE].map((a, k) =>
      polyPart(
        axes,
        id,
        { id: `${id}/stile-${k + 1}`, name: `${name} stile`, ...board, ...stile },
        'az',
        upright(a, STILE, z0, top),
        t,
        BOARD,
        { turn: 90 },
      ),
    ),
    ...Array.from({ length: level }, (_, i) =>
      boxPart(
        axes,
        id,
        { id: `${id}/rail-${i + 1}`, name: `${name} rail`, ...board },
        [a0 + STILE, t, railAt(i)],
        [wide - 2 * STILE, BOARD, STILE],
        'a',
      ),
    ),
    polyPart(
      axes,
      id,
      { id: `${id}/rail-${level + 1}`, name: `${name} raked rail`, ...board, cuts: ends },
      'az',
      along(a0 + STILE, a1 - STILE, top, STILE * plumb),
      t,
      BOARD,
      { turn: (angle * 180) / Math.PI },
    ),
  );
};

/** Stops that a raked leaf closes on: two up the sides, one under the plate. */
export const fitRakedStops = (
  sketch: Sketch,
  plan: Pick<DoorPlan, 'id' | 'axes' | 'opening'>,
  deep: number,
  stop: Omit<PartText, 'id'>,
): void => {
  const { axes, id, opening: o } = plan;
  const { plumb, angle } = slantOf(plan);
  const top = (a: number): number => openingTop(o, a);
  const right = o.left + o.width;
  const cut = sawAngle(angle);
  const edge = { form: 'edge' } as const;
  sketch.add(
    ...[o.left, right - BOARD].map((a, k) =>
      polyPart(
        axes,
        id,
        {
          ...stop,
          id: `${id}/stop-${k + 1}`,
          cuts: [
            { end: 'start', kind: 'square', angle: 0 },
            { end: 'end', kind: 'bevel', angle: cut },
          ],
        },
        'az',
        upright(a, BOARD, o.bottom, top),
        BOARD,
        deep,
        { turn: 90, ...edge },
      ),
    ),
    polyPart(
      axes,
      id,
      {
        ...stop,
        id: `${id}/stop-3`,
        cuts: [
          { end: 'start', kind: 'bevel', angle: cut },
          { end: 'end', kind: 'bevel', angle: cut },
        ],
      },
      'az',
      along(o.left + BOARD, right - BOARD, top, BOARD * plumb),
      BOARD,
      deep,
      { turn: (angle * 180) / Math.PI, ...edge },
    ),
  );
};
