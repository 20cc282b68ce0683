import type { Rule } from '../rule';
import { inSpeed } from '../words';

/** Pitch control runs out before the speed at which one would like to land. */
export const pitchFloor: Rule = {
  id: 'pitchFloor',
  check: (design, { speeds }) => {
    if (speeds.pitchFloor === null || speeds.stall === null) return null;
    const usual = 1.3 * speeds.stall;
    if (speeds.pitchFloor <= usual) return null;
    const controls = design.surfaces.flatMap((surface) =>
      surface.controls
        .filter((control) => ['elevator', 'elevon', 'ruddervator'].includes(control.function))
        .map((control, index) => ({ surface, control, index })),
    );
    return {
      id: 'pitchFloor',
      severity: 'caution',
      stage: 'tail',
      message: `Out of propeller wash, full nose-up control still flares only above ${inSpeed(speeds.pitchFloor)}, more than the ${inSpeed(usual)} one would approach at: come in faster, or give the control more throw.`,
      numbers: { pitchFloor: speeds.pitchFloor, usual },
      source: 'Lattice control power; flare at 1.15 times the weight',
      remedies: [
        {
          label: 'Give the pitch control 8° more throw up',
          change: controls.map(({ surface, control }) => ({
            field: `/surfaces/${surface.id}/controls/${control.id}/throwUp`,
            value: Math.min(45, control.throwUp + 8),
          })),
        },
      ],
    };
  },
};
