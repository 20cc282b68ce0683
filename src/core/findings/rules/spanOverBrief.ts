import { makeRule } from '../makeRule';
import { withLength } from '../changes';

/** Wider than the brief allows. */
export const spanOverBrief = makeRule(
  { id: 'spanOverBrief', stage: 'wing', source: 'Brief' },
  (design, { reference }) => {
    const most = design.brief.maximumSpan;
    if (most === undefined || most <= 0 || reference.span === null || reference.span * 1000 <= most + 0.5) return null;
    const factor = Math.floor((most / (reference.span * 1000)) * 1e4) / 1e4;
    return {
      severity: 'caution',
      message: `The span of ${Math.round(reference.span * 1000)} mm is more than the ${Math.round(most)} mm of the brief.`,
      numbers: { span: reference.span, limit: most / 1000 },
      remedies: [
        {
          label: `Shorten the wing to ${Math.round(most)} mm`,
          change: design.surfaces
            .filter(({ role }) => role === 'wing' || role === 'secondWing')
            .flatMap((wing) => withLength(wing, factor)),
        },
      ],
    };
  },
);
