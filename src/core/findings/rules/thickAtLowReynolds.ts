import { makeRule } from '../makeRule';
import { nameOf } from '../words';

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
      label: `Make ${nameOf(surface)} ${Math.round(ratio * 100)} % thick`,
      change: surface.stations.flatMap((station, index) => {
        const field = `/surfaces/${surface.id}/stations/${index}/section`;
        if (station.section.kind === 'foldedOverSpar')
          return [
            {
              field: `${field}/sparHeight`,
              value: Math.max(1, Math.round(ratio * station.chord - 2 * station.section.boardThickness)),
            },
          ];
        return station.section.kind === 'fourDigit' ? [{ field: `${field}/thicknessRatio`, value: ratio }] : [];
      }),
    });
    return {
      severity: 'caution',
      message: `${nameOf(surface)} is ${(worst.thicknessRatio * 100).toFixed(1)} % thick at a Reynolds number of ${Math.round(worst.reynolds / 1000)} 000: below about 70 000 the air leaves thick sections, and thin or flat ones lift more.`,
      numbers: { thicknessRatio: worst.thicknessRatio, reynolds: worst.reynolds },
      remedies: [thinner(0.1), thinner(0.08)],
    };
  },
);
