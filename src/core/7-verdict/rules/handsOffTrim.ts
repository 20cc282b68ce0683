import { field } from '@/core/2-document/edit/field';
import {
  degrees,
  joined,
  millimetres,
  nameOf,
  noseTurn,
  plain,
  say,
  type Phrase,
  seconds,
} from '@/core/1-base/words/phrase';
import { shimFor } from '@/core/3-shape/geometry/shim';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { controlsOf, LEAST_TRAVEL, PITCH_CONTROLS, turned, turnForNeutral } from '../changes';
import type { Remedy, Severity } from '../finding';
import type { Numbers } from '@/core/6-groups/page';
import { makeRule } from '../makeRule';

/** Share of C_Lmax above which a gust stalls it hands off. */
export const MOST_HANDS_OFF = 0.85;
/** Height at which a hand lets go, and at which nobody wants to be surprised [m]. */
export const LAUNCH_HEIGHT = 1.8;
/** Seconds until the ground below which nobody catches it, hardly anybody, and where it is worth a word. */
export const TOO_SOON = 0.65;
const SOON = 0.8;
const NOTICED = 0.95;
/** Share of the up travel that is little: so much of it, trimmed in before the launch, takes a dive away. */
const LITTLE_TRAVEL = 0.35;
/** Moments smaller than this are rounding. */
const NOTHING = 1e-7;
/** Built angles that differ by less than this are as drawn [°]. */
const AS_DRAWN = 0.15;
/** Turning a surface by less is not worth a shim [°]. */
const WORTH_A_SHIM = 0.1;

/** Let go, it settles near or beyond its stall, or in a dive. */
export const handsOffTrim = makeRule(
  { id: 'handsOffTrim', stage: 'rigging', source: 'Etkin & Reid, Dynamics of Flight, section 2.4: C_L where C_m = 0' },
  (design, analysis) => {
    const { rigging, stall } = analysis;
    const most = stall.liftCoefficient;
    const moment = rigging.handsOffMoment;
    if (most === null || moment === null) return null;
    const told = judge(design, analysis, most, moment);
    if (!told) return null;
    const built = rigging.surfaces.flatMap((line) => {
      const surface = design.surfaces.find(({ id }) => id === line.surface)!;
      const error = degreesFromRadians(line.flown - line.drawn);
      return surface.asBuilt && Math.abs(error) >= AS_DRAWN ? [{ surface, error }] : [];
    });
    const remedies: Remedy[] = [];
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
    remedies.push(...taillessRemedies(design, moment < 0));
    const angles = built.map(({ surface, error }) => say`${nameOf(surface)} stands ${noseTurn(error)} of the drawing`);
    return {
      severity: told.severity,
      message: say`${told.says}${angles.length > 0 ? say` ${joined(angles, '; ')}.` : ''}`,
      numbers: {
        ...(rigging.handsOffLift === null ? {} : { handsOffLift: plain(rigging.handsOffLift) }),
        handsOffMoment: plain(moment, 3),
        maximumLift: plain(most),
        ...(neutral ? { turn: degrees(neutral.degrees) } : {}),
      },
      remedies,
    };
  },
);

interface Told {
  readonly severity: Severity;
  readonly says: Phrase;
}

/** What it does when it is let go: worse the smaller the margin and the larger the moment, either way. */
function judge(design: Design, analysis: Numbers, most: number, moment: number): Told | null {
  const { rigging, trim, pitch } = analysis;
  const lift = rigging.handsOffLift;
  const isHeld = pitch.staticMargin === null || pitch.staticMargin > 0;
  if (!isHeld && Math.abs(moment) <= NOTHING) return null;
  if (lift === null || !isHeld) {
    const way = moment > 0 ? 'up' : 'down';
    const says = isHeld
      ? say`Hands off no lift balances it: let go, the nose goes ${way} and does not stop.`
      : say`Hands off nothing holds the nose, and it starts off ${way}: let go, it goes on that way faster and faster.`;
    return { severity: 'stop', says };
  }
  if (lift > MOST_HANDS_OFF * most) {
    const beyond = lift >= most;
    return {
      severity: beyond ? 'stop' : 'caution',
      says: say`Hands off it settles at a lift coefficient of ${plain(lift)}, ${beyond ? 'beyond' : 'close to'} the ${plain(most)} at which it stalls${beyond ? ': let go, it rears up' : ''}.`,
    };
  }
  const level = trim.liftCoefficient;
  if (level === null || lift >= level) return null;
  // Thrown level it carries n = C_L/C_L,cruise of its weight; the rest pulls it down.
  const time = Math.sqrt((2 * LAUNCH_HEIGHT) / (GRAVITY * (1 - lift / level)));
  const grave: Severity | null = time < TOO_SOON ? 'stop' : time < SOON ? 'caution' : time < NOTICED ? 'note' : null;
  if (!grave) return null;
  const eased = travelShare(design, analysis) < LITTLE_TRAVEL ? EASED[grave] : grave;
  if (!eased) return null;
  return {
    severity: eased,
    says: say`Hands off it finds ${lift > 0 ? say`a lift coefficient of only ${plain(lift)}` : say`no lift (${plain(lift)})`} where level flight takes ${plain(level)}: let go, it dives, and from the height of a hand the ground is ${seconds(time, 1)} away. Trim the pitch control before the first launch, or mend the angle.`,
  };
}

/** Where a little up trim, set before the launch, takes the dive away. */
const EASED: Readonly<Record<Severity, Severity | null>> = { stop: 'caution', caution: 'note', note: null };

/** Share of the pitch travel that cruise takes; a dive that little up control stops is how many tailless aircraft are flown. */
function travelShare(design: Design, { trim }: Pick<Numbers, 'trim'>): number {
  const travel = Math.min(...controlsOf(design, PITCH_CONTROLS).map(({ control }) => control.throwUp));
  return trim.elevator === null || !(travel >= LEAST_TRAVEL) ? 1 : Math.abs(degreesFromRadians(trim.elevator)) / travel;
}

/** Without a tail the trim lies in washout or reflex. */
function taillessRemedies(design: Design, dives: boolean): Remedy[] {
  const wing = design.surfaces.find(
    ({ role, controls }) => role === 'wing' && controls.some((control) => control.function === 'elevon'),
  );
  if (!wing) return [];
  const sign = dives ? 1 : -1;
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
