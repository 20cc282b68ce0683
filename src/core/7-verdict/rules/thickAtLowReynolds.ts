import { field } from '@/core/2-document/edit/field';
import { nameOf, percent, plain, say, thousands } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** Below this Reynolds number thick sections lose their lift (Schmitz 1941); above the other they work. */
const COLLAPSE = 7e4;
const THICK = 0.11;

/** A thick section at a Reynolds number at which thick sections collapse. */
export const thickAtLowReynolds = makeRule(
  {
    id: 'thickAtLowReynolds',
    stage: 'section',
    source: 'Schmitz, Aerodynamik des Flugmodells, 1941; Mueller 1985 (±20 % in Reynolds number)',
  },
  (design, { sections }) => {
    const worst = sections
      .filter(
        ({ reynolds, thicknessRatio, family }) => family === 'thick' && reynolds < COLLAPSE && thicknessRatio > THICK,
      )
      .sort((a, b) => b.thicknessRatio - a.thicknessRatio)[0];
    if (!worst) return null;
    const surface = design.surfaces.find(({ id }) => id === worst.surface)!;
    const thinner = (ratio: number) => ({
      label: say`Make ${nameOf(surface)} ${percent(ratio, 0)} thick`,
      change: surface.stations.flatMap((station, index) => {
        const of = ['surfaces', surface.id, 'stations', index, 'section'] as const;
        if (station.section.kind === 'foldedOverSpar') {
          const height = Math.round(ratio * station.chord - 2 * station.section.boardThickness);
          return [field(...of, 'sparHeight').to(Math.max(1, height))];
        }
        return station.section.kind === 'fourDigit' ? [field(...of, 'thicknessRatio').to(ratio)] : [];
      }),
    });
    return {
      severity: 'caution',
      message: say`${nameOf(surface)} is ${percent(worst.thicknessRatio, 1)} thick at a Reynolds number of ${thousands(worst.reynolds)}: below about 70 000 the air leaves thick sections, and thin or flat ones lift more.`,
      numbers: { thicknessRatio: percent(worst.thicknessRatio), reynolds: plain(worst.reynolds, 0) },
      remedies: [thinner(0.1), thinner(0.08)],
    };
  },
);
