import { isWing } from '@/core/2-document/schema/roles';
import { gramsFromKilograms, metresFromMillimetres, millimetresFromMetres } from '@/core/1-base/units/convert';
import { useState } from 'react';
import { standReadings } from '@/core/7-verdict/ways/ways';
import type { Design } from '@/core/2-document/schema/design';
import { placeSurface, planformAt } from '@/core/3-shape/geometry/layout';
import { decimal, formatLength, formatMass, formatValue } from '@/words/formatQuantity';
import { useAppSelector } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { Derived, Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { Say } from '../numbers/Say';

/** The point in all three directions, the marks for it on the airframe, and what two scales should read. */
export function WhereItBalances({ design }: { readonly design: Design }) {
  const analysis = useAppSelector((state) => state.analysis.current);
  const units = useAppSelector((state) => state.settings.units);
  if (!analysis) return null;
  const { mass, window, reference } = analysis;
  return (
    <Section title="Balance">
      <Derived id="centreOfGravity" />
      <Derived id="neutralPoint" />
      <Derived id="staticMargin" />
      <Derived id="window" />
      {mass.cg && mass.inertia && (
        <>
          <Fact label="Beside, above the datum">
            {formatLength(millimetresFromMetres(mass.cg[1]), units)},{' '}
            {formatLength(millimetresFromMetres(mass.cg[2]), units)}
          </Fact>
          <Fact label="Inertia: roll, pitch, yaw">
            {[mass.inertia.xx, mass.inertia.yy, mass.inertia.zz]
              .map((value) => formatValue(value, 'inertia', units))
              .join(', ')}
          </Fact>
          {reference.meanChord !== null && (
            <Fact label="In the mean chord">
              {decimal((100 * (mass.cg[0] - reference.meanChordLeadingEdge!)) / reference.meanChord, 1)} %
            </Fact>
          )}
          <Marks design={design} balance={millimetresFromMetres(mass.cg[0])} />
        </>
      )}
      {window.forwardBecause !== null && window.aftBecause !== null && (
        <p className="mt-1.5 text-label hidden text-faint small:block">
          <strong className="font-semibold text-graphite">Front:</strong> <Say words={window.forwardBecause} />{' '}
          <strong className="font-semibold text-graphite">Rear:</strong> <Say words={window.aftBecause} />
        </p>
      )}
      {mass.cg && mass.total !== null && <Stand design={design} total={mass.total} x={mass.cg[0]} />}
    </Section>
  );
}

/** Where to put the pencil: behind the leading edge, where each wing meets the fuselage. */
function Marks({ design, balance }: { readonly design: Design; readonly balance: number }) {
  const units = useAppSelector((state) => state.settings.units);
  return design.surfaces.filter(isWing).map((wing) => {
    const half = Math.max(
      0,
      ...design.bodies
        .filter(({ mirrored }) => !mirrored)
        .flatMap(({ frames }) => frames.map(({ width }) => width / 2)),
    );
    const placed = placeSurface(wing);
    const edge = millimetresFromMetres(
      planformAt(placed, Math.min(metresFromMillimetres(half), placed.stations.at(-1)!.distance)).x,
    );
    const behind = balance - edge;
    return (
      <Fact key={wing.id} label={`Mark on ${(wing.name || wing.id).toLowerCase()}, fuselage side`}>
        {formatLength(Math.abs(behind), units)} {behind >= 0 ? 'behind' : 'ahead of'} its edge
      </Fact>
    );
  });
}

/** Supports of a balance stand and what a scale under each should read. */
function Stand({ design, total, x }: { readonly design: Design; readonly total: number; readonly x: number }) {
  const units = useAppSelector((state) => state.settings.units);
  const wing = design.surfaces.find(({ role }) => role === 'wing');
  const rear = Math.max(...design.surfaces.map(({ position }) => position.x), millimetresFromMetres(x + 0.2));
  const [places, setPlaces] = useState<{ front: number | null; rear: number | null }>({ front: null, rear: null });
  const from = places.front ?? Math.round(wing?.position.x ?? 0);
  const to = places.rear ?? Math.round(rear);
  const readings = standReadings({ total, x }, metresFromMillimetres(from), metresFromMillimetres(to));
  return (
    <div className="mt-2 grid grid-cols-2 gap-x-2 gap-y-1">
      <QuantityField
        label="Front support at"
        kind="length"
        value={from}
        onCommit={(front) => {
          setPlaces({ ...places, front });
          return null;
        }}
      />
      <QuantityField
        label="Rear support at"
        kind="length"
        value={to}
        onCommit={(next) => {
          setPlaces({ ...places, rear: next });
          return null;
        }}
      />
      <p className="col-span-2 text-label">
        {readings
          ? `Scales should read ${formatMass(gramsFromKilograms(readings.front), units, 1)} in front and ${formatMass(gramsFromKilograms(readings.rear), units, 1)} behind.`
          : 'The rear support must lie behind the front one.'}
      </p>
    </div>
  );
}
