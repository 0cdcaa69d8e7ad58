import type { MeshFixing } from '../../../unit/index.ts';
import { choiceParam, houseParams, sizeParam } from '../../house/index.ts';
import type { HouseParams } from '../../house/index.ts';
import type { ParamDef } from '../../params.ts';
import { meshFixParams } from '../../penParams.ts';

/** Parameters of the raised gable house, lengths in inches. */
export interface RaisedGableParams extends HouseParams {
  readonly wallHeight: number;
  readonly pitch: number;
  readonly legHeight: number;
  readonly legBraces: boolean;
  readonly wrap: boolean;
  readonly meshSides: MeshFixing;
}

/** Highest wall, floor to top of plate. */
export const WALL_MOST = 72;

/** Pitches that a framing square has a table for, rise in 12. */
export const PITCHES = [3, 4, 5, 6, 7, 8, 9, 10, 12].map((n) => [n, `${n} in 12`] as const);

export const raisedGableParams: readonly ParamDef[] = [
  sizeParam('length', 'Floor, along the ridge', [36, 144], 72, 'Outside of the frame.'),
  sizeParam('depth', 'Floor, across', [36, 96], 48, 'Outside of the frame; 48″ cuts both gable ends from one sheet.'),
  sizeParam('wallHeight', 'Wall', [36, WALL_MOST], 42, 'Floor to top of plate.'),
  choiceParam('pitch', 'Roof pitch', 'Size', PITCHES, 6),
  sizeParam('legHeight', 'Legs under floor', [12, 48], 36, '36″ takes a mesh roll uncut below.'),
  { key: 'legBraces', label: 'Braced legs', group: 'Size', kind: 'flag', default: true },
  { key: 'wrap', label: 'Mesh around the legs', group: 'Size', kind: 'flag', default: true },
  ...meshFixParams('Size', ['sides'], { key: 'wrap', is: [true] }),
  ...houseParams({
    ridge: 'always',
    defaults: {
      doorStyle: 'double',
      doorWidth: 48,
      doorHeight: 32,
      threshold: 4,
      windowWall: 'none',
      popWall: 'left',
      nestWall: 'right',
      roostHeight: 22,
      overhangFront: 8,
      overhangBack: 8,
      cleanOutWall: 'back',
      cleanOutStyle: 'doors',
      cleanOutWidth: 48,
    },
    ranges: { doorWidth: [20, 84], cleanOutWidth: [16, 84] },
    walls: { popWall: ['left', 'right', 'none'], nestWall: ['right', 'left', 'back', 'none'] },
  }),
];
