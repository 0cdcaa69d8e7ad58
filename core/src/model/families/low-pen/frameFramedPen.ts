import { rectangle } from '../../../geometry/index.ts';
import type { Build } from '../../../unit/index.ts';
import {
  plateCorners,
  withoutSliver,
  boxPart,
  fitWheels,
  framePenLid,
  framePenSides,
  Sketch,
  UNIT_AXES,
  wallAxes,
  fixMesh,
} from '../../../frame/index.ts';
import { findMesh } from '../../../stock/index.ts';
import type { LowPenParams } from './params.ts';

const T = 1.5;
const RAIL = 2.5;
/** Clearance of the lid to what lies beside it. */
const LID_GAP = 0.25;
const LEAST_LID = 20;
/** Wheels stand about 8 in from the end; common practice, no source. */
const WHEEL_AT = 8;

/** Frames the low pen of 2×3 frames on edge: four flat sides, crossbars, roofed part, fixed mesh, lid, wheels. */
export const frameFramedPen = (p: LowPenParams): Build => {
  const sketch = new Sketch();
  const { length: L, width: W, height: H } = p;
  const mesh = findMesh(p.mesh);
  const m = mesh.thickness;
  framePenSides(sketch, { length: L, width: W, height: H, spacing: p.uprightSpacing, mesh: p.mesh, joint: p.joint });

  let roof = p.roofLength;
  if (roof > L - LEAST_LID) {
    roof = L - LEAST_LID;
    sketch.note({
      code: 'roof-leaves-no-lid',
      where: ['lid/hinge-rail'],
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
      where: ['lid/hinge-rail'],
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
  // Mesh wants something for its seams, and sags where it is wider.
  const spans = Math.ceil(fixed / 44);
  for (let i = 1; i < spans; i++) crossbars.push(roof + (fixed * i) / spans - T / 2);
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
  const seams = withoutSliver(Array.from({ length: sheets + 1 }, (_, i) => Math.min(roof, i * roofing.cover)));
  for (let i = 0; i < sheets; i++) {
    const [x0, x1] = [seams[i] as number, seams[i + 1] as number];
    const wide = x1 - x0;
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

  framePenLid(sketch, { from: roof + fixed + LID_GAP, to: L, width: W, height: H, mesh: p.mesh, joins: 'top' });
  sketch.face({
    id: 'top',
    name: 'top',
    place: { origin: [0, 0, H], u: [1, 0, 0], v: [0, 1, 0] },
    region: rectangle(0, 0, L, W),
    within: [-RAIL, 3],
  });

  if (p.wheels !== 'none') fitWheels(sketch, { wheel: p.wheels, at: WHEEL_AT, width: W, out: m, joins: 'front' });
  if (p.grips) {
    const end = wallAxes('right', [L, 0, 0]);
    for (const [k, y] of [W * 0.25 - 6, W * 0.75 - 6].entries())
      sketch.add(
        boxPart(
          end,
          'grips',
          { id: `grips/block-${k + 1}`, name: 'grip block', role: 'handle', item: '2x4-pt' },
          [Math.max(0, y), -m - T, H - 3.75],
          [12, T, 3.5],
          'a',
        ),
      );
    sketch.assembly({
      id: 'grips',
      name: 'grip blocks',
      kind: 'fittings',
      face: { origin: [L, 0, H], u: [0, 1, 0], v: [0, 0, 1] },
      flat: false,
      tapes: [],
      joins: {
        to: 'right',
        how: 'screwed through the mesh into the top rail and uprights, edges rounded for the hand',
      },
    });
  }
  if (p.cornerPlates) plateCorners(sketch, ['left', 'right']);
  if (p.ropes) {
    sketch.join({
      kind: 'bolt',
      parts: ['right/top-rail'],
      hardware: { rope: 2, 'eye-bolt': 2 },
    });
  }

  fixMesh(sketch, { sides: p.meshSides, overhead: p.meshOverhead });
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
      ...(p.wheels === 'none' ? {} : { wheels: { diameter: Number(p.wheels.slice(6)), fromEnd: WHEEL_AT } }),
      lidWeightParts: 'lid',
      spans: [],
      meshItem: p.mesh,
      meshHeights: [{ height: H, assembly: 'front' }],
      sheetCourses: [],
    },
  });
};
