import type { Motion } from './attachedLoads';

/** What a pilot does. */
export interface Commands extends Pick<Motion, 'pitch' | 'roll' | 'yaw' | 'flap'> {
  /** Shares of full stick, nose up and to the right, for drives that tilt with them; in the middle without. */
  readonly sticks?: Readonly<Record<'pitch' | 'roll' | 'yaw', number>>;
}
