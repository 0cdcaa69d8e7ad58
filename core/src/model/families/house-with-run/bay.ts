import { rectangle } from '../../../geometry/index.ts';
import type { Pt } from '../../../geometry/index.ts';
import {
  capRidge,
  blockRows,
  braceWall,
  closeEaves,
  closeRibs,
  coverSlope,
  faceOf,
  frameLeanRafters,
  frameRafterTies,
  frameRidge,
  frameWall,
  gableSlope,
  guardDigging,
  meshWall,
  polyPart,
  rafterPlaces,
  RIDGE_HALF,
  SKIRT,
  wallAxes,
  WALL,
  suitMesh,
} from '../../../frame/index.ts';
import type { RoofThrust } from '../../../unit/index.ts';
import type { LeanRoofPlan, LeanSlope, Sketch } from '../../../frame/index.ts';
import type { BayPlan } from './bayPlan.ts';
import { closeStep, frameRunEnd } from './runEnd.ts';
import { findMesh, findPiece, findRoofing } from '../../../stock/index.ts';

const T = 1.5;
const RAFTERS_AT = 32;

/** Roof of a bay, heights from its foot. */
export const baySlope = (p: Pick<BayPlan, 'depth' | 'eave' | 'pitch'>): LeanSlope =>
  gableSlope(p.depth, p.eave, p.pitch, '2x4');

/** Mesh cut on site, stapled along its top. */
const stapled = (sketch: Sketch, mesh: string, long: number, to: string | true): void =>
  sketch.join({
    kind: 'staple',
    parts: [mesh],
    nearest: to,
    fasteners: [{ item: 'staple', length: 0.5, count: Math.ceil(long / 3) + 1 }],
  });

/** Frames one bay with its roof, the closing of the step to the next one, and the fill down to sloping ground. */
export const frameBay = (sketch: Sketch, p: BayPlan): RoofThrust => {
  const n = p.index + 1;
  const mesh = findMesh(p.mesh);
  const m = mesh.thickness;
  const L = p.to - p.from;
  const D = p.depth;
  const z = p.foot;
  const slope = baySlope(p);
  const top = Math.min(p.eave, slope.under(D + m));
  const front = wallAxes('front', [p.from, 0, z]);
  const back = wallAxes('back', [p.to, D, z]);
  for (const [side, axes] of [
    ['front', front],
    ['back', back],
  ] as const) {
    const id = `bay-${n}-${side}`;
    const name = `bay ${n} ${side}`;
    const framed = frameWall(sketch, {
      id,
      name,
      axes,
      from: 0,
      to: L,
      height: p.eave,
      slope: 0,
      spacing: suitMesh(p.studs),
      layoutFrom: 0,
      openings: [],
      bottomItem: '2x4-pt',
    });
    braceWall(sketch, { id, axes, from: 0, to: L, openings: [] });
    meshWall(sketch, {
      id,
      name,
      axes,
      from: 0,
      to: L,
      bottom: 0,
      top: () => top,
      item: p.mesh,
      thickness: m,
      openings: [],
    });
    // A curb fills down to the ground by itself.
    if (p.fill > 0.5 && p.dig !== 'curb') {
      const wedge: Pt[] =
        side === 'front'
          ? [
              [0, 0],
              [0, -p.fill],
              [L, 0],
            ]
          : [
              [0, 0],
              [L, -p.fill],
              [L, 0],
            ];
      sketch.add(
        polyPart(
          axes,
          `${id}-fill`,
          {
            id: `${id}-fill/mesh`,
            name: 'fill to the ground',
            role: 'mesh',
            item: p.mesh,
            fit: 'cut on site',
            tolerance: 3,
          },
          'az',
          wedge,
          -m,
          m,
        ),
      );
      stapled(sketch, `${id}-fill/mesh`, L, id);
      sketch.assembly({
        id: `${id}-fill`,
        name: `${name} fill`,
        kind: 'fittings',
        face: faceOf(axes),
        flat: false,
        tapes: [],
        joins: { to: id, how: 'skirt cut to the ground and laid outward, stones or block behind it' },
        site: true,
      });
    }
    sketch.assembly({
      id,
      name,
      kind: 'wall',
      face: faceOf(axes),
      flat: true,
      square: { width: L, height: p.eave },
      tapes: [framed.tape],
      joins: {
        to: p.index === 0 ? 'left-wall' : `bay-${n - 1}-${side}`,
        how:
          p.index === 0
            ? 'end stud screwed through the siding into the corner studs'
            : 'end studs bolted to the bay before',
      },
    });
    sketch.face({
      id,
      name,
      place: faceOf(axes),
      region: rectangle(0, 0, L, slope.under(D - T / 2) + slope.plumb),
      within: [-WALL, 1],
    });
  }

  // Ground falls to the left: the low end is at the start of the front and at the end of the back.
  const low = p.fill > 0.5 ? p.fill : 0;
  const foot = (side: 'front' | 'back'): string => `bay-${n}-${side}${low > 0 && p.dig !== 'curb' ? '-fill' : ''}`;
  const end = p.gate === undefined ? undefined : wallAxes('left', [p.from, D, z]);
  const [inset, over] = p.dig === 'curb' ? [findPiece('block-8').width, 0] : [0, SKIRT + m];
  guardDigging(sketch, {
    id: `bay-${n}-dig`,
    kind: p.dig,
    mesh: p.mesh,
    joins: `bay-${n}-front`,
    sides: [
      { id: 'front', name: `bay ${n} front`, axes: front, from: 0, to: L, below: [low, 0], foot: foot('front') },
      { id: 'back', name: `bay ${n} back`, axes: back, from: 0, to: L, below: [0, low], foot: foot('back') },
      ...(end
        ? [
            {
              id: 'end',
              name: 'run end',
              axes: end,
              from: inset - over,
              to: D - inset + over,
              below: [low, low] as const,
              foot: 'run-end',
            },
          ]
        : []),
    ],
  });

  const places = rafterPlaces(0, L, RAFTERS_AT);
  const half = -(D / 2);
  for (const [side, axes] of [
    ['front', back],
    ['back', front],
  ] as const) {
    const id = `bay-${n}-roof-${side}`;
    const plan: LeanRoofPlan = {
      id,
      name: `bay ${n} ${side}`,
      axes,
      slope,
      from: 0,
      to: L,
      spacing: RAFTERS_AT,
      rafterItem: '2x4',
      front: half,
      back: 2,
      joins: `bay-${n}-${side}`,
      seats: 'low',
      places: axes === front ? places : [...places].map((a) => L - a - T).reverse(),
    };
    const framing = { ...plan, front: half - RIDGE_HALF };
    frameLeanRafters(sketch, framing);
    closeEaves(sketch, framing, plan.places ?? places, 'blocked', p.mesh);
    const cover = findRoofing('metal');
    if (p.roof === 'metal') blockRows(sketch, framing, plan.places ?? places, p.purlins);
    coverSlope(sketch, plan, {
      id,
      name: p.roof === 'metal' ? 'run roof sheet' : 'run roof mesh',
      role: p.roof === 'metal' ? 'roofing' : 'mesh',
      item: p.roof === 'metal' ? 'metal' : p.mesh,
      thickness: p.roof === 'metal' ? cover.thickness : m,
      from: 0,
      to: L,
      lift: 0,
      width: p.roof === 'metal' ? cover.cover : 1000,
      course: p.roof === 'metal' ? 144 : 1000,
      beyond: p.roof === 'metal' ? 1 : 0,
      candidates: [],
    });
    sketch.assembly({
      id,
      name: `bay ${n} ${side} roof`,
      kind: 'roof',
      face: { origin: [p.from, 0, z + p.eave], u: [1, 0, 0], v: [0, 1, 0] },
      flat: false,
      tapes: [],
      joins: { to: `bay-${n}-${side}`, how: 'rafters in pairs against the ridge, tied to the plate' },
    });
    const c = 1 / Math.sqrt(1 + slope.fall ** 2);
    const { origin, a, t } = axes;
    sketch.face({
      id,
      name: `bay ${n} ${side} roof`,
      place: {
        origin: [origin[0] + (t[0] * D) / 2, origin[1] + (t[1] * D) / 2, origin[2] + slope.under(D / 2) + slope.plumb],
        u: a,
        v: [t[0] * c, t[1] * c, -slope.fall * c],
      },
      region: rectangle(0, 0, L, D / 2 / c),
      within: [-1, 2],
    });
  }
  frameRidge(
    sketch,
    front,
    `bay-${n}-roof-front`,
    slope,
    0,
    L,
    places.map((a) => a + T / 2),
  );
  if (p.roof === 'metal') {
    for (const side of ['front', 'back'] as const) closeRibs(sketch, `bay-${n}-roof-${side}/roofing-1`, L);
    capRidge(sketch, `bay-${p.index + 1}-roof-front/roofing-1`, L);
  }
  if (p.gate !== undefined) frameRunEnd(sketch, p, slope);
  if (p.step > 0.5) closeStep(sketch, p, slope);
  return frameRafterTies(sketch, {
    name: `bay ${n} roof`,
    halves: [`bay-${n}-roof-front`, `bay-${n}-roof-back`],
    axes: front,
    slope,
    from: 0,
    to: L,
    places,
    item: '2x4',
    plate: { item: '2x4', count: 1 },
    cover: p.roof === 'metal' ? 'closed' : 'mesh',
    open: [p.gate === undefined, p.index > 0],
  });
};
