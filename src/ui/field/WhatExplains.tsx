import { useEffect } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import type { Diagnosis } from '@/core/8-field/diagnose';
import type { Flight } from '@/core/8-field/sights';
import type { NextChange } from '@/core/8-field/nextChange';
import { batchChosen } from '@/store/fieldSlice';
import { explainFlights } from '@/store/field';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { decimal } from '@/words/formatQuantity';
import { Choices } from '../fields/Choices';
import { Section } from '../numbers/Section';
import { causeWords, changeWords, FAULT_NAMES, seenValue, sightWords } from './fieldWords';
import { useBatches } from './useBatches';

const NONE: readonly Flight[] = [];
const batchWords = (from: number, to: number) => (from === to ? `flight ${from}` : `flights ${from} to ${to}`);
/** So many states of the aircraft can be chosen from, the latest. */
const MOST_BATCHES = 5;

/** So long nothing has to change before flights are weighed anew [ms]. */
const SETTLES = 300;

/** What explains the flights since the last change, or since one before it, and the one thing to change next. */
export function WhatExplains({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const { batches, chosen } = useBatches();
  const flights = chosen?.flights ?? NONE;
  const { explained, failure } = useAppSelector((state) => state.field);
  const isCurrent =
    explained?.of === design &&
    explained.by.length === flights.length &&
    explained.by.every((flight, index) => flight === flights[index]);
  useEffect(() => {
    if (isCurrent || flights.length === 0) return undefined;
    const timer = setTimeout(() => void dispatch(explainFlights(design, flights)), SETTLES);
    return () => clearTimeout(timer);
  }, [dispatch, design, flights, isCurrent]);
  if (flights.length === 0) return null;
  const result = explained?.of === design ? explained.result : null;
  return (
    <Section title="What explains it">
      {batches.length > 1 && chosen && (
        <Choices
          className="mb-1.5"
          label="Flights that are weighed"
          options={batches.slice(-MOST_BATCHES).map(({ from, to }) => [String(from), batchWords(from, to)] as const)}
          value={String(chosen.from)}
          onChange={(from) => dispatch(batchChosen(from === null ? null : Number(from)))}
        />
      )}
      {chosen?.changed && <p className="mb-1 text-label text-faint">After this was changed: {chosen.changed}</p>}
      {failure ? (
        <p role="alert">{failure}</p>
      ) : !result ? (
        <p className="text-faint">Weighing…</p>
      ) : result.diagnosis.ok ? (
        <Causes diagnosis={result.diagnosis} next={result.next} />
      ) : (
        <p className="text-read">{result.diagnosis.because}</p>
      )}
    </Section>
  );
}

const SHOWN = 3;
/** Odds beyond that are as good as certain. */
const MOST_ODDS = 1000;

const oddsWords = (gain: number): string => {
  const odds = Math.exp(Math.abs(gain));
  const times = odds > MOST_ODDS ? 'over a thousand' : decimal(odds, odds < 10 ? 1 : 0);
  return gain >= 0 ? `${times} times likelier than with none` : `${times} times less likely than with none`;
};

interface CausesProps {
  readonly diagnosis: Extract<Diagnosis, { ok: true }>;
  readonly next: NextChange | null;
}

function Causes({ diagnosis: { causes, cause, untold }, next }: CausesProps) {
  const units = useAppSelector((state) => state.settings.units);
  return (
    <div role="status">
      {cause === null ? (
        <p className="font-medium">Nothing has to be wrong: what was seen lies within what can be told beforehand.</p>
      ) : (
        <p className="font-medium">{causeWords(causes[0]!, units)}.</p>
      )}
      {next && (
        <div className="mt-1.5 border-l-4 border-balance bg-balance-soft p-2 text-read">
          <p className="font-medium">{changeWords(next, units)}</p>
          <p className="mt-1">
            Then {sightWords(next.tells.what, next.tells.speed, units).toLowerCase()} should change by{' '}
            {next.tells.by > 0 ? '+' : ''}
            {seenValue(next.tells.what, next.tells.by, units)}; one reading is good to ±
            {seenValue(next.tells.what, next.tells.sigma, units)}.
          </p>
          {next.isThereAndBack && (
            <p className="mt-1">
              That is little beside what readings scatter: fly with it, without it, and with it again.
            </p>
          )}
        </div>
      )}
      {cause !== null && (
        <ol className="mt-2 list-decimal space-y-1 pl-4 text-read">
          {causes.slice(0, SHOWN).map((one) => (
            <li key={one.fault}>
              {causeWords(one, units)} <span className="text-faint">({oddsWords(one.gain)})</span>
            </li>
          ))}
        </ol>
      )}
      {untold.length > 0 && (
        <p className="mt-1.5 text-label text-faint">
          These flights do not tell {untold.map((fault) => FAULT_NAMES[fault]).join(', ')}. Trims at two speeds, a glide
          and a stall tell most.
        </p>
      )}
      <p className="mt-1 text-label text-faint">
        One cause at a time, by the bands of hand building. It says what fits, not that the aircraft is safe.
      </p>
    </div>
  );
}
