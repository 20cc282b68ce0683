import { weigh } from '../mass/massModel';
import { placeSurface } from '../geometry/layout';
import type { Design } from '../document/schema/design';
import type { AnalysisWithoutFindings } from '../findings/rule';
import type { AnalyseOptions } from './prepare';

const WHY = 'There is no wing with area yet: add a surface whose role is wing.';

/** Every key of a group null for the same reason. */
function nulls<Key extends string>(keys: readonly Key[], why: string) {
  return {
    ...(Object.fromEntries(keys.map((key) => [key, null])) as Record<Key, null>),
    reasons: Object.fromEntries(keys.map((key) => [key, why])),
  };
}

/** The analysis of a design without a wing: weights, and the reason for all the rest. */
export function emptyAnalysis(design: Design, options: AnalyseOptions): AnalysisWithoutFindings {
  const weights = weigh(design, design.surfaces.map(placeSurface));
  const mass = weights.properties;
  return {
    format: 'inclinar-analysis',
    version: 1,
    options: { surfacesOnly: options.surfacesOnly ?? false, wake: options.wake ?? 'datum' },
    reference: nulls(['area', 'span', 'meanChord', 'meanChordLeadingEdge', 'aspectRatio'], WHY),
    mass: {
      total: mass?.total ?? null,
      cg: mass?.centreOfGravity ?? null,
      inertia: mass?.inertia ?? null,
      wingLoading: null,
      parts: weights.parts,
      reasons: mass
        ? { wingLoading: WHY }
        : {
            total: 'Nothing has a mass yet.',
            cg: 'Nothing has a mass yet.',
            inertia: 'Nothing has a mass yet.',
            wingLoading: WHY,
          },
    },
    pitch: nulls(
      [
        'liftSlope',
        'zeroLiftAlpha',
        'momentSlope',
        'zeroLiftMoment',
        'neutralPoint',
        'neutralPointBand',
        'neutralPointWithoutTail',
        'staticMargin',
        'downwash',
        'downwashSlope',
        'pitchDamping',
        'liftFromElevator',
        'momentFromElevator',
        'momentReference',
      ],
      WHY,
    ),
    lateral: nulls(
      [
        'sideForceSlope',
        'dihedralEffect',
        'yawStiffness',
        'rollDamping',
        'yawDamping',
        'rollFromYawRate',
        'yawFromRollRate',
        'rollFromAileron',
        'yawFromAileron',
        'rollFromRudder',
        'yawFromRudder',
        'sideForceFromRollRate',
        'sideForceFromYawRate',
      ],
      WHY,
    ),
    lift: nulls(['shares'], WHY),
    trim: nulls(['speed', 'alpha', 'elevator', 'liftCoefficient', 'residualMoment'], WHY),
    stall: {
      ...nulls(['liftCoefficient', 'speed', 'startsAtSpanFraction', 'surface'], WHY),
      strips: [],
    },
    drag: {
      ...nulls(['induced', 'spanEfficiency', 'profile', 'parasite', 'total'], WHY),
      polar: [],
    },
    speeds: nulls(['stall', 'approach', 'bestGlide', 'minimumSink', 'pitchFloor', 'glideRatio', 'sink'], WHY),
    window: nulls(['forward', 'aft', 'forwardBecause', 'aftBecause'], WHY),
    schools: [],
    spanLoading: [],
    tails: [],
    sections: [],
    workings: [],
  };
}
