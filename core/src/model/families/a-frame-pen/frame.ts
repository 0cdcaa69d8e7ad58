import type { Pt } from '../../../geometry/index.ts';
import type { Build } from '../../../unit/index.ts';
import {
  boxPart,
  fitWheels,
  polyPart,
  sawAngle,
  Sketch,
  UNIT_AXES,
  uprightPlaces,
  wallAxes,
  wheelDiameter,
  fixMesh,
} from '../../../frame/index.ts';
import { findMesh, findSheet } from '../../../stock/index.ts';
import { frameEnd, mostDoorHeight } from './ends.ts';
import { coverSides, SLIT } from './sides.ts';
import type { AFramePenParams } from './params.ts';
import { aFrameOf, RAIL, RIPPED } from './slope.ts';

const T = 1.5;
/** It stands in wet grass. */
const SKIN = 'ply-1/2-pt';
const WHEEL_AT = 8;
/** Base of a gusset at the apex, about 16 in. Common practice, no source. */
const GUSSET = 16;

/** Frames the A-frame pen: rails, rafter pairs with gussets, closed end and mesh run, ends with doors, ridge cap, wheels. */
export const frameAFramePen = (p: AFramePenParams): Build => {
  const sketch = new Sketch();
  const { length: L, width: W } = p;
  const s = aFrameOf(W, p.apex);
  const mesh = findMesh(p.mesh);
  const m = mesh.thickness;
  const skin = findSheet(SKIN);
  const a = UNIT_AXES;
  let closed = p.closedLength;
  if (closed > L - 30) {
    closed = L - 30;
    sketch.note({
      code: 'run-too-short',
      where: ['side-front/siding-1'],
      severity: 'stop',
      what: `A sleeping end of ${p.closedLength}″ leaves less than 30″ of run.`,
      why: 'The birds need grass; it was drawn shorter.',
      fix: { label: `Make it ${closed}″`, patch: { closedLength: closed } },
    });
  }
  const fit = (what: string, key: string, width: number, height: number, least: number): number => {
    const most = Math.max(least, mostDoorHeight(s, width));
    if (height <= most) return height;
    sketch.note({
      code: `${key}-under-rafters`,
      where: ['run-end/head'],
      severity: 'warn',
      what: `The ${what} is ${most}″ high, not ${height}″.`,
      why: 'Its head must pass under the rafters; a narrower one can be higher.',
      fix: { label: `Make it ${most}″`, patch: { [key]: most } },
    });
    return most;
  };
  const LEAST = 8;
  const doorWidth = Math.min(p.doorWidth, W - 24);
  const hatchWidth = Math.min(p.hatchWidth, W - 24);
  const doorHeight = fit('run door', 'doorHeight', doorWidth, p.doorHeight, LEAST);
  const hatchHeight = fit('hatch', 'hatchHeight', hatchWidth, p.hatchHeight, LEAST);

  for (const [k, y] of [0, W - T].entries())
    sketch.add(
      boxPart(
        a,
        'base',
        { id: `base/rail-${k + 1}`, name: 'long rail', role: 'rail', item: '2x3-pt' },
        [0, y, 0],
        [L, T, RAIL],
        'a',
      ),
    );
  for (const [k, x] of [0, L - T].entries())
    sketch.add(
      boxPart(
        a,
        'base',
        { id: `base/end-${k + 1}`, name: 'end rail', role: 'rail', item: '2x3-pt' },
        [x, T, 0],
        [T, W - 2 * T, RAIL],
        't',
      ),
    );

  // Pairs at both ends, in the middle and at the end of the sleeping part, then equal bays.
  const run = uprightPlaces(closed - T, L, T, p.rafterSpacing).slice(1);
  const places = [0, Math.round((closed / 2 - T / 2) * 16) / 16, closed - T, ...run];
  const foot = RIPPED / Math.sin(s.angle);
  const ring: Pt[] = [
    [0, RAIL],
    [foot, RAIL],
    [W / 2, s.apex - s.plumb],
    [W / 2, s.apex],
  ];
  const deg = (s.angle * 180) / Math.PI;
  const gussetDown = (GUSSET / 2) * s.tan;
  places.forEach((x, i) => {
    const end = i === 0 ? 'sleeping-end' : i === places.length - 1 ? 'run-end' : undefined;
    const assembly = end ?? `pair-${i}`;
    for (const [k, axes] of [a, wallAxes('back', [2 * x + T, W, 0])].entries())
      sketch.add(
        polyPart(
          axes,
          assembly,
          {
            id: `${assembly}/rafter-${k + 1}`,
            name: 'ripped rafter',
            role: 'rafter',
            item: '2x4',
            rip: RIPPED,
            cuts: [
              { end: 'start', kind: 'mitre', angle: Math.round((90 - sawAngle(s.angle)) * 10) / 10 },
              { end: 'end', kind: 'mitre', angle: sawAngle(s.angle) },
            ],
          },
          'tz',
          ring,
          x,
          T,
          { turn: deg },
        ),
      );
    // The closed end's own ply holds its apex; every other pair has a gusset on the side away from the skin.
    if (i > 0) {
      const at = i === places.length - 1 ? x - skin.thickness : x + T;
      const plate: Pt[] = [
        [W / 2 - GUSSET / 2, s.apex - gussetDown],
        [W / 2 + GUSSET / 2, s.apex - gussetDown],
        [W / 2, s.apex],
      ];
      sketch.add(
        polyPart(
          a,
          assembly,
          { id: `${assembly}/gusset`, name: 'apex gusset', role: 'gusset', item: SKIN },
          'tz',
          plate,
          at,
          skin.thickness,
        ),
      );
    }
    if (!end)
      sketch.assembly({
        id: assembly,
        name: `rafter pair ${i}`,
        kind: 'frame',
        face: { origin: [x, 0, 0], u: [0, 1, 0], v: [0, 0, 1] },
        flat: true,
        tapes: [],
        joins: { to: 'base', how: 'stood on the long rails, screwed down through the feet' },
      });
  });
  sketch.assembly({
    id: 'base',
    name: 'base',
    kind: 'base',
    face: { origin: [0, 0, RAIL], u: [1, 0, 0], v: [0, 1, 0] },
    flat: false,
    square: { width: L, height: W },
    tapes: [
      {
        title: 'both long rails',
        parts: ['base/rail-1', 'base/rail-2'],
        length: L,
        marks: places.map((x, i) => ({
          at: x,
          side: 'right',
          what: 'rafter',
          part: `${i === 0 ? 'sleeping-end' : i === places.length - 1 ? 'run-end' : `pair-${i}`}/rafter-1`,
        })),
      },
    ],
  });

  const hatch = frameEnd(sketch, {
    id: 'sleeping-end',
    name: 'sleeping end',
    axes: wallAxes('left', [0, W, 0]),
    section: s,
    skin: { item: SKIN, thickness: skin.thickness, mesh: false },
    door: { id: 'hatch', name: 'hatch', width: hatchWidth, height: hatchHeight },
    vent: true,
  });
  frameEnd(sketch, {
    id: 'run-end',
    name: 'run end',
    axes: wallAxes('right', [L, 0, 0]),
    section: s,
    skin: { item: p.mesh, thickness: m, mesh: true },
    door: { id: 'run-door', name: 'run door', width: doorWidth, height: doorHeight },
    vent: false,
  });

  const collars = places.slice(1, 3);
  const roostHeight = Math.min(20, Math.floor((s.apex - RAIL) * 0.45 + RAIL));
  const roostFrom = 2 * T;
  if (p.roost) {
    const low = roostHeight - T - 2.5;
    const edge = (z: number): number => (z - RAIL + s.plumb) / s.tan;
    collars.forEach((x, i) => {
      const tie: Pt[] = [
        [edge(low), low],
        [W - edge(low), low],
        [W - edge(low + 2.5), low + 2.5],
        [edge(low + 2.5), low + 2.5],
      ];
      sketch.add(
        polyPart(
          a,
          'roosts',
          {
            id: `roosts/collar-${i + 1}`,
            name: 'collar under the roost',
            role: 'collar',
            item: '2x3',
            cuts: [
              { end: 'start', kind: 'mitre', angle: Math.round((90 - sawAngle(s.angle)) * 10) / 10 },
              { end: 'end', kind: 'mitre', angle: Math.round((90 - sawAngle(s.angle)) * 10) / 10 },
            ],
          },
          'tz',
          tie,
          x,
          T,
        ),
      );
    });
    sketch.add(
      boxPart(
        a,
        'roosts',
        { id: 'roosts/bar-1', name: 'roost bar', role: 'roost', item: '2x4', fit: 'measure in place', tolerance: 0.25 },
        [roostFrom, W / 2 - 1.75, roostHeight - T],
        [closed - roostFrom, 3.5, T],
        'a',
      ),
    );
    sketch.assembly({
      id: 'roosts',
      name: 'roost',
      kind: 'fittings',
      face: { origin: [0, 0, roostHeight], u: [1, 0, 0], v: [0, 1, 0] },
      flat: false,
      tapes: [],
      joins: { to: 'pair-1', how: 'collars between the rafters, bar laid flat on them before the sides close' },
    });
  }

  coverSides(sketch, s, { length: L, closed, places, mesh: p.mesh });
  if (p.wheels !== 'none')
    fitWheels(sketch, {
      wheel: p.wheels,
      at: WHEEL_AT,
      width: W,
      out: 0.75,
      block: '2x3-pt',
      joins: 'base',
      how: p.wheelHow,
    });
  if (p.ropes) {
    sketch.join({
      kind: 'bolt',
      parts: ['base/end-2'],
      hardware: { rope: 2, 'eye-bolt': 2 },
    });
  }
  fixMesh(sketch, { sides: p.meshSides, overhead: 'washers' });
  return sketch.finish({
    family: 'a-frame-pen',
    capacity: { runArea: (L * W) / 144, ...(p.roost ? { roostLength: closed - roostFrom } : {}) },
    facts: {
      movable: true,
      base: [0, 0, L, W],
      enclosedHeight: s.apex,
      floorHeight: 0,
      roof: { pitch: s.tan * 12, cover: 'ply', roofedShare: closed / L },
      roosts: p.roost
        ? [
            {
              height: roostHeight,
              length: closed - roostFrom,
              bars: 1,
              spacing: 12,
              toWall: W / 2 - 1.75 - roostHeight / s.tan,
            },
          ]
        : [],
      ventArea: hatch.ventArea + (closed * SLIT * 2) / 144 + ((L - closed) * (W / Math.cos(s.angle))) / 144,
      ...(p.wheels === 'none' ? {} : { wheels: { diameter: wheelDiameter(p.wheels), fromEnd: WHEEL_AT } }),
      spans: [],
      meshItem: p.mesh,
      meshHeights: [],
      sheetCourses: [],
    },
  });
};
