import { shimFor } from '../../rigging/shim';
import { degreesFromRadians } from '../../units/convert';
import type { Design } from '../../document/schema/design';
import { controlsOf, LEAST_TRAVEL, PITCH_CONTROLS, turned, turnForNeutral } from '../changes';
import type { Remedy } from '../finding';
import type { AnalysisWithoutFindings } from '../rule';
import { makeRule } from '../makeRule';
import { angleWords, nameOf } from '../words';

/** Share of C_Lmax above which a gust stalls it hands off. */
const MOST = 0.85;
/** Share of the up travel that is little. */
const LITTLE_TRAVEL = 0.35;
/** Below this lift it flies off in a dive. */
const LEAST = 0.06;
/** Built angles that differ by less than this are as drawn [°]. */
const AS_DRAWN = 0.15;

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
        label: `Shim ${nameOf(surface)} ${shim.thickness.toFixed(1)} mm under its ${shim.edge} edge, as drawn`,
        change: turned(surface, -error),
      });
    }
    const neutral = turnForNeutral(design, analysis);
    if (neutral && Math.abs(neutral.degrees) >= 0.1) {
      const shim = shimFor(neutral.surface.stations[0]!.chord, neutral.degrees);
      remedies.push({
        label: `Turn ${nameOf(neutral.surface)} ${angleWords(neutral.degrees)}: ${shim.thickness.toFixed(1)} mm under its ${shim.edge} edge`,
        change: turned(neutral.surface, neutral.degrees),
      });
    }
    remedies.push(...taillessRemedies(design, lift));
    const angles = built.map(({ surface, error }) => `${nameOf(surface)} stands ${angleWords(error)} of the drawing`);
    const cure =
      neutral && Math.abs(neutral.degrees) >= 0.1
        ? ` ${nameOf(neutral.surface)} ${angleWords(neutral.degrees)} would mend it, ${shimFor(neutral.surface.stations[0]!.chord, neutral.degrees).thickness.toFixed(1)} mm of shim.`
        : '';
    return {
      severity:
        lift >= most ? 'stop' : lift < LEAST && travelShare(design, analysis) < LITTLE_TRAVEL ? 'note' : 'caution',
      message:
        (lift >= LEAST
          ? `Hands off it settles at a lift coefficient of ${lift.toFixed(2)}, ${lift >= most ? 'beyond' : 'close to'} the ${most.toFixed(2)} at which it stalls${lift >= most ? ': let go, it rears up' : ''}.`
          : `Hands off it finds no lift (${lift.toFixed(2)}): let go, it dives.`) +
        (angles.length > 0 ? ` ${angles.join('; ')}.` : '') +
        cure,
      numbers: { handsOffLift: lift, maximumLift: most, ...(neutral ? { turn: neutral.degrees } : {}) },
      remedies,
    };
  },
);

/** Share of the pitch travel that cruise takes; a dive that little up control stops is how many tailless aircraft are flown. */
function travelShare(design: Design, { trim }: Pick<AnalysisWithoutFindings, 'trim'>): number {
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
      label: `Bend the reflex ${step * 2}° ${sign > 0 ? 'further up' : 'back'}`,
      change: wing.stations.map((station, index) => ({
        field: `/surfaces/${wing.id}/stations/${index}/section/bendAngle`,
        value: station.section.kind === 'reflexed' ? station.section.bendAngle + sign * step * 2 : 0,
      })),
    }));
  return steps.map((step) => ({
    label: `Give the tip ${step * 1.5}° ${sign > 0 ? 'more' : 'less'} washout`,
    change: [
      { field: `/surfaces/${wing.id}/stations/${last}/twist`, value: wing.stations[last]!.twist - sign * step * 1.5 },
    ],
  }));
}
