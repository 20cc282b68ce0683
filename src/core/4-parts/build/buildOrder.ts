import { degrees, grams, millimetres, say } from '@/core/1-base/words/phrase';
import type { Design } from '@/core/2-document/schema/design';
import type { CutList } from '../part';
import { bodySteps } from './bodySteps';
import { ARMING, type BuildStep, step } from './step';
import { mountSteps, surfaceSteps } from './surfaceSteps';

export type { BuildStep } from './step';

/**
 * The build of this design, step by step: electrics tried before anything is
 * fitted, every part cut once, every joint once with its gate before its glue.
 * What a design has not, its order does not hold.
 */
export function buildOrder(design: Design, list: CutList): BuildStep[] {
  const bodies = design.bodies.filter(({ construction }) => construction);
  return [
    ...electricsFirst(design),
    ...design.surfaces.flatMap((surface) => surfaceSteps(surface, list)),
    ...bodies.flatMap((body) => bodySteps(body.id, body.name || body.id, list)),
    ...(bodies.length > 0 ? design.surfaces.flatMap((surface) => mountSteps(surface, list)) : []),
    ...linkageSteps(design),
    ...lastSteps(design),
  ];
}

function electricsFirst({ massItems, propulsion }: Design): BuildStep[] {
  const hasElectrics = massItems.some(({ category }) =>
    ['motor', 'servo', 'receiver', 'speedController'].includes(category),
  );
  if (!hasElectrics) return [];
  return [
    step({
      id: 'electrics',
      kind: 'test',
      title: 'Try motor, controller, servos and receiver on the bench before anything is fitted',
      reading: propulsion.some(({ kind }) => kind === 'pusher')
        ? 'every servo to both stops and back to its middle; the motor turns so that a pusher blows back'
        : 'every servo to both stops and back to its middle; the motor turns so that it blows back',
      minutes: 20,
      caution: ARMING,
    }),
  ];
}

function linkageSteps({ surfaces }: Design): BuildStep[] {
  return surfaces.flatMap(({ controls }) =>
    controls.map((control) =>
      step({
        id: `${control.id}-linkage`,
        kind: 'fit',
        title: say`Horn, pushrod and servo of ${control.name || control.id}`,
        reading: say`stick in the middle: ${Math.abs(control.neutral) < 0.05 ? 'in line' : say`at ${degrees(control.neutral, 1)}`}; ${degrees(control.throwUp, 0)} up, ${degrees(control.throwDown, 0)} down, the right way`,
        minutes: 15,
        caution: ARMING,
      }),
    ),
  );
}

function lastSteps(design: Design): BuildStep[] {
  const pack = design.massItems.find(({ category }) => category === 'battery');
  const whole = design.massItems.reduce((sum, { mass, mirrored }) => sum + mass * (mirrored ? 2 : 1), 0);
  return [
    ...(design.massItems.length > 0
      ? [
          step({
            id: 'equipment',
            kind: 'fit',
            title: say`Fit the equipment, ${grams(whole, 0)} in all`,
            parts: design.massItems.map(({ name, id }) => name || id),
            minutes: 30,
            caution: ARMING,
          }),
        ]
      : []),
    step({
      id: 'balance',
      kind: 'gate',
      title: 'Balance it on the stand, ready to fly',
      reading: pack
        ? say`inside the window of the balance beam; slide ${pack.name || 'the pack'}, drawn ${millimetres(pack.position.x, 0)} behind the datum`
        : 'inside the window of the balance beam',
      minutes: 10,
    }),
    step({
      id: 'ready',
      kind: 'check',
      title: 'Range, failsafe, throws and every joint once more',
      reading: 'as the radio and your club ask; somebody else looks too',
      minutes: 15,
      caution: 'First flights over empty ground; rules of the country and the club come first.',
    }),
  ];
}
