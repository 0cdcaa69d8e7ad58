import type { BuildFacts, Fitting, Side } from '../../unit/index.ts';
import type { Capacity } from '../../flock/index.ts';
import {
  cladding,
  fitLadder,
  fitRamp,
  fitRoosts,
  frameRafterTies,
  ROOST_CLEAR,
  UNIT_AXES,
  wallAxes,
  strapRafters,
  WALL,
} from '../../frame/index.ts';
import type { Axes, PlacedOpening, RampFit, Sketch } from '../../frame/index.ts';
import { findMesh } from '../../stock/index.ts';
import { fitHouse, RAMP_FROM } from './fit.ts';
import type { HouseFittings } from './fit.ts';
import { backRoosts } from './backRoosts.ts';
import { hangNests, hangWaterBar } from './hangInside.ts';
import type { RoomPlan } from './hangInside.ts';
import { resolveNests } from './resolve.ts';
import { frameHouseRoof, needsDoublePlate, roofTop } from './roof.ts';
import type { HouseRoof } from './roof.ts';
import type { HouseParams } from './types.ts';
import { frameHouseWalls, wallCeilings } from './walls.ts';
import type { Raise } from './leftOut.ts';
import type { WallSetting } from './walls.ts';
import { spansOf } from './houseSpans.ts';
import { placeOpenings } from './wishes.ts';
import type { InnerLine } from './wishes.ts';

const BAR = 3.5;

/** Where a house stands and what is different about it. */
export interface HouseSetting {
  readonly roof: HouseRoof;
  /** Height of its floor, or of its slab, over the ground. */
  readonly floor: number;
  readonly skirt: number;
  readonly fittings: readonly Fitting[];
  /** What makes its walls higher, where that lets a door stand that is too high for them. */
  readonly raise?: readonly Raise[];
  readonly rafterItem?: string;
  readonly sole?: string;
  readonly doublePlate?: boolean;
  readonly stud?: WallSetting['stud'];
  readonly bolted?: boolean;
  readonly joins: string;
  readonly deck?: boolean;
  /** Rows of purlin blocks where there is no deck, at most this far apart. */
  readonly purlins?: number;
  readonly bare?: WallSetting['bare'];
  readonly blockRows?: WallSetting['blockRows'];
  /** Horizontal room for the ramp on a side. */
  readonly rampRoom?: (side: Side) => number;
  readonly popUnder?: (side: Side, a: number) => number;
  /** Thickness of a lining inside. */
  readonly lining?: number;
  /** Height that the lining ends at. */
  readonly liningTop?: number;
  /** An inner wall that parts off a store at the right. */
  readonly inner?: InnerLine;
}

/** What a framed house came to. */
export interface FramedHouse {
  readonly axes: Record<Side, Axes>;
  readonly placed: Record<Side, readonly PlacedOpening[]>;
  readonly fitted: HouseFittings;
  /** Centres of full-height studs in each wall. */
  readonly centres: Record<Side, readonly number[]>;
  readonly ramp?: RampFit;
  readonly capacity: Capacity;
  readonly facts: Pick<
    BuildFacts,
    | 'roosts'
    | 'nests'
    | 'ramp'
    | 'ventArea'
    | 'door'
    | 'spans'
    | 'roof'
    | 'thrust'
    | 'eaves'
    | 'sheetCourses'
    | 'fit'
    | 'enclosedHeight'
    | 'floorHeight'
  >;
}

/** Directions of the four walls of a house standing at the unit's corner. */
export const houseAxes = (length: number, depth: number, z: number): Record<Side, Axes> => ({
  front: wallAxes('front', [0, 0, z]),
  back: wallAxes('back', [length, depth, z]),
  right: wallAxes('right', [length, 0, z]),
  left: wallAxes('left', [0, depth, z]),
});

/** Frames a house on its floor: walls around their openings, fittings, roosts, ramp, roof. */
export const frameHouse = (sketch: Sketch, given: HouseParams, s: HouseSetting): FramedHouse => {
  const p = resolveNests(sketch, given);
  const { length: L, depth: D } = p;
  const { roof, floor: z } = s;
  const axes = houseAxes(L, D, z);
  const mesh = findMesh('hardware-cloth');
  const clad = cladding(p.siding);
  const doubled = s.doublePlate || needsDoublePlate(roof, clad.thickness);
  const plates = doubled ? 2 : 1;
  const wall = s.stud?.depth ?? WALL;
  const placed = placeOpenings(
    sketch,
    p,
    roof,
    wallCeilings(p, roof, plates),
    s.fittings,
    plates,
    wall,
    s.inner,
    s.popUnder,
    s.raise,
  );
  const centres = frameHouseWalls(sketch, p, {
    axes,
    roof,
    skirt: s.skirt,
    placed,
    joins: s.joins,
    ...(s.sole ? { sole: s.sole } : {}),
    ...(doubled ? { doublePlate: true } : {}),
    ...(s.stud ? { stud: s.stud } : {}),
    ...(s.bolted ? { bolted: true } : {}),
    ...(s.bare ? { bare: s.bare } : {}),
    ...(s.blockRows ? { blockRows: s.blockRows } : {}),
  });
  const fitted = fitHouse(sketch, p, {
    axes,
    roof,
    placed,
    fittings: s.fittings,
    wall,
    ...(s.popUnder ? { popUnder: s.popUnder } : {}),
  });

  let ramp: RampFit | undefined;
  const pop = fitted.pops[0];
  if (pop && z + pop.opening.bottom > RAMP_FROM) {
    const { wall, opening: o } = pop;
    const at = axes[wall];
    ramp = fitRamp(
      sketch,
      { ...at, origin: [at.origin[0], at.origin[1], 0] },
      o.left + o.width / 2,
      z + o.bottom,
      0,
      clad.thickness,
      s.rampRoom?.(wall) ?? 120,
      `${wall}-wall`,
    );
    if (!ramp)
      sketch.note({
        code: 'ramp-has-no-room',
        severity: 'stop',
        what: `No ramp under 45° fits in ${s.rampRoom?.(wall) ?? 120}″.`,
        why: `It climbs ${z + o.bottom}″; it was left out.`,
        fix: {
          label: `Make the run ${Math.ceil(z + o.bottom + 16)}″`,
          patch: { runLength: Math.ceil(z + o.bottom + 16) },
        },
      });
  }

  const lining = s.lining ?? 0;
  const liningTop = s.liningTop ?? Infinity;
  const [room0, room1] = [wall, s.inner?.birdEnd ?? L - wall];
  const inside = room1 - room0 - 2 * lining;
  const firstT = D - wall - ROOST_CLEAR - BAR - (p.roostBars - 1) * (ROOST_CLEAR + BAR);
  const floorAxes: Axes = { ...UNIT_AXES, origin: [0, 0, z] };
  if (p.roostBars > 0)
    fitRoosts(sketch, floorAxes, {
      from: room0,
      to: room1,
      inset: (at) => (at < liningTop ? lining : 0),
      firstT,
      spacing: ROOST_CLEAR + BAR,
      bars: p.roostBars,
      height: p.roostHeight,
      joins: 'right-wall',
      kind: p.roostKind,
      step: p.roostStep,
      droppingsBoard: p.droppingsBoard,
      least: wall + lining,
      most: D - wall - lining,
      // The left wall is pulled from the back.
      studs: [centres.left.map((a) => D - a), s.inner ? [] : centres.right],
    });

  if (p.ladder && p.roostBars > 0 && p.roostKind !== 'shelf') {
    const lowest = p.roostHeight - (p.roostBars - 1) * p.roostStep;
    const at = (room0 + room1) / 2;
    if (!fitLadder(sketch, floorAxes, { at, to: firstT, top: lowest, least: wall + lining + 8 }))
      sketch.note({
        code: 'ladder-has-no-room',
        where: ['roosts/bar-1'],
        severity: 'warn',
        what: 'A ladder to the roost finds no room in front of it.',
        why: 'It stands at 60° and wants room for its foot, or the bar is low enough to jump to; it was left out.',
        fix: { label: 'No ladder', patch: { ladder: false } },
      });
  }
  const rafterItem = s.rafterItem ?? '2x4';
  const { vent, places } = frameHouseRoof(sketch, {
    roof,
    length: L,
    corner: [0, 0, z],
    spacing: p.rafterSpacing,
    rafterItem,
    front: p.overhangFront,
    back: p.overhangBack,
    side: p.overhangSide,
    eaves: p.eaves,
    cover: p.roofCover,
    // Shingles want a deck whatever else the roof is.
    deck: (s.deck ?? true) || p.roofCover === 'shingle',
    purlins: s.purlins ?? 32,
    mesh: mesh.key,
    felt: p.underlay,
    gutters: p.gutters,
    cupola: p.cupola,
    clad: clad.thickness,
  });

  const lower = Math.min(roof.front, roof.back);
  const room: RoomPlan = {
    axes,
    x: [room0 + lining, room1 - lining],
    y: [wall + lining, D - wall - lining],
    face: wall + lining,
    deep: wall,
    placed,
    centres,
    ...(p.roostBars > 0 ? { roost: [Math.max(wall, firstT - 2), D - wall] as const } : {}),
    under: { front: roof.front, back: roof.back, left: lower, right: lower },
    walls: s.inner ? ['front', 'back', 'left'] : ['front', 'right', 'back', 'left'],
  };
  const insideNests = hangNests(sketch, p, room);
  backRoosts(sketch, {
    axes,
    centres,
    length: L,
    depth: D,
    floor: z,
    wall,
    lining,
    liningTop,
    sides: s.inner ? ['left'] : ['left', 'right'],
  });
  const nipples = hangWaterBar(sketch, p, room);
  // Mains of 60 to 70 psi is brought down to about 10 behind a filter.
  sketch.join({ kind: 'hung', parts: ['water/bar-1'], hardware: { nipple: nipples, regulator: nipples > 0 ? 1 : 0 } });
  // Feeders hang from rafters, one from each, from the middle of the roof outward.
  const rafters = sketch.parts.filter((part) => part.role === 'rafter' && /^roof(-front)?\//.test(part.id));
  for (let i = 0; i < p.hangers; i++) {
    const middle = Math.floor(rafters.length / 2);
    const rafter = rafters[(middle + i) % Math.max(1, rafters.length)];
    if (rafter) sketch.join({ kind: 'hung', parts: [rafter.id], hardware: { chain: 1 } });
  }

  const { beam } = roof.slope;
  // Rafters that hang on a beam push nothing apart.
  if (beam) strapRafters(sketch, ['roof-front', 'roof-back'], places.length);
  const thrust =
    roof.kind === 'gable' && !beam
      ? [
          frameRafterTies(sketch, {
            name: 'roof',
            halves: ['roof-front', 'roof-back'],
            axes: axes.front,
            slope: roof.slope,
            from: 0,
            to: L,
            places,
            item: rafterItem,
            plate: { item: s.stud?.item ?? '2x4', count: plates },
            cover: 'closed',
            ...(s.inner ? { walls: [[s.inner.birdEnd - WALL, s.inner.storeStart + WALL]] } : {}),
          }),
        ]
      : [];

  const way = fitted.ways[0];
  const doorOpening = (['front', 'back', 'left', 'right'] as const).flatMap((side) =>
    placed[side].filter((o) => o.kind === 'people door').map((o) => ({ side, o })),
  )[0];
  const nest = fitted.nests[0];
  const nestCount = fitted.nests.reduce((n, row) => n + row.count, 0) + insideNests;
  const bars = p.roostKind === 'shelf' ? Math.max(1, p.roostBars) : p.roostBars;
  return {
    axes,
    placed,
    fitted,
    centres,
    ...(ramp ? { ramp } : {}),
    capacity: {
      houseArea: ((room1 - room0) * (D - 2 * wall)) / 144,
      roostLength: (p.roostBars > 0 ? bars : 0) * inside,
      nests: nestCount,
    },
    facts: {
      enclosedHeight: z + roofTop(roof),
      floorHeight: z,
      roof: { pitch: roof.slope.fall * 12, cover: p.roofCover, roofedShare: 1 },
      ...(thrust.length > 0 ? { thrust } : {}),
      eaves: { front: p.overhangFront, back: p.overhangBack },
      roosts:
        p.roostBars > 0
          ? [{ height: p.roostHeight, length: inside, bars: p.roostBars, spacing: ROOST_CLEAR, toWall: ROOST_CLEAR }]
          : [],
      ...(insideNests > 0 && !nest
        ? {
            nests: {
              count: insideNests,
              bottom: p.nestBottom,
              top: p.nestBottom + 12,
              width: p.nestWidth,
              depth: p.nestDepth,
              wall: 'inside' as const,
            },
          }
        : {}),
      ...(nest
        ? {
            nests: {
              count: nestCount,
              bottom: nest.bottom,
              top: nest.bottom + nest.height,
              width: nest.width,
              depth: nest.depth,
              wall: nest.wall,
            },
          }
        : {}),
      ...(ramp ? { ramp } : {}),
      ventArea: vent / 144 + fitted.windowArea,
      ...(way
        ? {
            door: {
              clearWidth: way.clearWidth,
              clearHeight: way.clearHeight,
              threshold: way.bottom,
              insideRelease: p.insideRelease,
              opens: p.doorOpens,
            },
          }
        : {}),
      spans: spansOf(roof, {
        length: L,
        depth: D,
        wall,
        rafterItem,
        spacing: p.rafterSpacing,
        ...(doorOpening ? { door: doorOpening } : {}),
      }),
      sheetCourses:
        clad.kind === 'sheets'
          ? [
              { direction: 'front and back wall', param: 'length', size: L, item: clad.item },
              {
                direction: roof.kind === 'lean' ? 'rake walls' : 'gable walls',
                param: 'depth',
                size: D,
                item: clad.item,
              },
            ]
          : [],
      fit: { studSpacing: p.studSpacing, rafterSpacing: p.rafterSpacing },
    },
  };
};
