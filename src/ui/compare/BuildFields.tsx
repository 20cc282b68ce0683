import { useState } from 'react';
import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { field } from '@/core/2-document/edit/field';
import type { Design } from '@/core/2-document/schema/design';
import { buildOften } from '@/store/compare';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { useRecords } from '../records/useRecords';
import { formatLength } from '@/words/formatQuantity';
import { QuantityField } from '../fields/QuantityField';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { inputWords, unitOfInput, varied, variedInputs } from './compareWords';
import { inputGroups } from './inputGroups';
import { OneOfMany } from './OneOfMany';
import { kindOfInput } from './RangeFields';
import { useSigmaWords } from './useSigmaWords';
import { Works } from './Works';

/** Builds it often; what is off by how much, and own ± on any number. */
export function BuildFields({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const tolerated = useAppSelector((state) => state.compare.tolerated);
  const told = tolerated?.result.ok ? tolerated.result : null;
  const readings = useRecords('benchReadings');
  const says = useSigmaWords();
  const units = useAppSelector((state) => state.settings.units);
  return (
    <>
      <Section title="As it may be built">
        <Works
          work="tolerances"
          words="Build it 1,000 times"
          start={() => void dispatch(buildOften(design, readings))}
        />
        {told && (
          <div className="mt-1.5">
            {told.tolerances.map((tolerance) => (
              <Fact key={tolerance.id} label={`Off by, ±1σ: ${inputWords(design, tolerance.id)}`}>
                {says(tolerance)}
                {tolerance.mean !== undefined && (
                  <span className="block text-label font-normal text-faint">
                    about where it was read, {formatLength(millimetresFromMetres(Math.abs(tolerance.mean)), units, 1)}{' '}
                    {tolerance.mean >= 0 ? 'behind' : 'ahead of'} the drawn one
                  </span>
                )}
              </Fact>
            ))}
          </div>
        )}
        <p className="mt-1 text-label text-faint">
          Angles as hands set them, closer where they were measured; weights closer where they were weighed; the balance
          point where two scales found it; sections and boards by their bands or your own figures. No wind, no pilot: it
          says what building does, not that it is safe.
        </p>
      </Section>
      <OwnTolerances design={design} />
    </>
  );
}

const NONE = '';

/** ± of single numbers, in the document; emptied they are gone. */
function OwnTolerances({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const [added, setAdded] = useState<string | null>(null);
  const own = design.tolerances.map((tolerance) => tolerance.field);
  const fresh = added === null || own.includes(added) ? [] : [added];
  const set = (path: string, plusMinus: number | null) => {
    const others = design.tolerances.filter((tolerance) => tolerance.field !== path);
    return dispatch(
      setFields([field('tolerances').to(plusMinus === null ? others : [...others, { field: path, plusMinus }])]),
    );
  };
  const fields = variedInputs(design).filter(([name]) => name.startsWith('/') && !own.includes(name));
  return (
    <Section title="Own ±">
      <div className="space-y-1">
        {[...own, ...fresh].map((path) => {
          const kind = kindOfInput(path);
          const unit = unitOfInput(path);
          return (
            <QuantityField
              key={path}
              label={`± ${varied(design, path)}${kind === 'number' && unit !== '' ? ` (${unit})` : ''}`}
              kind={kind}
              value={design.tolerances.find((tolerance) => tolerance.field === path)?.plusMinus}
              placeholder="as hands are"
              onCommit={(value) => set(path, value)}
              onClear={() => {
                setAdded(null);
                return set(path, null);
              }}
            />
          );
        })}
        <OneOfMany
          label="Give a number its own ±"
          value={fresh[0] ?? NONE}
          usual={[[NONE, 'none more'], ...fields]}
          groups={inputGroups(design, own)}
          onChange={(path) => setAdded(path === NONE ? null : path)}
        />
      </div>
      <p className="mt-1 text-label text-faint">Within ± lie nineteen of twenty. Emptied, it is as hands are.</p>
    </Section>
  );
}
