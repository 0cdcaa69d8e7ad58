import type { Build, Fitting } from '../../../unit/index.ts';
import { floorLumber, frameRaisedFloor, Sketch } from '../../../frame/index.ts';
import { frameHouse, gableRoof, resolveRoosts, USUAL_HOUSE } from '../../house/index.ts';
import { WALL_MOST } from './params.ts';
import type { SkidHouseParams } from './params.ts';

/** Light studs: it is carried. */
const STUD = { item: '2x2', depth: 1.5 } as const;
/** Longest runner that one stick gives. */
const LONGEST_RUNNER = 144;

/** Frames the skid house: a gable house on legs over two or more long rockered runners. */
export const frameSkidHouse = (given: SkidHouseParams, fittings: readonly Fitting[]): Build => {
  const sketch = new Sketch();
  const p = resolveRoosts(sketch, { ...USUAL_HOUSE, ...given }, given.wallHeight, STUD.depth);
  const { length: L, depth: D } = p;
  const beyond = Math.min(p.beyond, (LONGEST_RUNNER - D) / 2);
  const lumber = floorLumber(D);
  const floor = frameRaisedFloor(sketch, {
    length: L,
    depth: D,
    foundation: { kind: 'runners', height: p.legHeight, beyond, braced: p.legHeight >= 18 },
    ...lumber,
    spacing: 16,
  });
  const house = frameHouse(sketch, p, {
    roof: gableRoof(D, p.wallHeight, p.pitch, '2x3', STUD.depth),
    rafterItem: '2x3',
    stud: STUD,
    deck: false,
    purlins: p.purlinSpacing,
    floor: floor.top,
    skirt: floor.rim,
    fittings,
    raise: [{ param: 'wallHeight', now: p.wallHeight, most: WALL_MOST }],
    joins: 'base',
  });
  return sketch.finish({
    family: 'skid-house',
    capacity: house.capacity,
    facts: {
      ...house.facts,
      movable: true,
      base: [0, -beyond, L, D + beyond],
      spans: [
        { what: 'floor joist', item: lumber.joistItem, span: floor.joistSpan, spacing: 16, part: 'base/joist-1' },
        ...house.facts.spans,
      ],
      meshHeights: [],
      underfloor: { open: true, clear: p.legHeight },
    },
  });
};
