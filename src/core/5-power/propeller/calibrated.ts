import type { Newtons } from '@/core/1-base/units/convert';
import type { PropellerTable } from './propellerTable';

/** A propeller that gives so many times the thrust and takes so many times the torque that its shape says, at all speeds. */
export const calibrated = (table: PropellerTable, thrust: number, torque: number): PropellerTable =>
  thrust === 1 && torque === 1
    ? table
    : {
        propeller: table.propeller,
        at: (speed, perSecond) => {
          const own = table.at(speed, perSecond);
          return { thrust: (own.thrust * thrust) as Newtons, torque: own.torque * torque };
        },
      };
