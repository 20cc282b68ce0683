import type { Terrain } from './air';
import { offBungee } from './bungee';
import type { Carried } from './carried';
import type { Throw } from './flightRecord';
import type { FlyingModel } from './flyingModel';
import type { Carrier } from './launches';
import { offWheels } from './wheelRun';

/** What carries a launch from rest; null where there are no wheels to stand on, and it begins where they would let go. */
export const carriedBy = (carrier: Carrier, model: FlyingModel, launch: Throw, terrain: Terrain): Carried | null =>
  carrier === 'line' ? offBungee(model, launch, terrain) : offWheels(model, launch.speed, terrain);
