import type { MetresPerSecond } from '@/core/1-base/units/convert';

/** How an axis answers to full stick. */
export type Feel = 'none' | 'tooLittle' | 'calm' | 'lively' | 'tooMuch';

/** One axis at the speed at which control is judged. SI, rad. */
export interface AxisFeel {
  readonly axis: 'roll' | 'yaw' | 'pitch';
  readonly feel: Feel;
  /** Roll: steady roll rate [rad/s]. Yaw: steady sideslip [rad]. Pitch: load factor beyond one. None beyond the stall. */
  readonly response: number;
  /** What is judged: pb/2V that is asked; sideslip asked over what the fin carries; lift asked over what the wing has left. */
  readonly measure: number;
  /** Share of the present travel that would feel calm; null when it does already. */
  readonly travelShare: number | null;
}

export interface ControlFeel {
  /** Speed at which control is judged: twice that of the stall, or cruise if slower [m/s]. */
  readonly speed: MetresPerSecond | null;
  readonly axes: readonly AxisFeel[];
  /** Bank after one second of full rudder to the right, through dihedral [rad]; negative rolls to the left. Null without a rudder. */
  readonly bankByRudder: number | null;
}

/**
 * Bands of the measures: from too little over calm and lively to too much.
 * Roll: helix angle pb/2V, 0.07 asked of transports and 0.09 of fighters
 * (Perkins & Hage, Airplane Performance, Stability and Control, 1949, ch. 9);
 * models feel calm from half of that and are flown up to three times as much. Yaw: sideslip of full rudder over the one
 * at which the fin stalls. Pitch: lift of full elevator over what the wing has left at twice the stall speed. Practice of
 * the field beside it; ±30 %.
 */
const BANDS: Readonly<
  Record<
    AxisFeel['axis'],
    { readonly least: number; readonly lively: number; readonly most: number; readonly calm: number }
  >
> = {
  roll: { least: 0.035, lively: 0.12, most: 0.22, calm: 0.08 },
  yaw: { least: 0.4, lively: 1.8, most: 2.8, calm: 1.1 },
  pitch: { least: 0.5, lively: 2, most: 4, calm: 1.2 },
};

/** A measure below this is no control at all. */
const NOTHING = 1e-4;

/** Judges one axis by its measure. @param throwFor share of the throws for a share of their effect */
export function axisOf(
  axis: AxisFeel['axis'],
  response: number,
  measure: number,
  throwFor: (effect: number) => number = (effect) => effect,
): AxisFeel {
  const { least, lively, most, calm } = BANDS[axis];
  const size = Math.abs(measure);
  const feel: Feel =
    size < NOTHING
      ? 'none'
      : size < least
        ? 'tooLittle'
        : size <= lively
          ? 'calm'
          : size <= most
            ? 'lively'
            : 'tooMuch';
  return {
    axis,
    feel,
    response,
    measure,
    travelShare: feel === 'calm' || feel === 'lively' || feel === 'none' ? null : throwFor(calm / size),
  };
}
