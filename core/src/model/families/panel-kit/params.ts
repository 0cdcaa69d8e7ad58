import { houseParams, sizeParam } from '../../house/index.ts';
import type { HouseParams } from '../../house/index.ts';
import type { ParamDef } from '../../params.ts';

/** Parameters of the panel kit, lengths in inches. */
export interface PanelKitParams extends HouseParams {
  readonly highWall: number;
  readonly lowWall: number;
}

/** Highest front and back wall, floor to top of plate. */
export const HIGH_MOST = 72;
export const LOW_MOST = 66;

export const panelKitParams: readonly ParamDef[] = [
  sizeParam('length', 'Length', [42, 84], 72, 'Outside of the frame; 48 or 72″ cuts from whole sheets.'),
  sizeParam('depth', 'Depth', [36, 60], 48, 'Outside of the frame.'),
  sizeParam('highWall', 'Front wall', [42, HIGH_MOST], 54, 'Floor to top of plate.'),
  sizeParam('lowWall', 'Back wall', [36, LOW_MOST], 46, 'Floor to top of plate.'),
  ...houseParams({
    defaults: {
      siding: 'ply-1/2',
      studSpacing: 24,
      rafterSpacing: 24,
      doorWidth: 24,
      doorHeight: 36,
      threshold: 6,
      nestCount: 1,
      roostHeight: 24,
      roostBars: 1,
      overhangFront: 6,
      overhangBack: 3,
      overhangSide: 3,
      windowWall: 'none',
    },
    choices: { siding: ['ply-1/2', 'siding-5/8'] },
    ranges: { nestCount: [1, 3], overhangFront: [3, 12], overhangBack: [3, 8], overhangSide: [2.5, 6] },
    omit: ['gutters', 'cupola'],
  }),
];
