import type { MeshFixing } from '../../../unit/index.ts';
import { choiceParam, sizeParam } from '../../house/index.ts';
import type { ParamDef } from '../../params.ts';
import { meshFixParams, meshParam, purlinParam, wheelParams } from '../../penParams.ts';

/** Parameters of the steep-roof pen, lengths in inches. */
export interface SteepRoofPenParams {
  readonly length: number;
  readonly width: number;
  readonly sideHeight: number;
  readonly peak: number;
  readonly uprightSpacing: number;
  readonly rafterSpacing: number;
  readonly roofedLength: number;
  readonly cover: 'tarp' | 'metal';
  readonly purlinSpacing: number;
  readonly backEnd: 'closed' | 'mesh';
  readonly mesh: 'hardware-cloth' | 'welded-wire' | 'poultry-netting';
  readonly meshSides: MeshFixing;
  readonly roostBars: number;
  readonly wheels: 'none' | 'wheel-8' | 'wheel-10';
  readonly wheelHow: 'fixed' | 'lever' | 'slip-on';
  readonly handlebar: boolean;
}

export const steepRoofPenParams: readonly ParamDef[] = [
  sizeParam('length', 'Length', [72, 96], 96, 'Everything comes out of 8 ft sticks.'),
  sizeParam('width', 'Width', [42, 72], 48, 'Outside to outside; 48″ gives end pieces of 45″.'),
  sizeParam('sideHeight', 'Side walls', [17, 30], 24, '24″ takes the roll uncut.'),
  sizeParam('peak', 'Peak', [48, 78], 62, 'Ground to the top of the ridge.'),
  {
    key: 'uprightSpacing',
    label: 'Uprights at most',
    group: 'Frame',
    kind: 'length',
    min: 16,
    max: 48,
    step: 1,
    default: 32,
  },
  {
    key: 'rafterSpacing',
    label: 'Rafters at most',
    group: 'Frame',
    kind: 'length',
    min: 16,
    max: 32,
    step: 1,
    default: 24,
  },
  {
    key: 'roofedLength',
    label: 'Covered part',
    group: 'Roof',
    kind: 'length',
    min: 24,
    max: 96,
    step: 1,
    default: 48,
    help: 'From the back.',
  },
  choiceParam(
    'cover',
    'Covered with',
    'Roof',
    [
      ['tarp', 'Tarp over mesh'],
      ['metal', 'Ribbed metal'],
    ],
    'tarp',
  ),
  purlinParam('purlinSpacing', 'Roof', { key: 'cover', is: ['metal'] }),
  choiceParam(
    'backEnd',
    'Back end',
    'Skin',
    [
      ['closed', 'Closed with ply'],
      ['mesh', 'Mesh'],
    ],
    'closed',
  ),
  meshParam('mesh', 'Mesh', 'Skin', 'welded-wire'),
  ...meshFixParams('Skin', ['sides']),
  { key: 'roostBars', label: 'Roost bars', group: 'Skin', kind: 'count', min: 0, max: 3, default: 2 },
  ...wheelParams('wheel-10', 'fixed'),
  { key: 'handlebar', label: 'Handlebar of pipe', group: 'Moving', kind: 'flag', default: true },
];
