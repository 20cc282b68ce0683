import { weigh } from '../mass/massModel';
import { placeSurface } from '../geometry/layout';
import type { Design } from '../document/schema/design';
import type { AnalysisWithoutFindings } from '../findings/rule';
import { nulls, STALL_KEYS, TRIM_KEYS } from './nulls';
import type { AnalyseOptions } from './prepare';

const NO_WING = 'There is no wing with area yet: add a surface whose role is wing.';

/** The analysis of a design that cannot be solved: weights, and the reason for all the rest. */
export function emptyAnalysis(design: Design, options: AnalyseOptions, why: string = NO_WING): AnalysisWithoutFindings {
  const weights = weigh(design, design.surfaces.map(placeSurface));
  const mass = weights.properties;
  return {
    format: 'inclinar-analysis',
    version: 1,
    options: { surfacesOnly: options.surfacesOnly ?? false, wake: options.wake ?? 'datum' },
    reference: nulls(['area', 'span', 'meanChord', 'meanChordLeadingEdge', 'aspectRatio'], why),
    mass: {
      total: mass?.total ?? null,
      cg: mass?.centreOfGravity ?? null,
      inertia: mass?.inertia ?? null,
      wingLoading: null,
      parts: weights.parts,
      reasons: mass
        ? { wingLoading: why }
        : {
            total: 'Nothing has a mass yet.',
            cg: 'Nothing has a mass yet.',
            inertia: 'Nothing has a mass yet.',
            wingLoading: why,
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
        'manoeuvreMargin',
        'downwash',
        'downwashSlope',
        'pitchDamping',
        'liftFromElevator',
        'momentFromElevator',
        'momentReference',
      ],
      why,
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
      why,
    ),
    lift: nulls(['shares'], why),
    trim: nulls(TRIM_KEYS, why),
    stall: { ...nulls(STALL_KEYS, why), strips: [], liftLeft: {} },
    drag: {
      ...nulls(['induced', 'spanEfficiency', 'profile', 'parasite', 'total'], why),
      polar: [],
    },
    speeds: nulls(['stall', 'approach', 'bestGlide', 'minimumSink', 'pitchFloor', 'glideRatio', 'sink'], why),
    window: nulls(['forward', 'aft', 'forwardBecause', 'aftBecause'], why),
    rigging: { ...nulls(['handsOffLift', 'handsOffSpeed'], why), surfaces: [] },
    feel: { axes: [], bankByRudder: null },
    asymmetry: null,
    motion: { longitudinal: [], lateral: [], reasons: { longitudinal: why, lateral: why } },
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
