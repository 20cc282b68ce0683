/** Every key of a group null for the same reason. */
export function nulls<Key extends string>(keys: readonly Key[], why: string) {
  return {
    ...(Object.fromEntries(keys.map((key) => [key, null])) as Record<Key, null>),
    reasons: Object.fromEntries(keys.map((key) => [key, why])),
  };
}

export const TRIM_KEYS = [
  'speed',
  'alpha',
  'elevator',
  'liftCoefficient',
  'residualMoment',
  'tailIncidence',
  'flapElevator',
  'thrustMoment',
  'elevatorPowerOff',
] as const;

export const STALL_KEYS = [
  'liftCoefficient',
  'speed',
  'startsAtSpanFraction',
  'surface',
  'marginAtRollControls',
  'washoutToMoveInboard',
  'flappedLiftCoefficient',
  'flappedSpeed',
  'flapDroop',
] as const;
