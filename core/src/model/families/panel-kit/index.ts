import { HOUSE_CARRIES } from '../../family.ts';
import type { Family } from '../../family.ts';
import { framePanelKit } from './frame.ts';
import { panelKitParams } from './params.ts';
import type { PanelKitParams } from './params.ts';

/** Six panels that bolt together into a small lean-to house. */
export const panelKit: Family = {
  key: 'panel-kit',
  title: 'Panel kit',
  purpose: 'Floor, four walls and roof that bolt together: taken off its litter in spring and set up elsewhere.',
  movable: false,
  carries: HOUSE_CARRIES,
  schema: 1,
  params: panelKitParams,
  frame: (params, fittings = []) => framePanelKit(params as unknown as PanelKitParams, fittings),
};
