import { field } from '@/core/2-document/edit/field';
import { millimetres, nameOf, say } from '@/core/1-base/words/phrase';
import { hingeClearances, LEAST_GAP } from '@/core/3-shape/geometry/hingeClearance';
import { makeRule } from '../makeRule';

/** A control meets the fuselage when it moves. */
export const hingeRub = makeRule(
  { id: 'hingeRub', stage: 'tail', source: 'Width of the body along the sweep of the control' },
  (design) => {
    const tight = hingeClearances(design).filter(({ gap }) => gap < LEAST_GAP);
    const worst = tight.reduce<(typeof tight)[number] | null>((a, b) => (a === null || b.gap < a.gap ? b : a), null);
    if (!worst) return null;
    const surface = design.surfaces.find(({ id }) => id === worst.surface)!;
    const control = surface.controls.find(({ id }) => id === worst.control)!;
    const body = design.bodies.find(({ id }) => id === worst.body)!;
    const missing = LEAST_GAP + 1 - worst.gap;
    const from = Math.ceil((control.from + missing / surface.stations.at(-1)!.distanceFromRoot) * 1000) / 1000;
    return {
      severity: 'caution',
      message:
        worst.gap < 0
          ? say`${nameOf(control)} runs ${millimetres(-worst.gap)} into ${nameOf(body).toLowerCase()} when it moves: cut it free at its inboard end.`
          : say`${nameOf(control)} has ${millimetres(worst.gap, 1)} to ${nameOf(body).toLowerCase()}: foam swells and rubs, leave ${millimetres(LEAST_GAP)} or more.`,
      numbers: { gap: millimetres(worst.gap) },
      remedies: [
        {
          label: say`Begin ${nameOf(control)} ${millimetres(missing, 0)} further out`,
          change: [field('surfaces', surface.id, 'controls', control.id, 'from').to(from)],
        },
      ],
    };
  },
);
