import type { ComponentProps } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { limitsOf, missed } from '@/core/9-compare/limits';
import { takeOverPlace } from '@/store/compare';
import { type CompareState, placePicked } from '@/store/compareSlice';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import type { SweptPlace } from '@/workers/contract';
import { formatField } from '@/words/formatQuantity';
import type Chart from '../charts/Chart';
import { fittedRange } from '../charts/fittedRange';
import type MapChart from '../charts/MapChart';
import { axisOf, documentAxis } from '../sheet/unitAxes';
import { Say } from '../numbers/Say';
import { Button } from '../shell/buttons';
import { late } from '../shell/Late';
import {
  DEMAND_WORDS,
  drawnInput,
  isUsualOutput,
  outputText,
  outputWords,
  SWEPT_OUTPUTS,
  unitOfInput,
  varied,
} from './compareWords';
import { nameOfRevision, takenOver } from './takenOver';

const meanwhile = <p className="text-faint">Drawing…</p>;
const LateChart = late<ComponentProps<typeof Chart>>(() => import('../charts/Chart'), {
  place: 'the curve of a sweep',
  meanwhile,
});
const LateMap = late<ComponentProps<typeof MapChart>>(() => import('../charts/MapChart'), {
  place: 'the map of a sweep',
  meanwhile,
});

type SweptProps = NonNullable<CompareState['swept']> & { readonly isOlder: boolean };

/** What comes out over one input or two, with what is drawn, the limits and the place that is tried. */
export function Swept({ of, asked, result, isOlder }: SweptProps) {
  const { words, names } = useSwept(of, asked);
  if (!result.ok) return <p className="max-w-md">{result.because}</p>;
  const missing = result.places.map(({ outputs }) => outputs[asked.output]!).filter(({ value }) => value === null);
  const [first] = missing;
  return (
    <section aria-label="What a number does" className="max-w-2xl">
      <h2 className="font-semibold">
        {words} over {names.join(' and ')}
      </h2>
      {isOlder && <p className="text-label text-faint">Swept before the last change: sweep it again.</p>}
      {first && first.value === null && (
        <p className="text-label text-faint">
          {missing.length} of {result.places.length} places have none: <Say words={first.because} />
        </p>
      )}
      {asked.inputs.length > 1 ? (
        <SweptMap of={of} asked={asked} places={result.places} />
      ) : (
        <SweptCurve of={of} asked={asked} places={result.places} />
      )}
      <Picked of={of} asked={asked} places={result.places} />
    </section>
  );
}

interface PlacesProps {
  readonly of: Design;
  readonly asked: SweptProps['asked'];
  readonly places: readonly SweptPlace[];
}

/** How what is swept is called and shown. */
function useSwept(of: Design, asked: SweptProps['asked']) {
  const units = useAppSelector((state) => state.settings.units);
  const table = useAppSelector((state) => state.compare.outputs);
  const [words, unit] = outputWords(asked.output, table);
  const up = axisOf(unit, units);
  return {
    units,
    words,
    unit,
    up,
    // The heading says it whole: along an axis there is room for what is usual.
    title: isUsualOutput(asked.output) ? (up.unit === '' ? words : `${words} (${up.unit})`) : up.unit,
    names: asked.inputs.map(({ name }) => varied(of, name)),
    along: asked.inputs.map(({ name }) => {
      const axis = documentAxis(unitOfInput(name), units);
      return { ...axis, title: axis.unit === '' ? varied(of, name) : `${varied(of, name)} (${axis.unit})` };
    }),
    limits: limitsOf(of)
      .filter(({ name }) => name === asked.output)
      .map(({ kind, value }) => ({ name: WANTED[kind], value: up.to(value) })),
  };
}

const WANTED = { least: 'least wanted', most: 'most wanted' } as const;

/** What is asked of other numbers than the one that is mapped, and how far each place keeps to it. */
const limitsOfOthers = (of: Design, { output }: SweptProps['asked'], places: readonly SweptPlace[]) =>
  limitsOf(of)
    .filter(({ name }) => name !== output)
    .map((limit) => {
      const values = places.map(({ outputs }) => outputs[limit.name]?.value ?? null);
      const words = DEMAND_WORDS[limit.name]?.[0] ?? limit.name;
      const keeps = values.filter((value) => missed(limit, value) === 0).length;
      return { words, name: `${words}: ${WANTED[limit.kind]}`, value: limit.value, values, keeps };
    });

function SweptCurve({ of, asked, places }: PlacesProps) {
  const dispatch = useAppDispatch();
  const picked = useAppSelector((state) => state.compare.picked);
  const { words, up, title, along, names, limits } = useSwept(of, asked);
  const [axis] = along;
  const known = places.flatMap(({ at, outputs }) => {
    const { value } = outputs[asked.output]!;
    return value === null ? [] : [{ at: axis!.to(at[0]!), value: up.to(value) }];
  });
  if (known.length < 2) return null;
  const xs = places.map(({ at }) => axis!.to(at[0]!));
  const ups = [...known.map(({ value }) => value), ...limits.map(({ value }) => value)];
  const now = drawnInput(of, asked.inputs[0]!.name);
  const upright = (name: string, x: number, look: 'dotted' | 'dashed') => ({
    name,
    x: [x, x],
    y: [...fittedRange([{ y: ups }])],
    look,
  });
  const isWithin = now !== undefined && axis!.to(now) >= Math.min(...xs) && axis!.to(now) <= Math.max(...xs);
  return (
    <LateChart
      caption={`${words} over ${names[0]}`}
      x={axis!.title}
      y={title}
      isFitted
      onPick={(x) =>
        dispatch(
          placePicked(xs.reduce((best, one, index) => (Math.abs(one - x) < Math.abs(xs[best]! - x) ? index : best), 0)),
        )
      }
      lines={[
        { name: words, x: known.map(({ at }) => at), y: known.map(({ value }) => value), look: 'strong' },
        ...(isWithin ? [upright('as drawn', axis!.to(now), 'dotted')] : []),
        ...(picked === null ? [] : [upright('tried', xs[picked]!, 'dashed')]),
        ...limits.map(({ name, value }) => ({
          name,
          x: [xs[0]!, xs.at(-1)!],
          y: [value, value],
          look: 'limit' as const,
        })),
      ]}
    />
  );
}

function SweptMap({ of, asked, places }: PlacesProps) {
  const dispatch = useAppDispatch();
  const picked = useAppSelector((state) => state.compare.picked);
  const { words, up, title, along, names, limits } = useSwept(of, asked);
  // The second input runs fastest: a column of the map is a value of the first.
  const columns = [...new Set(places.map(({ at }) => at[0]!))];
  const rows = [...new Set(places.map(({ at }) => at[1]!))];
  const [across, upwards] = along;
  const valueAt = (column: number, row: number) => {
    const { value } = places[column * rows.length + row]!.outputs[asked.output]!;
    return value === null ? null : up.to(value);
  };
  const others = limitsOfOthers(of, asked, places);
  const wordsOf = (which: typeof others) => which.map((other) => other.words.toLowerCase()).join(', ');
  const [everywhere, nowhere] = [
    others.filter(({ keeps }) => keeps === places.length),
    others.filter(({ keeps }) => keeps === 0),
  ];
  const drawn = asked.inputs.map(({ name }) => drawnInput(of, name));
  const tried = picked === null ? undefined : places[picked];
  const markAt = (name: string, at: readonly (number | undefined)[]) =>
    at[0] === undefined || at[1] === undefined ? [] : [{ name, x: across!.to(at[0]), y: upwards!.to(at[1]) }];
  return (
    <>
      <LateMap
        caption={`${words} over ${names.join(' and ')}`}
        x={{ title: across!.title, values: columns.map(across!.to) }}
        y={{ title: upwards!.title, values: rows.map(upwards!.to) }}
        values={rows.map((_, row) => columns.map((__, column) => valueAt(column, row)))}
        value={title}
        limits={[
          ...limits,
          ...others
            .filter(({ keeps }) => keeps > 0 && keeps < places.length)
            .map(({ name, value, values }) => ({
              name,
              value,
              values: rows.map((_, row) => columns.map((__, column) => values[column * rows.length + row]!)),
            })),
        ]}
        marks={[...markAt('as drawn', drawn), ...(tried ? markAt('tried', tried.at) : [])]}
        onPick={(column, row) => dispatch(placePicked(column * rows.length + row))}
      />
      {everywhere.length > 0 && (
        <p className="text-label text-faint">All over this map within its limit: {wordsOf(everywhere)}.</p>
      )}
      {nowhere.length > 0 && (
        <p className="text-label text-stop">Nowhere on this map within its limit: {wordsOf(nowhere)}.</p>
      )}
    </>
  );
}

/** The place that is tried: chosen on the drawing or along it, what comes out there, and the way to take it over. */
function Picked({ of, asked, places }: PlacesProps) {
  const dispatch = useAppDispatch();
  const picked = useAppSelector((state) => state.compare.picked);
  const { units, names, words: shown, unit: shownUnit } = useSwept(of, asked);
  const rows = isUsualOutput(asked.output)
    ? SWEPT_OUTPUTS
    : [[asked.output, shown, shownUnit] as const, ...SWEPT_OUTPUTS];
  const place = picked === null ? undefined : places[picked];
  const inWords = (at: readonly number[]) =>
    at
      .map((value, index) => `${names[index]} ${formatField(value, unitOfInput(asked.inputs[index]!.name), units)}`)
      .join(', ');
  const take = async () => {
    if (place) await takenOver(() => dispatch(takeOverPlace(of, asked, place.at, nameOfRevision(inWords(place.at)))));
  };
  return (
    <div className="mt-2 space-y-1.5">
      <label className="flex flex-wrap items-center gap-2 text-label text-faint">
        Place that is tried
        <input
          type="range"
          className="min-w-40 flex-1 accent-balance"
          min={0}
          max={places.length - 1}
          step={1}
          value={picked ?? Math.floor(places.length / 2)}
          aria-valuetext={place ? inWords(place.at) : 'none yet'}
          onChange={(event) => dispatch(placePicked(Number(event.target.value)))}
        />
      </label>
      {place && (
        <>
          <p className="text-read">{inWords(place.at)}:</p>
          <dl className="grid grid-cols-[repeat(auto-fill,minmax(190px,1fr))] gap-x-4 text-read">
            {rows
              .filter(([name]) => place.outputs[name])
              .map(([name, words, unit]) => {
                const { value } = place.outputs[name]!;
                return (
                  <div key={name} className="flex justify-between gap-2 border-b border-soft py-0.5">
                    <dt>{words}</dt>
                    <dd className="text-right">{value === null ? '–' : outputText(name, value, { unit, units })}</dd>
                  </div>
                );
              })}
          </dl>
          <Button onClick={() => void take()}>Take it over as a revision</Button>
        </>
      )}
    </div>
  );
}
