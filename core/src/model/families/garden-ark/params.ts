import type { MeshFixing } from '../../../unit/index.ts';
import { choiceParam, houseParams, sizeParam } from '../../house/index.ts';
import type { HouseParams } from '../../house/index.ts';
import type { ParamDef } from '../../params.ts';
import { meshFixParams, meshParam, wheelParams, purlinParam } from '../../penParams.ts';
import { PITCHES } from '../raised-gable/params.ts';

/** Parameters of the garden ark, lengths in inches. */
export interface GardenArkParams extends HouseParams {
  readonly width: number;
  readonly runHeight: number;
  readonly deckLength: number;
  readonly wallHeight: number;
  readonly pitch: number;
  readonly purlinSpacing: number;
  readonly mesh: 'hardware-cloth' | 'welded-wire' | 'poultry-netting';
  readonly meshSides: MeshFixing;
  readonly meshOverhead: MeshFixing;
  readonly wheels: 'none' | 'wheel-8' | 'wheel-10';
  readonly wheelHow: 'fixed' | 'lever' | 'slip-on';
  readonly ropes: boolean;
}

/** Highest wall, floor to top of plate. */
export const WALL_MOST = 36;

export const gardenArkParams: readonly ParamDef[] = [
  sizeParam('length', 'Length', [72, 120], 84, 'Outside, along the row.'),
  sizeParam('width', 'Width', [30, 48], 36, '36″ runs between rows set 40 to 48″ apart.'),
  sizeParam('runHeight', 'Run, height', [18, 30], 24, '24″ takes the roll uncut.'),
  sizeParam('deckLength', 'House, length', [30, 48], 36, 'Upper deck over one end.'),
  sizeParam('wallHeight', 'House wall', [22, WALL_MOST], 26, 'Deck to top of plate.'),
  choiceParam('pitch', 'Roof pitch', 'Size', PITCHES, 6),
  meshParam('mesh', 'Mesh', 'Skin', 'hardware-cloth'),
  ...meshFixParams('Skin', ['sides', 'overhead']),
  ...wheelParams('wheel-8', 'lever'),
  { key: 'ropes', label: 'Pull ropes', group: 'Moving', kind: 'flag', default: true },
  purlinParam('purlinSpacing', 'Roof', { key: 'roofCover', is: ['metal'] }),
  ...houseParams({
    defaults: {
      siding: 'ply-1/2',
      cleanOutWall: 'back',
      cleanOutStyle: 'doors',
      cleanOutWidth: 22,
      nestWall: 'left',
      nestCount: 1,
      nestBottom: 4,
      roostBars: 1,
      roostHeight: 12,
      overhangFront: 4,
      overhangBack: 4,
      overhangSide: 3,
      studSpacing: 24,
      rafterSpacing: 24,
    },
    ranges: {
      nestCount: [1, 2],
      nestBottom: [4, 6],
      roostBars: [0, 1],
      roostHeight: [8, 18],
      cleanOutWidth: [16, 30],
      overhangFront: [3, 8],
      overhangBack: [3, 8],
      overhangSide: [2.5, 6],
    },
    choices: { siding: ['ply-1/2'], nestStyle: ['outside lid', 'drop front'] },
    omit: [
      'doorWall',
      'doorStyle',
      'doorWidth',
      'doorHeight',
      'threshold',
      'doorOpens',
      'insideRelease',
      'windowWall',
      'windowStyle',
      'windowWidth',
      'windowHeight',
      'popWall',
      'popWidth',
      'popHeight',
      'popMotor',
      'droppingsBoard',
      'gutters',
      'underlay',
      'cupola',
    ],
    walls: { nestWall: ['left', 'none'], cleanOutWall: ['back', 'front'] },
  }),
];
