import { gramsFromKilograms } from '@/core/1-base/units/convert';
import { useState } from 'react';
import { ballastForSpeed, type Ceiling } from '@/core/6-groups/ceilings/massCeiling';
import type { Design } from '@/core/2-document/schema/design';
import { formatMass, formatSpeed } from '@/words/formatQuantity';
import { useAppSelector } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { Say } from '../numbers/Say';

const NAMES: Record<Ceiling['reason'], string> = {
  stall: 'Stall',
  launch: 'Launch',
  climb: 'Climb',
  strength: 'Strength',
  class: 'Class',
};

/** What stands behind a ceiling. */
const KINDS: Record<Ceiling['kind'], string> = {
  physics: 'physics',
  habit: 'habit of the purpose, no law',
  rule: 'a rule that was set',
};

/** How heavy it may get for each reason, and ballast at the balance point for more speed. */
export function HowHeavy({ design }: { readonly design: Design }) {
  const analysis = useAppSelector((state) => state.analysis.current);
  const units = useAppSelector((state) => state.settings.units);
  const [speed, setSpeed] = useState<number | null>(null);
  if (!analysis || analysis.ceilings.length === 0 || analysis.mass.total === null) return null;
  const { total } = analysis.mass;
  const { ceilings } = analysis;
  const least = ceilings.filter(({ mass }) => mass !== null).sort((a, b) => a.mass! - b.mass!)[0];
  const cruise = design.conditions.cruiseSpeed;
  const wanted = speed ?? Math.round(cruise * 1.2 * 2) / 2;
  const ballast = ballastForSpeed(total, cruise, wanted);
  return (
    <Section title="How heavy it may get" isRare>
      <ul data-testid="ceilings">
        {ceilings.map((ceiling) => (
          <li key={ceiling.reason} className="border-b border-soft py-1 text-label">
            <span className="flex justify-between gap-2">
              <span className={ceiling === least ? 'font-semibold' : ''}>
                {NAMES[ceiling.reason]}
                <span className="font-normal text-faint"> · {KINDS[ceiling.kind]}</span>
              </span>
              <span className={`font-medium ${ceiling.mass !== null && ceiling.mass < total ? 'text-caution' : ''}`}>
                {ceiling.mass === null ? 'not known' : formatMass(gramsFromKilograms(ceiling.mass), units)}
              </span>
            </span>
            <span className="block text-faint">
              <Say words={ceiling.because} />
            </span>
          </li>
        ))}
      </ul>
      <div className="mt-2 grid grid-cols-2 items-end gap-x-2">
        <QuantityField
          label="Fly the same lift at"
          kind="speed"
          value={wanted}
          onCommit={(value) => {
            if (!(value >= 1 && value <= 100)) return { path: '', message: 'must lie between 1 and 100 m/s' };
            setSpeed(value);
            return null;
          }}
        />
        <p className="pb-1 text-label">
          {ballast > 0
            ? `asks for ${formatMass(gramsFromKilograms(ballast), units)} at the balance point`
            : 'needs no ballast'}
        </p>
      </div>
      {ballast > 0 && (
        <Fact label="It then makes way against">{formatSpeed(Math.max(0, (wanted - 2) / 1.6), units)} of wind</Fact>
      )}
      {least && total + ballast > least.mass! && (
        <p className="mt-1 text-label text-caution">
          That is over the ceiling of {formatMass(gramsFromKilograms(least.mass!), units)}:{' '}
          <Say words={least.because} />.
        </p>
      )}
    </Section>
  );
}
