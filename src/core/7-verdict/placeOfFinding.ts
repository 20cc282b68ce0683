import { isFin, isPitchTail, isWing } from '@/core/2-document/schema/roles';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { developedLength, placeSurface, planformAt } from '@/core/3-shape/geometry/layout';
import { slidingItems } from '@/core/4-weight/placement';
import type { Numbers } from '@/core/6-groups/page';
import type { Finding } from './finding';

/** What a rule speaks of, where that is a thing that can be pointed at. */
type Subject = 'balance' | 'wing' | 'stalling' | 'tail' | 'fin' | 'pack' | 'drive' | 'wheels' | 'none';

/** Of every rule; one without an entry is found by a test. */
export const SUBJECTS: Readonly<Record<string, Subject>> = {
  nothingWeighed: 'none',
  contourUnusable: 'wing',
  balanceAft: 'balance',
  balanceForward: 'balance',
  stifferThanWanted: 'balance',
  packOutOfTravel: 'pack',
  narrowWindow: 'balance',
  cruiseNearStall: 'wing',
  elevatorAtStop: 'tail',
  pitchFloor: 'tail',
  tipStall: 'stalling',
  weakFin: 'fin',
  overWeight: 'none',
  builtAngle: 'tail',
  equalErrors: 'tail',
  downwashStrong: 'tail',
  dragHeight: 'balance',
  elevonSaturation: 'wing',
  fastForLaunch: 'wing',
  fastForPurpose: 'wing',
  flatVee: 'tail',
  handsOffTrim: 'tail',
  hingeRub: 'tail',
  leftRight: 'wing',
  loadingOverBrief: 'wing',
  manoeuvreMargin: 'balance',
  breaksInFlight: 'wing',
  twistsAway: 'wing',
  turnsRound: 'wing',
  softBoom: 'tail',
  flexUnsettles: 'wing',
  weakDrive: 'drive',
  benchOff: 'drive',
  currentOverLimit: 'drive',
  handNearDisc: 'drive',
  launchSinks: 'drive',
  longGroundRun: 'drive',
  missionEmpties: 'drive',
  oneMotorOut: 'drive',
  propellerCostsGlide: 'drive',
  shortDuration: 'drive',
  weakRubber: 'drive',
  wingsPart: 'wing',
  weakJoint: 'none',
  weakLinkage: 'none',
  noseDeparts: 'fin',
  speedRunsAway: 'drive',
  offCentre: 'balance',
  outsideTable: 'wing',
  overCeiling: 'none',
  windOverBrief: 'none',
  panelTooLong: 'wing',
  pitchFeel: 'tail',
  rearStallsFirst: 'stalling',
  rodPastTip: 'wing',
  rodTooThick: 'wing',
  rollFeel: 'wing',
  rudderRolls: 'fin',
  slowSide: 'balance',
  smallTail: 'tail',
  spanOverBrief: 'wing',
  sparMisplaced: 'wing',
  spiralDive: 'wing',
  tailOverloaded: 'tail',
  thickAtLowReynolds: 'wing',
  thrustLine: 'drive',
  undercarriagePlace: 'wheels',
  wallows: 'fin',
  weightCreep: 'none',
  wingUnspared: 'wing',
  yawFeel: 'fin',
  coarseLattice: 'none',
  signOpen: 'balance',
};

/** A point of the aircraft, right side, in the document's millimetres. */
export interface PointedAt {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** Where along a surface something is pointed at that has no place of its own. */
const MIDDLE = 0.5;

function onSurface(surface: Surface, share: number): PointedAt {
  const placed = placeSurface(surface);
  const { x, y, z, chord } = planformAt(placed, share * developedLength(placed));
  return { x: millimetresFromMetres(x + chord / 2), y: millimetresFromMetres(y), z: millimetresFromMetres(z) };
}

/** The surface whose fields a remedy changes, where it changes those of one alone. */
function changedSurface(design: Design, { remedies }: Finding): Surface | undefined {
  const ids = new Set(
    remedies.flatMap(({ change }) =>
      change.flatMap(({ field }) => {
        const [, list, id] = field.split('/');
        return list === 'surfaces' && id ? [id] : [];
      }),
    ),
  );
  return ids.size === 1 ? design.surfaces.find(({ id }) => ids.has(id)) : undefined;
}

/** Where on the aircraft a finding is; null where it is nowhere in particular. */
export function placeOfFinding(
  design: Design,
  { mass, stall }: Pick<Numbers, 'mass' | 'stall'>,
  finding: Finding,
): PointedAt | null {
  const { surfaces, propulsion, wheels } = design;
  const one = (surface: Surface | undefined, share = MIDDLE) => (surface ? onSurface(surface, share) : null);
  const balance = mass.cg ? { x: millimetresFromMetres(mass.cg[0]), y: 0, z: millimetresFromMetres(mass.cg[2]) } : null;
  switch (SUBJECTS[finding.id]) {
    case 'balance':
      return balance;
    case 'stalling':
      return one(
        surfaces.find(({ id }) => id === stall.surface),
        stall.startsAtSpanFraction ?? MIDDLE,
      );
    case 'wing': {
      const changed = changedSurface(design, finding);
      return one(changed && isWing(changed) ? changed : surfaces.find(isWing));
    }
    case 'tail':
      return one(surfaces.find(isPitchTail) ?? surfaces.find(isWing));
    case 'fin':
      return one(surfaces.find(isFin) ?? surfaces.find(({ role }) => role === 'vTail'));
    case 'pack':
      return slidingItems(design)[0]?.position ?? balance;
    case 'drive':
      return propulsion[0]?.position ?? null;
    case 'wheels':
      return wheels[0]?.position ?? null;
    default:
      return null;
  }
}
