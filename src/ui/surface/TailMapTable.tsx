import { memo } from 'react';
import type { TailMap } from '@/store/tailSlice';
import { decimal } from '@/words/formatQuantity';
import { HiddenTable } from '../sheet/HiddenTable';
import type { UnitAxis } from '../sheet/unitAxes';

interface TailMapTableProps {
  readonly map: TailMap;
  readonly across: UnitAxis;
  readonly areas: UnitAxis;
}

/** The map as numbers. */
export const TailMapTable = memo(function TailMapTable({ map, across, areas }: TailMapTableProps) {
  return (
    <HiddenTable
      caption="Static margin and yaw stiffness by area and place of the tail"
      columns={['Place', ...map.axes.areas.map((area) => `${areas.format(areas.to(area))} ${areas.unit}`)]}
      rows={() =>
        map.axes.across.map((place, index) => [
          `${across.format(across.to(place))} ${across.unit}`,
          ...map.axes.areas.map((_, at) => {
            const point = map.rows[index]?.[at];
            return point?.staticMargin == null
              ? '–'
              : `${decimal(point.staticMargin * 100, 1)} %, ${decimal(point.yawStiffness ?? 0, 3)}`;
          }),
        ])
      }
    />
  );
});
