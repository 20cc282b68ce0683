import type { Analysis } from '@/core/analyse';
import { gramsFromKilograms, metresFromMillimetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { weightRows } from '@/core/4-weight/weightRows';
import type { GateVerdict } from '@/core/8-bench/judgeGate';
import { edgeTravel, throwGates, WAYS } from '@/core/8-bench/throws';
import type { Card, CardLine } from '@/files/cards/cardPdf';
import { decimal, type DisplayUnits, formatMass, formatValue } from '@/words/formatQuantity';

const QUANTITIES: Readonly<Record<GateVerdict['gate']['quantity'], string>> = {
  incidence: 'incidence',
  washout: 'washout at the tip',
  square: 'tail against the wing',
};

/** A gate: what should be read, between which readings it bears, and room for what is. */
function gateLine({ gate, bears }: GateVerdict): CardLine {
  const face = gate.face === null || gate.face === 'chord' ? '' : `, ${gate.face} face`;
  const range = bears ? ` (${decimal(bears[0], 1)} to ${decimal(bears[1], 1)})` : '';
  return {
    words: `${gate.name}, ${QUANTITIES[gate.quantity]}${face}`,
    value: `${decimal(gate.expected, 1)}°${range}`,
    blanks: gate.sides.length === 2 ? ['left', 'right'] : ['read'],
  };
}

/** Everything that is measured while it is built, on one page. */
export function benchCard(
  design: Design,
  verdicts: readonly GateVerdict[],
  analysis: Pick<Analysis, 'mass' | 'window'>,
  units: DisplayUnits,
): Card {
  const length = (millimetres: number) => formatValue(metresFromMillimetres(millimetres), 'length', units);
  const rows = weightRows(design, analysis.mass.parts);
  const { forward, aft } = analysis.window;
  const balance = analysis.mass.cg?.[0] ?? null;
  const at = (metres: number | null) => (metres === null ? '–' : formatValue(metres, 'length', units));
  return {
    title: `${design.name}: bench card`,
    under: 'Level the datum first. Read dry, glue when it is right. In brackets: what the joint bears as it is drawn.',
    blocks: [
      { heading: 'Angles before glue', lines: verdicts.map(gateLine) },
      {
        heading: 'Throws, full stick, from the middle',
        lines: throwGates(design).flatMap((gate) =>
          WAYS.map((way): CardLine => {
            const drawn = gate.drawn[way];
            return {
              words: `${gate.name}, ${gate.called[way]}`,
              value: `${decimal(Math.abs(drawn), 0)}° · ${length(edgeTravel(gate, Math.abs(drawn)))}`,
              blanks: gate.sides.length === 2 ? ['left', 'right'] : ['read'],
            };
          }),
        ),
      },
      {
        heading: 'Balance, aft of the datum',
        lines: [
          { words: 'Balances at', value: at(balance), blanks: ['read'] },
          { words: 'No farther forward than', value: at(forward) },
          { words: 'No farther aft than', value: at(aft) },
          {
            words: 'Ready to fly',
            value: formatMass(gramsFromKilograms(analysis.mass.total ?? 0), units),
            blanks: ['weighed'],
          },
        ],
      },
      {
        heading: 'Weights',
        lines: rows.map((row): CardLine => ({
          words: row.name,
          value: formatMass(row.measured ?? row.computed, units, 1),
          ...(row.measured === null ? { blanks: ['weighed'] } : {}),
        })),
      },
    ],
    caution:
      'Fresh blade, cut away from the hand; ventilate glue and hot wire; propeller off while anything is set up. What is measured does not make it safe.',
  };
}
