import { millimetresFromMetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import { field } from '@/core/2-document/edit/field';
import { useState } from 'react';
import type { Surface } from '@/core/2-document/schema/surface';
import { dihedralForRise, effectiveDihedral, tipRise } from '@/core/3-shape/geometry/dihedral';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { decimal, formatLength } from '@/words/formatQuantity';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { editSurface, setSurfaceFields } from '@/store/surfaces';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { StallStrip } from './StallStrip';

/** Dihedral as an angle or as the rise of each panel's outer end, and washout beside the stall it moves. */
export function DihedralFields({ surface }: { readonly surface: Surface }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const [form, setForm] = useState<'angle' | 'rise'>('angle');
  const placed = placeSurface(surface);
  const panels = surface.stations.slice(0, -1);
  const setDihedral = (panel: number, value: number) =>
    dispatch(
      setSurfaceFields(surface.id, [field('surfaces', surface.id, 'stations', panel, 'dihedral').to(value)], 'span'),
    );
  const setTwist = (twist: number) =>
    dispatch(
      editSurface(surface.id, (current) => {
        const length = current.stations.at(-1)!.distanceFromRoot;
        return {
          ...current,
          stations: current.stations.map((station) => ({
            ...station,
            twist: Math.round(((twist * station.distanceFromRoot) / length) * 100) / 100,
          })),
        };
      }),
    );
  return (
    <Section title="Dihedral and washout">
      <div className="grid grid-cols-3 items-end gap-x-2 gap-y-1.5">
        <SelectField
          label="Dihedral as"
          value={form}
          options={[
            ['angle', 'angle'],
            ['rise', 'rise'],
          ]}
          onChange={setForm}
        />
        {panels.map((station, panel) => {
          const name = panels.length > 1 ? ` panel ${panel + 1}` : '';
          const length = surface.stations[panel + 1]!.distanceFromRoot - station.distanceFromRoot;
          return form === 'angle' ? (
            <QuantityField
              key={panel}
              label={`Dihedral${name}`}
              kind="angle"
              value={station.dihedral}
              onCommit={(value) => setDihedral(panel, value)}
            />
          ) : (
            <QuantityField
              key={panel}
              label={`Rise${name}`}
              kind="length"
              value={length * Math.sin(radiansFromDegrees(station.dihedral))}
              onCommit={(rise) => {
                const dihedral = dihedralForRise(rise, length);
                return dihedral === null
                  ? { path: '', message: `must be less than the ${formatLength(length, units)} of the panel` }
                  : setDihedral(panel, dihedral);
              }}
            />
          );
        })}
        <QuantityField
          label="Washout at the tip"
          kind="angle"
          value={-surface.stations.at(-1)!.twist}
          onCommit={(washout) => setTwist(-washout)}
        />
      </div>
      <div className="mt-1.5">
        <Fact label="Tip up, as good as a straight">
          {formatLength(millimetresFromMetres(tipRise(placed)), units)}, {decimal(effectiveDihedral(placed), 1)}°
        </Fact>
      </div>
      <StallStrip surface={surface} />
    </Section>
  );
}
