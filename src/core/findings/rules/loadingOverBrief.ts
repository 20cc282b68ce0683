import { makeRule } from '../makeRule';
import { withChords } from '../changes';

const MOST = 1.1;

/** More wing loading than the brief asked for. */
export const loadingOverBrief = makeRule(
  { id: 'loadingOverBrief', stage: 'weights', source: 'Brief' },
  (design, { mass }) => {
    const wanted = design.brief.targetWingLoading;
    if (wanted === undefined || wanted <= 0 || mass.wingLoading === null) return null;
    const over = (mass.wingLoading * 1000) / wanted;
    if (over <= MOST) return null;
    const wings = design.surfaces.filter(({ role }) => role === 'wing' || role === 'secondWing');
    const percent = Math.ceil((over / MOST - 1) * 160);
    return {
      severity: 'caution',
      message: `It carries ${(mass.wingLoading * 10).toFixed(1)} g/dm², ${Math.round((over - 1) * 100)} % more than the ${(wanted / 100).toFixed(1)} g/dm² of the brief: it will fly and land that much faster.`,
      numbers: { wingLoading: mass.wingLoading, wanted: wanted / 1000 },
      remedies: [
        {
          label: `Make the wing ${percent} % deeper`,
          change: wings.flatMap((wing) => withChords(wing, 1 + percent / 100)),
        },
      ],
    };
  },
);
