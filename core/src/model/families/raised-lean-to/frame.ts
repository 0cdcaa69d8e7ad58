import { rectangle } from '../../../geometry/index.ts';
import type { Build } from '../../../build/index.ts';
import {
  boxPart,
  closeEaves,
  coverSlope,
  faceOf,
  fitDoor,
  fitNestRow,
  fitPopDoor,
  fitRamp,
  fitRoosts,
  frameLeanRafters,
  frameOutriggers,
  frameRaisedFloor,
  headerHeight,
  leanSlope,
  Sketch,
  UNIT_AXES,
  wallAxes,
  WALL,
} from '../../../frame/index.ts';
import { findMesh, findRoofing, findSheet } from '../../../stock/index.ts';
import { placeOpenings } from './openings.ts';
import type { LeanToParams } from './params.ts';
import { resolveLeanTo } from './resolve.ts';
import { frameRun, runSlope } from './run.ts';
import { frameHouseWalls } from './walls.ts';

const T = 1.5;
const DECK = 0.5;
const RAMP_FROM = 12;

/** Frames the raised lean-to house with its fittings and its run. */
export const frameLeanTo = (given: LeanToParams): Build => {
  const sketch = new Sketch();
  const p = resolveLeanTo(sketch, given);
  const { length: L, depth: D } = p;
  const deep = D > 72;
  const rimItem = deep ? '2x8-pt' : '2x6-pt';
  const joistItem = deep ? '2x6' : '2x4';
  const rim = deep ? 7.25 : 5.5;
  const floor = frameRaisedFloor(sketch, {
    length: L,
    depth: D,
    legHeight: p.legHeight,
    rimItem,
    joistItem,
    spacing: 16,
  });
  const z = floor.top;
  sketch.face({
    id: 'floor',
    name: 'floor',
    place: { origin: [0, 0, z], u: [1, 0, 0], v: [0, 1, 0] },
    region: rectangle(0, 0, L, D),
    within: [-0.8, 0.1],
  });

  const axes = {
    front: wallAxes('front', [0, 0, z]),
    back: wallAxes('back', [L, D, z]),
    right: wallAxes('right', [L, 0, z]),
    left: wallAxes('left', [0, D, z]),
  };
  const slope = leanSlope(D, p.highWall, p.lowWall, '2x4');
  const plate = T * Math.sqrt(1 + slope.fall ** 2);
  const placed = placeOpenings(sketch, p, {
    front: () => p.highWall - T,
    back: () => p.lowWall - T,
    right: (a) => slope.under(a) - plate,
    left: (a) => slope.under(D - a) - plate,
  });
  frameHouseWalls(sketch, p, { axes, slope, rim, placed });

  const skin = findSheet(p.siding);
  const out = skin.thickness;
  const find = (id: string) =>
    (['front', 'back', 'left', 'right'] as const).flatMap((side) =>
      placed[side].filter((o) => o.id === id).map((o) => ({ side, o })),
    )[0];

  const door = find('door');
  const way =
    door &&
    fitDoor(sketch, {
      id: 'people-door',
      name: 'people door',
      axes: axes[door.side],
      opening: door.o,
      skin: { item: p.siding, thickness: out, mesh: false },
      joins: `${door.side}-wall`,
    });
  if (door && p.insideRelease) sketch.hardware('release', 1, 'people door');

  const mesh = findMesh('hardware-cloth');
  const window = find('window');
  if (window) {
    const { o, side } = window;
    sketch.add(
      boxPart(
        axes[side],
        'window',
        { id: 'window/mesh', name: 'window mesh', role: 'mesh', item: mesh.key },
        [o.left - T, WALL, o.bottom - T],
        [o.width + 2 * T, mesh.thickness, o.height + 2 * T],
        'a',
      ),
    );
    sketch.assembly({
      id: 'window',
      name: 'window',
      kind: 'fittings',
      face: faceOf(axes[side], o.left, WALL, o.bottom),
      flat: false,
      tapes: [],
      joins: { to: `${side}-wall`, how: 'mesh from the inside over the opening, stapled every 3″ under battens' },
    });
  }

  const nest = find('nest');
  if (nest)
    fitNestRow(sketch, {
      axes: axes[nest.side],
      opening: nest.o,
      count: p.nestCount,
      boxWidth: p.nestWidth,
      depth: p.nestDepth,
      out,
      joins: `${nest.side}-wall`,
    });

  const run = p.run ? frameRun(sketch, p, { slope, floorTop: z, out }) : undefined;
  const runUnder = p.run ? runSlope(p, { slope, floorTop: z, out }) : undefined;

  const pop = find('pop');
  let ramp: ReturnType<typeof fitRamp>;
  if (pop) {
    const { o, side } = pop;
    const low =
      side === 'left' ? Math.min(slope.under(D - o.left + 4), slope.under(D - o.left - o.width - 4)) : p.highWall;
    const lowRun = side === 'left' && runUnder ? runUnder.under(D - o.left + 4) - z : Infinity;
    fitPopDoor(sketch, axes[side], 'pop-door', o, out, `${side}-wall`, p.popMotor, Math.min(low, lowRun) - 1);
    if (z + o.bottom > RAMP_FROM) {
      const room = side === 'left' && p.run ? p.runLength - 12 : 120;
      ramp = fitRamp(
        sketch,
        { ...axes[side], origin: [axes[side].origin[0], axes[side].origin[1], 0] },
        o.left + o.width / 2,
        z + o.bottom,
        0,
        out,
        room,
        `${side}-wall`,
      );
      if (!ramp)
        sketch.note({
          code: 'ramp-has-no-room',
          severity: 'stop',
          what: `No ramp under 45° fits in a run ${p.runLength}″ long.`,
          why: `It climbs ${z + o.bottom}″; it was left out.`,
          fix: {
            label: `Make the run ${Math.ceil(z + o.bottom + 16)}″`,
            patch: { runLength: Math.ceil(z + o.bottom + 16) },
          },
        });
    }
  }

  if (p.roostBars > 0) {
    const firstT = D - WALL - 12 - 3.5 - (p.roostBars - 1) * 15.5;
    fitRoosts(
      sketch,
      { ...UNIT_AXES, origin: [0, 0, z] },
      {
        from: WALL,
        to: L - WALL,
        firstT,
        spacing: 15.5,
        bars: p.roostBars,
        height: p.roostHeight,
        joins: 'right-wall',
      },
    );
  }

  const roof = {
    id: 'roof',
    name: 'roof',
    axes: axes.front,
    slope,
    from: 0,
    to: L,
    spacing: p.rafterSpacing,
    rafterItem: '2x4',
    front: p.overhangFront,
    back: p.overhangBack,
    joins: 'front-wall',
  };
  const places = frameLeanRafters(sketch, roof);
  const edge = p.overhangSide;
  frameOutriggers(sketch, roof, [-edge, L + edge - T]);
  const vent = closeEaves(sketch, roof, places, p.eaves, mesh.key);
  coverSlope(sketch, roof, {
    id: 'roof',
    name: 'roof deck',
    role: 'deck',
    item: 'ply-1/2',
    thickness: DECK,
    from: -edge,
    to: L + edge,
    lift: 0,
    width: 96,
    course: 48,
    beyond: 0,
    candidates: places.map((x) => x + T / 2),
  });
  const cover = findRoofing(p.roofCover);
  coverSlope(sketch, roof, {
    id: 'roof',
    name: cover.name,
    role: 'roofing',
    item: cover.key,
    thickness: cover.thickness,
    from: -edge,
    to: L + edge,
    lift: DECK,
    width: cover.cover,
    course: 1000,
    beyond: 1,
    candidates: [],
  });
  sketch.assembly({
    id: 'roof',
    name: 'roof',
    kind: 'roof',
    face: { origin: [0, 0, z + p.highWall], u: [1, 0, 0], v: [0, 1, 0] },
    flat: false,
    tapes: [
      {
        title: 'both wall plates',
        parts: ['front-wall/top-plate', 'back-wall/top-plate'],
        length: L,
        marks: places.map((x, i) => ({ at: x, side: 'right', what: 'rafter', part: `roof/rafter-${i + 1}` })),
      },
    ],
    joins: { to: 'front-wall', how: 'rafters over both plates, tied down, decked and covered' },
  });
  const c = 1 / Math.sqrt(1 + slope.fall ** 2);
  sketch.face({
    id: 'roof',
    name: 'roof',
    place: { origin: [0, 0, z + slope.under(0) + slope.plumb], u: [1, 0, 0], v: [0, c, -slope.fall * c] },
    region: rectangle(0, 0, L, D / c),
    within: [-1, 2],
  });

  const windowArea = window ? (window.o.width * window.o.height) / 144 : 0;
  return sketch.finish({
    family: 'raised-lean-to',
    capacity: {
      houseArea: ((L - 2 * WALL) * (D - 2 * WALL)) / 144,
      roostLength: p.roostBars * (L - 2 * WALL),
      nests: nest ? p.nestCount : 0,
      ...(run ? { runArea: run.area } : {}),
    },
    facts: {
      movable: false,
      base: p.run ? [-out - p.runLength, 0, L, D] : [0, 0, L, D],
      enclosedHeight: z + p.highWall + slope.plumb,
      floorHeight: z,
      roof: { pitch: slope.fall * 12, cover: p.roofCover, roofedShare: 1 },
      eaves: { front: p.overhangFront, back: p.overhangBack },
      roosts:
        p.roostBars > 0
          ? [{ height: p.roostHeight, length: L - 2 * WALL, bars: p.roostBars, spacing: 12, toWall: 12 }]
          : [],
      ...(nest
        ? {
            nests: {
              count: p.nestCount,
              bottom: p.nestBottom,
              top: p.nestBottom + nest.o.height,
              width: p.nestWidth,
              depth: p.nestDepth,
              wall: nest.side,
            },
          }
        : {}),
      ...(ramp ? { ramp } : {}),
      ventArea: vent / 144 + windowArea,
      ...(door && way
        ? {
            door: {
              clearWidth: way.clearWidth,
              clearHeight: way.clearHeight,
              threshold: door.o.bottom,
              insideRelease: p.insideRelease,
              opens: p.doorOpens,
            },
          }
        : {}),
      spans: [
        { what: 'floor joist', item: joistItem, span: floor.joistSpan, spacing: 16, part: 'base/joist-1' },
        { what: 'rafter', item: '2x4', span: D - 2 * WALL, spacing: p.rafterSpacing, part: 'roof/rafter-1' },
        ...(door
          ? [
              {
                what: 'header' as const,
                item: headerHeight(door.o.width) === 5.5 ? '2x6' : '2x4',
                span: door.o.width,
                spacing: D / 2,
                part: `${door.side}-wall/door/header-1`,
              },
            ]
          : []),
      ],
      ...(p.run ? { meshItem: p.runMesh } : {}),
      meshHeights: runUnder ? [{ height: runUnder.high, assembly: 'run-front' }] : [],
      sheetCourses: [
        { direction: 'front and back wall', param: 'length', size: L, item: p.siding },
        { direction: 'rake walls', param: 'depth', size: D, item: p.siding },
      ],
      underfloor: { open: !p.run, clear: p.legHeight },
      fit: { studSpacing: p.studSpacing, rafterSpacing: p.rafterSpacing },
    },
  });
};
