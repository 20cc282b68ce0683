import { canBalance } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { PowerSheet } from './PowerSheet';
import { PowerStage } from './PowerStage';

export const power = {
  path: 'power',
  title: 'Power',
  isStarted: (design) =>
    canBalance(design) && design.propulsion.some(({ motor, pack, rubber }) => (motor && pack) ?? rubber),
  task: 'Say what motor, propeller and pack it has, until it climbs, lasts and cruises at half to three quarters of the throttle.',
  fields: [],
  Sheet: PowerSheet,
  Inputs: PowerStage,
} as const satisfies StageEntry;
