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
import { meshHeld } from './meshHeld.ts';
import { meshSeam } from './meshSeam.ts';
import { rakedDoor } from './rakedDoor.ts';
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
import { topHungSwing } from './topHungSwing.ts';
import { sheetJointBacking } from './sheetJointBacking.ts';
import { studSpacing } from './studSpacing.ts';
import { headerSpan } from './headerSpan.ts';
import { roostNearNests } from './roostNearNests.ts';
import { roostSpacing } from './roostSpacing.ts';
import { roostReach } from './roostReach.ts';
import { cleanOut } from './cleanOut.ts';
import { cleaningReach } from './cleaningReach.ts';
import { tarpSnow } from './tarpSnow.ts';
import { rackingMoved } from './rackingMoved.ts';
import { wallOfDoors } from './wallOfDoors.ts';
import { wheelPlace } from './wheelPlace.ts';
import { slipOnForChicks } from './slipOnForChicks.ts';
import { gatePass } from './gatePass.ts';
import { nestHole } from './nestHole.ts';
import { popSill } from './popSill.ts';
import { noPopDoor } from './noPopDoor.ts';
import { draughtOnRoost } from './draughtOnRoost.ts';
import { ventBothSides } from './ventBothSides.ts';
import { digIn } from './digIn.ts';
import { panelWeight } from './panelWeight.ts';
import { doorHitsNests } from './doorHitsNests.ts';
import { gutters } from './gutters.ts';
import { groundContact } from './groundContact.ts';
import { hoopLow } from './hoopLow.ts';
import { hoopSpacing } from './hoopSpacing.ts';
import { gateWidth } from './gateWidth.ts';
import { rafterThrust } from './rafterThrust.ts';
import { slivers } from './slivers.ts';
import { flatRoof } from './flatRoof.ts';
import { bayFill } from './bayFill.ts';
import { tallBlocks } from './tallBlocks.ts';
import { ceilingSpan } from './ceilingSpan.ts';

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
  flatRoof,
  spans,
  rafterThrust,
  rafterOverStud,
  legBracing,
  underfloorDark,
  meshStrength,
  meshHeld,
  meshSeam,
  rakedDoor,
  meshRoll,
  liftWeight,
  pullForce,
  wheelSize,
  tipping,
  shelter,
  lidWeight,
  sheetSaving,
  slivers,
  popIntoRun,
  trailerFit,
  topHungSwing,
  sheetJointBacking,
  studSpacing,
  headerSpan,
  roostNearNests,
  roostSpacing,
  roostReach,
  cleanOut,
  cleaningReach,
  tarpSnow,
  rackingMoved,
  wallOfDoors,
  wheelPlace,
  slipOnForChicks,
  gatePass,
  nestHole,
  popSill,
  noPopDoor,
  draughtOnRoost,
  ventBothSides,
  digIn,
  panelWeight,
  doorHitsNests,
  gutters,
  groundContact,
  hoopLow,
  hoopSpacing,
  gateWidth,
  bayFill,
  tallBlocks,
  ceilingSpan,
];
