import type { Build, BuildFacts, Fitting } from '../../../unit/index.ts';
import {
  backFixtures,
  boltDown,
  cladding,
  floorLumber,
  frameRaisedFloor,
  frameSill,
  isSole,
  Sketch,
  WALL,
} from '../../../frame/index.ts';
import type { Foundation } from '../../../frame/index.ts';
import {
  carryRidge,
  frameHouse,
  frameInnerWall,
  frameLiner,
  gableRoof,
  houseAxes,
  leanRoof,
  resolveRoosts,
  sidingSkirt,
  needsDoublePlate,
  USUAL_HOUSE,
} from '../../house/index.ts';
import type { InnerLine } from '../../house/index.ts';
import { WALL_MOST } from './params.ts';
import type { WalkInParams } from './params.ts';

const LINER = 0.25;
/** Heights of the blocks that an inner wall's end studs are nailed to. Common practice, no source. */
const INNER_NAILERS = [16, 40, 62];
/** Highest front wall of a lean-to. */
const HIGHEST_FRONT = 124;
/** Cubic yards of a gravel pad: a foot beyond the unit on each side, 5 in deep. Common practice, no source. */
const gravelYards = (length: number, depth: number): number => Math.ceil(((length + 24) * (depth + 24) * 5) / 36 ** 3);

/** Least length that is left for the birds. */
const LEAST_BIRDS = 40;

/** Rafter for a clear span at 16 in and a 30 psf roof, by the usual tables; the span check has the last word. */
const rafterFor = (span: number): string => (span > 130 ? '2x8' : span > 84 ? '2x6' : '2x4');

/** Frames the walk-in coop on skids, blocks or a slab, parted into bird room and store where wished. */
export const frameWalkIn = (given: WalkInParams, fittings: readonly Fitting[]): Build => {
  const sketch = new Sketch();
  let p: WalkInParams = resolveRoosts(sketch, { ...USUAL_HOUSE, ...given }, given.wallHeight);
  const { length: L, depth: D } = p;
  if (p.innerWall && L - p.storeLength < LEAST_BIRDS + WALL) {
    const most = Math.floor(L - LEAST_BIRDS - WALL);
    sketch.note({
      code: 'store-too-long',
      where: ['inner-wall/top-plate'],
      severity: 'stop',
      what: `A store of ${p.storeLength}″ leaves the birds less than ${LEAST_BIRDS}″.`,
      why: 'The birds need the larger room.',
      fix:
        most >= 36
          ? { label: `Make the store ${most}″`, patch: { storeLength: most } }
          : { label: 'No inner wall', patch: { innerWall: false } },
    });
    p = most >= 36 ? { ...p, storeLength: most } : { ...p, innerWall: false };
  }
  if (p.roofKind === 'lean') {
    const most = Math.max(1, Math.floor(((HIGHEST_FRONT - p.wallHeight) / (D - WALL)) * 12));
    if (p.pitch > most) {
      const offered = [2, 3, 4, 5, 6, 8].filter((n) => n <= most).pop();
      sketch.note({
        code: 'front-too-high',
        where: ['front-wall/top-plate'],
        severity: 'stop',
        what: `A lean-to at ${p.pitch} in 12 brings the front wall over ${HIGHEST_FRONT}″.`,
        why: 'Neither boards nor sheets reach that high without a second joint; it was drawn flatter.',
        fix: offered
          ? { label: `Make it ${offered} in 12`, patch: { pitch: offered } }
          : { label: 'Make it a gable', patch: { roofKind: 'gable' } },
      });
      p = { ...p, pitch: most };
    }
  }
  const lumber = floorLumber(D);
  const sill = p.foundation === 'perimeter';
  // Neither has a floor framed under it.
  const slab = p.foundation === 'slab' || sill;
  const foundation: Foundation =
    p.foundation === 'blocks' ? { kind: 'blocks', courses: p.blockCourses } : { kind: 'skids' };
  const floor = slab
    ? undefined
    : frameRaisedFloor(sketch, { length: L, depth: D, foundation, ...lumber, spacing: 16 });
  const z = floor?.top ?? (sill ? frameSill(sketch, L, D) : 0);
  const lean = p.roofKind === 'lean';
  const rafterItem = rafterFor(lean ? D - 2 * WALL : D / 2 - WALL);
  const level = lean
    ? leanRoof(D, p.wallHeight + (p.pitch / 12) * (D - WALL), p.wallHeight, rafterItem)
    : gableRoof(D, p.wallHeight, p.pitch, rafterItem);
  const doublePlate = needsDoublePlate(level, cladding(p.siding).thickness) || (!lean && D > 72);
  const roof = carryRidge(sketch, p, level, doublePlate);
  const inner: InnerLine | undefined = p.innerWall
    ? { birdEnd: L - p.storeLength - WALL, storeStart: L - p.storeLength }
    : undefined;
  const house = frameHouse(sketch, p, {
    roof,
    floor: z,
    skirt: sidingSkirt(floor?.rim ?? z, z, slab ? 'concrete' : 'soil'),
    fittings,
    raise: [{ param: 'wallHeight', now: p.wallHeight, most: WALL_MOST }],
    rafterItem,
    ...(slab ? { sole: sill ? '2x4' : '2x4-pt' } : {}),
    doublePlate,
    joins: slab && !sill ? 'front-wall' : 'base',
    ...(p.liner ? { lining: LINER, liningTop: p.linerHeight } : {}),
    ...(inner ? { inner } : {}),
  });
  if (p.foundation === 'gravel')
    sketch.join({ kind: 'rests', parts: ['base/skid-1-1', 'base/skid-1-1-1'], hardware: { stone: gravelYards(L, D) } });
  // The inner wall's end studs are nailed to blocks where they meet no stud.
  if (inner)
    for (const side of ['front', 'back'] as const) {
      const [from, to] =
        side === 'front' ? [inner.birdEnd, inner.storeStart] : [L - inner.storeStart, L - inner.birdEnd];
      backFixtures(
        sketch,
        { id: `${side}-wall`, name: `${side} wall`, axes: houseAxes(L, D, z)[side], deep: WALL },
        house.centres[side],
        INNER_NAILERS.map((at) => ({ from, to, low: at - 1, high: at + 1 })),
      );
    }
  const room = inner
    ? frameInnerWall(sketch, {
        roof,
        store: inner.storeStart,
        length: L,
        floor: z,
        spacing: p.studSpacing,
        nests: p.storeNests,
        nestWidth: p.nestWidth,
        nestDepth: p.nestDepth,
        nestBottom: Math.max(8, p.nestBottom),
        feedTubes: p.feedTubes,
        door: {
          width: p.innerDoorWidth,
          height: p.innerDoorHeight,
          threshold: p.innerThreshold,
          glass: p.innerGlass,
        },
        doublePlate,
        sole: slab && !sill ? '2x4-pt' : '2x4',
      })
    : undefined;
  if (p.liner)
    frameLiner(sketch, {
      length: L,
      depth: D,
      floor: z,
      height: p.linerHeight,
      to: inner?.birdEnd ?? L - WALL,
      placed: house.placed,
      centres: house.centres,
      ...(room ? { inner: { openings: room.openings, centres: room.centres } } : {}),
    });
  const nests = room && room.nests > 0 ? room.nests : 0;
  const facts: BuildFacts = {
    ...house.facts,
    movable: false,
    base: [0, 0, L, D],
    ...(nests > 0
      ? {
          nests: {
            count: nests + (house.facts.nests?.count ?? 0),
            bottom: room?.nestBottom ?? 0,
            top: (room?.nestBottom ?? 0) + 12,
            width: p.nestWidth,
            depth: p.nestDepth,
            wall: 'store',
          },
        }
      : {}),
    spans: [
      ...(floor
        ? [
            {
              what: 'floor joist' as const,
              item: lumber.joistItem,
              span: floor.joistSpan,
              spacing: 16,
              part: 'base/joist-1',
            },
          ]
        : []),
      ...house.facts.spans,
    ],
    meshHeights: [],
    ...(p.foundation === 'blocks' ? { underfloor: { open: true, clear: z - (floor?.rim ?? 0) } } : {}),
  };
  if (p.foundation === 'slab') boltDown(sketch, isSole, 48);
  return sketch.finish({
    family: 'walk-in',
    capacity: { ...house.capacity, nests: (house.capacity.nests ?? 0) + nests },
    facts,
  });
};
