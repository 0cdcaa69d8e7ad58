import type { MeshFixing } from '../../../unit/index.ts';
import type { Guard } from '../../../frame/index.ts';
import { houseParams, sizeParam } from '../../house/index.ts';
import type { HouseParams } from '../../house/index.ts';
import type { ParamDef } from '../../params.ts';
import { runParams } from './runParams.ts';

/** Parameters of the raised lean-to house, lengths in inches. */
export interface LeanToParams extends HouseParams {
  readonly highWall: number;
  readonly lowWall: number;
  readonly legHeight: number;
  readonly legBraces: boolean;
  readonly run: boolean;
  readonly runLength: number;
  readonly runBay: number;
  readonly runRoof: 'mesh' | 'metal';
  readonly runPurlins: number;
  readonly meshSides: MeshFixing;
  readonly meshOverhead: MeshFixing;
  readonly runMesh: 'hardware-cloth' | 'welded-wire' | 'poultry-netting';
  readonly runGate: number;
  readonly runDig: Guard;
  readonly secondRun: boolean;
}

/** Highest front and back wall, floor to top of plate. */
export const HIGH_MOST = 84;
export const LOW_MOST = 80;

export const leanToParams: readonly ParamDef[] = [
  sizeParam('length', 'Floor, long side', [36, 144], 72, 'Outside of the frame, along the front.'),
  sizeParam('depth', 'Floor, short side', [30, 96], 48, 'Outside of the frame, front to back.'),
  sizeParam('highWall', 'High wall', [42, HIGH_MOST], 60, 'Front, floor to top of plate.'),
  sizeParam('lowWall', 'Low wall', [30, LOW_MOST], 52, 'Back, floor to top of plate.'),
  sizeParam('legHeight', 'Legs under floor', [12, 48], 24),
  { key: 'legBraces', label: 'Braced legs', group: 'Size', kind: 'flag', default: false },
  ...houseParams({
    omit: ['gutters', 'cupola'],
    ranges: { doorWidth: [20, 40], windowWidth: [10, 36], windowHeight: [8, 30] },
    // Battens would stand in the way of a run's end studs.
    choices: { siding: ['siding-5/8', 'ply-1/2'] },
    walls: {
      doorWall: ['front', 'back'],
      windowWall: ['back', 'front', 'none'],
      popWall: ['left', 'front'],
      nestWall: ['right', 'back', 'none'],
      cleanOutWall: ['none', 'front', 'back', 'right'],
    },
  }),
  ...runParams,
];
