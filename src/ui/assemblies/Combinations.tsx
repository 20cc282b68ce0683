import { useRef, useState } from 'react';
import { type Choice, combinationsOf, MOST_COMBINATIONS, type Slot } from '@/core/2-document/assembly/combinations';
import { partsOf } from '@/core/2-document/assembly/sharedParts';
import type { Design } from '@/core/2-document/schema/design';
import { decimal, formatSpeed, formatValue } from '@/words/formatQuantity';
import type { StoredParts } from '@/storage/database';
import { type CombinationResult, takeCombination, tryCombinations } from '@/store/assemblies';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { ChoiceChips } from '../fields/ChoiceChips';
import { Button } from '../shell/buttons';

interface CombinationsProps {
  readonly design: Design;
  readonly shared: readonly StoredParts[];
}

/** What may hang at each assembly's place, and what every combination comes to. */
export function Combinations({ design, shared }: CombinationsProps) {
  const dispatch = useAppDispatch();
  const [chosen, setChosen] = useState<ReadonlyMap<string, readonly string[]>>(new Map());
  const [results, setResults] = useState<readonly CombinationResult[]>([]);
  const [asked, setAsked] = useState<readonly Slot[] | null>(null);
  const [left, setLeft] = useState(0);
  const run = useRef(0);
  const candidates = design.assemblies.map((assembly) => ({ assembly, choices: choicesFor(design, assembly, shared) }));
  const slots: Slot[] = candidates
    .map(({ assembly, choices }) => ({
      assembly: assembly.id,
      choices: choices.filter(({ sharedId }) => chosen.get(assembly.id)?.includes(sharedId)),
    }))
    .filter(({ choices }) => choices.length > 0);
  const count = slots.length === 0 ? 0 : combinationsOf(design, slots).length;
  if (candidates.every(({ choices }) => choices.length < 2)) return null;
  const begin = async () => {
    const own = ++run.current;
    setAsked(slots);
    setResults([]);
    setLeft(count);
    await dispatch(
      tryCombinations(slots, (result) => {
        if (run.current !== own) return false;
        setResults((before) => [...before, result]);
        setLeft((before) => before - 1);
        return true;
      }),
    );
  };
  const cancel = () => {
    run.current++;
    setLeft(0);
  };
  return (
    <section className="mt-4 border-t border-rule pt-3" aria-label="Combinations">
      <h3 className="text-label font-semibold tracking-wide uppercase">Combinations</h3>
      {candidates
        .filter(({ choices }) => choices.length > 1)
        .map(({ assembly, choices }) => (
          <ChoiceChips
            key={assembly.id}
            legend={`In the place of ${assembly.name}`}
            options={choices.map(({ sharedId, name }) => [sharedId, name] as const)}
            chosen={chosen.get(assembly.id) ?? []}
            onChange={(next) => setChosen(new Map([...chosen, [assembly.id, next]]))}
          />
        ))}
      <div className="mt-1.5 flex items-center gap-2">
        <Button
          look="strong"
          disabled={count === 0 || count > MOST_COMBINATIONS || left > 0}
          onClick={() => void begin()}
        >
          {count === 0 ? 'Tick what to try' : `Try ${count === 1 ? 'it' : `all ${count}`}`}
        </Button>
        {count > MOST_COMBINATIONS && (
          <span className="text-read text-caution">At most {MOST_COMBINATIONS} at once.</span>
        )}
        {left > 0 && (
          <>
            <progress
              aria-label="Combinations computed"
              value={results.length}
              max={results.length + left}
              className="h-2 w-32"
            />
            <Button look="quiet" onClick={cancel}>
              Cancel
            </Button>
          </>
        )}
      </div>
      {results.length > 0 && asked && <Results design={design} slots={asked} results={results} />}
    </section>
  );
}

/** The present parts and everything shared of the same kind. */
function choicesFor(design: Design, assembly: Design['assemblies'][number], shared: readonly StoredParts[]): Choice[] {
  const others = shared
    .filter(({ kind, id }) => kind === assembly.kind && id !== assembly.sharedId)
    .map(({ id, name, parts }) => ({ sharedId: id, name, parts }));
  return [
    { sharedId: assembly.sharedId ?? assembly.id, name: `${assembly.name} (now)`, parts: partsOf(design, assembly) },
    ...others,
  ];
}

interface ResultsProps {
  readonly design: Design;
  readonly slots: readonly Slot[];
  readonly results: readonly CombinationResult[];
}

function Results({ slots, results }: ResultsProps) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  return (
    <table className="mt-2 w-full text-label" data-testid="combinations">
      <thead>
        <tr className="text-left text-faint">
          {['Combination', 'Weight', 'Stall', 'Margin', 'Found'].map((head) => (
            <th key={head} scope="col" className="font-normal">
              {head}
            </th>
          ))}
          <th scope="col">
            <span className="sr-only">Build it</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {results.map(({ combination, analysis, because }) => {
          const stops = analysis?.findings.filter(({ severity }) => severity === 'stop').length ?? 0;
          const cautions = analysis?.findings.filter(({ severity }) => severity === 'caution').length ?? 0;
          return (
            <tr key={combination.names.join()} className="border-t border-soft align-middle">
              <th scope="row" className="py-1 pr-2 text-left font-normal">
                {combination.names.join(' + ')}
              </th>
              {analysis ? (
                <>
                  <td>{analysis.mass.total === null ? '–' : formatValue(analysis.mass.total, 'mass', units)}</td>
                  <td>{analysis.speeds.stall === null ? '–' : formatSpeed(analysis.speeds.stall, units)}</td>
                  <td>
                    {analysis.pitch.staticMargin === null ? '–' : `${decimal(analysis.pitch.staticMargin * 100, 1)} %`}
                  </td>
                  <td className={stops > 0 ? 'text-stop' : cautions > 0 ? 'text-caution' : ''}>
                    {stops > 0
                      ? `${stops} ${stops === 1 ? 'stop' : 'stops'}`
                      : cautions > 0
                        ? `${cautions} to look at`
                        : 'nothing'}
                  </td>
                </>
              ) : (
                <td colSpan={4} className="text-caution">
                  {because ?? 'It could not be computed.'}
                </td>
              )}
              <td className="text-right">
                {analysis && (
                  <Button
                    aria-label={`Build it with ${combination.names.join(' and ')}`}
                    onClick={() => dispatch(takeCombination(slots, combination))}
                  >
                    Build it
                  </Button>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
