import { controlsWithNeutrals } from './controlsWithNeutrals';
import { recordsBesideTheDesign } from './recordsBesideTheDesign';
import { drivesWithLimits } from './drivesWithLimits';
import { figuresWithSpreads } from './figuresWithSpreads';
import { flightsThatTell } from './flightsThatTell';
import { foldedSpars } from './foldedSpars';
import { layoutsByHand } from './layoutsByHand';
import { rodsWithShapes } from './rodsWithShapes';
import { strengthInputs } from './strengthInputs';
import { tagsViewsUnderlays } from './tagsViewsUnderlays';

/**
 * Steps from one version of the file format to the next, numbered without
 * gaps and pure. Step n turns version n into version n + 1; each has a frozen
 * sample in `tests/samples/` that a test sends through it.
 */
type Step = (document: Record<string, unknown>) => Record<string, unknown>;

export const MIGRATIONS: readonly Step[] = [
  recordsBesideTheDesign,
  controlsWithNeutrals,
  rodsWithShapes,
  tagsViewsUnderlays,
  strengthInputs,
  drivesWithLimits,
  layoutsByHand,
  foldedSpars,
  flightsThatTell,
  figuresWithSpreads,
];

/** Brings a document of an older version to the newest one. */
export function migrate(document: Record<string, unknown>, from: number): Record<string, unknown> {
  return MIGRATIONS.slice(from - 1).reduce((current, step) => step(current), document);
}
