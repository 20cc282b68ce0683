import { useState } from 'react';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import { measurableFace } from '@/core/3-shape/section/measurableFace';
import type { Surface } from '@/core/2-document/schema/surface';
import { shimFor } from '@/core/6-groups/rigging/shim';
import { decimal, formatLength } from '@/words/formatQuantity';
import { editDesign, type EditOutcome } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { Section } from '../numbers/Section';
import { FACE_WORDS } from './faceWords';

const SIDES = ['left', 'right'] as const;
const READINGS = [
  ['incidence', 'Incidence'],
  ['tipTwist', 'Tip twist'],
] as const;

const plus = (value: number | undefined, more: number): number | undefined =>
  value === undefined ? undefined : Math.round((value + more) * 1000) / 1000;

type Side = (typeof SIDES)[number];
type Reading = (typeof READINGS)[number][0];

/** A copy of a surface with one reading set or taken away; empty rooms are not kept. */
function withReading(surface: Surface, side: Side, reading: Reading, value: number | undefined): Surface {
  const readings = { ...surface.asBuilt?.[side], [reading]: value };
  const isEmpty = Object.values(readings).every((entry) => entry === undefined);
  const kept = Object.fromEntries(Object.entries(readings).filter(([, entry]) => entry !== undefined));
  const sides = { ...surface.asBuilt, [side]: isEmpty ? undefined : kept };
  return { ...surface, asBuilt: sides.left || sides.right ? sides : undefined };
}

/** What was measured on the airframe before the glue: both sides, beside the drawing. */
export function AsBuiltAngles({ surfaces }: { readonly surfaces: readonly Surface[] }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const [onFace, setOnFace] = useState(false);
  const set = (surface: Surface, side: Side, reading: Reading, value: number | undefined): EditOutcome =>
    dispatch(
      editDesign((design) => ({
        ...design,
        surfaces: design.surfaces.map((other) =>
          other.id === surface.id ? withReading(other, side, reading, value) : other,
        ),
      })),
    );
  return (
    <Section title="Measured on the airframe">
      <p className="mb-1 text-[13px] text-faint">
        Level the datum, read each root and tip before the glue. What is measured is flown; empty means as drawn.
      </p>
      <label className="mb-1 flex items-center gap-1.5 text-sm">
        <input
          type="checkbox"
          className="accent-balance"
          checked={onFace}
          onChange={(event) => setOnFace(event.target.checked)}
        />
        read on the face, not along the chord
      </label>
      {surfaces.map((surface) => {
        const name = surface.name || surface.id;
        const sides = SIDES.flatMap((side) => surface.asBuilt?.[side]?.incidence ?? []);
        const error =
          sides.length === 0 ? 0 : sides.reduce((sum, value) => sum + value, 0) / sides.length - surface.incidence;
        const shim = shimFor(surface.stations[0]!.chord, -error);
        const face = measurableFace(surface.stations[0]!.section, surface.stations[0]!.chord);
        // What the meter shows on the face less this is the incidence of the chord.
        const off = (reading: Reading) =>
          onFace && reading === 'incidence' ? Math.round(degreesFromRadians(face.angle) * 100) / 100 : 0;
        return (
          <div key={surface.id} className="mb-2">
            <p className="text-sm">
              {name}
              {onFace && <span className="text-faint"> · {FACE_WORDS[face.face]}</span>}
            </p>
            <div className="grid grid-cols-4 gap-x-2">
              {SIDES.flatMap((side) =>
                READINGS.map(([reading, words]) => (
                  <QuantityField
                    key={side + reading}
                    label={`${words}, ${side}`}
                    kind="angle"
                    value={plus(surface.asBuilt?.[side]?.[reading], off(reading))}
                    placeholder={decimal(
                      (reading === 'incidence' ? surface.incidence : surface.stations.at(-1)!.twist) + off(reading),
                      2,
                    )}
                    onCommit={(value) => set(surface, side, reading, plus(value, -off(reading)))}
                    onClear={() => set(surface, side, reading, undefined)}
                  />
                )),
              )}
            </div>
            {Math.abs(error) >= 0.1 && (
              <p className="mt-0.5 text-[13px] text-caution">
                Built {decimal(Math.abs(error), 1)}° too far nose {error > 0 ? 'up' : 'down'}:{' '}
                {formatLength(shim.thickness, units)} under the {shim.edge} edge brings it back.
              </p>
            )}
          </div>
        );
      })}
    </Section>
  );
}
