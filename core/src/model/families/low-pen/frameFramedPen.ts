import { rectangle } from '../../../geometry/index.ts';
import type { Build, Tape } from '../../../build/index.ts';
import { boxPart, faceOf, polyPart, Sketch, UNIT_AXES, wallAxes } from '../../../frame/index.ts';
import type { Axes } from '../../../frame/index.ts';
import { findMesh } from '../../../stock/index.ts';
import type { LowPenParams } from './params.ts';

const T = 1.5;
const RAIL = 2.5;
/** Clearance of the lid to what lies beside it. */
const LID_GAP = 0.25;
const LEAST_LID = 20;

/** Places of uprights along a rail: corners and equal bays no longer than `most`; low edges. */
const uprightPlaces = (from: number, to: number, wide: number, most: number): number[] => {
  const bays = Math.max(1, Math.ceil((to - from - wide) / most));
  return Array.from({ length: bays + 1 }, (_, i) => Math.round((from + ((to - from - wide) * i) / bays) * 16) / 16);
};

const frameSide = (
  sketch: Sketch,
  p: LowPenParams,
  side: 'front' | 'back' | 'left' | 'right',
  axes: Axes,
  from: number,
  to: number,
  meshFrom: number,
  meshTo: number,
): void => {
  const id = side;
  const name = { front: 'front side', back: 'back side', left: 'left end', right: 'right end' }[side];
  const mesh = findMesh(p.mesh);
  const bottom = `${id}/bottom-rail`;
  const top = `${id}/top-rail`;
  // The bottom rail lies on the grass: treated.
  sketch.add(
    boxPart(
      axes,
      id,
      { id: bottom, name: `${name} bottom rail`, role: 'rail', item: '2x3-pt' },
      [from, 0, 0],
      [to - from, T, RAIL],
      'a',
    ),
  );
  sketch.add(
    boxPart(
      axes,
      id,
      { id: top, name: `${name} top rail`, role: 'rail', item: '2x3' },
      [from, 0, p.height - RAIL],
      [to - from, T, RAIL],
      'a',
    ),
  );
  const marks: Tape['marks'][number][] = [];
  uprightPlaces(from, to, RAIL, p.uprightSpacing).forEach((a, i) => {
    const part = `${id}/upright-${i + 1}`;
    sketch.add(
      boxPart(
        axes,
        id,
        { id: part, name: `${name} upright`, role: 'upright', item: '2x3' },
        [a, 0, RAIL],
        [RAIL, T, p.height - 2 * RAIL],
        'z',
      ),
    );
    marks.push({ at: a - from, side: 'right', what: 'upright', part });
  });
  sketch.add(
    polyPart(
      axes,
      id,
      { id: `${id}/mesh`, name: `${name} mesh`, role: 'mesh', item: p.mesh },
      'az',
      rectangle(meshFrom, 0, meshTo, p.height),
      -mesh.thickness,
      mesh.thickness,
    ),
  );
  sketch.assembly({
    id,
    name,
    kind: 'frame',
    face: faceOf(axes),
    flat: true,
    square: { width: to - from, height: p.height },
    tapes: [{ title: 'top and bottom rail', parts: [bottom, top], length: to - from, marks }],
    ...(side === 'left' || side === 'right'
      ? { joins: { to: 'front', how: 'stands between the long sides, screwed through them' } }
      : {}),
  });
  sketch.face({ id, name, place: faceOf(axes), region: rectangle(meshFrom, 0, meshTo, p.height), within: [-T, 1] });
};

/** Frames the low pen of 2×3 frames on edge: four flat sides, crossbars, roofed part, fixed mesh, lid, wheels. */
export const frameFramedPen = (p: LowPenParams): Build => {
  const sketch = new Sketch();
  const { length: L, width: W, height: H } = p;
  const mesh = findMesh(p.mesh);
  const m = mesh.thickness;
  frameSide(sketch, p, 'front', wallAxes('front', [0, 0, 0]), 0, L, 0, L);
  frameSide(sketch, p, 'back', wallAxes('back', [L, W, 0]), 0, L, 0, L);
  frameSide(sketch, p, 'left', wallAxes('left', [0, W, 0]), T, W - T, 0, W);
  frameSide(sketch, p, 'right', wallAxes('right', [L, 0, 0]), T, W - T, 0, W);

  let roof = p.roofLength;
  if (roof > L - LEAST_LID) {
    roof = L - LEAST_LID;
    sketch.note({
      code: 'roof-leaves-no-lid',
      severity: 'stop',
      what: `A roofed part of ${p.roofLength}″ leaves no room for a lid.`,
      why: `The lid needs ${LEAST_LID}″ to reach in and to feed; the roofed part was drawn shorter.`,
      fix: { label: `Make the roofed part ${roof}″`, patch: { roofLength: roof } },
    });
  }
  let lid = p.lidLength;
  if (roof + lid > L) {
    sketch.note({
      code: 'lid-does-not-fit',
      severity: 'stop',
      what: `Roofed part and lid are longer than the pen by ${roof + lid - L}″.`,
      why: 'The top is only as long as the pen; the lid was drawn shorter.',
      fix: { label: `Make the lid ${L - roof}″`, patch: { lidLength: L - roof } },
    });
    lid = L - roof;
  }
  // A strip of fixed mesh narrower than a crossbar and a half cannot be framed: the lid takes it.
  const fixed = L - roof - lid < 6 ? 0 : L - roof - lid;
  lid = L - roof - fixed;
  const a = UNIT_AXES;
  const crossbars: number[] = [roof - T / 2];
  if (fixed > 0) crossbars.push(roof + fixed - T / 2);
  // Roofing is carried at most every 36 in.
  const rows = Math.ceil(roof / 36);
  for (let i = 1; i < rows; i++) crossbars.push((roof * i) / rows - T / 2);
  crossbars
    .sort((x, y) => x - y)
    .forEach((x, i) =>
      sketch.add(
        boxPart(
          a,
          'top',
          {
            id: `top/crossbar-${i + 1}`,
            name: 'crossbar',
            role: 'crossbar',
            item: '2x3',
            fit: 'measure in place',
            tolerance: 0.25,
          },
          [x, T, H - RAIL],
          [T, W - 2 * T, RAIL],
          't',
        ),
      ),
    );
  sketch.assembly({
    id: 'top',
    name: 'top frame',
    kind: 'frame',
    face: { origin: [0, 0, H], u: [1, 0, 0], v: [0, 1, 0] },
    flat: false,
    tapes: [],
    joins: { to: 'front', how: 'dropped between the top rails, tops flush' },
  });

  const roofing = { thickness: 0.75, cover: 36 };
  const sheets = Math.ceil(roof / roofing.cover - 1e-9);
  for (let i = 0; i < sheets; i++) {
    const x0 = i * roofing.cover;
    const wide = Math.min(roofing.cover, roof - x0);
    sketch.add(
      boxPart(
        a,
        'roof',
        { id: `roof/sheet-${i + 1}`, name: 'roof sheet', role: 'roofing', item: 'metal' },
        [x0, 0, H],
        [wide, W, roofing.thickness],
        't',
      ),
    );
  }
  sketch.assembly({
    id: 'roof',
    name: 'roofed part',
    kind: 'cover',
    face: { origin: [0, 0, H], u: [1, 0, 0], v: [0, 1, 0] },
    flat: false,
    tapes: [],
    joins: { to: 'top', how: 'screwed down through gaskets, ribs across the pen' },
  });
  if (fixed > 0) {
    sketch.add(
      boxPart(
        a,
        'top',
        { id: 'top/mesh', name: 'fixed top mesh', role: 'mesh', item: p.mesh },
        [roof, 0, H],
        [fixed, W, m],
        't',
      ),
    );
  }

  // Lid: 2×3 laid flat, mesh on top, a middle bar where it is wide.
  const lx0 = roof + fixed + LID_GAP;
  const lx1 = L;
  const lidLong = lx1 - lx0;
  sketch.add(
    boxPart(
      a,
      'lid',
      { id: 'lid/hinge-rail', name: 'lid hinge rail', role: 'lid', item: '2x3' },
      [lx0, 0, H],
      [RAIL, W, T],
      't',
    ),
  );
  sketch.add(
    boxPart(
      a,
      'lid',
      { id: 'lid/lift-rail', name: 'lid lift rail', role: 'lid', item: '2x3' },
      [lx1 - RAIL, 0, H],
      [RAIL, W, T],
      't',
    ),
  );
  uprightPlaces(0, W, RAIL, 36).forEach((y, i) =>
    sketch.add(
      boxPart(
        a,
        'lid',
        { id: `lid/stile-${i + 1}`, name: 'lid stile', role: 'lid', item: '2x3' },
        [lx0 + RAIL, y, H],
        [lidLong - 2 * RAIL, RAIL, T],
        'a',
      ),
    ),
  );
  sketch.add(
    boxPart(
      a,
      'lid',
      { id: 'lid/mesh', name: 'lid mesh', role: 'mesh', item: p.mesh },
      [lx0, 0, H + T],
      [lidLong, W, m],
      't',
    ),
  );
  sketch.assembly({
    id: 'lid',
    name: 'lid',
    kind: 'lid',
    face: { origin: [lx0, 0, H], u: [1, 0, 0], v: [0, 1, 0] },
    flat: true,
    square: { width: lidLong, height: W },
    tapes: [],
    joins: { to: 'top', how: 'hinged on the crossbar, two bolts at the lift rail' },
  });
  sketch.face({
    id: 'top',
    name: 'top',
    place: { origin: [0, 0, H], u: [1, 0, 0], v: [0, 1, 0] },
    region: rectangle(0, 0, L, W),
    within: [-RAIL, 3],
  });
  sketch.hardware('hinge', W > 48 ? 3 : 2, 'lid');
  sketch.hardware('latch', 2, 'lid');

  if (p.wheels !== 'none') {
    const diameter = Number(p.wheels.slice(6));
    const r = diameter / 2;
    const x = 8;
    // The block carries the bolt above the low rail and keeps the frame on the ground.
    for (const side of ['front', 'back'] as const) {
      const axes = side === 'front' ? UNIT_AXES : wallAxes('back', [2 * x, W, 0]);
      sketch.add(
        boxPart(
          axes,
          'moving',
          { id: `moving/block-${side}`, name: 'wheel block', role: 'blocking', item: '2x6-pt' },
          [x - 4, T, 0],
          [8, T, 5.5],
          'a',
        ),
      );
      const ring = Array.from(
        { length: 24 },
        (_, i) => [x + r * Math.cos((i * Math.PI) / 12), r + r * Math.sin((i * Math.PI) / 12)] as const,
      );
      sketch.add(
        polyPart(
          axes,
          'moving',
          { id: `moving/wheel-${side}`, name: `${diameter} in wheel`, role: 'wheel', item: p.wheels },
          'az',
          ring,
          -m - 1.75,
          1.75,
        ),
      );
    }
    sketch.hardware('axle-bolt', 2, 'wheels');
    sketch.assembly({
      id: 'moving',
      name: 'wheels',
      kind: 'fittings',
      face: faceOf(UNIT_AXES),
      flat: false,
      tapes: [],
      joins: { to: 'front', how: 'bolted through the block and the long sides' },
    });
  }
  if (p.ropes) {
    sketch.hardware('rope', 2, 'front end');
    sketch.hardware('lag', 2, 'rope anchors');
  }

  return sketch.finish({
    family: 'low-pen',
    capacity: { runArea: (L * W) / 144 },
    facts: {
      movable: true,
      base: [0, 0, L, W],
      enclosedHeight: H,
      floorHeight: 0,
      roof: { pitch: 0, cover: 'metal', roofedShare: roof / L },
      roosts: [],
      ventArea: (2 * (L + W) * H) / 144,
      ...(p.wheels === 'none' ? {} : { wheels: { diameter: Number(p.wheels.slice(6)), fromEnd: 8 } }),
      lidWeightParts: 'lid',
      spans: [],
      meshItem: p.mesh,
      meshHeights: [{ height: H, assembly: 'front' }],
      sheetCourses: [],
    },
  });
};
