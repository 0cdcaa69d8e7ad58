import type { MeshFixing } from '../../../unit/index.ts';
import { choiceParam, sizeParam } from '../../house/index.ts';
import type { ParamDef } from '../../params.ts';
import { meshFixParams, meshParam } from '../../penParams.ts';

/** Parameters of the hoop pen, lengths in inches. */
export interface HoopPenParams {
  readonly length: number;
  readonly width: number;
  readonly hoops: 'pvc' | 'panel';
  readonly hoopLength: number;
  readonly hoopSpacing: number;
  readonly doorWidth: number;
  readonly doorHeight: number;
  readonly mesh: 'hardware-cloth' | 'welded-wire' | 'poultry-netting';
  readonly meshSides: MeshFixing;
  readonly tarpLength: number;
  readonly ropes: boolean;
  readonly wheels: 'none' | 'wheel-8' | 'wheel-10';
}

export const hoopPenParams: readonly ParamDef[] = [
  sizeParam('length', 'Length', [72, 144], 120, 'Of the runners.'),
  sizeParam('width', 'Width', [60, 132], 84, 'Outside to outside of the runners.'),
  choiceParam(
    'hoops',
    'Hoops of',
    'Size',
    [
      ['pvc', '¾″ PVC, 10 ft'],
      ['panel', 'Livestock panels, 16 ft'],
    ],
    'pvc',
  ),
  sizeParam(
    'hoopLength',
    'Hoop, length',
    [84, 192],
    120,
    'Along the curve: the pipe or panel, cut shorter if wished.',
    1,
  ),
  {
    key: 'hoopSpacing',
    label: 'Hoops at most',
    group: 'Frame',
    kind: 'length',
    min: 16,
    max: 36,
    step: 1,
    default: 24,
    showWhen: { key: 'hoops', is: ['pvc'] },
  },
  { key: 'doorWidth', label: 'Door, width', group: 'Ends', kind: 'length', min: 16, max: 36, step: 0.5, default: 24 },
  { key: 'doorHeight', label: 'Door, height', group: 'Ends', kind: 'length', min: 16, max: 66, step: 0.5, default: 25 },
  meshParam('mesh', 'Mesh', 'Skin', 'welded-wire'),
  ...meshFixParams('Skin', ['sides']),
  {
    key: 'tarpLength',
    label: 'Tarp over',
    group: 'Skin',
    kind: 'length',
    min: 24,
    max: 144,
    step: 1,
    default: 60,
    help: 'From the back.',
  },
  choiceParam(
    'wheels',
    'Wheels',
    'Moving',
    [
      ['none', 'None'],
      ['wheel-8', '8″'],
      ['wheel-10', '10″'],
    ],
    'none',
  ),
  { key: 'ropes', label: 'Pull ropes', group: 'Moving', kind: 'flag', default: true },
];
