import { rectangle } from '../../../geometry/index.ts';
import type { Build, Fitting } from '../../../unit/index.ts';
import {
  boxPart,
  fitRamp,
  fitWheels,
  framePenLid,
  framePenSides,
  polyPart,
  Sketch,
  UNIT_AXES,
  wallAxes,
  wheelDiameter,
  fixMesh,
} from '../../../frame/index.ts';
import { findMesh } from '../../../stock/index.ts';
import { frameHouse, gableRoof, resolveRoosts, USUAL_HOUSE } from '../../house/index.ts';
import { WALL_MOST } from './params.ts';
import type { GardenArkParams } from './params.ts';

const T = 1.5;
const PLY = 0.75;
const HATCH = { long: 14, wide: 12, fromEdge: 4 };
const WHEEL_AT = 8;
/** Siding, corner board and a finger's room between house and lid. */
const LID_CLEAR = 1.5;
const LONGEST_LID = 48;

/** Frames the garden ark: a mesh run on the grass, a house on a deck over one end of it, a lid over the other. */
export const frameGardenArk = (given: GardenArkParams, fittings: readonly Fitting[]): Build => {
  const sketch = new Sketch();
  const house = {
    ...USUAL_HOUSE,
    ...given,
    doorWall: 'none',
    windowWall: 'none',
    popWall: 'none',
    droppingsBoard: false,
  } as const;
  const { length: L, width: W, runHeight: H, deckLength: deck } = given;
  const p = resolveRoosts(sketch, { ...house, length: deck, depth: W }, given.wallHeight, T);
  const mesh = findMesh(given.mesh);
  framePenSides(sketch, { length: L, width: W, height: H, spacing: 36, mesh: given.mesh });

  const bar = (x: number, n: number) =>
    sketch.add(
      boxPart(
        UNIT_AXES,
        'top',
        {
          id: `top/crossbar-${n}`,
          name: 'deck bearer',
          role: 'crossbar',
          item: '2x3',
          fit: 'measure in place',
          tolerance: 0.25,
        },
        [x, T, H - 2.5],
        [T, W - 2 * T, 2.5],
        't',
      ),
    );
  // One bearer on each side of the hatch; a flat one carries the deck's edge and closes the slit before the lid.
  bar(deck - HATCH.fromEdge - HATCH.long - T - 1, 1);
  sketch.add(
    boxPart(
      UNIT_AXES,
      'top',
      {
        id: 'top/edge',
        name: 'deck edge, laid flat',
        role: 'crossbar',
        item: '2x4',
        fit: 'measure in place',
        tolerance: 0.25,
      },
      [deck - 1.75, T, H - T],
      [3.5, W - 2 * T, T],
      't',
    ),
  );
  const lidFrom = Math.max(deck + LID_CLEAR, L - LONGEST_LID);
  const fixed = lidFrom > deck + LID_CLEAR + 6;
  const start = fixed ? lidFrom : deck + LID_CLEAR;
  if (fixed) {
    sketch.add(
      boxPart(
        UNIT_AXES,
        'top',
        {
          id: 'top/crossbar-2',
          name: 'crossbar',
          role: 'crossbar',
          item: '2x3',
          fit: 'measure in place',
          tolerance: 0.25,
        },
        [start - 0.75, T, H - 2.5],
        [T, W - 2 * T, 2.5],
        't',
      ),
      boxPart(
        UNIT_AXES,
        'top',
        { id: 'top/mesh', name: 'fixed top mesh', role: 'mesh', item: given.mesh },
        [deck + LID_CLEAR, 0, H],
        [start - deck - LID_CLEAR - 0.25, W, mesh.thickness],
        't',
      ),
    );
  }
  const hatch = [deck - HATCH.fromEdge - HATCH.long, deck - HATCH.fromEdge] as const;
  sketch.add(
    polyPart(
      UNIT_AXES,
      'top',
      { id: 'top/deck', name: 'deck', role: 'floor', item: 'ply-3/4' },
      'at',
      rectangle(0, 0, deck, W),
      H,
      PLY,
      { holes: [rectangle(hatch[0], W / 2 - HATCH.wide / 2, hatch[1], W / 2 + HATCH.wide / 2)] },
    ),
  );
  sketch.assembly({
    id: 'top',
    name: 'deck and top frame',
    kind: 'frame',
    face: { origin: [0, 0, H], u: [1, 0, 0], v: [0, 1, 0] },
    flat: false,
    tapes: [],
    joins: { to: 'front', how: 'bearers between the top rails, tops flush, deck screwed over them' },
  });
  framePenLid(sketch, { from: start, to: L, width: W, height: H, mesh: given.mesh, joins: 'top' });
  sketch.face({
    id: 'top',
    name: 'top of the run',
    place: { origin: [0, 0, H], u: [1, 0, 0], v: [0, 1, 0] },
    region: rectangle(deck + 0.5, 0, L, W),
    within: [-2.5, 3],
  });
  const z = H + PLY;
  const framed = frameHouse(sketch, p, {
    roof: gableRoof(W, given.wallHeight, given.pitch, '2x3', T),
    floor: z,
    skirt: PLY,
    fittings,
    raise: [{ param: 'wallHeight', now: given.wallHeight, most: WALL_MOST }],
    rafterItem: '2x3',
    stud: { item: '2x2', depth: T },
    deck: false,
    purlins: given.purlinSpacing,
    joins: 'top',
  });
  const ramp = fitRamp(sketch, wallAxes('right', [hatch[0], 0, 0]), W / 2, z, 0, 0, L - hatch[0] - 4, 'top');
  if (given.wheels !== 'none')
    fitWheels(sketch, {
      wheel: given.wheels,
      at: WHEEL_AT,
      width: W,
      out: mesh.thickness,
      joins: 'front',
      how: given.wheelHow,
    });
  if (given.ropes) {
    sketch.join({
      kind: 'bolt',
      parts: ['right/bottom-rail'],
      hardware: { rope: 2, 'eye-bolt': 2 },
    });
  }
  fixMesh(sketch, { sides: given.meshSides, overhead: given.meshOverhead, only: /^(front|back|left|right|top|lid)\// });
  return sketch.finish({
    family: 'garden-ark',
    capacity: { ...framed.capacity, runArea: (L * W) / 144 },
    facts: {
      ...framed.facts,
      movable: true,
      base: [0, 0, L, W],
      roof: { ...framed.facts.roof, roofedShare: deck / L },
      ...(ramp ? { ramp } : {}),
      ...(given.wheels === 'none' ? {} : { wheels: { diameter: wheelDiameter(given.wheels), fromEnd: WHEEL_AT } }),
      lidWeightParts: 'lid',
      meshItem: given.mesh,
      meshHeights: [{ height: H, assembly: 'front' }],
    },
  });
};
