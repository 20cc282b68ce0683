import type { Design } from '@/core/2-document/schema/design';
import { useState } from 'react';
import { useAppSelector } from '@/store/hooks';
import { formatValue } from '@/words/formatQuantity';
import { Drawing } from '../drawing/Drawing';
import { Choices } from '../fields/Choices';
import { Why } from '../numbers/Derived';
import { BentBoom } from './BentBoom';
import { BentWing } from './BentWing';
import { PullSliders } from './PullSliders';

const NO_HANDLES: readonly never[] = [];

/** The aircraft as it bends and twists in a pull-up. */
export function StrengthSheet({ design }: { readonly design: Design }) {
  return <Drawing design={design} handles={NO_HANDLES} own={{ name: 'Bent', sheet: <Bent design={design} /> }} />;
}

const SCALES = [
  ['1', 'to scale'],
  ['5', '5 × bent'],
] as const;

const PARTS = [
  ['wing', 'Wing'],
  ['boom', 'Boom'],
] as const;

function Bent({ design }: { readonly design: Design }) {
  const analysis = useAppSelector((state) => state.analysis.current);
  const units = useAppSelector((state) => state.settings.units);
  // As shares of what may be asked, so that they stay where they are while the aircraft changes.
  const [shares, setShares] = useState({ factor: 1, speed: 1 });
  const [enlarged, setEnlarged] = useState<'1' | '5'>('1');
  const [part, setPart] = useState<'wing' | 'boom'>('wing');
  if (!analysis) return <p className="p-6 text-faint">Computing…</p>;
  const { strength } = analysis;
  const { bentUpTo, flightLoadFactor } = strength;
  if (strength.surfaces.length === 0 || bentUpTo === null || flightLoadFactor === null)
    return (
      <div className="p-6">
        <Why text={strength.reasons['tipDeflection']} />
      </div>
    );
  const factors = [1, flightLoadFactor] as const;
  const speeds = [design.conditions.cruiseSpeed, bentUpTo] as const;
  const within = ([from, to]: readonly [number, number], share: number) => from + share * (to - from);
  const shareOf = ([from, to]: readonly [number, number], value: number) =>
    to > from ? (value - from) / (to - from) : 1;
  const pull = { factor: within(factors, shares.factor), speed: within(speeds, shares.speed) };
  const shown = { design, strength, pull, speeds, enlarged: Number(enlarged) };
  const hasBoom = strength.booms.length > 0;
  const { divergenceSpeed, divergesBy, diveSpeed } = strength;
  const isShort = diveSpeed !== null && bentUpTo < diveSpeed;
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="min-h-0 flex-1 pt-8 small:pt-9">
        {part === 'boom' && hasBoom ? <BentBoom {...shown} /> : <BentWing {...shown} />}
      </div>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-soft px-3 py-2">
        {hasBoom && (
          <Choices
            joined
            label="What is shown bent"
            options={PARTS}
            value={part}
            onChange={(next) => next && setPart(next)}
          />
        )}
        <PullSliders
          range={{ factors, speeds }}
          pull={pull}
          onChange={({ factor, speed }) =>
            setShares({ factor: shareOf(factors, factor), speed: shareOf(speeds, speed) })
          }
        />
        <Choices
          joined
          label="Bending is drawn"
          options={SCALES}
          value={enlarged}
          onChange={(next) => next && setEnlarged(next)}
        />
        {isShort && divergenceSpeed !== null && (
          <p className="text-label text-caution">
            At {formatValue(divergenceSpeed, 'speed', units)} the air turns {divergesBy} away; it is shown bent up to{' '}
            {formatValue(bentUpTo, 'speed', units)}.
          </p>
        )}
      </div>
    </div>
  );
}
