import type { Design } from './schema/design';
import type { Control } from './schema/surface';

/** A control that stands elsewhere; what was measured off its drawn neutral is off this one as well. */
function standing(control: Control, angle: Control['neutral']): Control {
  const { left, right } = control.asBuilt ?? {};
  const moved = (measured: Control['neutral']) => (measured + angle - control.neutral) as Control['neutral'];
  return {
    ...control,
    neutral: angle,
    ...(control.asBuilt
      ? {
          asBuilt: {
            ...(left === undefined ? {} : { left: moved(left) }),
            ...(right === undefined ? {} : { right: moved(right) }),
          },
        }
      : {}),
  };
}

/** The design as it flies in the flight mode that is set: its neutrals, and its mixes in place of the drawn ones. */
export function inMode(design: Design): Design {
  const mode = design.modes.find(({ id }) => id === design.mode);
  if (!mode) return design;
  const angles = new Map(mode.neutrals.map(({ control, angle }) => [control, angle]));
  const replaced = new Set(mode.mixes.map(({ command }) => command));
  return {
    ...design,
    mixes: [...design.mixes.filter(({ command }) => !replaced.has(command)), ...mode.mixes],
    surfaces: design.surfaces.map((surface) =>
      surface.controls.some(({ id }) => angles.has(id))
        ? {
            ...surface,
            controls: surface.controls.map((control) => {
              const angle = angles.get(control.id);
              return angle === undefined ? control : standing(control, angle);
            }),
          }
        : surface,
    ),
  };
}
