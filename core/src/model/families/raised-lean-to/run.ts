import { rectangle } from '../../../geometry/index.ts';
import {
  blockRows,
  braceWall,
  boxPart,
  closeEaves,
  closeRibs,
  coverSlope,
  faceOf,
  fitDoor,
  fitGate,
  frameLeanRafters,
  frameWall,
  guardDigging,
  layoutOpenings,
  leanSlope,
  meshWall,
  polyPart,
  SKIRT,
  wallAxes,
  WALL,
  suitMesh,
} from '../../../frame/index.ts';
import type { LeanSlope, Sketch } from '../../../frame/index.ts';
import { findMesh, findPiece } from '../../../stock/index.ts';
import type { LeanToParams } from './params.ts';

const T = 1.5;
const METAL = 0.75;
/** Clear height between the run's roof and the house's overhang. */
const UNDER_OVERHANG = 0.5;

/** What the run needs to know of the house, heights from the ground. */
export interface RunSetting {
  readonly slope: LeanSlope;
  readonly floorTop: number;
  readonly out: number;
}

/** Slope of the run's rafters: the house's, set down so that its roof passes under the house's side overhang. */
export const runSlope = (p: LeanToParams, s: RunSetting): LeanSlope => {
  const drop = UNDER_OVERHANG + s.slope.plumb + METAL * Math.sqrt(1 + s.slope.fall ** 2);
  return leanSlope(p.depth, s.floorTop + p.highWall - drop, s.floorTop + p.lowWall - drop, '2x4');
};

/** Frames the run at the left of the house: front, back and end wall of studs and mesh, gate, roof, and the closing under the house. */
export const frameRun = (
  sketch: Sketch,
  p: LeanToParams,
  s: RunSetting,
): { readonly area: number; readonly clearHeight: number } => {
  const slope = runSlope(p, s);
  const mesh = findMesh(p.runMesh);
  const m = mesh.thickness;
  const x1 = -s.out;
  const x0 = x1 - p.runLength;
  const D = p.depth;
  const sides = {
    front: { axes: wallAxes('front', [x0, 0, 0]), height: slope.high, tops: slope.high },
    back: { axes: wallAxes('back', [x1, D, 0]), height: slope.low, tops: Math.min(slope.low, slope.under(D + m)) },
  } as const;
  for (const side of ['front', 'back'] as const) {
    const { axes, height, tops } = sides[side];
    const id = `run-${side}`;
    const name = `run ${side}`;
    const framed = frameWall(sketch, {
      id,
      name,
      axes,
      from: 0,
      to: p.runLength,
      height,
      slope: 0,
      spacing: suitMesh(p.runBay),
      layoutFrom: 0,
      openings: [],
      bottomItem: '2x4-pt',
    });
    braceWall(sketch, { id, axes, from: 0, to: p.runLength, openings: [] });
    meshWall(sketch, {
      id,
      name,
      axes,
      from: 0,
      to: p.runLength,
      bottom: 0,
      top: () => tops,
      item: p.runMesh,
      thickness: m,
      openings: [],
    });
    sketch.assembly({
      id,
      name,
      kind: 'wall',
      face: faceOf(axes),
      flat: true,
      square: { width: p.runLength, height },
      tapes: [framed.tape],
      joins: { to: 'left-wall', how: 'end stud screwed through the siding into the corner studs' },
    });
    sketch.face({
      id,
      name,
      place: faceOf(axes),
      region: rectangle(0, 0, p.runLength, slope.under(side === 'front' ? WALL - 0.75 : D - 0.75) + slope.plumb),
      within: [-WALL, 1],
    });
  }

  const axes = wallAxes('left', [x0, D, 0]);
  const fall = slope.fall;
  const plateHigh = T * Math.sqrt(1 + fall * fall);
  const under = (a: number): number => slope.under(D - a);
  const gates = layoutOpenings(
    WALL,
    D - WALL,
    [
      {
        id: 'gate',
        kind: 'gate',
        width: fitGate(sketch, p.runGate, D),
        height: 72,
        bottom: T,
        leastHeight: 20,
      },
    ],
    (a) => under(a) - plateHigh,
  );
  const id = 'run-end';
  const framed = frameWall(sketch, {
    id,
    name: 'run end',
    axes,
    from: WALL,
    to: D - WALL,
    height: under(0),
    slope: fall,
    spacing: suitMesh(p.runBay),
    layoutFrom: 0,
    openings: gates.placed,
    bottomItem: '2x4-pt',
  });
  meshWall(sketch, {
    id,
    name: 'run end',
    axes,
    from: 0,
    to: D,
    bottom: 0,
    top: (a) => under(a) + slope.plumb,
    item: p.runMesh,
    thickness: m,
    openings: gates.placed,
  });
  sketch.assembly({
    id,
    name: 'run end',
    kind: 'wall',
    face: faceOf(axes),
    flat: true,
    tapes: [framed.tape],
    joins: { to: 'run-front', how: 'stands between run front and back, screwed through both' },
  });
  sketch.face({
    id,
    name: 'run end',
    place: faceOf(axes),
    region: [
      [0, 0],
      [D, 0],
      [D, under(D) + slope.plumb],
      [0, under(0) + slope.plumb],
    ],
    within: [-WALL, 1],
  });
  let clearHeight = 0;
  for (const gate of gates.placed) {
    sketch.opening({
      id: 'run-end/gate',
      kind: 'gate',
      assembly: id,
      left: gate.left,
      bottom: gate.bottom,
      width: gate.width,
      height: gate.height,
      sillAboveGround: gate.bottom,
    });
    clearHeight = fitDoor(sketch, {
      id: 'run-gate',
      name: 'run gate',
      axes,
      opening: gate,
      skin: { item: p.runMesh, thickness: m, role: 'mesh' },
      joins: id,
    }).clearHeight;
  }

  // The layout starts at the run's own end, so the roof is drawn from there.
  const roof = {
    id: 'run-roof',
    name: 'run',
    axes: wallAxes('front', [x0, 0, 0]),
    slope,
    from: 0,
    to: p.runLength,
    spacing: 24,
    rafterItem: '2x4',
    front: 2,
    back: 2,
    joins: 'run-front',
  };
  const places = frameLeanRafters(sketch, roof);
  closeEaves(sketch, roof, places, 'blocked', p.runMesh);
  if (p.runRoof === 'metal') {
    blockRows(sketch, roof, places, p.runPurlins);
    coverSlope(sketch, roof, {
      id: 'run-roof',
      name: 'run roof sheet',
      role: 'roofing',
      item: 'metal',
      thickness: METAL,
      from: 0,
      to: p.runLength,
      lift: 0,
      width: 36,
      course: 1000,
      beyond: 1,
      candidates: [],
    });
    closeRibs(sketch, 'run-roof/roofing-1', p.runLength);
  } else
    coverSlope(sketch, roof, {
      id: 'run-roof',
      name: 'run roof mesh',
      role: 'mesh',
      item: p.runMesh,
      thickness: m,
      from: 0,
      to: p.runLength,
      lift: 0,
      width: 1000,
      course: 1000,
      beyond: 0,
      candidates: [],
    });
  sketch.assembly({
    id: 'run-roof',
    name: 'run roof',
    kind: 'roof',
    face: { origin: [x0, 0, slope.high], u: [1, 0, 0], v: [0, 1, 0] },
    flat: false,
    tapes: [],
    joins: { to: 'run-front', how: 'rafters over the plates, tied down, then covered' },
  });
  const c = 1 / Math.sqrt(1 + fall * fall);
  sketch.face({
    id: 'run-roof',
    name: 'run roof',
    place: { origin: [x0, 0, slope.under(0) + slope.plumb], u: [1, 0, 0], v: [0, c, -fall * c] },
    region: rectangle(0, 0, p.runLength, D / c),
    within: [-1, 1],
  });

  const over = p.runDig === 'skirt' ? SKIRT + m : 0;
  // A curb's corners belong to the long sides.
  const inset = p.runDig === 'curb' ? findPiece('block-8').width : 0;
  guardDigging(sketch, {
    id: 'run-skirt',
    kind: p.runDig,
    mesh: p.runMesh,
    joins: 'run-front',
    sides: [
      { id: 'front', name: 'front', axes: sides.front.axes, from: 0, to: p.runLength, foot: 'run-front' },
      { id: 'back', name: 'back', axes: sides.back.axes, from: 0, to: p.runLength, foot: 'run-back' },
      { id: 'end', name: 'end', axes, from: inset - over, to: D - inset + over, foot: 'run-end' },
    ],
  });

  // Hens in the run must not get under the house, and nothing from under the house into the run.
  const close = wallAxes('right', [x1, 0, 0]);
  sketch.add(
    boxPart(
      close,
      'run-close',
      { id: 'run-close/rail', name: 'closing rail under the house', role: 'rail', item: '2x4' },
      [WALL, 0, p.legHeight],
      [D - 2 * WALL, T, 3.5],
      'a',
    ),
    boxPart(
      close,
      'run-close',
      {
        id: 'run-close/sill',
        name: 'closing sill under the house',
        role: 'sill',
        item: '2x4-pt',
        fit: 'measure in place',
        tolerance: 0.25,
      },
      [WALL, 0, 0],
      [D - 2 * WALL, T, 3.5],
      'a',
    ),
    ...(Math.min(D - 2 * WALL, p.legHeight + 3.5) > 48
      ? [
          boxPart(
            close,
            'run-close',
            {
              id: 'run-close/stud',
              name: 'closing stud under the house',
              role: 'stud',
              item: '2x4',
              fit: 'measure in place',
              tolerance: 0.25,
            },
            [D / 2 - T / 2, 0, 3.5],
            [T, T, p.legHeight - 3.5],
            'z',
          ),
        ]
      : []),
    polyPart(
      close,
      'run-close',
      { id: 'run-close/mesh', name: 'closing mesh under the house', role: 'mesh', item: p.runMesh },
      'az',
      rectangle(WALL, 0, D - WALL, p.legHeight + 3.5),
      T,
      m,
    ),
  );
  sketch.assembly({
    id: 'run-close',
    name: 'closing under the house',
    kind: 'frame',
    face: faceOf(close),
    flat: false,
    tapes: [],
    joins: { to: 'left-wall', how: 'rail through the siding into the rim, mesh from the run side' },
    site: true,
  });
  sketch.face({
    id: 'run-close',
    name: 'closing under the house',
    place: faceOf(close),
    region: rectangle(WALL, 0, D - WALL, p.legHeight),
    within: [-2, 1],
  });
  return { area: (p.runLength * (D - 2 * WALL)) / 144, clearHeight };
};
