import { field, type FieldChange } from '@/core/2-document/edit/field';
import { degrees, nameOf, percent, radiansPerSecond, say } from '@/core/1-base/words/phrase';
import type { Numbers } from '@/core/6-groups/page';
import type { Design } from '@/core/2-document/schema/design';
import { degreesFromRadians, radiansFromDegrees } from '@/core/1-base/units/convert';
import { controlsOf, LEAST_TRAVEL, ROLL_CONTROLS, YAW_CONTROLS } from '../changes';
import type { Remedy } from '../finding';
import { makeRule } from '../makeRule';

/** Share of the travel that holding the wings level may take. */
const NOTE = 0.08;
export const ROLL_CAUTION = 0.25;
const STOP = 0.8;
/** Sides that differ by less are alike [°]. */
const ALIKE = 0.05;
/** Roll rate that takes a hand launch by surprise [°/s]. */
export const FAST_ROLL = 15;
/** Roll rate that cannot be left alone where nothing holds it [°/s]. */
const UNHELD = 3;

/** What differences between left and right ask for. */
export interface RollAsked {
  /** Of the command that holds the wings, to the right, and how far it goes [°]; none where nothing rolls it. */
  readonly asked: number;
  readonly travel: number;
  readonly command: 'aileron' | 'rudder' | null;
  /** Let go, right wing down [°/s]. */
  readonly rate: number;
  /** Of the travel; all of it where nothing can hold it. */
  readonly share: number;
}

/** Null where it is not trimmed. */
export function rollAsked(
  design: Design,
  { asymmetry, trim, reference }: Pick<Numbers, 'asymmetry' | 'trim' | 'reference'>,
): RollAsked | null {
  if (!asymmetry || trim.speed === null || reference.span === null) return null;
  const rolls = controlsOf(design, ROLL_CONTROLS);
  const control = rolls.length > 0 ? rolls : controlsOf(design, YAW_CONTROLS);
  const asked = degreesFromRadians((rolls.length > 0 ? asymmetry.aileron : asymmetry.rudder) ?? 0);
  const travel = Math.min(...control.map(({ control: { throwUp, throwDown } }) => Math.min(throwUp, throwDown)));
  const rate = degreesFromRadians((asymmetry.steadyRoll * 2 * trim.speed) / reference.span);
  const isHeld = control.length > 0 && travel >= LEAST_TRAVEL;
  const share = isHeld ? Math.abs(asked) / travel : Math.abs(rate) > UNHELD ? 1 : 0;
  return { asked, travel, command: control.length === 0 ? null : rolls.length > 0 ? 'aileron' : 'rudder', rate, share };
}

/** Left and right differ: a warp, an angle, a mass off the centre. Judged by the roll it asks to be held. */
export const leftRight = makeRule(
  { id: 'leftRight', stage: 'rigging', source: 'Antisymmetric lattice solution of the differences' },
  (design, analysis) => {
    const roll = rollAsked(design, analysis);
    if (!roll) return null;
    const { asked, command, rate, share } = roll;
    if (share < NOTE) return null;
    const side = rate >= 0 ? 'right' : 'left';
    return {
      severity: share >= STOP ? 'stop' : share >= ROLL_CAUTION || Math.abs(rate) >= FAST_ROLL ? 'caution' : 'note',
      message: say`Left and right differ: let go, it rolls to the ${side} at ${radiansPerSecond(radiansFromDegrees(Math.abs(rate)))}. ${
        command === null
          ? 'Nothing on it can hold that.'
          : say`Holding it takes ${degrees(Math.abs(asked), 1)} of ${command}, ${percent(share, 0)} of the travel.`
      }`,
      numbers: { rollRate: radiansPerSecond(radiansFromDegrees(rate)), share: percent(share) },
      remedies: alikeAgain(design),
    };
  },
);

/** Both sides brought to the mean of what was measured, a control to its neutral, a tail square to the wing. */
function alikeAgain(design: Design): Remedy[] {
  return [
    ...sidesAlike(design),
    ...design.bodies.flatMap((body): Remedy[] =>
      body.asBuilt?.twist
        ? [
            {
              label: say`Set the tail square to the wing on ${nameOf(body)}`,
              change: [field('bodies', body.id, 'asBuilt', 'twist').to(0)],
            },
          ]
        : [],
    ),
    ...design.surfaces.flatMap((surface) =>
      surface.controls.flatMap((control): Remedy[] => {
        const { left = control.neutral, right = control.neutral } = control.asBuilt ?? {};
        if (Math.abs(left - right) < ALIKE || !control.asBuilt) return [];
        return [
          {
            label: say`Set both sides of ${nameOf(control)} alike`,
            change: [
              field('surfaces', surface.id, 'controls', control.id, 'asBuilt').to({
                left: control.neutral,
                right: control.neutral,
              }),
            ],
          },
        ];
      }),
    ),
  ];
}

function sidesAlike(design: Design): Remedy[] {
  return design.surfaces.flatMap((surface): Remedy[] => {
    const { left, right } = surface.asBuilt ?? {};
    const change = (['incidence', 'tipTwist'] as const).flatMap((reading): FieldChange[] => {
      const drawn = reading === 'incidence' ? surface.incidence : surface.stations.at(-1)!.twist;
      const [a, b] = [left?.[reading] ?? drawn, right?.[reading] ?? drawn];
      if (Math.abs(a - b) < ALIKE) return [];
      const mean = Math.round(((a + b) / 2) * 100) / 100;
      return [
        ...(left?.[reading] === undefined
          ? []
          : [
              field('surfaces', surface.id, 'asBuilt', 'left', reading).to(
                right?.[reading] === undefined ? drawn : mean,
              ),
            ]),
        ...(right?.[reading] === undefined
          ? []
          : [
              field('surfaces', surface.id, 'asBuilt', 'right', reading).to(
                left?.[reading] === undefined ? drawn : mean,
              ),
            ]),
      ];
    });
    return change.length > 0 ? [{ label: say`Make both sides of ${nameOf(surface)} alike`, change }] : [];
  });
}
