import { choiceParam, houseParams, sizeParam } from '../../house/index.ts';
import type { HouseParams } from '../../house/index.ts';
import type { ParamDef } from '../../params.ts';
import { purlinParam } from '../../penParams.ts';
import { PITCHES } from '../raised-gable/params.ts';

/** Parameters of the skid house, lengths in inches. */
export interface SkidHouseParams extends HouseParams {
  readonly wallHeight: number;
  readonly pitch: number;
  readonly purlinSpacing: number;
  readonly legHeight: number;
  readonly beyond: number;
}

/** Highest wall, floor to top of plate. */
export const WALL_MOST = 54;

export const skidHouseParams: readonly ParamDef[] = [
  sizeParam('length', 'Floor, along the ridge', [36, 96], 60, 'Outside of the frame.'),
  sizeParam('depth', 'Floor, across', [30, 60], 36, 'Outside of the frame, the way the runners lie.'),
  sizeParam('wallHeight', 'Wall', [30, WALL_MOST], 36, 'Floor to top of plate.'),
  choiceParam('pitch', 'Roof pitch', 'Size', PITCHES, 5),
  sizeParam('legHeight', 'Floor frame over ground', [10, 30], 18, 'Runner and leg together.'),
  sizeParam('beyond', 'Runners stand out', [12, 36], 30, 'Front and back, so that wind does not tip it.'),
  purlinParam('purlinSpacing', 'Roof', { key: 'roofCover', is: ['metal'] }),
  ...houseParams({
    defaults: {
      siding: 'ply-1/2',
      doorWidth: 24,
      doorHeight: 28,
      threshold: 3,
      windowWall: 'none',
      nestCount: 1,
      nestBottom: 5,
      roostBars: 1,
      roostHeight: 18,
      overhangFront: 5,
      overhangBack: 5,
      overhangSide: 3,
    },
    ranges: { nestCount: [1, 2], roostBars: [0, 2], overhangFront: [3, 12], overhangBack: [3, 12] },
    choices: { siding: ['ply-1/2', 'siding-5/8', 'batten-strips'] },
    omit: ['gutters', 'underlay'],
    // The runners lie in front of the front and the back.
    walls: {
      doorWall: ['front', 'back'],
      popWall: ['left', 'right'],
      nestWall: ['right', 'left', 'none'],
      cleanOutWall: ['none', 'back', 'left'],
    },
  }),
];
