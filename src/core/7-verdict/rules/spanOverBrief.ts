import { isWing } from '@/core/2-document/schema/roles';
import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { metres, millimetres, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';
import { withLength } from '../changes';

/** Half a millimetre is what a ruler shows [mm]. */
const ROUNDING = 0.5;
/** A small miss of a round number: sand the tips. */
const SMALL_MISS = 1.02;

/** Wider than the brief allows. */
export const spanOverBrief = makeRule(
  { id: 'spanOverBrief', stage: 'wing', source: 'Brief' },
  (design, { reference }) => {
    const most = design.brief.maximumSpan;
    if (
      most === undefined ||
      most <= 0 ||
      reference.span === null ||
      millimetresFromMetres(reference.span) <= most + ROUNDING
    )
      return null;
    const factor = Math.floor((most / millimetresFromMetres(reference.span)) * 1e4) / 1e4;
    return {
      severity: millimetresFromMetres(reference.span) > SMALL_MISS * most ? 'caution' : 'note',
      message: say`The span of ${metres(reference.span)} is more than the ${millimetres(most)} of the brief.`,
      numbers: { span: metres(reference.span), limit: millimetres(most) },
      remedies: [
        {
          label: say`Shorten the wing to ${millimetres(most)}`,
          change: design.surfaces.filter(isWing).flatMap((wing) => withLength(wing, factor)),
        },
      ],
    };
  },
);
