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

/** What keeps diggers out at the foot of a run that stays. */
export const digParam = (key: string, group: string, showWhen?: ParamDef['showWhen']): ParamDef =>
  choiceParam(
    key,
    'Against digging',
    group,
    [
      ['skirt', 'Skirt on the ground'],
      ['curb', 'Block curb'],
      ['none', 'Nothing'],
    ],
    'skirt',
    { help: 'Mesh laid 18″ outward, or block in a trench under the sills.', ...(showWhen ? { showWhen } : {}) },
  );

const HELD = [
  ['washers', 'Staples, washers'],
  ['battens', 'Under battens'],
  ['lap', 'Lapped around'],
] as const;

/** How the mesh of a unit is held on its sides and, where it has any there, overhead. */
export const meshFixParams = (
  group: string,
  faces: readonly ('sides' | 'overhead')[],
  showWhen?: ParamDef['showWhen'],
): readonly ParamDef[] =>
  faces.map((face) =>
    choiceParam(
      face === 'sides' ? 'meshSides' : 'meshOverhead',
      face === 'sides' ? 'Side mesh held by' : 'Top mesh held by',
      group,
      HELD,
      'washers',
      {
        ...(face === 'sides'
          ? { help: 'Battens of 1×2 lie over every edge; lapping takes 2″ more mesh all round.' }
          : {}),
        ...(showWhen ? { showWhen } : {}),
      },
    ),
  );

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

/** Rows of purlin blocks that metal is screwed to where there is no deck. */
export const purlinParam = (key: string, group: string, showWhen?: ParamDef['showWhen']): ParamDef => ({
  key,
  label: 'Purlin blocks at most',
  group,
  kind: 'length',
  min: 16,
  max: 36,
  step: 1,
  default: 32,
  help: 'Set flush between the rafters; each sheet is screwed to every row.',
  ...(showWhen ? { showWhen } : {}),
});
