/** A motor by its three numbers. */
export interface Motor {
  /** Speed constant [rad/s/V]; the torque constant is its reciprocal. */
  readonly speedConstant: number;
  /** Of winding and leads [Ω]. */
  readonly resistance: number;
  /** What it takes without a load [A]. */
  readonly noLoadCurrent: number;
}

/** Revolutions per minute and volt of a label as the speed constant [rad/s/V]. */
export const speedConstantOf = (perMinuteAndVolt: number): number => (perMinuteAndVolt * 2 * Math.PI) / 60;

/** What a motor does: torque at the shaft [N·m], current [A]. */
export interface MotorState {
  readonly current: number;
  readonly torque: number;
}

/**
 * First-order motor: I = (V − ω/K_v)/R, Q = (I − I₀)/K_v. Source: Drela,
 * First-order DC motor model, MIT, 2007. @param volts at the motor [V]
 * @param omega of its shaft [rad/s]
 */
export function motorAt({ speedConstant, resistance, noLoadCurrent }: Motor, volts: number, omega: number): MotorState {
  const current = (volts - omega / speedConstant) / resistance;
  return { current, torque: (current - noLoadCurrent) / speedConstant };
}

/** The best it can do at a voltage: η = (1 − √(I₀ R/V))² at I = √(V I₀/R). [exact] */
export function bestEfficiency({ resistance, noLoadCurrent }: Motor, volts: number) {
  return {
    efficiency: (1 - Math.sqrt((noLoadCurrent * resistance) / volts)) ** 2,
    current: Math.sqrt((volts * noLoadCurrent) / resistance),
  };
}
