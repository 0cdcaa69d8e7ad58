import type { Build, Fitting } from '../../../unit/index.ts';
import { floorLumber, frameRaisedFloor, Sketch, wrapLegs, fixMesh } from '../../../frame/index.ts';
import { carryRidge, frameHouse, gableRoof, resolveRoosts, USUAL_HOUSE } from '../../house/index.ts';
import { WALL_MOST } from './params.ts';
import type { RaisedGableParams } from './params.ts';

/** Frames the raised gable house: floor on braced legs, four walls, fittings, gable roof, mesh around the legs. */
export const frameRaisedGable = (given: RaisedGableParams, fittings: readonly Fitting[]): Build => {
  const sketch = new Sketch();
  const p = resolveRoosts(sketch, { ...USUAL_HOUSE, ...given }, given.wallHeight);
  const { length: L, depth: D } = p;
  const lumber = floorLumber(D);
  const floor = frameRaisedFloor(sketch, {
    length: L,
    depth: D,
    foundation: { kind: 'legs', height: p.legHeight, braced: p.legBraces, posts: p.wrap },
    ...lumber,
    spacing: 16,
  });
  if (p.wrap) wrapLegs(sketch, L, D, p.legHeight, 'hardware-cloth');
  const house = frameHouse(sketch, p, {
    roof: carryRidge(sketch, p, gableRoof(D, p.wallHeight, p.pitch)),
    floor: floor.top,
    skirt: floor.rim,
    fittings,
    raise: [{ param: 'wallHeight', now: p.wallHeight, most: WALL_MOST }],
    joins: 'base',
  });
  fixMesh(sketch, { sides: p.meshSides, overhead: 'washers', only: /^under-/ });
  return sketch.finish({
    family: 'raised-gable',
    capacity: house.capacity,
    facts: {
      ...house.facts,
      movable: false,
      base: [0, 0, L, D],
      spans: [
        { what: 'floor joist', item: lumber.joistItem, span: floor.joistSpan, spacing: 16, part: 'base/joist-1' },
        ...house.facts.spans,
      ],
      ...(p.wrap ? { meshItem: 'hardware-cloth' } : {}),
      meshHeights: p.wrap ? [{ height: p.legHeight, assembly: 'under-front' }] : [],
      underfloor: { open: !p.wrap, clear: p.legHeight },
    },
  });
};
