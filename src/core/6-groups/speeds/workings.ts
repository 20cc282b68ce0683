import type { Figures } from '@/core/2-document/schema/figures';
import { input, inputWhenKnown, narrowed, sectionDragBand, sectionLiftBand, whenKnown, type Working } from '../working';

const POLAR = 'Trefftz plane and section table over trimmed states between stall and three times that';
/** Speeds of glide and sink go with about the root of the drag. */
const GLIDE_BAND = 0.12;

interface Values {
  readonly stall: number | null;
  readonly approach: number | null;
  readonly bestGlide: number | null;
  readonly minimumSink: number | null;
  readonly pitchFloor: number | null;
  readonly glideRatio: number | null;
  readonly sink: number | null;
}

interface Beside {
  readonly wingLoading: number | null;
  readonly area: number | null;
  readonly density: number;
  readonly figures: Figures | undefined;
}

/** Approach, glide, sink and flare. */
export function explainSpeeds(speeds: Values, { wingLoading, area, density, figures }: Beside): Working[] {
  const gliding = narrowed(
    { share: GLIDE_BAND, because: sectionDragBand(false).because },
    figures?.spreads.drag === undefined ? undefined : figures.spreads.drag / 2,
  );
  const loading = inputWhenKnown('m/S', 'Wing loading', wingLoading, 'wingLoading');
  const air = input('ρ', 'Air density', density, 'density');
  return [
    ...whenKnown(speeds.approach, (value): Working => ({
      id: 'approach',
      name: 'Reference approach speed',
      symbol: 'V_ref',
      value,
      unit: 'speed',
      formula: 'The larger of 1.3 V_s and the pitch floor speed',
      inputs: [
        ...inputWhenKnown('V_s', 'Stall speed', speeds.stall, 'speed'),
        ...inputWhenKnown(
          'V_p',
          'Slowest speed at which full nose-up control still flares',
          speeds.pitchFloor,
          'speed',
        ),
      ],
      source: 'Usual practice; pitch floor from lattice control power',
      range: 'Power off',
      band: (value * sectionLiftBand(false, figures?.spreads.greatestLift).share) / 2,
      bandBecause: 'As the stall speed.',
    })),
    ...whenKnown(speeds.bestGlide, (value): Working => ({
      id: 'bestGlide',
      name: 'Speed of best glide',
      symbol: 'V_bg',
      value,
      unit: 'speed',
      formula: 'Greatest C_L/C_D on the trimmed polar without power',
      inputs: [...loading, air, ...inputWhenKnown('C_L/C_D', 'Glide ratio there', speeds.glideRatio, 'ratio')],
      source: POLAR,
      range: 'Attached flow',
      band: value * gliding.share,
      bandBecause: gliding.because,
    })),
    ...whenKnown(speeds.minimumSink, (value): Working => ({
      id: 'minimumSink',
      name: 'Speed of least sink',
      symbol: 'V_ms',
      value,
      unit: 'speed',
      formula: 'Least V C_D/C_L on the trimmed polar without power',
      inputs: [...loading, air, ...inputWhenKnown('w', 'Sink there', speeds.sink, 'speed')],
      source: POLAR,
      range: 'Attached flow',
      band: value * gliding.share,
      bandBecause: gliding.because,
    })),
    ...whenKnown(speeds.pitchFloor, (value): Working => ({
      id: 'pitchFloor',
      name: 'Slowest flare',
      symbol: 'V_p',
      value,
      unit: 'speed',
      formula: 'V_p = √(2 n m g / (ρ S C_L,full)), n = 1.15, C_L,full held by full nose-up control, at most C_Lmax',
      inputs: [...loading, air, ...inputWhenKnown('S', 'Wing area', area, 'area')],
      source: 'Lattice control power, limited by the lift the tail itself can carry',
      range: 'Out of propeller wash',
      band: 0.08 * value,
      bandBecause: 'Control power and section lift.',
    })),
  ];
}
