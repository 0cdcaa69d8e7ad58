import type { ParamDef } from '../../params.ts';
import { runParams } from './runParams.ts';

/** Parameters of the raised lean-to house, lengths in inches. */
export interface LeanToParams {
  readonly length: number;
  readonly depth: number;
  readonly highWall: number;
  readonly lowWall: number;
  readonly legHeight: number;
  readonly studSpacing: 16 | 24;
  readonly doorWall: 'front' | 'back';
  readonly doorWidth: number;
  readonly doorHeight: number;
  readonly threshold: number;
  readonly doorOpens: 'outward' | 'inward';
  readonly insideRelease: boolean;
  readonly windowWall: 'front' | 'back' | 'none';
  readonly windowWidth: number;
  readonly windowHeight: number;
  readonly popWall: 'left' | 'front';
  readonly popWidth: number;
  readonly popHeight: number;
  readonly popMotor: boolean;
  readonly nestWall: 'right' | 'back' | 'none';
  readonly nestCount: number;
  readonly nestWidth: number;
  readonly nestDepth: number;
  readonly nestBottom: number;
  readonly roostBars: number;
  readonly roostHeight: number;
  readonly roofCover: 'metal' | 'shingle';
  readonly rafterSpacing: 16 | 24;
  readonly overhangFront: number;
  readonly overhangBack: number;
  readonly overhangSide: number;
  readonly eaves: 'mesh' | 'blocked';
  readonly siding: 'siding-5/8' | 'ply-1/2';
  readonly run: boolean;
  readonly runLength: number;
  readonly runBay: number;
  readonly runRoof: 'mesh' | 'metal';
  readonly runMesh: 'hardware-cloth' | 'welded-wire' | 'poultry-netting';
  readonly runGate: number;
}

const onCentre = [
  { value: 16, label: '16″' },
  { value: 24, label: '24″' },
] as const;
const nests = { key: 'nestWall', is: ['right', 'back'] } as const;
const window = { key: 'windowWall', is: ['front', 'back'] } as const;

export const leanToParams: readonly ParamDef[] = [
  {
    key: 'length',
    label: 'Floor, long side',
    group: 'Size',
    kind: 'length',
    min: 36,
    max: 144,
    step: 0.5,
    default: 72,
    help: 'Outside of the frame, along the front.',
  },
  {
    key: 'depth',
    label: 'Floor, short side',
    group: 'Size',
    kind: 'length',
    min: 30,
    max: 96,
    step: 0.5,
    default: 48,
    help: 'Outside of the frame, front to back.',
  },
  {
    key: 'highWall',
    label: 'High wall',
    group: 'Size',
    kind: 'length',
    min: 42,
    max: 84,
    step: 0.5,
    default: 60,
    help: 'Front, floor to top of plate.',
  },
  {
    key: 'lowWall',
    label: 'Low wall',
    group: 'Size',
    kind: 'length',
    min: 30,
    max: 80,
    step: 0.5,
    default: 52,
    help: 'Back, floor to top of plate.',
  },
  {
    key: 'legHeight',
    label: 'Legs under floor',
    group: 'Size',
    kind: 'length',
    min: 12,
    max: 48,
    step: 0.5,
    default: 24,
  },
  { key: 'studSpacing', label: 'Studs on centre', group: 'Walls', kind: 'choice', default: 16, choices: onCentre },
  {
    key: 'siding',
    label: 'Siding',
    group: 'Walls',
    kind: 'choice',
    default: 'siding-5/8',
    choices: [
      { value: 'siding-5/8', label: '⅝″ grooved' },
      { value: 'ply-1/2', label: '½″ ply' },
    ],
  },
  {
    key: 'doorWall',
    label: 'People door in',
    group: 'Openings',
    kind: 'choice',
    default: 'front',
    choices: [
      { value: 'front', label: 'Front' },
      { value: 'back', label: 'Back' },
    ],
  },
  {
    key: 'doorWidth',
    label: 'Door, rough width',
    group: 'Openings',
    kind: 'length',
    min: 20,
    max: 40,
    step: 0.5,
    default: 31,
  },
  {
    key: 'doorHeight',
    label: 'Door, rough height',
    group: 'Openings',
    kind: 'length',
    min: 24,
    max: 74,
    step: 0.5,
    default: 46,
  },
  {
    key: 'threshold',
    label: 'Threshold',
    group: 'Openings',
    kind: 'length',
    min: 1.5,
    max: 12,
    step: 0.5,
    default: 8,
    help: 'Above the floor; 8 to 10″ holds deep litter.',
  },
  {
    key: 'doorOpens',
    label: 'Door opens',
    group: 'Openings',
    kind: 'choice',
    default: 'outward',
    choices: [
      { value: 'outward', label: 'Outward' },
      { value: 'inward', label: 'Inward' },
    ],
  },
  { key: 'insideRelease', label: 'Release on the inside', group: 'Openings', kind: 'flag', default: true },
  {
    key: 'windowWall',
    label: 'Window in',
    group: 'Openings',
    kind: 'choice',
    default: 'back',
    choices: [
      { value: 'back', label: 'Back' },
      { value: 'front', label: 'Front' },
      { value: 'none', label: 'No window' },
    ],
  },
  {
    key: 'windowWidth',
    label: 'Window, rough width',
    group: 'Openings',
    kind: 'length',
    min: 10,
    max: 36,
    step: 0.5,
    default: 20,
    showWhen: window,
  },
  {
    key: 'windowHeight',
    label: 'Window, rough height',
    group: 'Openings',
    kind: 'length',
    min: 8,
    max: 30,
    step: 0.5,
    default: 14,
    showWhen: window,
  },
  {
    key: 'popWall',
    label: 'Pop door in',
    group: 'Openings',
    kind: 'choice',
    default: 'left',
    choices: [
      { value: 'left', label: 'Left' },
      { value: 'front', label: 'Front' },
    ],
  },
  {
    key: 'popWidth',
    label: 'Pop door, width',
    group: 'Openings',
    kind: 'length',
    min: 9,
    max: 14,
    step: 0.5,
    default: 11,
  },
  {
    key: 'popHeight',
    label: 'Pop door, height',
    group: 'Openings',
    kind: 'length',
    min: 11,
    max: 16,
    step: 0.5,
    default: 13,
  },
  { key: 'popMotor', label: 'Motor on pop door', group: 'Openings', kind: 'flag', default: false },
  {
    key: 'nestWall',
    label: 'Nests outside',
    group: 'Nests',
    kind: 'choice',
    default: 'right',
    choices: [
      { value: 'right', label: 'Right' },
      { value: 'back', label: 'Back' },
      { value: 'none', label: 'None' },
    ],
  },
  { key: 'nestCount', label: 'Nest boxes', group: 'Nests', kind: 'count', min: 1, max: 6, default: 2, showWhen: nests },
  {
    key: 'nestWidth',
    label: 'Nest, width',
    group: 'Nests',
    kind: 'length',
    min: 10,
    max: 16,
    step: 0.5,
    default: 12,
    showWhen: nests,
  },
  {
    key: 'nestDepth',
    label: 'Nest, depth',
    group: 'Nests',
    kind: 'length',
    min: 10,
    max: 16,
    step: 0.5,
    default: 12,
    showWhen: nests,
  },
  {
    key: 'nestBottom',
    label: 'Nest floor',
    group: 'Nests',
    kind: 'length',
    min: 4,
    max: 24,
    step: 0.5,
    default: 8,
    help: 'Above the house floor.',
    showWhen: nests,
  },
  { key: 'roostBars', label: 'Roost bars', group: 'Nests', kind: 'count', min: 0, max: 5, default: 2 },
  {
    key: 'roostHeight',
    label: 'Roost height',
    group: 'Nests',
    kind: 'length',
    min: 12,
    max: 48,
    step: 0.5,
    default: 28,
    help: 'Above the house floor.',
  },
  {
    key: 'roofCover',
    label: 'Roof',
    group: 'Roof',
    kind: 'choice',
    default: 'metal',
    choices: [
      { value: 'metal', label: 'Ribbed metal' },
      { value: 'shingle', label: 'Shingles' },
    ],
  },
  { key: 'rafterSpacing', label: 'Rafters on centre', group: 'Roof', kind: 'choice', default: 16, choices: onCentre },
  {
    key: 'overhangFront',
    label: 'Front overhang',
    group: 'Roof',
    kind: 'length',
    min: 3,
    max: 24,
    step: 0.5,
    default: 10,
  },
  {
    key: 'overhangBack',
    label: 'Back overhang',
    group: 'Roof',
    kind: 'length',
    min: 3,
    max: 16,
    step: 0.5,
    default: 4,
  },
  {
    key: 'overhangSide',
    label: 'Side overhang',
    group: 'Roof',
    kind: 'length',
    min: 2.5,
    max: 12,
    step: 0.5,
    default: 4,
  },
  {
    key: 'eaves',
    label: 'Eave gap',
    group: 'Roof',
    kind: 'choice',
    default: 'mesh',
    choices: [
      { value: 'mesh', label: 'Meshed vent' },
      { value: 'blocked', label: 'Blocked' },
    ],
  },
  ...runParams,
];
