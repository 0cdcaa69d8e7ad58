import { rectangle } from '../../../geometry/index.ts';
import type { Build, TapeMark } from '../../../unit/index.ts';
import {
  capRidge,
  closeEaves,
  closeRibs,
  plateCorners,
  blockRows,
  boxPart,
  coverSlope,
  faceOf,
  fitWheels,
  frameLeanRafters,
  gableSlope,
  polyPart,
  rafterPlaces,
  ROOST_CLEAR,
  Sketch,
  UNIT_AXES,
  uprightPlaces,
  wallAxes,
  wheelDiameter,
  fixMesh,
} from '../../../frame/index.ts';
import type { LeanRoofPlan } from '../../../frame/index.ts';
import { findLumber, findMesh, findPiece, findRoofing } from '../../../stock/index.ts';
import { fitPeakDoors } from './doors.ts';
import { frameEnds } from './ends.ts';
import { fitHandlebar } from './handlebar.ts';
import type { SteepRoofPenParams } from './params.ts';

const T = 1.5;
const RAIL = 3.5;
const WHEEL_AT = 8;
/** First roost bar from the back end. */
const ROOST_AT = 16;
const RAFTER = '2x3';
const RIDGE = '1x6';
/** Foot of the doors: they lap the sill by half an inch and pass over the handlebar. */
const DOOR_FOOT = 3;

/** Frames the steep-roof pen: low sides, end pieces between them, notched rafters, ridge, doors with angled heads, handlebar. */
export const frameSteepRoofPen = (p: SteepRoofPenParams): Build => {
  const sketch = new Sketch();
  const { length: L, width: W, sideHeight: H } = p;
  const mesh = findMesh(p.mesh);
  const m = mesh.thickness;
  const a = UNIT_AXES;
  const ridgeThick = findLumber(RIDGE).thickness;

  // The pitch that brings the ridge's top to the peak: rafters rise from the notch to the ridge's face.
  const topAt = (pitch: number): number => {
    const s = gableSlope(W, H, pitch, RAFTER, T);
    return s.under(W / 2 + ridgeThick / 2) + s.plumb;
  };
  let low = 1;
  let high = 40;
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (topAt(mid) < p.peak) low = mid;
    else high = mid;
  }
  const pitch = (low + high) / 2;
  const slope = gableSlope(W, H, pitch, RAFTER, T);
  const deck = (t: number): number => slope.under(Math.max(t, W - t)) + slope.plumb;

  const sides = [
    { id: 'front', name: 'front side', axes: wallAxes('front', [0, 0, 0]) },
    { id: 'back', name: 'back side', axes: wallAxes('back', [L, W, 0]) },
  ] as const;
  for (const { id, name, axes } of sides) {
    const bottom = `${id}/bottom-rail`;
    const top = `${id}/top-rail`;
    sketch.add(
      boxPart(
        axes,
        id,
        { id: bottom, name: `${name} bottom rail`, role: 'rail', item: '2x4-pt' },
        [0, 0, 0],
        [L, T, RAIL],
        'a',
      ),
      boxPart(
        axes,
        id,
        { id: top, name: `${name} top rail`, role: 'rail', item: '2x4' },
        [0, 0, H - RAIL],
        [L, T, RAIL],
        'a',
      ),
    );
    const marks: TapeMark[] = [];
    uprightPlaces(0, L, RAIL, p.uprightSpacing).forEach((x, i) => {
      const part = `${id}/upright-${i + 1}`;
      sketch.add(
        boxPart(
          axes,
          id,
          { id: part, name: `${name} upright`, role: 'upright', item: '2x4' },
          [x, 0, RAIL],
          [RAIL, T, H - 2 * RAIL],
          'z',
        ),
      );
      marks.push({ at: x, side: 'right', what: 'upright', part });
    });
    sketch.add(
      polyPart(
        axes,
        id,
        { id: `${id}/mesh`, name: `${name} mesh`, role: 'mesh', item: p.mesh },
        'az',
        rectangle(0, 0, L, Math.min(H, slope.under(W + m))),
        -m,
        m,
      ),
    );
    sketch.assembly({
      id,
      name,
      kind: 'frame',
      face: faceOf(axes),
      flat: true,
      square: { width: L, height: H },
      tapes: [{ title: 'top and bottom rail', parts: [bottom, top], length: L, marks }],
    });
    sketch.face({ id, name, place: faceOf(axes), region: rectangle(0, 0, L, H), within: [-T, 1] });
  }

  // End pieces between the sides: the pen's width less both of them.
  const across = W - 2 * T;
  const endPiece = (assembly: string, tag: string, name: string, x: number, z: number, item: string) =>
    sketch.add(
      boxPart(a, assembly, { id: `${assembly}/${tag}`, name, role: 'rail', item }, [x, T, z], [T, across, RAIL], 't'),
    );
  endPiece('left', 'bottom', 'back end piece', 0, 0, '2x4-pt');
  endPiece('left', 'top', 'back end piece', 0, H - RAIL, '2x4');
  endPiece('right', 'bottom', 'front end piece', L - T, 0, '2x4-pt');

  const covered = Math.min(p.roofedLength, L);
  // The covering ends over a rafter of its own.
  const last = covered - T / 2;
  const usual = rafterPlaces(0, L, p.rafterSpacing);
  const places =
    covered > L - 2 * T
      ? usual
      : [...usual.filter((x) => x === 0 || x === L - T || Math.abs(x - last) >= 2 * T), last].sort((x, y) => x - y);
  const half = -(W / 2);
  const ridgeBottom = p.peak - findLumber(RIDGE).width;
  sketch.add(
    boxPart(
      a,
      'roof-front',
      { id: 'roof-front/ridge-1', name: 'ridge board', role: 'ridge', item: RIDGE },
      [0, W / 2 - ridgeThick / 2, ridgeBottom],
      [L, ridgeThick, p.peak - ridgeBottom],
      'a',
    ),
  );
  for (const side of ['front', 'back'] as const) {
    const axes = side === 'front' ? sides[1].axes : sides[0].axes;
    const id = `roof-${side}`;
    const along = (x0: number, x1: number): readonly [number, number] =>
      side === 'front' ? [L - x1, L - x0] : [x0, x1];
    const plan: LeanRoofPlan = {
      id,
      name: `${side} roof`,
      axes,
      slope,
      from: 0,
      to: L,
      spacing: p.rafterSpacing,
      rafterItem: RAFTER,
      front: half,
      back: 1,
      joins: side,
      seats: 'low',
      places: side === 'front' ? [...places].map((x) => L - x - T).reverse() : places,
    };
    const framing = { ...plan, front: half - ridgeThick / 2 };
    frameLeanRafters(sketch, framing);
    // What is open between the rafters over the top rail.
    closeEaves(sketch, framing, plan.places ?? [], 'mesh', p.mesh);
    const common = { candidates: [], course: 1000, beyond: 0, width: 1000 };
    if (p.cover === 'metal') {
      const metal = findRoofing('metal');
      blockRows(
        sketch,
        framing,
        (plan.places ?? []).filter((x) => x + T >= along(0, covered)[0] - 0.1 && x <= along(0, covered)[1] + 0.1),
        p.purlinSpacing,
      );
      const [c0, c1] = along(0, covered);
      coverSlope(sketch, plan, {
        ...common,
        id,
        name: 'roof sheet',
        role: 'roofing',
        item: 'metal',
        thickness: metal.thickness,
        from: c0,
        to: c1,
        lift: 0,
        width: metal.cover,
        // Sheets meet over a rafter.
        candidates: (plan.places ?? []).map((x) => x + T / 2),
      });
      closeRibs(sketch, `${id}/roofing-1`, covered);
      if (side === 'front') capRidge(sketch, `${id}/roofing-1`, covered);
      if (covered < L - 0.1) {
        const [m0, m1] = along(covered, L);
        coverSlope(sketch, plan, {
          ...common,
          id,
          name: 'roof mesh',
          role: 'mesh',
          item: p.mesh,
          thickness: m,
          from: m0,
          to: m1,
          lift: 0,
        });
      }
    } else {
      coverSlope(sketch, plan, {
        ...common,
        id,
        name: 'roof mesh',
        role: 'mesh',
        item: p.mesh,
        thickness: m,
        from: 0,
        to: L,
        lift: 0,
      });
      const [c0, c1] = along(0, covered);
      coverSlope(sketch, plan, {
        ...common,
        id,
        name: 'tarp',
        role: 'cover',
        item: 'tarp',
        thickness: findPiece('tarp').thickness,
        from: c0,
        to: c1,
        lift: m,
      });
    }
    sketch.assembly({
      id,
      name: `${side} roof`,
      kind: 'roof',
      face: { origin: [0, 0, H], u: [1, 0, 0], v: [0, 1, 0] },
      flat: false,
      tapes: [
        {
          title: `${side} top rail`,
          parts: [],
          length: L,
          marks: places.map((x, i) => ({
            at: x,
            side: 'right' as const,
            what: 'rafter',
            part: `${id}/rafter-${i + 1}`,
          })),
        },
      ],
      joins: { to: side, how: 'rafters notched over the top rails, in pairs against the ridge' },
    });
    const c = 1 / Math.sqrt(1 + slope.fall ** 2);
    const { origin, a: u, t } = axes;
    sketch.face({
      id,
      name: `${side} roof`,
      place: {
        origin: [origin[0] + (t[0] * W) / 2, origin[1] + (t[1] * W) / 2, slope.under(W / 2) + slope.plumb],
        u,
        v: [t[0] * c, t[1] * c, -slope.fall * c],
      },
      region: rectangle(0, 0, L, W / 2 / c),
      within: [-1, 2],
    });
  }

  frameEnds(sketch, p, { deck, under: slope.under, ridgeBottom });

  const way = fitPeakDoors(sketch, {
    axes: wallAxes('right', [L, 0, 0]),
    width: W,
    foot: DOOR_FOOT,
    top: deck,
    fall: slope.fall,
    rail: H - RAIL,
    mesh: p.mesh,
  });

  sketch.join({ kind: 'latch', parts: ['door-right/lock-stile'], hardware: { release: 1 } });
  // Bars across the pen between the top rails, clear of the back end and of each other.
  const bars = Math.min(p.roostBars, Math.floor((covered - ROOST_AT) / (ROOST_CLEAR + 3.5)));
  for (let i = 0; i < bars; i++)
    sketch.add(
      boxPart(
        a,
        'roosts',
        {
          id: `roosts/bar-${i + 1}`,
          name: 'roost bar',
          role: 'roost',
          item: '2x4',
          fit: 'measure in place',
          tolerance: 0.25,
        },
        [ROOST_AT + i * (ROOST_CLEAR + 3.5), T, H - T],
        [3.5, across, T],
        't',
      ),
    );
  const tied = [0, ...Array.from({ length: bars }, (_, i) => ROOST_AT + i * (ROOST_CLEAR + 3.5) + 1.75), L];
  if (bars > 0) {
    sketch.assembly({
      id: 'roosts',
      name: 'roost',
      kind: 'fittings',
      face: { origin: [ROOST_AT, 0, H], u: [1, 0, 0], v: [0, 1, 0] },
      flat: false,
      tapes: [],
      joins: { to: 'front', how: 'laid flat between the top rails, screwed through them' },
    });
  }
  if (p.wheels !== 'none')
    fitWheels(sketch, { wheel: p.wheels, at: WHEEL_AT, width: W, out: m, joins: 'front', how: p.wheelHow });
  plateCorners(sketch, ['left', 'right']);
  if (p.handlebar) fitHandlebar(sketch, { length: L, width: W, out: m });
  fixMesh(sketch, { sides: p.meshSides, overhead: 'washers' });
  return sketch.finish({
    family: 'steep-roof-pen',
    capacity: { runArea: (L * W) / 144, ...(bars > 0 ? { roostLength: across * bars } : {}) },
    facts: {
      movable: true,
      base: [0, 0, L, W],
      enclosedHeight: p.peak,
      floorHeight: 0,
      roof: { pitch, cover: p.cover, roofedShare: covered / L },
      thrust: [
        {
          name: 'roof',
          cover: p.cover === 'metal' ? 'closed' : 'mesh',
          span: W,
          rise: p.peak - H,
          pitch,
          plate: { item: '2x4', count: 1, onEdge: true },
          // Roost bars between the top rails tie them.
          apart: Math.max(...tied.slice(1).map((x, k) => x - (tied[k] as number))),
          ties: bars,
          part: 'roof-back/rafter-1',
        },
      ],
      roosts: bars > 0 ? [{ height: H, length: across, bars, spacing: ROOST_CLEAR, toWall: ROOST_AT }] : [],
      ventArea: (2 * L * H) / 144,
      door: {
        clearWidth: way.clearWidth,
        clearHeight: way.clearHeight,
        threshold: RAIL,
        insideRelease: true,
        opens: 'outward',
      },
      ...(p.wheels === 'none' ? {} : { wheels: { diameter: wheelDiameter(p.wheels), fromEnd: WHEEL_AT } }),
      spans: [],
      meshItem: p.mesh,
      meshHeights: [{ height: H, assembly: 'front' }],
      sheetCourses: [],
    },
  });
};
