import type { MeshFixing } from '../../../unit/index.ts';
import { choiceParam, sizeParam } from '../../house/index.ts';
import type { ParamDef } from '../../params.ts';
import { meshFixParams } from '../../penParams.ts';

/** Parameters of the fit-out inside a barn, lengths in inches. */
export interface BarnFitOutParams {
  readonly length: number;
  readonly depth: number;
  readonly ceilingHeight: number;
  readonly kneeHeight: number;
  readonly ownRight: boolean;
  readonly curb: boolean;
  readonly studSpacing: 16 | 24;
  readonly kneeSkin: 'ply-1/2' | 'siding-5/8';
  readonly mesh: 'hardware-cloth' | 'welded-wire';
  readonly meshSides: MeshFixing;
  readonly meshOverhead: MeshFixing;
  readonly doorWidth: number;
  readonly doorHeight: number;
  readonly doorStyle: 'single' | 'dutch';
  readonly insideRelease: boolean;
  readonly ceiling: 'storage' | 'mesh';
  readonly lining: boolean;
  readonly nestCount: number;
  readonly nestBottom: number;
  readonly roostBars: number;
  readonly roostHeight: number;
  readonly roostKind: 'flat' | 'pole' | 'shelf';
}

export const barnFitOutParams: readonly ParamDef[] = [
  sizeParam('length', 'Length', [72, 192], 144, 'Along the front, from the barn’s left wall.'),
  sizeParam('depth', 'Depth', [60, 120], 96, 'From the front to the barn’s back wall.'),
  sizeParam('ceilingHeight', 'Ceiling', [78, 96], 90, 'Floor to the underside of its joists.'),
  sizeParam('kneeHeight', 'Knee wall', [24, 48], 36, 'Closed below, mesh above.'),
  {
    key: 'ownRight',
    label: 'Own wall at the right',
    group: 'Walls',
    kind: 'flag',
    default: true,
    help: 'Without it the fit-out ends at the barn’s wall.',
  },
  {
    key: 'curb',
    label: 'Block curb in a trench',
    group: 'Walls',
    kind: 'flag',
    default: true,
    help: 'Nothing digs under it.',
  },
  choiceParam(
    'studSpacing',
    'Studs on centre',
    'Walls',
    [
      [16, '16″'],
      [24, '24″'],
    ],
    24,
  ),
  choiceParam(
    'kneeSkin',
    'Knee wall of',
    'Walls',
    [
      ['ply-1/2', '½″ ply'],
      ['siding-5/8', '⅝″ grooved'],
    ],
    'ply-1/2',
  ),
  choiceParam(
    'mesh',
    'Mesh',
    'Walls',
    [
      ['hardware-cloth', '½″ hardware cloth'],
      ['welded-wire', '½ × 1″ welded'],
    ],
    'welded-wire',
  ),
  ...meshFixParams('Walls', ['sides', 'overhead']),
  {
    key: 'lining',
    label: 'Line the barn’s walls',
    group: 'Walls',
    kind: 'flag',
    default: false,
    help: '¼″ liner to 4 ft where the birds reach.',
  },
  choiceParam(
    'ceiling',
    'Ceiling',
    'Walls',
    [
      ['storage', 'Carries storage'],
      ['mesh', 'Mesh only'],
    ],
    'storage',
  ),
  {
    key: 'doorWidth',
    label: 'Door, rough width',
    group: 'Openings',
    kind: 'length',
    min: 28,
    max: 48,
    step: 0.5,
    default: 36,
    help: 'A salvaged door: measure it first.',
  },
  {
    key: 'doorHeight',
    label: 'Door, rough height',
    group: 'Openings',
    kind: 'length',
    min: 56,
    max: 82,
    step: 0.5,
    default: 78,
  },
  choiceParam(
    'doorStyle',
    'Door',
    'Openings',
    [
      ['single', 'Single'],
      ['dutch', 'Dutch'],
    ],
    'single',
  ),
  { key: 'insideRelease', label: 'Release on the inside', group: 'Openings', kind: 'flag', default: true },
  { key: 'nestCount', label: 'Nest boxes', group: 'Nests', kind: 'count', min: 0, max: 8, default: 4 },
  { key: 'nestBottom', label: 'Nest floor', group: 'Nests', kind: 'length', min: 8, max: 36, step: 0.5, default: 18 },
  { key: 'roostBars', label: 'Roost bars', group: 'Nests', kind: 'count', min: 0, max: 5, default: 3 },
  {
    key: 'roostHeight',
    label: 'Roost height',
    group: 'Nests',
    kind: 'length',
    min: 18,
    max: 54,
    step: 0.5,
    default: 40,
  },
  choiceParam(
    'roostKind',
    'Roosts are',
    'Nests',
    [
      ['flat', '2×4 flat'],
      ['pole', 'Round poles'],
      ['shelf', 'A shelf'],
    ],
    'flat',
  ),
];
