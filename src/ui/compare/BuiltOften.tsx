import type { Design } from '@/core/2-document/schema/design';
import { CHANCES, type Tolerated, type ToleratedOutput } from '@/core/9-compare/tolerances/tolerances';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatValue } from '@/words/formatQuantity';
import type { TolerancesTold } from '@/workers/contract';
import { CHANCE_WORDS, inputWords, OUTPUT_WORDS } from './compareWords';

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
      <Spreads told={told} design={design} />
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
          <th scope="col" className="pl-2 font-normal">
            Costs most
          </th>
        </tr>
      </thead>
      <tbody>
        {names.map((name) => {
          const { drawn, p05, p95, shares } = told.outputs[name]!;
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
              <td className="pl-2">{first ? `${inputWords(design, first[0])}, ${percent(first[1])}` : '–'}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
