import type { Analysis } from '@/core/analyse';
import type { Design } from '@/core/2-document/schema/design';
import { useMemo, useState } from 'react';
import { isWing } from '@/core/2-document/schema/roles';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { surfaceChosen } from '@/store/sessionSlice';
import { formatValue } from '@/words/formatQuantity';
import { Drawing } from '../drawing/Drawing';
import { Choices } from '../fields/Choices';
import { Why } from '../numbers/Derived';
import { BentBoom } from './BentBoom';
import { BentWing } from './BentWing';
import { boomChoices } from './boomChoices';
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

/** What bends, or why that is not known. */
function Bent({ design }: { readonly design: Design }) {
  const analysis = useAppSelector((state) => state.analysis.current);
  if (!analysis) return <p className="p-6 text-faint">Computing…</p>;
  const { strength } = analysis;
  const { bentUpTo, flightLoadFactor } = strength;
  if (strength.surfaces.length === 0 || bentUpTo === null || flightLoadFactor === null)
    return (
      <div className="p-6">
        <Why text={strength.reasons['tipDeflection']} />
      </div>
    );
  return <BentParts design={design} strength={strength} bentUpTo={bentUpTo} flightLoadFactor={flightLoadFactor} />;
}

interface BentPartsProps {
  readonly design: Design;
  readonly strength: Analysis['strength'];
  /** The fastest at which it is known how it bends [m/s]. */
  readonly bentUpTo: number;
  readonly flightLoadFactor: number;
}

/** A wing or a boom that is chosen, under a pull and a speed that are chosen. */
function BentParts({ design, strength, bentUpTo, flightLoadFactor }: BentPartsProps) {
  const units = useAppSelector((state) => state.settings.units);
  // As shares of what may be asked, so that they stay where they are while the aircraft changes.
  const [shares, setShares] = useState({ factor: 1, speed: 1 });
  const [enlarged, setEnlarged] = useState<'1' | '5'>('1');
  const [boomId, setBoomId] = useState<string | null>(null);
  const dispatch = useAppDispatch();
  const chosenId = useAppSelector((state) => state.session.chosen.surface);
  const placed = useMemo(() => placeAll(design.surfaces).filter(isWing), [design.surfaces]);
  const factors = [1, flightLoadFactor] as const;
  const speeds = [design.conditions.cruiseSpeed, bentUpTo] as const;
  const within = ([from, to]: readonly [number, number], share: number) => from + share * (to - from);
  const shareOf = ([from, to]: readonly [number, number], value: number) =>
    to > from ? (value - from) / (to - from) : 1;
  const pull = { factor: within(factors, shares.factor), speed: within(speeds, shares.speed) };
  const shown = { design, strength, pull, speeds, enlarged: Number(enlarged) };
  const wings = placed.filter((surface) => strength.surfaces.some(({ id }) => id === surface.id));
  const widest = wings.toSorted((a, b) => b.stations.at(-1)!.y - a.stations.at(-1)!.y)[0];
  const wing = wings.find(({ id }) => id === chosenId) ?? widest;
  const booms = boomChoices(strength.booms);
  const parts = [
    ...wings.map(({ id, source }) => [id, source.name || id] as const),
    ...booms.map(({ id, name }) => [id, name] as const),
  ];
  const shownBoom = booms.find(({ id }) => id === boomId);
  const choose = (next: string | null) => {
    if (next === null) return;
    const isBoom = booms.some(({ id }) => id === next);
    setBoomId(isBoom ? next : null);
    if (!isBoom) dispatch(surfaceChosen({ surface: next }));
  };
  const { divergenceSpeed, divergesBy, diveSpeed } = strength;
  const isShort = diveSpeed !== null && bentUpTo < diveSpeed;
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="min-h-0 flex-1 pt-8 small:pt-9">
        {shownBoom ? (
          <BentBoom {...shown} boom={shownBoom.boom} />
        ) : wing ? (
          <BentWing {...shown} wing={wing.id} />
        ) : (
          <p className="p-6 text-faint">No wing of known board is drawn yet.</p>
        )}
      </div>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-soft px-3 py-2">
        {parts.length > 1 && (
          <Choices
            joined
            label="What is shown bent"
            options={parts}
            value={shownBoom?.id ?? wing?.id ?? null}
            onChange={choose}
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
