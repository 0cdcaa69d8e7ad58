import { mirrorBuild } from '../../../unit/index.ts';
import type { Build, Fitting } from '../../../unit/index.ts';
import { cladding, floorLumber, frameRaisedFloor, Sketch, fixMesh } from '../../../frame/index.ts';
import { frameHouse, leanRoof, resolveLowWall, resolveRoosts, USUAL_HOUSE } from '../../house/index.ts';
import { HIGH_MOST, LOW_MOST } from './params.ts';
import type { LeanToParams } from './params.ts';
import { frameRun, runSlope } from './run.ts';

/** Frames the raised lean-to house with its fittings and its run. */
export const frameLeanTo = (given: LeanToParams, fittings: readonly Fitting[]): Build => {
  const sketch = new Sketch();
  const full = { ...USUAL_HOUSE, ...given };
  const lowWall = resolveLowWall(sketch, full);
  let p: LeanToParams = resolveRoosts(sketch, { ...full, lowWall }, lowWall);
  const second = p.run && p.secondRun;
  if (second && p.nestWall === 'right') {
    sketch.note({
      code: 'nests-in-second-run',
      where: ['nests/lid'],
      severity: 'stop',
      what: 'The nests at the right would stand in the second run.',
      why: 'Eggs are gathered from outside; they were put in the back wall.',
      fix: { label: 'Put the nests at the back', patch: { nestWall: 'back' } },
    });
    p = { ...p, nestWall: 'back' };
  }
  const { length: L, depth: D } = p;
  const { rimItem, joistItem } = floorLumber(D);
  const floor = frameRaisedFloor(sketch, {
    length: L,
    depth: D,
    foundation: { kind: 'legs', height: p.legHeight, braced: p.legBraces },
    rimItem,
    joistItem,
    spacing: 16,
  });
  const z = floor.top;
  const out = cladding(p.siding).thickness;
  const roof = leanRoof(D, p.highWall, p.lowWall);
  const setting = { slope: roof.slope, floorTop: z, out };
  const runUnder = p.run ? runSlope(p, setting) : undefined;
  const house = frameHouse(sketch, p, {
    roof,
    floor: z,
    skirt: floor.rim,
    fittings,
    raise: [
      { param: 'highWall', now: p.highWall, most: HIGH_MOST, sides: ['front'] },
      { param: 'lowWall', now: p.lowWall, most: Math.min(LOW_MOST, p.highWall), sides: ['back'] },
    ],
    joins: 'base',
    rampRoom: (side) => (side === 'left' && p.run ? p.runLength - 12 : 120),
    popUnder: (side, a) =>
      !runUnder || (side !== 'left' && !(second && side === 'right'))
        ? Infinity
        : runUnder.under(side === 'left' ? D - a : a) - z,
    // Where a run stands against the house its end studs cover the corner.
    ...(p.run
      ? {
          bare: [
            { side: 'front', end: 'start' },
            { side: 'back', end: 'end' },
            { side: 'left', end: 'both' },
            ...(second
              ? ([
                  { side: 'front', end: 'end' },
                  { side: 'back', end: 'start' },
                  { side: 'right', end: 'both' },
                ] as const)
              : []),
          ] as const,
        }
      : {}),
  });
  sketch.apart = true;
  const run = p.run ? frameRun(sketch, p, setting) : undefined;
  sketch.apart = false;
  if (second) {
    const other = new Sketch();
    other.apart = true;
    frameRun(other, p, setting);
    // Drawn as the first one and turned over the middle of the house.
    const drawn = other.finish({
      family: 'raised-lean-to',
      capacity: {},
      facts: { ...house.facts, movable: false, base: [0, 0, L, D], meshHeights: [] },
    });
    sketch.include(mirrorBuild(drawn), 'second-', 'second', { 'left-wall': 'right-wall' });
  }
  fixMesh(sketch, { sides: p.meshSides, overhead: p.meshOverhead, only: /^(second-)?run-(?!skirt)/ });
  return sketch.finish({
    family: 'raised-lean-to',
    capacity: { ...house.capacity, ...(run ? { runArea: run.area * (second ? 2 : 1) } : {}) },
    facts: {
      ...house.facts,
      movable: false,
      base: p.run ? [-out - p.runLength, 0, second ? L + out + p.runLength : L, D] : [0, 0, L, D],
      spans: [
        { what: 'floor joist', item: joistItem, span: floor.joistSpan, spacing: 16, part: 'base/joist-1' },
        ...house.facts.spans,
      ],
      ...(p.run ? { meshItem: p.runMesh } : {}),
      meshHeights: runUnder ? [{ height: runUnder.high, assembly: 'run-front' }] : [],
      underfloor: { open: !p.run, clear: p.legHeight },
    },
  });
};
