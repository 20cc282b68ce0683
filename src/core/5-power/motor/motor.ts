/** A motor by its numbers. */
export interface Motor {
  /** Speed constant [rad/s/V]; the torque constant is its reciprocal. */
  readonly speedConstant: number;
  /** Of winding and leads [Ω]. */
  readonly resistance: number;
  /** What it takes without a load [A]. */
  readonly noLoadCurrent: number;
  /** Revolutions at which that was measured [rad/s]; without it the no-load current is the same at all. */
  readonly noLoadSpeed?: number;
}

/** Revolutions per minute and volt of a label as the speed constant [rad/s/V]. */
export const speedConstantOf = (perMinuteAndVolt: number): number => (perMinuteAndVolt * 2 * Math.PI) / 60;

/** Of the no-load current, what friction and turning magnets take at all revolutions; eddies take the rest, growing with them; C. */
const ALWAYS = 0.5;

/** No-load current at revolutions [A]: I₀(ω) = I₀ (½ + ½ ω/ω₀). Source: Drela, Second-order DC motor model, MIT, 2006. */
export const noLoadAt = ({ noLoadCurrent, noLoadSpeed }: Motor, omega: number): number =>
  noLoadSpeed === undefined ? noLoadCurrent : noLoadCurrent * (ALWAYS + ((1 - ALWAYS) * omega) / noLoadSpeed);

/** What a motor does: torque at the shaft [N·m], current [A]. */
export interface MotorState {
  readonly current: number;
  readonly torque: number;
}

/**
 * I = (V − ω/K_v)/R, Q = (I − I₀)/K_v. Source: Drela, First-order DC motor
 * model, MIT, 2007. @param volts at the motor [V] @param omega of its shaft [rad/s]
 */
export function motorAt(motor: Motor, volts: number, omega: number): MotorState {
  const { speedConstant, resistance } = motor;
  const current = (volts - omega / speedConstant) / resistance;
  return { current, torque: (current - noLoadAt(motor, omega)) / speedConstant };
}

/** The best it can do at a voltage: η = (1 − √(I₀ R/V))² at I = √(V I₀/R). [exact for a constant no-load current] */
export function bestEfficiency({ resistance, noLoadCurrent }: Motor, volts: number) {
  return {
    efficiency: (1 - Math.sqrt((noLoadCurrent * resistance) / volts)) ** 2,
    current: Math.sqrt((volts * noLoadCurrent) / resistance),
  };
}
