import { withFields } from '@/core/2-document/applyChange';
import { type Design, designSchema } from '@/core/2-document/schema/design';
import type { Finding, Remedy, Severity } from '../finding';
import type { Numbers } from '@/core/6-groups/page';
import type { Rule } from '../rule';
import { balanceAft } from './balanceAft';
import { balanceForward } from './balanceForward';
import { builtAngle } from './builtAngle';
import { cruiseNearStall } from './cruiseNearStall';
import { downwashStrong } from './downwashStrong';
import { dragHeight } from './dragHeight';
import { elevatorAtStop } from './elevatorAtStop';
import { elevonSaturation } from './elevonSaturation';
import { fastForLaunch } from './fastForLaunch';
import { flatVee } from './flatVee';
import { foldTooTight } from './foldTooTight';
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
import { rollFeel } from './rollFeel';
import { rudderRolls } from './rudderRolls';
import { slowSide } from './slowSide';
import { smallTail } from './smallTail';
import { spanOverBrief } from './spanOverBrief';
import { sparMisplaced } from './sparMisplaced';
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
import { yawFeel } from './yawFeel';

export const RULES: readonly Rule[] = [
  nothingWeighed,
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
  downwashStrong,
  dragHeight,
  elevonSaturation,
  fastForLaunch,
  flatVee,
  foldTooTight,
  handsOffTrim,
  hingeRub,
  leftRight,
  loadingOverBrief,
  manoeuvreMargin,
  noseDeparts,
  offCentre,
  outsideTable,
  overCeiling,
  panelTooLong,
  pitchFeel,
  rearStallsFirst,
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
];

const RANK: Record<Severity, number> = { stop: 2, caution: 1, note: 0 };

type TryOut = (changed: Design) => Numbers;

/** What every rule says, gravest first. */
export function checkRules(design: Design, numbers: Numbers): Finding[] {
  return RULES.flatMap((rule) => rule.check(design, numbers) ?? []).sort((a, b) => RANK[b.severity] - RANK[a.severity]);
}

/**
 * Findings with the remedies that hold: each candidate is applied to a copy,
 * computed again, and kept only if its finding is gone and nothing graver or
 * new of the same weight has come. Without `tryOut` no remedy is offered.
 */
export function findFindings(design: Design, numbers: Numbers, tryOut: TryOut | null): Finding[] {
  const findings = checkRules(design, numbers);
  return findings.map((finding) => ({
    ...finding,
    remedies: tryOut ? finding.remedies.filter((remedy) => holds(design, finding, remedy, findings, tryOut)) : [],
  }));
}

function holds(
  design: Design,
  finding: Finding,
  { change }: Remedy,
  before: readonly Finding[],
  tryOut: TryOut,
): boolean {
  const changed = designSchema.safeParse(withFields(design, change));
  if (!changed.success) return false;
  const after = checkRules(changed.data, tryOut(changed.data));
  return (
    after.every(({ id }) => id !== finding.id) &&
    after.every((other) => {
      const known = before.find(({ id }) => id === other.id);
      return known ? RANK[other.severity] <= RANK[known.severity] : RANK[other.severity] < RANK[finding.severity];
    })
  );
}
