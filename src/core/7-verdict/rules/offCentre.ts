import { gramsFromKilograms, millimetresFromMetres } from '@/core/1-base/units/convert';
import { field } from '@/core/2-document/edit/field';
import { metres, nameOf, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** Share of the span by which the balance may lie beside the centre. */
const MOST = 0.01;

/** It balances beside its centre line. */
export const offCentre = makeRule(
  { id: 'offCentre', stage: 'balance', source: 'Sum of moments across' },
  (design, { mass, reference }) => {
    if (mass.cg === null || reference.span === null || mass.total === null) return null;
    const off = mass.cg[1];
    if (Math.abs(off) <= MOST * reference.span) return null;
    const side = off > 0 ? 'right' : 'left';
    const item = design.massItems
      .filter(({ mirrored, position }) => !mirrored && Math.sign(position.y) === Math.sign(off))
      .sort(
        (a, b) =>
          (b.measuredMass ?? b.mass) * Math.abs(b.position.y) - (a.measuredMass ?? a.mass) * Math.abs(a.position.y),
      )[0];
    return {
      severity: 'caution',
      message: say`It balances ${metres(Math.abs(off))} to the ${side} of its centre line: that wing hangs, and aileron has to carry it.`,
      numbers: { off: metres(off) },
      remedies: item
        ? [
            {
              label: say`Bring ${nameOf(item)} to where it balances across`,
              change: [
                field('massItems', item.id, 'position', 'y').to(
                  Math.round(
                    item.position.y -
                      (millimetresFromMetres(off) * gramsFromKilograms(mass.total)) / (item.measuredMass ?? item.mass),
                  ),
                ),
              ],
            },
          ]
        : [],
    };
  },
);
