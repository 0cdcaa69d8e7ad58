import type { Family } from '../family.ts';
import { aFramePen } from './a-frame-pen/index.ts';
import { barnFitOut } from './barn-fit-out/index.ts';
import { gardenArk } from './garden-ark/index.ts';
import { hoopPen } from './hoop-pen/index.ts';
import { houseWithRun } from './house-with-run/index.ts';
import { lowPen } from './low-pen/index.ts';
import { panelKit } from './panel-kit/index.ts';
import { raisedGable } from './raised-gable/index.ts';
import { raisedLeanTo } from './raised-lean-to/index.ts';
import { skidHouse } from './skid-house/index.ts';
import { steepRoofPen } from './steep-roof-pen/index.ts';
import { walkIn } from './walk-in/index.ts';

/** Every family, in the order in which they are offered. */
export const FAMILIES: readonly Family[] = [
  lowPen,
  aFramePen,
  hoopPen,
  steepRoofPen,
  gardenArk,
  raisedLeanTo,
  raisedGable,
  skidHouse,
  panelKit,
  walkIn,
  houseWithRun,
  barnFitOut,
];

/** The family of a key, if there is one. */
export const findFamily = (key: string): Family | undefined => FAMILIES.find((f) => f.key === key);
