import type { MeshFixing } from '../../../unit/index.ts';
import type { ParamDef } from '../../params.ts';
import { meshFixParams } from '../../penParams.ts';

/** Parameters of the low pen, lengths in inches. */
export interface LowPenParams {
  readonly construction: 'framed' | 'picket';
  readonly length: number;
  readonly width: number;
  readonly height: number;
  readonly uprightSpacing: number;
  readonly roofLength: number;
  readonly lidLength: number;
  readonly mesh: 'hardware-cloth' | 'welded-wire' | 'poultry-netting';
  readonly meshSides: MeshFixing;
  readonly meshOverhead: MeshFixing;
  readonly wheels: 'none' | 'wheel-6' | 'wheel-8' | 'wheel-10';
  readonly joint: 'pocket screws' | 'half-lap';
  readonly grips: boolean;
  readonly cornerPlates: boolean;
  readonly ropes: boolean;
  readonly birds: 'meat' | 'layers';
}

const framed = { key: 'construction', is: ['framed'] } as const;

export const lowPenParams: readonly ParamDef[] = [
  {
    key: 'construction',
    label: 'Built of',
    group: 'Size',
    kind: 'choice',
    default: 'framed',
    choices: [
      { value: 'framed', label: '2×3 frames' },
      { value: 'picket', label: 'Pickets' },
    ],
    help: 'Frames on edge with mesh, or fence pickets on spindles.',
  },
  {
    key: 'length',
    label: 'Length',
    group: 'Size',
    kind: 'length',
    min: 60,
    max: 120,
    step: 0.5,
    default: 96,
    help: 'Outside, along the way it is pulled.',
  },
  {
    key: 'width',
    label: 'Width',
    group: 'Size',
    kind: 'length',
    min: 30,
    max: 96,
    step: 0.0625,
    default: 72,
    help: 'Outside to outside of the wood.',
  },
  {
    key: 'height',
    label: 'Height',
    group: 'Size',
    kind: 'length',
    min: 18,
    max: 42,
    step: 0.5,
    default: 24,
    help: 'Of the frame. 24″ and 36″ fit the roll uncut.',
  },
  {
    key: 'uprightSpacing',
    label: 'Uprights at most',
    group: 'Frame',
    kind: 'length',
    min: 16,
    max: 48,
    step: 1,
    default: 32,
    help: 'Greatest distance between uprights.',
  },
  {
    key: 'birds',
    label: 'For',
    group: 'Frame',
    kind: 'choice',
    default: 'meat',
    choices: [
      { value: 'meat', label: 'Meat birds' },
      { value: 'layers', label: 'Layers' },
    ],
  },
  {
    key: 'roofLength',
    label: 'Roofed part',
    group: 'Top',
    kind: 'length',
    min: 24,
    max: 72,
    step: 1,
    default: 48,
    showWhen: framed,
  },
  {
    key: 'lidLength',
    label: 'Lid',
    group: 'Top',
    kind: 'length',
    min: 20,
    max: 60,
    step: 1,
    default: 36,
    showWhen: framed,
    help: 'The part of the top that lifts.',
  },
  {
    key: 'mesh',
    label: 'Mesh',
    group: 'Skin',
    kind: 'choice',
    default: 'hardware-cloth',
    choices: [
      { value: 'hardware-cloth', label: '½″ hardware cloth' },
      { value: 'welded-wire', label: '½ × 1″ welded' },
      { value: 'poultry-netting', label: '1″ netting' },
    ],
  },
  ...meshFixParams('Skin', ['sides', 'overhead'], framed),
  {
    key: 'wheels',
    label: 'Wheels',
    group: 'Moving',
    kind: 'choice',
    default: 'wheel-8',
    showWhen: framed,
    choices: [
      { value: 'none', label: 'None' },
      { value: 'wheel-6', label: '6″' },
      { value: 'wheel-8', label: '8″' },
      { value: 'wheel-10', label: '10″' },
    ],
  },
  {
    key: 'joint',
    label: 'Frame joints',
    group: 'Frame',
    kind: 'choice',
    default: 'pocket screws',
    choices: [
      { value: 'pocket screws', label: 'Pocket screws' },
      { value: 'half-lap', label: 'Half-laps' },
    ],
    help: 'Either way nothing stands proud of the mesh.',
    showWhen: framed,
  },
  {
    key: 'grips',
    label: 'Grip blocks',
    group: 'Moving',
    kind: 'flag',
    default: false,
    help: 'To lift the end opposite the wheels by.',
    showWhen: framed,
  },
  {
    key: 'cornerPlates',
    label: 'Corner plates',
    group: 'Frame',
    kind: 'flag',
    default: true,
    help: 'Keep the frame square when it is pulled.',
    showWhen: framed,
  },
  { key: 'ropes', label: 'Pull ropes', group: 'Moving', kind: 'flag', default: true },
];
