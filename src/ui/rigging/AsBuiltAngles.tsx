import { CheckField } from '../fields/CheckField';
import { useState } from 'react';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import { measurableFace } from '@/core/3-shape/section/measurableFace';
import { field } from '@/core/2-document/edit/field';
import type { Body } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import type { Control, Surface } from '@/core/2-document/schema/surface';
import { shimFor } from '@/core/3-shape/geometry/shim';
import { decimal, formatLength } from '@/words/formatQuantity';
import { editDesign, type EditOutcome } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { useSet } from '../fields/useSet';
import { Section } from '../numbers/Section';
import { levelWords } from './Levelling';
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
export function AsBuiltAngles({
  design,
  surfaces,
}: {
  readonly design: Design;
  readonly surfaces: readonly Surface[];
}) {
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
    <Section title="Measured on the airframe" isRare>
      <p className="mb-1 text-label text-faint">
        {levelWords(design)} Read each root and tip before the glue. What is measured is flown; empty means as drawn.
      </p>
      <CheckField className="mb-1" checked={onFace} onChange={(checked) => setOnFace(checked)}>
        read on the face, not along the chord
      </CheckField>
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
            <p className="text-read">
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
              <p className="mt-0.5 text-label text-caution">
                Built {decimal(Math.abs(error), 1)}° too far nose {error > 0 ? 'up' : 'down'}:{' '}
                {formatLength(shim.thickness, units)} under the {shim.edge} edge brings it back.
              </p>
            )}
            {surface.controls.length > 0 && <ControlReadings surface={surface} />}
          </div>
        );
      })}
      <TwistReading design={design} />
    </Section>
  );
}

/** Where each control stands with the stick in the middle, read against its surface. */
function ControlReadings({ surface }: { readonly surface: Surface }) {
  const set = useSet();
  const reading = (control: Control, side: Side, angle: number | undefined): EditOutcome => {
    const rest = Object.fromEntries(
      Object.entries({ ...control.asBuilt, [side]: angle }).filter(([, value]) => value !== undefined),
    ) as NonNullable<Control['asBuilt']>;
    return set(field('surfaces', surface.id, 'controls', control.id, 'asBuilt'))(
      Object.keys(rest).length === 0 ? undefined : rest,
    );
  };
  return (
    <div className="mt-0.5 grid grid-cols-4 gap-x-2">
      {surface.controls.flatMap((control) =>
        (surface.mirrored ? SIDES : (['right'] as const)).map((side) => (
          <QuantityField
            key={control.id + side}
            label={`${control.name || control.id}${surface.mirrored ? `, ${side}` : ''}`}
            kind="angle"
            value={control.asBuilt?.[side]}
            placeholder={decimal(control.neutral, 1)}
            onCommit={(angle) => reading(control, side, angle)}
            onClear={() => reading(control, side, undefined)}
          />
        )),
      )}
    </div>
  );
}

type Twist = NonNullable<NonNullable<Body['asBuilt']>['twist']>;

/** How far the tail is turned against the wing by a fuselage that is not true. */
function TwistReading({ design }: { readonly design: Design }) {
  const set = useSet();
  return design.bodies.map((body) => (
    <QuantityField
      key={body.id}
      label={`${body.name || body.id}: tail against wing, seen from behind, right side down +`}
      kind="angle"
      value={body.asBuilt?.twist}
      placeholder="not measured"
      onCommit={(twist) => set(field('bodies', body.id, 'asBuilt'))({ twist: twist as Twist })}
      onClear={() => set(field('bodies', body.id, 'asBuilt'))(undefined)}
    />
  ));
}
