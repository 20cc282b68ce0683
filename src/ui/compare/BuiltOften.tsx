import type { Design } from '@/core/2-document/schema/design';
import { AIM } from '@/core/9-compare/tolerances/tighten';
import { CHANCES, type Spread, type Tolerated, type ToleratedOutput } from '@/core/9-compare/tolerances/tolerances';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatValue } from '@/words/formatQuantity';
import type { TolerancesTold } from '@/workers/contract';
import { CHANCE_WORDS, inputWords, OUTPUT_WORDS, varied } from './compareWords';
import { useSigmaWords } from './useSigmaWords';

interface BuiltOftenProps {
  readonly told: TolerancesTold;
  /** The design that was built. */
  readonly design: Design;
  readonly isOlder: boolean;
}

const percent = (share: number) => `${decimal(100 * share, 0)} %`;

/** How often every verdict holds, how numbers are spread, and which error costs most. */
export function BuiltOften({ told, design, isOlder }: BuiltOftenProps) {
  if (!told.ok) return <p className="max-w-md">{told.because}</p>;
  return (
    <section aria-label="As it may be built">
      <h2 className="font-semibold">As it may be built, {told.draws.toLocaleString('en')} times</h2>
      {isOlder && <p className="text-label text-faint">Built before the last change: build it again.</p>}
      {told.failed > 0 && (
        <p className="text-label text-stop">
          In {told.failed} of them nothing holds the nose: they count against what flies hands off.
        </p>
      )}
      <Chances told={told} />
      <Tighten told={told} design={design} />
      <Spreads told={told} design={design} />
      {told.reasons['balance'] !== undefined && (
        <p className="mt-1 max-w-xl text-label text-stop">{told.reasons['balance']}</p>
      )}
      {Object.entries(told.reasons)
        .filter(([name]) => name.startsWith('/'))
        .map(([name, because]) => (
          <p key={name} className="mt-1 text-label text-stop">
            The ± of {varied(design, name)} does not count: {because}
          </p>
        ))}
    </section>
  );
}

/** All of them together comes first. */
const WHOLE = 'firstThrow';
const IN_ORDER = [WHOLE, ...CHANCES.filter((name) => name !== WHOLE)] as const;

function Chances({ told }: { readonly told: Tolerated }) {
  return (
    <ul className="mt-2 max-w-xl space-y-1">
      {IN_ORDER.map((name) => {
        const chance = told.chances[name];
        return (
          <li key={name} data-chance={name} className="grid grid-cols-[minmax(0,1fr)_90px_48px] items-center gap-2">
            <span className={name === WHOLE ? 'font-semibold' : ''}>
              {CHANCE_WORDS[name]}
              {name === WHOLE && chance !== null && (
                <span className="block text-label font-normal text-faint">
                  All that follows, and a throw as a hand does it: no stalled wing for three seconds, soft or still
                  carried at its end. With full power where its drive is known.
                </span>
              )}
              {chance === null && <span className="block text-label text-faint">{told.reasons[name]}</span>}
            </span>
            <span aria-hidden="true" className="h-2 bg-soft">
              {chance !== null && <span className="block h-2 bg-balance" style={{ width: `${100 * chance}%` }} />}
            </span>
            <span className={`text-right ${name === WHOLE ? 'font-semibold' : ''}`}>
              {chance === null ? '–' : percent(chance)}
            </span>
          </li>
        );
      })}
    </ul>
  );
}

/** What would have to be closer, and by how much, for nine and a half in ten to hold. */
function Tighten({ told, design }: { readonly told: Tolerated; readonly design: Design }) {
  const says = useSigmaWords();
  const { alone, together } = told.tighten;
  if (!together) return null;
  const sigmaOf = (id: string) => told.tolerances.find((tolerance) => tolerance.id === id)!;
  return (
    <div className="mt-3 max-w-xl" data-tighten="">
      <h3 className="font-medium">
        For {percent(AIM)} of what building alone decides, now {percent(told.all)}
      </h3>
      <ul className="text-read">
        <li>
          {together.share === null
            ? `Exact hands alone do not do: ${percent(together.exact)} then. Give the design more room, or know its sections and margins better.`
            : `All that hands set has to come down to ${percent(together.share)} of what it is off.`}
        </li>
        {alone.slice(0, TOLD).map(({ id, sigma, exact }) => {
          const now = sigmaOf(id);
          return (
            <li key={id}>
              <span className="inline-block first-letter:uppercase">{inputWords(design, id)}</span>:{' '}
              {sigma === null
                ? `exact it makes ${percent(exact)}`
                : `±${says({ ...now, sigma })} instead of ±${says(now)} is enough`}
            </li>
          );
        })}
      </ul>
    </div>
  );
}

/** Inputs that are told of those that would help. */
const TOLD = 4;
const [WIDTH, HEIGHT] = [132, 26];

/** How many lie where, with what is drawn and what it should keep to. */
function Distribution({ of: { counts, from, to, drawn, limits } }: { readonly of: Spread }) {
  const most = Math.max(...counts);
  if (!(to > from)) return null;
  const ends = [limits.least, limits.most].filter((limit) => limit !== null);
  // A limit far outside says nothing here that the share does not.
  const near = ends.filter((limit) => limit > from - (to - from) / 2 && limit < to + (to - from) / 2);
  // About a place that was read, what is drawn may lie beside all of them.
  const shown = [from, to, ...near, ...(drawn === null ? [] : [drawn])];
  const [left, right] = [Math.min(...shown), Math.max(...shown)];
  const at = (value: number) => 1 + ((WIDTH - 2) * (value - left)) / (right - left);
  const step = (to - from) / counts.length;
  return (
    <svg width={WIDTH} height={HEIGHT} aria-hidden="true">
      {counts.map((count, index) => (
        <rect
          key={index}
          x={at(from + index * step)}
          width={Math.max(0.5, at(from + (index + 1) * step) - at(from + index * step) - 0.5)}
          y={HEIGHT - (HEIGHT * count) / most}
          height={(HEIGHT * count) / most}
          fill="var(--color-balance)"
          opacity={0.55}
        />
      ))}
      {drawn !== null && (
        <line x1={at(drawn)} x2={at(drawn)} y1={0} y2={HEIGHT} stroke="var(--color-graphite)" strokeWidth={1.5} />
      )}
      {near.map((limit) => (
        <line
          key={limit}
          x1={at(limit)}
          x2={at(limit)}
          y1={0}
          y2={HEIGHT}
          stroke="var(--color-stop)"
          strokeWidth={1.5}
          strokeDasharray="4 2"
        />
      ))}
    </svg>
  );
}

/** Numbers with the middle nine tenths of what is built, and the error that costs most. */
function Spreads({ told, design }: { readonly told: Tolerated; readonly design: Design }) {
  const units = useAppSelector((state) => state.settings.units);
  const names = Object.keys(told.outputs) as ToleratedOutput[];
  return (
    <table className="mt-4 w-full max-w-3xl text-read">
      <thead>
        <tr className="border-b border-rule text-left text-label text-faint">
          <th scope="col" className="py-1 font-normal">
            Number
          </th>
          <th scope="col" className="px-2 text-right font-normal">
            Drawn
          </th>
          <th scope="col" className="px-2 text-right font-normal">
            Nine of ten
          </th>
          <th scope="col" className="px-2 font-normal">
            Spread, drawn, limits
          </th>
          <th scope="col" className="pl-2 font-normal">
            Costs most
          </th>
        </tr>
      </thead>
      <tbody>
        {names.map((name) => {
          const spread = told.outputs[name]!;
          const { drawn, p05, p95, shares, limits } = spread;
          const [words, unit] = OUTPUT_WORDS[name];
          const [first] = Object.entries(shares).toSorted((a, b) => b[1] - a[1]);
          const as = (value: number) => formatValue(value, unit, units);
          return (
            <tr key={name} data-output={name} className="border-b border-soft align-baseline">
              <th scope="row" className="py-1 text-left font-normal">
                {words}
              </th>
              <td className="px-2 text-right whitespace-nowrap">{drawn === null ? '–' : as(drawn)}</td>
              <td className="px-2 text-right whitespace-nowrap">
                {as(p05)} … {as(p95)}
              </td>
              <td className="px-2">
                <Distribution of={spread} />
                <span className="sr-only">
                  {limits.least !== null && `at least ${as(limits.least)} `}
                  {limits.most !== null && `at most ${as(limits.most)}`}
                </span>
              </td>
              <td className="pl-2">{first ? `${inputWords(design, first[0])}, ${percent(first[1])}` : '–'}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
