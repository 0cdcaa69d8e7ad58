import type { Build, Fitting, RoofThrust } from '../../../unit/index.ts';
import {
  boltDown,
  cladding,
  floorLumber,
  frameRaisedFloor,
  frameSill,
  isSole,
  ridgeOf,
  Sketch,
  fixMesh,
} from '../../../frame/index.ts';
import { carryRidge, frameHouse, gableRoof, resolveRoosts, sidingSkirt, USUAL_HOUSE } from '../../house/index.ts';
import { baySlope, frameBay } from './bay.ts';
import { WALL_MOST } from './params.ts';
import type { HouseWithRunParams } from './params.ts';

/** Clear height of a house's side overhang over the run's roof. */
const UNDER_OVERHANG = 1;
const METAL = 0.75;

/** Number of the bay of the run that a panel belongs to. */
const bayOf = (assembly: string): string | undefined => /^bay-(\d+)-/.exec(assembly)?.[1];

/** Frames a house with a long run of equal bays at its left, each set as much lower as the ground falls over one. */
export const frameHouseWithRun = (given: HouseWithRunParams, fittings: readonly Fitting[]): Build => {
  const sketch = new Sketch();
  const p: HouseWithRunParams = resolveRoosts(sketch, { ...USUAL_HOUSE, ...given }, given.wallHeight);
  const { length: L, depth: D } = p;
  const lumber = floorLumber(D);
  const sill = p.foundation === 'perimeter';
  // Neither has a floor framed under it.
  const slab = p.foundation === 'slab' || sill;
  const floor = slab
    ? undefined
    : frameRaisedFloor(sketch, {
        length: L,
        depth: D,
        foundation: p.foundation === 'blocks' ? { kind: 'blocks', courses: 1 } : { kind: 'skids' },
        ...lumber,
        spacing: 16,
      });
  const z = floor?.top ?? (sill ? frameSill(sketch, L, D) : 0);
  const roof = carryRidge(sketch, p, gableRoof(D, p.wallHeight, p.pitch), true);

  // The run's roof must pass under the house's rafters where they stand out over it.
  let { runEave } = p;
  const runTop = (eave: number): number => {
    const s = baySlope({ depth: D, eave, pitch: p.runPitch });
    // The house's ridge hangs lower than its rafters and runs out to the barge rafters.
    return Math.max(
      ...[0, D / 2].map(
        (t) =>
          s.under(Math.max(t, D - t)) +
          s.plumb +
          METAL * 1.2 -
          (z + (t === 0 ? roof.under(t) : Math.min(roof.under(t), ridgeOf(roof.slope).bottom))),
      ),
    );
  };
  const excess = runTop(runEave) + UNDER_OVERHANG;
  if (excess > 0) {
    const most = Math.floor((runEave - excess) * 2) / 2;
    sketch.note({
      code: 'run-meets-roof',
      where: ['bay-1-roof-front/rafter-1'],
      severity: 'stop',
      what: `A run with an eave of ${runEave}″ meets the house's roof.`,
      why: 'Its roof must pass under the side overhang of the house; it was drawn lower.',
      ...(most >= 60
        ? { fix: { label: `Make the run eave ${most}″`, patch: { runEave: most } } }
        : { fix: { label: 'Make the run roof 3 in 12', patch: { runPitch: 3 } } }),
    });
    runEave = most;
  }

  const out = cladding(p.siding).thickness;
  const bay = p.runLength / p.runBays;
  const house = frameHouse(sketch, p, {
    roof,
    floor: z,
    skirt: sidingSkirt(floor?.rim ?? z, z, slab ? 'concrete' : 'soil'),
    fittings,
    raise: [{ param: 'wallHeight', now: p.wallHeight, most: WALL_MOST }],
    ...(slab ? { sole: sill ? '2x4' : '2x4-pt' } : {}),
    joins: slab && !sill ? 'front-wall' : 'base',
    doublePlate: true,
    popUnder: (side, a) => (side === 'left' ? runUnder(D, runEave, p.runPitch, a) - z : Infinity),
    rampRoom: (side) => (side === 'left' ? bay - 12 : 120),
    bare: [
      { side: 'front', end: 'start' },
      { side: 'back', end: 'end' },
      { side: 'left', end: 'both' },
    ],
  });

  const drop = p.fall / p.runBays;
  const thrust: RoofThrust[] = [...(house.facts.thrust ?? [])];
  sketch.apart = true;
  for (let i = 0; i < p.runBays; i++) {
    const last = i === p.runBays - 1;
    const to = -out - i * bay;
    thrust.push(
      frameBay(sketch, {
        index: i,
        from: to - bay,
        to,
        depth: D,
        foot: -i * drop,
        eave: runEave,
        pitch: p.runPitch,
        studs: p.runStuds,
        roof: p.runRoof,
        purlins: p.runPurlins,
        mesh: p.runMesh,
        ...(last ? { gate: p.runGate } : {}),
        fill: drop,
        step: last ? 0 : drop,
        dig: p.runDig,
      }),
    );
  }
  sketch.apart = false;
  if (p.foundation === 'slab') boltDown(sketch, isSole, 48);
  fixMesh(sketch, {
    sides: p.meshSides,
    overhead: p.meshOverhead,
    only: /^(bay-\d+-(front|back|roof-\w+)|run-end|step-\d+)\//,
  });
  return sketch.finish(
    {
      family: 'house-with-run',
      capacity: { ...house.capacity, runArea: (p.runLength * (D - 7)) / 144 },
      facts: {
        ...house.facts,
        thrust,
        movable: false,
        base: [-out - p.runLength, 0, L, D],
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
        meshItem: p.runMesh,
        meshHeights: [{ height: Math.min(runEave, 96), assembly: 'bay-1-front' }],
        bays: { count: p.runBays, length: bay, drop, fill: drop },
      },
    },
    {
      bolted: (a, b) => {
        const [m, n] = [bayOf(a), bayOf(b)];
        return m !== undefined && n !== undefined && m !== n;
      },
    },
  );
};

/** Underside of the run's rafters over a place along the house's left wall. */
const runUnder = (depth: number, eave: number, pitch: number, a: number): number =>
  baySlope({ depth, eave, pitch }).under(Math.max(a, depth - a));
