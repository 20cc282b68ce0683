import { ToggleGroup } from 'radix-ui';
import type { Surface } from '@/core/2-document/schema/surface';

interface SurfacePickerProps {
  readonly surfaces: readonly Surface[];
  readonly chosen: string;
  readonly onChoose: (id: string) => void;
}

/** Which surface is worked on; nothing to pick when there is only one. */
export function SurfacePicker({ surfaces, chosen, onChoose }: SurfacePickerProps) {
  if (surfaces.length < 2) return null;
  return (
    <ToggleGroup.Root
      type="single"
      value={chosen}
      onValueChange={(next) => next && onChoose(next)}
      aria-label="Surface"
      className="flex flex-wrap gap-1 border-b border-rule px-3 py-2"
    >
      {surfaces.map(({ id, name }) => (
        <ToggleGroup.Item
          key={id}
          value={id}
          className="cursor-pointer rounded-sm border border-rule px-2 py-0.5 text-read data-[state=on]:border-graphite data-[state=on]:bg-graphite data-[state=on]:text-sheet"
        >
          {name || id}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
