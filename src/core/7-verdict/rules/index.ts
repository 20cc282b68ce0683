import type { Rule } from '../rule';
import { balanceAft } from './balanceAft';
import { balanceForward } from './balanceForward';
import { builtAngle } from './builtAngle';
import { coarseLattice } from './coarseLattice';
import { contourUnusable } from './contourUnusable';
import { cruiseNearStall } from './cruiseNearStall';
import { downwashStrong } from './downwashStrong';
import { dragHeight } from './dragHeight';
import { elevatorAtStop } from './elevatorAtStop';
import { elevonSaturation } from './elevonSaturation';
import { equalErrors } from './equalErrors';
import { fastForLaunch } from './fastForLaunch';
import { fastForPurpose } from './fastForPurpose';
import { flatVee } from './flatVee';
import { handsOffTrim } from './handsOffTrim';
import { hingeRub } from './hingeRub';
import { leftRight } from './leftRight';
import { loadingOverBrief } from './loadingOverBrief';
import { manoeuvreMargin } from './manoeuvreMargin';
import { narrowWindow } from './narrowWindow';
import { noseDeparts } from './noseDeparts';
import { nothingWeighed } from './nothingWeighed';
import { offCentre } from './offCentre';
import { outsideTable } from './outsideTable';
import { overCeiling } from './overCeiling';
import { overWeight } from './overWeight';
import { packOutOfTravel } from './packOutOfTravel';
import { panelTooLong } from './panelTooLong';
import { pitchFeel } from './pitchFeel';
import { pitchFloor } from './pitchFloor';
import { rearStallsFirst } from './rearStallsFirst';
import { rodPastTip } from './rodPastTip';
import { rodTooThick } from './rodTooThick';
import { rollFeel } from './rollFeel';
import { rudderRolls } from './rudderRolls';
import { signOpen } from './signOpen';
import { slowSide } from './slowSide';
import { smallTail } from './smallTail';
import { spanOverBrief } from './spanOverBrief';
import { sparMisplaced } from './sparMisplaced';
import { speedRunsAway } from './speedRunsAway';
import { spiralDive } from './spiralDive';
import { stifferThanWanted } from './stifferThanWanted';
import { tailOverloaded } from './tailOverloaded';
import { thickAtLowReynolds } from './thickAtLowReynolds';
import { thrustLine } from './thrustLine';
import { tipStall } from './tipStall';
import { undercarriagePlace } from './undercarriagePlace';
import { wallows } from './wallows';
import { weakFin } from './weakFin';
import { weightCreep } from './weightCreep';
import { wingUnspared } from './wingUnspared';
import { windOverBrief } from './windOverBrief';
import { breaksInFlight } from './breaksInFlight';
import { twistsAway } from './twistsAway';
import { turnsRound } from './turnsRound';
import { softBoom } from './softBoom';
import { benchOff } from './benchOff';
import { currentOverLimit } from './currentOverLimit';
import { handNearDisc } from './handNearDisc';
import { launchSinks } from './launchSinks';
import { longGroundRun } from './longGroundRun';
import { missionEmpties } from './missionEmpties';
import { oneMotorOut } from './oneMotorOut';
import { propellerCostsGlide } from './propellerCostsGlide';
import { shortDuration } from './shortDuration';
import { weakRubber } from './weakRubber';
import { weakDrive } from './weakDrive';
import { flexUnsettles } from './flexUnsettles';
import { wingsPart } from './wingsPart';
import { weakJoint } from './weakJoint';
import { weakLinkage } from './weakLinkage';
import { yawFeel } from './yawFeel';

export const RULES: readonly Rule[] = [
  nothingWeighed,
  contourUnusable,
  balanceAft,
  balanceForward,
  stifferThanWanted,
  packOutOfTravel,
  narrowWindow,
  cruiseNearStall,
  elevatorAtStop,
  pitchFloor,
  tipStall,
  weakFin,
  overWeight,
  builtAngle,
  equalErrors,
  downwashStrong,
  dragHeight,
  elevonSaturation,
  fastForLaunch,
  fastForPurpose,
  flatVee,
  handsOffTrim,
  hingeRub,
  leftRight,
  loadingOverBrief,
  manoeuvreMargin,
  noseDeparts,
  speedRunsAway,
  offCentre,
  outsideTable,
  overCeiling,
  windOverBrief,
  panelTooLong,
  pitchFeel,
  rearStallsFirst,
  rodPastTip,
  rodTooThick,
  rollFeel,
  rudderRolls,
  slowSide,
  smallTail,
  spanOverBrief,
  sparMisplaced,
  spiralDive,
  tailOverloaded,
  thickAtLowReynolds,
  thrustLine,
  undercarriagePlace,
  wallows,
  weightCreep,
  wingUnspared,
  yawFeel,
  breaksInFlight,
  twistsAway,
  turnsRound,
  softBoom,
  flexUnsettles,
  weakDrive,
  weakRubber,
  currentOverLimit,
  shortDuration,
  missionEmpties,
  launchSinks,
  longGroundRun,
  handNearDisc,
  oneMotorOut,
  propellerCostsGlide,
  benchOff,
  wingsPart,
  weakJoint,
  weakLinkage,
  coarseLattice,
  signOpen,
];
