import { metresPerSecond, say } from '@/core/1-base/words/phrase';
import type { Design } from '@/core/2-document/schema/design';
import { isWing } from '@/core/2-document/schema/roles';
import { PITCH_CONTROLS } from '../changes';
import { makeRule } from '../makeRule';
import { boomRemedies, softestBoom } from '../stiffenings';

/** Nearer than that to cruise speed a gust or a short dive is enough; C, practice. */
const NEAR_CRUISE = 1.4;

/**
 * Pitch and yaw are asked for half as much dynamic pressure again as in the fastest dive,
 * √1.5 in speed, as divergence is; the figure of roll is on the safe side, since
 * a section that a hinge cuts counts as open.
 */
const MARGIN = 1.22;

/** Nearer than that to the speed at which something turns away every effect changes fast; C, practice. */
const NEAR_AWAY = 0.9;

/** A command that acts backward at a speed that it may reach, since what it turns bends the other way. */
export const turnsRound = makeRule(
  { id: 'turnsRound', stage: 'strength', source: 'Bisplinghoff, Ashley & Halfman, Aeroelasticity, ch. 8' },
  (design, { strength }) => {
    const { aileronReversalSpeed, rudderReversalSpeed, elevatorReversalSpeed, divergenceSpeed, diveSpeed } = strength;
    if (diveSpeed === null) return null;
    const found = (
      [
        ['roll', aileronReversalSpeed, 1],
        ['yaw', rudderReversalSpeed, MARGIN],
        ['pitch', elevatorReversalSpeed, MARGIN],
      ] as const
    ).flatMap(([axis, speed, margin]) =>
      // What twists away before or hardly later is told of by itself.
      speed !== null && speed < margin * diveSpeed && speed < NEAR_AWAY * (divergenceSpeed ?? Infinity)
        ? [{ axis, speed }]
        : [],
    );
    const first = found.toSorted((a, b) => a.speed - b.speed)[0];
    if (!first) return null;
    const cruise = design.conditions.cruiseSpeed;
    const speed = metresPerSecond(first.speed);
    const byWing = first.axis === 'roll' || (first.axis === 'pitch' && pitchesByWing(design));
    const boom = byWing ? undefined : softestBoom(strength.booms);
    return {
      severity: first.speed <= cruise ? 'stop' : first.speed < NEAR_CRUISE * cruise ? 'caution' : 'note',
      message: byWing
        ? say`From ${speed} on the wing twists so far that the ${first.axis} command acts backward. Stiffen it against twist, or move the ${
            first.axis === 'roll' ? 'ailerons' : 'elevons'
          } inboard.`
        : say`From ${speed} on the tail bends so far that the ${first.axis} command acts backward. Take a stiffer boom, or a shorter one.`,
      remedies: boomRemedies(design, boom),
      numbers: { speed, dive: metresPerSecond(diveSpeed) },
    };
  },
);

/** Whether what answers to pitch hangs on wings alone. */
const pitchesByWing = ({ surfaces }: Design): boolean =>
  surfaces.every(
    (surface) =>
      isWing(surface) || surface.controls.every((control) => !PITCH_CONTROLS.some((own) => own === control.function)),
  );
