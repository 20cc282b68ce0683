import { field } from '@/core/2-document/edit/field';
import { metresPerSecond, say } from '@/core/1-base/words/phrase';
import { APPROACH_OVER_STALL } from '@/core/6-groups/speeds/speeds';
import { makeRule } from '../makeRule';

/** Pitch control runs out before the speed at which one would like to land. */
export const pitchFloor = makeRule(
  { id: 'pitchFloor', stage: 'tail', source: 'Lattice control power; flare at 1.15 times the weight' },
  (design, { speeds }) => {
    if (speeds.pitchFloor === null || speeds.stall === null) return null;
    const usual = APPROACH_OVER_STALL * speeds.stall;
    if (speeds.pitchFloor <= usual) return null;
    const controls = design.surfaces.flatMap((surface) =>
      surface.controls
        .filter((control) => ['elevator', 'elevon', 'ruddervator'].includes(control.function))
        .map((control, index) => ({ surface, control, index })),
    );
    return {
      severity: 'caution',
      message: say`Out of propeller wash, full nose-up control still flares only above ${metresPerSecond(speeds.pitchFloor)}, more than the ${metresPerSecond(usual)} one would approach at: come in faster, or give the control more throw.`,
      numbers: { pitchFloor: metresPerSecond(speeds.pitchFloor), usual: metresPerSecond(usual) },
      remedies: [
        {
          label: 'Give the pitch control 8° more throw up',
          change: controls.map(({ surface, control }) =>
            field('surfaces', surface.id, 'controls', control.id, 'throwUp').to(Math.min(45, control.throwUp + 8)),
          ),
        },
      ],
    };
  },
);
