import { type Control, controlSchema } from './schema/surface';

/** A hinged control along all of a surface, sealed, a little more than a quarter of the chord deep. */
export const freshControl = (
  id: string,
  name: string,
  kind: Control['function'],
  more: Partial<Control> = {},
): Control => ({
  ...controlSchema.parse({ id, name, function: kind, hingeInboard: 0.72, hingeOutboard: 0.72 }),
  ...more,
});
