import { weigh } from '../mass/massModel';
import { placeSurface } from '../geometry/layout';
import type { Design } from '../document/schema/design';
import type { AnalysisWithoutFindings } from '../findings/rule';
import { nulls, STALL_KEYS, TRIM_KEYS } from './nulls';
import type { AnalyseOptions } from './prepare';

const WHY = 'There is no wing with area yet: add a surface whose role is wing.';

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
    trim: nulls(TRIM_KEYS, WHY),
    stall: { ...nulls(STALL_KEYS, WHY), strips: [], liftLeft: {} },
    drag: {
      ...nulls(['induced', 'spanEfficiency', 'profile', 'parasite', 'total'], WHY),
      polar: [],
    },
    speeds: nulls(['stall', 'approach', 'bestGlide', 'minimumSink', 'pitchFloor', 'glideRatio', 'sink'], WHY),
    window: nulls(['forward', 'aft', 'forwardBecause', 'aftBecause'], WHY),
    asymmetry: null,
    slipstream: null,
    sharedThrow: null,
    wash: {},
    schools: [],
    spanLoading: [],
    tails: [],
    sections: [],
    workings: [],
  };
}
