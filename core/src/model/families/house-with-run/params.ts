import type { MeshFixing } from '../../../unit/index.ts';
import type { Guard } from '../../../frame/index.ts';
import { choiceParam, houseParams, sizeParam } from '../../house/index.ts';
import type { HouseParams } from '../../house/index.ts';
import type { ParamDef } from '../../params.ts';
import { digParam, meshFixParams, meshParam, purlinParam } from '../../penParams.ts';

/** Parameters of the house with a long run, lengths in inches. */
export interface HouseWithRunParams extends HouseParams {
  readonly wallHeight: number;
  readonly pitch: number;
  readonly foundation: 'skids' | 'blocks' | 'slab' | 'perimeter';
  readonly runLength: number;
  readonly runBays: number;
  readonly runEave: number;
  readonly runPitch: number;
  readonly fall: number;
  readonly runStuds: number;
  readonly runRoof: 'mesh' | 'metal';
  readonly runPurlins: number;
  readonly runMesh: 'hardware-cloth' | 'welded-wire';
  readonly runDig: Guard;
  readonly meshSides: MeshFixing;
  readonly meshOverhead: MeshFixing;
  readonly runGate: number;
}

/** Highest wall, floor to top of plate. */
export const WALL_MOST = 108;

export const houseWithRunParams: readonly ParamDef[] = [
  sizeParam('length', 'House, length', [72, 144], 96, 'Outside of the frame, along the run.'),
  sizeParam('depth', 'House and run, depth', [60, 120], 96, 'Outside of the frame; the run is as deep.'),
  sizeParam('wallHeight', 'House wall', [78, WALL_MOST], 96, 'Floor to top of plate.'),
  choiceParam(
    'pitch',
    'House roof pitch',
    'Size',
    [3, 4, 5, 6].map((n) => [n, `${n} in 12`] as const),
    5,
  ),
  choiceParam(
    'foundation',
    'House stands on',
    'Size',
    [
      ['slab', 'A slab'],
      ['perimeter', 'A perimeter with sill'],
      ['blocks', 'Blocks'],
      ['skids', 'Skids'],
    ],
    'slab',
  ),
  { key: 'runLength', label: 'Run, length', group: 'Run', kind: 'length', min: 96, max: 480, step: 1, default: 384 },
  {
    key: 'runBays',
    label: 'Bays',
    group: 'Run',
    kind: 'count',
    min: 1,
    max: 6,
    default: 3,
    help: 'Equal bays; each may stand lower than the one before.',
  },
  {
    key: 'fall',
    label: 'Ground falls',
    group: 'Run',
    kind: 'length',
    min: 0,
    max: 60,
    step: 0.5,
    default: 0,
    help: 'Over the whole run, away from the house.',
  },
  { key: 'runEave', label: 'Run eave', group: 'Run', kind: 'length', min: 60, max: 84, step: 0.5, default: 72 },
  choiceParam(
    'runPitch',
    'Run roof pitch',
    'Run',
    [3, 4, 5, 6].map((n) => [n, `${n} in 12`] as const),
    6,
  ),
  { key: 'runStuds', label: 'Run studs at most', group: 'Run', kind: 'length', min: 16, max: 36, step: 1, default: 24 },
  choiceParam(
    'runRoof',
    'Run roof',
    'Run',
    [
      ['mesh', 'Mesh'],
      ['metal', 'Metal'],
    ],
    'mesh',
  ),
  purlinParam('runPurlins', 'Run', { key: 'runRoof', is: ['metal'] }),
  meshParam('runMesh', 'Run mesh', 'Run', 'welded-wire', false),
  ...meshFixParams('Run', ['sides', 'overhead']),
  digParam('runDig', 'Run'),
  {
    key: 'runGate',
    label: 'Run gate',
    group: 'Run',
    kind: 'length',
    min: 28,
    max: 48,
    step: 0.5,
    default: 36,
    help: 'Wide enough for a barrow of chips.',
  },
  ...houseParams({
    ridge: 'always',
    bought: true,
    defaults: {
      doorWall: 'front',
      doorWidth: 34,
      doorHeight: 78,
      threshold: 1.5,
      windowStyle: 'top-hung',
      windowWidth: 30,
      windowHeight: 24,
      popWall: 'left',
      nestWall: 'right',
      nestCount: 4,
      nestBottom: 16,
      roostBars: 3,
      roostHeight: 40,
      overhangFront: 12,
      overhangBack: 12,
      overhangSide: 6,
    },
    ranges: {
      doorWidth: [28, 60],
      doorHeight: [60, 80],
      roostHeight: [18, 60],
      overhangFront: [4, 18],
      overhangBack: [4, 18],
      overhangSide: [3, 10],
    },
    choices: { siding: ['siding-5/8', 'ply-1/2', 'rough-boards'] },
    walls: {
      doorWall: ['front', 'back', 'right'],
      windowWall: ['back', 'front', 'right', 'none'],
      popWall: ['left'],
      nestWall: ['right', 'back', 'none'],
      cleanOutWall: ['none', 'back', 'right', 'front'],
    },
  }),
];
