import type { Met } from '@/core/9-compare/search/demands';
import type { Answer, SearchTold, Unmet } from '@/core/9-compare/search/search';
import { setBeside, takeOver } from '@/store/compare';
import type { CompareState } from '@/store/compareSlice';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { decimal, formatField, formatValue } from '@/words/formatQuantity';
import { PlanThumbnail } from '../designs/PlanThumbnail';
import { Button } from '../shell/buttons';
import { nameOfRevision, takenOver } from './takenOver';
import { DEMAND_WORDS, GOAL_UNITS, GOAL_WORDS, MATTERS_WORDS, unitOfInput, varied } from './compareWords';

type FoundProps = NonNullable<CompareState['searched']> & { readonly isOlder: boolean };

/** Designs that meet the brief, or what of it cannot be met. */
export function Found({ of, asked, result, isOlder }: FoundProps) {
  if (result.kind === 'none') return <p className="max-w-md">{result.because}</p>;
  return (
    <section aria-label="Found" className="max-w-3xl">
      <h2 className="font-semibold">
        {result.kind === 'found'
          ? `Meets the brief with ${wordsOfGoal(asked.goal)}`
          : 'Nothing between these limits meets the brief'}
      </h2>
      {isOlder && <p className="text-label text-faint">Searched before the last change: search again.</p>}
      <p className="text-label text-faint">
        {result.computed} designs computed
        {result.failed > 0 && `, ${result.failed} of them could not be`}; what is told was computed whole.
      </p>
      {result.kind === 'found' ? (
        <ol className="mt-2 space-y-3">
          {result.answers.map((answer, index) => (
            <OneAnswer key={index} of={of} asked={asked} answer={answer} number={index + 1} />
          ))}
        </ol>
      ) : (
        <NotMet of={of} asked={asked} result={result} />
      )}
    </section>
  );
}

const wordsOfGoal = (goal: FoundProps['asked']['goal']) => GOAL_WORDS.find(([one]) => one === goal)![1];

type Asked = Pick<FoundProps, 'of' | 'asked'>;

/** What it is, against what is drawn. */
function useGoalWords({ asked }: Asked) {
  const units = useAppSelector((state) => state.settings.units);
  const unit = GOAL_UNITS[asked.goal];
  return (value: number) => (unit === null ? decimal(value, 2) : formatValue(value, unit, units));
}

function OneAnswer({ of, asked, answer, number }: Asked & { readonly answer: Answer; readonly number: number }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const goal = useGoalWords({ of, asked });
  const name = `${of.name || 'Design'}, found ${number}`;
  const changes = [
    ...asked.free.map(
      ({ name: input }, index) => `${varied(of, input)} ${formatField(answer.at[index]!, unitOfInput(input), units)}`,
    ),
    ...answer.chosen,
  ];
  return (
    <li className="flex flex-wrap gap-3 border-t border-rule pt-2" data-answer={number}>
      <PlanThumbnail design={answer.design} width={150} height={90} />
      <div className="min-w-56 flex-1">
        <h3 className="font-medium">
          {number}: {goal(answer.goal)}
        </h3>
        <p>{changes.join('; ')}</p>
        {answer.differs.length > 0 && (
          <p className="text-label text-faint">
            Differs from those before it in {answer.differs.map((one) => MATTERS_WORDS[one] ?? one).join(', ')}.
          </p>
        )}
        <Demands demands={answer.demands} />
        <div className="mt-1.5 flex flex-wrap gap-1.5">
          <Button onClick={() => void takenOver(() => dispatch(takeOver(answer.design, nameOfRevision(name))))}>
            Take {number} over as a revision
          </Button>
          <Button onClick={() => void dispatch(setBeside(`found-${number}`, name, answer.design))}>
            Set {number} beside
          </Button>
        </div>
      </div>
    </li>
  );
}

/** Every demand with what it comes to. */
function Demands({ demands }: { readonly demands: readonly Met[] }) {
  const units = useAppSelector((state) => state.settings.units);
  return (
    <ul className="mt-1 text-label">
      {demands.map(({ limit, value, miss }) => {
        const [words, unit] = DEMAND_WORDS[limit.name] ?? [limit.name, 'ratio'];
        return (
          <li key={`${limit.name} ${limit.kind}`} className={miss > 0 ? 'text-stop' : 'text-faint'}>
            {words} {value === null ? 'not known' : formatValue(value, unit, units)}, at {limit.kind}{' '}
            {formatValue(limit.value, unit, units)} asked
          </li>
        );
      })}
    </ul>
  );
}

function NotMet({ of, asked, result }: Asked & { readonly result: Extract<SearchTold, { readonly kind: 'unmet' }> }) {
  return (
    <>
      <ul className="mt-2 space-y-1">
        {result.unmet.map((one) => (
          <UnmetDemand key={`${one.demand.limit.name} ${one.demand.limit.kind}`} {...one} />
        ))}
      </ul>
      {result.atEnds.length > 0 && (
        <p className="mt-1">
          More might be met beyond the limits of{' '}
          {result.atEnds
            .map(({ input, end }) => `${varied(of, input)} (${end === 'to' ? 'more' : 'less'} of it)`)
            .join(', ')}
          .
        </p>
      )}
      <p className="mt-2 text-label text-faint">Nearest to it comes:</p>
      <ol>
        <OneAnswer of={of} asked={asked} answer={result.nearest} number={1} />
      </ol>
    </>
  );
}

/** What it comes to, and what would have to be asked instead. */
function UnmetDemand({ demand: { limit, value }, best, aloneMet }: Unmet) {
  const units = useAppSelector((state) => state.settings.units);
  const [words, unit] = DEMAND_WORDS[limit.name] ?? [limit.name, 'ratio'];
  const as = (number: number | null) => (number === null ? 'no number' : formatValue(number, unit, units));
  return (
    <li>
      <span className="font-medium text-stop">
        {words}: at {limit.kind} {as(limit.value)} asked, {as(value)} at the nearest.
      </span>{' '}
      {aloneMet
        ? 'By itself it can be met here, together with the others it cannot: loosen one of them.'
        : `Nowhere here it is better than ${as(best)}: ask for that, or let more vary.`}
    </li>
  );
}
