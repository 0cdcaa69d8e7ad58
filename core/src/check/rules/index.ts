import type { Check } from '../types.ts';
import { runSpace } from './runSpace.ts';
import { roostLength } from './roostLength.ts';
import { nestCount } from './nestCount.ts';
import { houseSpace } from './houseSpace.ts';
import { penSpace } from './penSpace.ts';
import { roostAboveNests } from './roostAboveNests.ts';
import { rampPitch } from './rampPitch.ts';
import { ventilation } from './ventilation.ts';
import { insideRelease } from './insideRelease.ts';
import { doorSwing } from './doorSwing.ts';
import { barrowWidth } from './barrowWidth.ts';
import { litterThreshold } from './litterThreshold.ts';
import { headroom } from './headroom.ts';
import { nestShelter } from './nestShelter.ts';
import { nestSize } from './nestSize.ts';
import { roofPitch } from './roofPitch.ts';
import { spans } from './spans.ts';
import { rafterOverStud } from './rafterOverStud.ts';
import { legBracing } from './legBracing.ts';
import { underfloorDark } from './underfloorDark.ts';
import { meshStrength } from './meshStrength.ts';
import { meshRoll } from './meshRoll.ts';
import { liftWeight } from './liftWeight.ts';
import { pullForce } from './pullForce.ts';
import { wheelSize } from './wheelSize.ts';
import { tipping } from './tipping.ts';
import { shelter } from './shelter.ts';
import { lidWeight } from './lidWeight.ts';
import { sheetSaving } from './sheetSaving.ts';
import { popIntoRun } from './popIntoRun.ts';
import { trailerFit } from './trailerFit.ts';

/** Every judgement rule. Adding one is a file here and its name in this list. */
export const CHECKS: readonly Check[] = [
  runSpace,
  roostLength,
  nestCount,
  houseSpace,
  penSpace,
  roostAboveNests,
  rampPitch,
  ventilation,
  insideRelease,
  doorSwing,
  barrowWidth,
  litterThreshold,
  headroom,
  nestShelter,
  nestSize,
  roofPitch,
  spans,
  rafterOverStud,
  legBracing,
  underfloorDark,
  meshStrength,
  meshRoll,
  liftWeight,
  pullForce,
  wheelSize,
  tipping,
  shelter,
  lidWeight,
  sheetSaving,
  popIntoRun,
  trailerFit,
];
