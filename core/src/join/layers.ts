import type { PartDraft, Role } from '../unit/index.ts';

/**
 * What a part is to its neighbours: `wall` and `pen` framing (nailed and screwed), sheets and boards on it, mesh, roofing, what
 * goes over the skin's joints, leaves that move, boards of boxes, what is fixed on inside or out, and what has fittings of its own.
 */
export type Layer =
  'wall' | 'pen' | 'sheet' | 'mesh' | 'roofing' | 'over' | 'leaf' | 'box' | 'on' | 'stop' | 'plate' | 'ground' | 'own';

const LAYER: Readonly<Record<Role, Layer>> = {
  plate: 'wall',
  stud: 'wall',
  king: 'wall',
  jack: 'wall',
  header: 'wall',
  spacer: 'wall',
  sill: 'wall',
  cripple: 'wall',
  rim: 'wall',
  joist: 'wall',
  rafter: 'wall',
  barge: 'wall',
  blocking: 'wall',
  ridge: 'wall',
  'gable stud': 'wall',
  tie: 'wall',
  post: 'wall',
  leg: 'pen',
  rail: 'pen',
  upright: 'pen',
  crossbar: 'pen',
  collar: 'pen',
  runner: 'pen',
  brace: 'pen',
  hoop: 'own',
  board: 'sheet',
  deck: 'sheet',
  floor: 'sheet',
  siding: 'sheet',
  liner: 'sheet',
  glazing: 'sheet',
  mesh: 'mesh',
  roofing: 'roofing',
  cover: 'own',
  batten: 'over',
  trim: 'over',
  door: 'leaf',
  lid: 'leaf',
  stop: 'stop',
  nest: 'box',
  roost: 'on',
  cleat: 'on',
  ramp: 'on',
  channel: 'on',
  handle: 'on',
  'pop door': 'own',
  wheel: 'own',
  pipe: 'own',
  unit: 'own',
  gusset: 'plate',
  block: 'ground',
};

/** The layer of a part. */
export const layerOf = (part: Pick<PartDraft, 'role'>): Layer => LAYER[part.role];

/** True for framing that others are fixed to. */
export const isFrame = (part: Pick<PartDraft, 'role'>): boolean =>
  LAYER[part.role] === 'wall' || LAYER[part.role] === 'pen';
