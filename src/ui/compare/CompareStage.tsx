import { useState } from 'react';
import { type Metres, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Tolerance } from '@/core/9-compare/tolerances/inputs';
import { unitOfField } from '@/core/2-document/fieldUnits';
import { readField } from '@/core/2-document/edit/fieldPath';
import type { Design } from '@/core/2-document/schema/design';
import { buildOften, stopComparing, sweepField } from '@/store/compare';
import type { CompareWork } from '@/store/compareSlice';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { decimal, formatLength, formatValue } from '@/words/formatQuantity';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { documentAxis } from '../sheet/unitAxes';
import type { QuantityKind } from '@/words/parseQuantity';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { inputWords, sweptFields, SWEPT_OUTPUTS } from './compareWords';

/** What building errors do, and what one number more or less changes. */
export function CompareStage({ design }: { readonly design: Design }) {
  const failure = useAppSelector((state) => state.compare.failure);
  return (
    <>
      {failure !== null && (
        <p role="alert" className="px-3 pt-2 text-stop">
          {failure}
        </p>
      )}
      <BuildOften design={design} />
      <SweepFields design={design} />
    </>
  );
}

/** A button, or the progress of what it started. */
function Works({
  work,
  words,
  start,
}: {
  readonly work: CompareWork;
  readonly words: string;
  readonly start: () => void;
}) {
  const dispatch = useAppDispatch();
  const progress = useAppSelector((state) => state.compare.progress[work]);
  return (
    <div className="flex flex-wrap items-center gap-2">
      {progress ? (
        <>
          <Button onClick={() => dispatch(stopComparing(work))}>Stop</Button>
          <progress className="min-w-20 flex-1" aria-label={words} value={progress.done} max={progress.total} />
        </>
      ) : (
        <Button onClick={start}>{words}</Button>
      )}
    </div>
  );
}

/** How far one input is off, in the reader’s units. */
function useSigmaWords() {
  const units = useAppSelector((state) => state.settings.units);
  return ({ kind, sigma }: Tolerance): string =>
    kind === 'incidence' || kind === 'warp'
      ? formatValue(sigma, 'angle', units)
      : kind === 'balance' || kind === 'neutralPoint'
        ? formatLength(millimetresFromMetres(sigma as Metres), units, 1)
        : `${decimal(100 * sigma, 1)} %`;
}

function BuildOften({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const tolerated = useAppSelector((state) => state.compare.tolerated);
  const told = tolerated?.result.ok ? tolerated.result : null;
  const says = useSigmaWords();
  return (
    <Section title="As it may be built">
      <Works work="tolerances" words="Build it 1,000 times" start={() => void dispatch(buildOften(design))} />
      {told && (
        <div className="mt-1.5">
          {told.tolerances.map((tolerance) => (
            <Fact key={tolerance.id} label={`Off by, ±1σ: ${inputWords(design, tolerance.id)}`}>
              {says(tolerance)}
            </Fact>
          ))}
        </div>
      )}
      <p className="mt-1 text-label text-faint">
        Angles as hands set them, closer where they were measured; weights closer where they were weighed; sections and
        boards by their bands or your own figures. No wind, no pilot: it says what building does, not that it is safe.
      </p>
    </Section>
  );
}

const KINDS: Readonly<Record<string, QuantityKind>> = { mm: 'length', g: 'mass', 'm/s': 'speed', '°': 'angle' };

/** Ends of a sweep when nobody says otherwise: a fifth either way, or two of its unit where it is small. */
function usualEnds(now: number): readonly [number, number] {
  const room = Math.max(2, Math.abs(now) / 5);
  return [Math.round(now - room), Math.round(now + room)];
}

function SweepFields({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const fields = sweptFields(design).filter(([path]) => typeof readField(design, path) === 'number');
  const [field, setField] = useState(fields[0]?.[0] ?? '');
  const [output, setOutput] = useState(SWEPT_OUTPUTS[0]![0]);
  const [typed, setTyped] = useState<{ readonly field: string; readonly from?: number; readonly to?: number }>({
    field,
  });
  const now = readField(design, field);
  if (fields.length === 0 || typeof now !== 'number')
    return (
      <Section title="What a number does">
        <p className="text-faint">Nothing is drawn yet that could be varied.</p>
      </Section>
    );
  const own = typed.field === field ? typed : { field };
  const [usualFrom, usualTo] = usualEnds(now);
  const [from, to] = [own.from ?? usualFrom, own.to ?? usualTo];
  const unit = unitOfField(field);
  const kind = KINDS[unit] ?? 'number';
  const along = documentAxis(unit, units);
  const take = (part: { readonly from?: number } | { readonly to?: number }) => {
    setTyped({ ...own, ...part });
    return null;
  };
  return (
    <Section title="What a number does">
      <div className="grid grid-cols-2 gap-x-1.5 gap-y-1">
        <SelectField className="col-span-2" label="Goes through" value={field} options={fields} onChange={setField} />
        <QuantityField
          label={kind === 'number' && unit !== '' ? `From (${unit})` : 'From'}
          kind={kind}
          value={from}
          onCommit={(value) => take({ from: value })}
        />
        <QuantityField
          label={kind === 'number' && unit !== '' ? `To (${unit})` : 'To'}
          kind={kind}
          value={to}
          onCommit={(value) => take({ to: value })}
        />
        <SelectField
          className="col-span-2"
          label="Shows"
          value={output}
          options={SWEPT_OUTPUTS.map(([name, words]) => [name, words] as const)}
          onChange={setOutput}
        />
      </div>
      <div className="mt-1.5">
        <Works
          work="sweep"
          words="Sweep it"
          start={() => void dispatch(sweepField(design, { field, from, to, output }))}
        />
      </div>
      <p className="mt-1 text-label text-faint">
        Drawn {along.format(along.to(now))}
        {along.unit === '°' ? '°' : ` ${along.unit}`}. The design stays as it is.
      </p>
    </Section>
  );
}
