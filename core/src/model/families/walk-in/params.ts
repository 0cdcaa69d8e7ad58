import { choiceParam, houseParams, sizeParam } from '../../house/index.ts';
import type { HouseParams } from '../../house/index.ts';
import type { ParamDef } from '../../params.ts';

/** Parameters of the walk-in coop, lengths in inches. */
export interface WalkInParams extends HouseParams {
  readonly wallHeight: number;
  readonly roofKind: 'lean' | 'gable';
  readonly pitch: number;
  readonly foundation: 'skids' | 'gravel' | 'blocks' | 'slab' | 'perimeter';
  readonly blockCourses: number;
  readonly innerWall: boolean;
  readonly storeLength: number;
  readonly storeNests: number;
  readonly feedTubes: number;
  readonly innerDoorWidth: number;
  readonly innerDoorHeight: number;
  readonly innerThreshold: number;
  readonly innerGlass: boolean;
  readonly liner: boolean;
  readonly linerHeight: number;
}

const inner = { key: 'innerWall', is: [true] } as const;

/** Highest wall, floor to top of plate. */
export const WALL_MOST = 96;

export const walkInParams: readonly ParamDef[] = [
  sizeParam('length', 'Length', [72, 240], 144, 'Outside of the frame, along the front.'),
  sizeParam('depth', 'Depth', [60, 120], 96, 'Outside of the frame, front to back.'),
  sizeParam('wallHeight', 'Low wall', [66, WALL_MOST], 84, 'Floor to top of plate; both walls under a gable.'),
  choiceParam(
    'roofKind',
    'Roof',
    'Size',
    [
      ['gable', 'Gable'],
      ['lean', 'Lean-to'],
    ],
    'gable',
  ),
  choiceParam(
    'pitch',
    'Roof pitch',
    'Size',
    [2, 3, 4, 5, 6, 8].map((n) => [n, `${n} in 12`] as const),
    4,
    { help: 'A lean-to over 3 in 12 gets a very high front.' },
  ),
  choiceParam(
    'foundation',
    'Stands on',
    'Size',
    [
      ['skids', 'Skids'],
      ['gravel', 'Skids on gravel'],
      ['blocks', 'Blocks'],
      ['slab', 'A slab'],
      ['perimeter', 'A perimeter with sill'],
    ],
    'skids',
  ),
  {
    key: 'blockCourses',
    label: 'Courses of block',
    group: 'Size',
    kind: 'count',
    min: 1,
    max: 3,
    default: 1,
    showWhen: { key: 'foundation', is: ['blocks'] },
  },
  { key: 'innerWall', label: 'Inner wall and store', group: 'Rooms', kind: 'flag', default: true },
  {
    key: 'storeLength',
    label: 'Store, length',
    group: 'Rooms',
    kind: 'length',
    min: 36,
    max: 96,
    step: 0.5,
    default: 48,
    help: 'At the right end, outside of the frame to the inner wall.',
    showWhen: inner,
  },
  {
    key: 'innerDoorWidth',
    label: 'Inner door, rough width',
    group: 'Rooms',
    kind: 'length',
    min: 24,
    max: 46,
    step: 0.5,
    default: 28,
    showWhen: inner,
  },
  {
    key: 'innerDoorHeight',
    label: 'Inner door, rough height',
    group: 'Rooms',
    kind: 'length',
    min: 56,
    max: 82,
    step: 0.5,
    default: 74,
    showWhen: inner,
  },
  {
    key: 'innerThreshold',
    label: 'Inner threshold',
    group: 'Rooms',
    kind: 'length',
    min: 0,
    max: 14,
    step: 0.5,
    default: 1.5,
    help: 'Holds the litter of the bird room; at 0 the plate is sawn out and a barrow rolls through.',
    showWhen: inner,
  },
  {
    key: 'innerGlass',
    label: 'Inner door glazed above',
    group: 'Rooms',
    kind: 'flag',
    default: false,
    help: 'The birds are seen before the door is opened.',
    showWhen: inner,
  },
  {
    key: 'storeNests',
    label: 'Nests into the store',
    group: 'Rooms',
    kind: 'count',
    min: 0,
    max: 4,
    default: 3,
    showWhen: inner,
  },
  {
    key: 'feedTubes',
    label: 'Feed tubes',
    group: 'Rooms',
    kind: 'count',
    min: 0,
    max: 4,
    default: 1,
    help: 'Filled from the store, weeks of feed each.',
    showWhen: inner,
  },
  {
    key: 'liner',
    label: 'Smooth liner',
    group: 'Rooms',
    kind: 'flag',
    default: true,
    help: 'Nothing collects on the framing of the bird room.',
  },
  {
    key: 'linerHeight',
    label: 'Liner, height',
    group: 'Rooms',
    kind: 'length',
    min: 36,
    max: 48,
    step: 0.5,
    default: 48,
    showWhen: { key: 'liner', is: [true] },
  },
  ...houseParams({
    ridge: { key: 'roofKind', is: ['gable'] },
    bought: true,
    defaults: {
      doorWall: 'front',
      doorWidth: 34,
      doorHeight: 74,
      threshold: 0,
      windowStyle: 'top-hung',
      windowWidth: 24,
      windowHeight: 20,
      popWall: 'left',
      nestWall: 'none',
      roostBars: 3,
      roostHeight: 36,
      overhangFront: 12,
      overhangBack: 12,
      overhangSide: 8,
      cleanOutWall: 'none',
    },
    ranges: {
      doorWidth: [28, 72],
      doorHeight: [60, 80],
      roostBars: [0, 6],
      roostHeight: [18, 60],
      overhangFront: [4, 24],
      overhangBack: [4, 24],
      overhangSide: [3, 12],
    },
    walls: {
      popWall: ['left', 'none'],
      doorWall: ['front', 'back', 'right'],
      nestWall: ['none', 'left', 'back'],
      cleanOutWall: ['none', 'left', 'back', 'front'],
    },
  }).map((p) => (p.key === 'cupola' ? { ...p, showWhen: { key: 'roofKind', is: ['gable'] } } : p)),
];
