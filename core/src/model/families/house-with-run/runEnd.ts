import type { Pt } from '../../../geometry/index.ts';
import {
  faceOf,
  fitDoor,
  fitGate,
  frameGableStuds,
  frameWall,
  layoutOpenings,
  meshWall,
  polyPart,
  wallAxes,
  WALL,
  suitMesh,
} from '../../../frame/index.ts';
import type { LeanSlope, Sketch } from '../../../frame/index.ts';
import { findMesh, findRoofing } from '../../../stock/index.ts';
import type { BayPlan } from './bayPlan.ts';

const T = 1.5;

const underAt = (s: LeanSlope, t: number): number => s.under(Math.max(t, s.depth - t));

/** The far end of the run: a gable of mesh with a gate. */
export const frameRunEnd = (sketch: Sketch, p: BayPlan, slope: LeanSlope): void => {
  const D = p.depth;
  const m = findMesh(p.mesh).thickness;
  const id = 'run-end';
  const name = 'run end';
  const axes = wallAxes('left', [p.from, D, p.foot]);
  const gates = layoutOpenings(
    WALL,
    D - WALL,
    [
      {
        id: 'gate',
        kind: 'gate',
        width: fitGate(sketch, p.gate ?? 36, D),
        height: 80,
        bottom: T,
        leastHeight: 40,
      },
    ],
    () => p.eave - T,
  );
  const framed = frameWall(sketch, {
    id,
    name,
    axes,
    from: WALL,
    to: D - WALL,
    height: p.eave,
    slope: 0,
    spacing: suitMesh(p.studs),
    layoutFrom: 0,
    openings: gates.placed,
    bottomItem: '2x4-pt',
  });
  frameGableStuds(sketch, { id, name, axes, slope, plate: p.eave, centres: [D / 2, ...framed.centres] });
  const line = (a: number): number => underAt(slope, a) + slope.plumb;
  meshWall(sketch, {
    id,
    name,
    axes,
    from: 0,
    to: D,
    bottom: p.dig === 'curb' ? 0 : -Math.max(0, p.fill),
    top: line,
    peaks: [D / 2],
    item: p.mesh,
    thickness: m,
    openings: gates.placed,
  });
  sketch.assembly({
    id,
    name,
    kind: 'wall',
    face: faceOf(axes),
    flat: true,
    square: { width: D - 2 * WALL, height: p.eave },
    tapes: [framed.tape],
    joins: { to: `bay-${p.index + 1}-front`, how: 'stood between front and back, screwed through both' },
  });
  sketch.face({
    id,
    name,
    place: faceOf(axes),
    region: [
      [0, 0],
      [D, 0],
      [D, line(D)],
      [D / 2, line(D / 2)],
      [0, line(0)],
    ],
    within: [-WALL, 1],
  });
  for (const gate of gates.placed) {
    sketch.opening({
      id: 'run-end/gate',
      kind: 'gate',
      assembly: id,
      left: gate.left,
      bottom: gate.bottom,
      width: gate.width,
      height: gate.height,
      sillAboveGround: gate.bottom + p.fill,
    });
    fitDoor(sketch, {
      id: 'run-gate',
      name: 'run gate',
      axes,
      opening: gate,
      skin: { item: p.mesh, thickness: m, role: 'mesh' },
      joins: id,
    });
  }
};

/** Mesh over the lower bay's roof up to this bay's, on the end rafters and the plate's end: the step in the roof. */
export const closeStep = (sketch: Sketch, p: BayPlan, slope: LeanSlope): void => {
  const D = p.depth;
  const m = findMesh(p.mesh).thickness;
  const id = `step-${p.index + 1}`;
  const axes = wallAxes('left', [p.from, D, p.foot]);
  const over = p.roof === 'metal' ? findRoofing('metal').thickness : m;
  const cover = over * Math.sqrt(1 + slope.fall ** 2);
  const top = (a: number): number => underAt(slope, a) + slope.plumb;
  const low = (a: number): number => top(a) + cover - p.step;
  if (p.step <= cover + 0.1) return;
  // The lower roof's covering runs past the eave; what is closed here is between the walls.
  const ring: Pt[] = [
    [0, low(0)],
    [D / 2, low(D / 2)],
    [D, low(D)],
    [D, top(D)],
    [D / 2, top(D / 2)],
    [0, top(0)],
  ];
  sketch.add(
    polyPart(
      axes,
      id,
      { id: `${id}/mesh`, name: 'mesh in the step of the roof', role: 'mesh', item: p.mesh },
      'az',
      ring,
      -m,
      m,
    ),
  );
  sketch.join({
    kind: 'staple',
    parts: [`${id}/mesh`],
    nearest: true,
    fasteners: [{ item: 'staple', length: 0.5, count: Math.ceil((2 * D) / 3) }],
  });
  sketch.assembly({
    id,
    name: `step below bay ${p.index + 1}`,
    kind: 'fittings',
    face: faceOf(axes),
    flat: false,
    tapes: [],
    joins: { to: `bay-${p.index + 1}-front`, how: 'stapled to the end rafters, folded over the lower roof' },
  });
  sketch.face({ id, name: `step below bay ${p.index + 1}`, place: faceOf(axes), region: ring, within: [-WALL, 1] });
};
