import type { MeshFixing } from '../../../unit/index.ts';
import { choiceParam, sizeParam } from '../../house/index.ts';
import type { ParamDef } from '../../params.ts';
import { meshFixParams, meshParam, wheelParams } from '../../penParams.ts';

/** Parameters of the A-frame pen, lengths in inches, angle in degrees. */
export interface AFramePenParams {
  readonly length: number;
  readonly width: number;
  readonly apex: number;
  readonly closedLength: number;
  readonly rafterSpacing: number;
  readonly doorWidth: number;
  readonly doorHeight: number;
  readonly hatchWidth: number;
  readonly hatchHeight: number;
  readonly mesh: 'hardware-cloth' | 'welded-wire' | 'poultry-netting';
  readonly meshSides: MeshFixing;
  readonly roost: boolean;
  readonly wheels: 'none' | 'wheel-8' | 'wheel-10';
  readonly wheelHow: 'fixed' | 'lever' | 'slip-on';
  readonly ropes: boolean;
}

export const aFramePenParams: readonly ParamDef[] = [
  sizeParam('length', 'Length', [72, 144], 96, 'Outside, along the ridge.'),
  sizeParam('width', 'Base width', [42, 84], 60, 'Outside to outside of the bottom rails.'),
  choiceParam(
    'apex',
    'Apex angle',
    'Size',
    [54, 60, 66, 72, 80, 90].map((n) => [n, `${n}°`] as const),
    60,
    {
      help: '60° makes the ends equilateral.',
    },
  ),
  sizeParam('closedLength', 'Sleeping end', [30, 60], 36, 'Closed part, from the left end.'),
  {
    key: 'rafterSpacing',
    label: 'Rafters at most',
    group: 'Frame',
    kind: 'length',
    min: 16,
    max: 36,
    step: 1,
    default: 30,
  },
  {
    key: 'doorWidth',
    label: 'Run door, width',
    group: 'Ends',
    kind: 'length',
    min: 12,
    max: 30,
    step: 0.5,
    default: 20,
  },
  {
    key: 'doorHeight',
    label: 'Run door, height',
    group: 'Ends',
    kind: 'length',
    min: 10,
    max: 48,
    step: 0.5,
    default: 20,
  },
  {
    key: 'hatchWidth',
    label: 'Hatch, width',
    group: 'Ends',
    kind: 'length',
    min: 10,
    max: 24,
    step: 0.5,
    default: 16,
    help: 'In the sleeping end: eggs out, litter out.',
  },
  {
    key: 'hatchHeight',
    label: 'Hatch, height',
    group: 'Ends',
    kind: 'length',
    min: 10,
    max: 24,
    step: 0.5,
    default: 14,
  },
  { key: 'roost', label: 'Roost, sleeping end', group: 'Ends', kind: 'flag', default: true },
  meshParam('mesh', 'Mesh', 'Skin', 'welded-wire'),
  ...meshFixParams('Skin', ['sides']),
  ...wheelParams('wheel-8', 'slip-on'),
  { key: 'ropes', label: 'Pull ropes', group: 'Moving', kind: 'flag', default: true },
];
