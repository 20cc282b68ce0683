import { millimetres, nameOf, noseTurn, percent, plain, radians, say } from '@/core/1-base/words/phrase';
import { shimFor } from '@/core/6-groups/rigging/shim';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import { turned } from '../changes';
import { makeRule } from '../makeRule';

/** Share of C_Lmax by which an error may move the hands-off lift before it is worth a word, and a caution. */
const NOTE = 0.04;
const CAUTION = 0.12;

/** A built angle differs from the drawn one: judged by how far it moves the trim, not by degrees. */
export const builtAngle = makeRule(
  { id: 'builtAngle', stage: 'rigging', source: 'dC_L/dδ = C_Lδ − C_Lα C_mδ/C_mα at neutral control' },
  (design, { rigging, stall, pitch }) => {
    const most = stall.liftCoefficient;
    if (most === null) return null;
    const worst = rigging.surfaces
      .map((line) => ({ line, moved: line.liftPerRadian * (line.flown - line.drawn) }))
      .reduce<{ line: (typeof rigging.surfaces)[number]; moved: number } | null>(
        (a, b) => (a === null || Math.abs(b.moved) > Math.abs(a.moved) ? b : a),
        null,
      );
    if (!worst || Math.abs(worst.moved) < NOTE * most) return null;
    const surface = design.surfaces.find(({ id }) => id === worst.line.surface)!;
    const error = degreesFromRadians(worst.line.flown - worst.line.drawn);
    const shim = shimFor(surface.stations[0]!.chord, -error);
    const margin = pitch.staticMargin === null ? '' : say` at a margin of ${percent(pitch.staticMargin, 1)}`;
    return {
      severity: Math.abs(worst.moved) >= CAUTION * most ? 'caution' : 'note',
      message: say`${nameOf(surface)} is built ${noseTurn(error)} of the drawing. That moves its hands-off lift coefficient by ${worst.moved >= 0 ? '+' : '−'}${plain(Math.abs(worst.moved))}${margin}; ${millimetres(shim.thickness, 1)} under the ${shim.edge} edge brings it back.`,
      numbers: { error: radians(worst.line.flown - worst.line.drawn), moved: plain(worst.moved) },
      remedies: [
        {
          label: say`Shim ${millimetres(shim.thickness, 1)} under its ${shim.edge} edge`,
          change: turned(surface, -error),
        },
      ],
    };
  },
);
