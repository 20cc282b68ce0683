import type { Surface } from '@/core/2-document/schema/surface';
import { Choices } from '../fields/Choices';

interface SurfacePickerProps {
  readonly surfaces: readonly Surface[];
  readonly chosen: string;
  readonly onChoose: (id: string) => void;
}

/** Which surface is worked on; nothing to pick when there is only one. */
export function SurfacePicker({ surfaces, chosen, onChoose }: SurfacePickerProps) {
  if (surfaces.length < 2) return null;
  return (
    <Choices
      label="Surface"
      options={surfaces.map(({ id, name }) => [id, name || id] as const)}
      value={chosen}
      onChange={(next) => next !== null && onChoose(next)}
      className="border-b border-rule px-3 py-2"
    />
  );
}
