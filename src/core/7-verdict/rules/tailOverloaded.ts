import { isAftTail } from '@/core/2-document/schema/roles';
import { degrees, nameOf, radians, say } from '@/core/1-base/words/phrase';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import { turned, turnForNeutral } from '../changes';
import { makeRule } from '../makeRule';

/** Angle against the air it meets at which a thin tail is near its own stall [°]. */
const MOST = 8;

/** At cruise the tail itself works near its stall. */
export const tailOverloaded = makeRule(
  {
    id: 'tailOverloaded',
    stage: 'rigging',
    source: 'Flat plates stall between 9° and 12° (Schmitz 1941; Mueller 1985)',
  },
  (design, analysis) => {
    const lines = analysis.rigging.surfaces.filter(({ surface }) => {
      const of = design.surfaces.find(({ id }) => id === surface);
      return of !== undefined && isAftTail(of);
    });
    const worst = lines.sort((a, b) => Math.abs(b.againstAir) - Math.abs(a.againstAir))[0];
    if (!worst || analysis.trim.alpha === null) return null;
    const angle = degreesFromRadians(worst.againstAir);
    if (Math.abs(angle) <= MOST) return null;
    const surface = design.surfaces.find(({ id }) => id === worst.surface)!;
    const neutral = turnForNeutral(design, analysis);
    return {
      severity: 'caution',
      message: say`${nameOf(surface)} meets the air at ${degrees(angle, 1)} in cruise, near the 9° to 12° at which thin tails stall: a gust takes its hold away.`,
      numbers: { angle: radians(worst.againstAir) },
      remedies:
        neutral && neutral.surface.id === surface.id
          ? [
              {
                label: say`Turn it ${degrees(neutral.degrees, 1)} and keep the control neutral`,
                change: turned(surface, neutral.degrees),
              },
            ]
          : [],
    };
  },
);
