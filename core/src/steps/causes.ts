/** What holds work up, as it is told at the bench, with the words that stand on the keys. */
export const STOP_CAUSES = [
  ['material', 'Waiting for material'],
  ['tool', 'Tool or machine'],
  ['help', 'Waiting for hands'],
  ['drawing', 'Drawing or order unclear'],
  ['weather', 'Weather'],
  ['break', 'Break'],
  ['other', 'Called away'],
] as const;
export type StopCause = (typeof STOP_CAUSES)[number][0];

/** What can be wrong at a step: with a piece, which is cut again and planned anew, or with what the office must mend. */
export const TROUBLES = [
  { cause: 'spoiled', name: 'Piece spoiled', piece: true },
  { cause: 'bowed', name: 'Piece bowed or split', piece: true },
  { cause: 'short stock', name: 'Not enough on the rack', piece: false },
  { cause: 'missing hardware', name: 'Hardware missing', piece: false },
  { cause: 'wrong drawing', name: 'Drawing is wrong', piece: false },
  { cause: 'other', name: 'Something else', piece: false },
] as const;
export type TroubleCause = (typeof TROUBLES)[number]['cause'];
