import { choiceParam } from './house/index.ts';
import type { ParamDef } from './params.ts';

const MESHES = [
  ['hardware-cloth', '½″ hardware cloth'],
  ['welded-wire', '½ × 1″ welded'],
  ['poultry-netting', '1″ netting'],
] as const;

/** Which mesh a unit is covered with; netting only where it does not have to hold against much. */
export const meshParam = (key: string, label: string, group: string, value: string, netting = true): ParamDef =>
  choiceParam(key, label, group, netting ? MESHES : MESHES.slice(0, 2), value);

/** Wheels of a pen and how they are held: for good, on drop-down levers, or on pins that are drawn while it stands. */
export const wheelParams = (
  value: 'none' | 'wheel-8' | 'wheel-10',
  how: 'fixed' | 'lever' | 'slip-on',
): readonly ParamDef[] => [
  choiceParam(
    'wheels',
    'Wheels',
    'Moving',
    [
      ['none', 'None'],
      ['wheel-8', '8″'],
      ['wheel-10', '10″'],
    ],
    value,
  ),
  choiceParam(
    'wheelHow',
    'Wheels are',
    'Moving',
    [
      ['fixed', 'Fixed'],
      ['lever', 'On levers'],
      ['slip-on', 'Slip-on'],
    ],
    how,
    { showWhen: { key: 'wheels', is: ['wheel-8', 'wheel-10'] } },
  ),
];
