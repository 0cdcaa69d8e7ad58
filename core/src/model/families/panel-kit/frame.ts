import type { Build, Fitting } from '../../../unit/index.ts';
import { frameRaisedFloor, Sketch } from '../../../frame/index.ts';
import { frameHouse, leanRoof, resolveLowWall, resolveRoosts, sidingSkirt, USUAL_HOUSE } from '../../house/index.ts';
import { HIGH_MOST, LOW_MOST } from './params.ts';
import type { PanelKitParams } from './params.ts';

/** Frames the panel kit: floor, four walls and a roof, each one panel that two people carry, bolted together. */
export const framePanelKit = (given: PanelKitParams, fittings: readonly Fitting[]): Build => {
  const sketch = new Sketch();
  const full = { ...USUAL_HOUSE, ...given };
  const lowWall = resolveLowWall(sketch, full);
  const p: PanelKitParams = resolveRoosts(sketch, { ...full, lowWall }, lowWall);
  const { length: L, depth: D } = p;
  const floor = frameRaisedFloor(sketch, {
    length: L,
    depth: D,
    foundation: { kind: 'ground' },
    rimItem: '2x6-pt',
    joistItem: '2x4',
    spacing: 16,
  });
  const house = frameHouse(sketch, p, {
    roof: leanRoof(D, p.highWall, p.lowWall),
    floor: floor.top,
    // The wall panels end at the floor so that each lifts off by itself.
    skirt: sidingSkirt(0, floor.top, 'soil'),
    fittings,
    raise: [
      { param: 'highWall', now: p.highWall, most: HIGH_MOST, sides: ['front'] },
      { param: 'lowWall', now: p.lowWall, most: Math.min(LOW_MOST, p.highWall), sides: ['back'] },
    ],
    bolted: true,
    joins: 'base',
  });
  return sketch.finish(
    {
      family: 'panel-kit',
      capacity: house.capacity,
      facts: {
        ...house.facts,
        movable: false,
        knockDown: true,
        base: [0, 0, L, D],
        spans: [
          { what: 'floor joist', item: '2x4', span: floor.joistSpan, spacing: 16, part: 'base/joist-1' },
          ...house.facts.spans,
        ],
        meshHeights: [],
      },
    },
    // Every panel comes off again.
    { bolted: (a, b) => a !== b },
  );
};
