import { field } from '@/core/2-document/edit/field';
import { degrees, joined, millimetres, nameOf, noseTurn, plain, say } from '@/core/1-base/words/phrase';
import { shimFor } from '@/core/6-groups/rigging/shim';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { controlsOf, LEAST_TRAVEL, PITCH_CONTROLS, turned, turnForNeutral } from '../changes';
import type { Remedy } from '../finding';
import type { Numbers } from '@/core/6-groups/page';
import { makeRule } from '../makeRule';

/** Share of C_Lmax above which a gust stalls it hands off. */
const MOST = 0.85;
/** Share of the up travel that is little. */
const LITTLE_TRAVEL = 0.35;
/** Below this lift it flies off in a dive. */
const LEAST = 0.06;
/** Built angles that differ by less than this are as drawn [°]. */
const AS_DRAWN = 0.15;
/** Turning a surface by less is not worth a shim [°]. */
const WORTH_A_SHIM = 0.1;

/** Let go, it settles near or beyond its stall, or in a dive. */
export const handsOffTrim = makeRule(
  { id: 'handsOffTrim', stage: 'rigging', source: 'Etkin & Reid, Dynamics of Flight, section 2.4: C_L where C_m = 0' },
  (design, analysis) => {
    const { rigging, stall } = analysis;
    const lift = rigging.handsOffLift;
    const most = stall.liftCoefficient;
    if (lift === null || most === null || (lift <= MOST * most && lift >= LEAST)) return null;
    const remedies: Remedy[] = [];
    const built = rigging.surfaces.flatMap((line) => {
      const surface = design.surfaces.find(({ id }) => id === line.surface)!;
      const error = degreesFromRadians(line.flown - line.drawn);
      return surface.asBuilt && Math.abs(error) >= AS_DRAWN ? [{ surface, error }] : [];
    });
    for (const { surface, error } of built) {
      const shim = shimFor(surface.stations[0]!.chord, -error);
      remedies.push({
        label: say`Shim ${nameOf(surface)} ${millimetres(shim.thickness, 1)} under its ${shim.edge} edge, as drawn`,
        change: turned(surface, -error),
      });
    }
    const neutral = turnForNeutral(design, analysis);
    if (neutral && Math.abs(neutral.degrees) >= WORTH_A_SHIM) {
      const shim = shimFor(neutral.surface.stations[0]!.chord, neutral.degrees);
      remedies.push({
        label: say`Turn ${nameOf(neutral.surface)} ${noseTurn(neutral.degrees)}: ${millimetres(shim.thickness, 1)} under its ${shim.edge} edge`,
        change: turned(neutral.surface, neutral.degrees),
      });
    }
    remedies.push(...taillessRemedies(design, lift));
    const angles = built.map(({ surface, error }) => say`${nameOf(surface)} stands ${noseTurn(error)} of the drawing`);
    const cure =
      neutral && Math.abs(neutral.degrees) >= WORTH_A_SHIM
        ? say` ${nameOf(neutral.surface)} ${noseTurn(neutral.degrees)} would mend it, ${millimetres(shimFor(neutral.surface.stations[0]!.chord, neutral.degrees).thickness, 1)} of shim.`
        : '';
    return {
      severity:
        lift >= most ? 'stop' : lift < LEAST && travelShare(design, analysis) < LITTLE_TRAVEL ? 'note' : 'caution',
      message: say`${
        lift >= LEAST
          ? say`Hands off it settles at a lift coefficient of ${plain(lift)}, ${lift >= most ? 'beyond' : 'close to'} the ${plain(most)} at which it stalls${lift >= most ? ': let go, it rears up' : ''}.`
          : say`Hands off it finds no lift (${plain(lift)}): let go, it dives.`
      }${angles.length > 0 ? say` ${joined(angles, '; ')}.` : ''}${cure}`,
      numbers: {
        handsOffLift: plain(lift),
        maximumLift: plain(most),
        ...(neutral ? { turn: degrees(neutral.degrees) } : {}),
      },
      remedies,
    };
  },
);

/** Share of the pitch travel that cruise takes; a dive that little up control stops is how many tailless aircraft are flown. */
function travelShare(design: Design, { trim }: Pick<Numbers, 'trim'>): number {
  const travel = Math.min(...controlsOf(design, PITCH_CONTROLS).map(({ control }) => control.throwUp));
  return trim.elevator === null || !(travel >= LEAST_TRAVEL) ? 1 : Math.abs(degreesFromRadians(trim.elevator)) / travel;
}

/** Without a tail the trim lies in washout or reflex. */
function taillessRemedies(design: Design, lift: number): Remedy[] {
  const wing = design.surfaces.find(
    ({ role, controls }) => role === 'wing' && controls.some((control) => control.function === 'elevon'),
  );
  if (!wing) return [];
  const sign = lift < LEAST ? 1 : -1;
  const last = wing.stations.length - 1;
  const steps = [1, 2, 3];
  if (wing.stations.every(({ section }) => section.kind === 'reflexed'))
    return steps.map((step) => ({
      label: say`Bend the reflex ${degrees(step * 2, 0)} ${sign > 0 ? 'further up' : 'back'}`,
      change: wing.stations.map((station, index) =>
        field('surfaces', wing.id, 'stations', index, 'section', 'bendAngle').to(
          station.section.kind === 'reflexed' ? station.section.bendAngle + sign * step * 2 : 0,
        ),
      ),
    }));
  return steps.map((step) => ({
    label: say`Give the tip ${degrees(step * 1.5)} ${sign > 0 ? 'more' : 'less'} washout`,
    change: [field('surfaces', wing.id, 'stations', last, 'twist').to(wing.stations[last]!.twist - sign * step * 1.5)],
  }));
}
