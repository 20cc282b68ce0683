import { Download } from 'lucide-react';
import type { ComponentProps } from 'react';
import { marksOf } from '@/core/9-compare/variants/marks';
import type { VariantBeside } from '@/store/compareSlice';
import { variantsCsv } from '@/files/variantsTable';
import { useAppSelector } from '@/store/hooks';
import type Chart from '../charts/Chart';
import { SIX } from '../charts/looks';
import { Say } from '../numbers/Say';
import { axisOf } from '../sheet/unitAxes';
import { Button } from '../shell/buttons';
import { downloadFile } from '../shell/download';
import { late } from '../shell/Late';
import { modeWords } from '../stability/modeWords';
import { outputText } from './compareWords';
import { Moved } from './Moved';
import { PlansOver } from './PlansOver';
import { type KnownVariant, letterOf, VARIANT_ROWS } from './variantWords';

const LateChart = late<ComponentProps<typeof Chart>>(() => import('../charts/Chart'), {
  place: 'the polars side by side',
  meanwhile: <p className="text-faint">Drawing…</p>,
});

/** Designs and revisions side by side: plans, numbers, polars, motions, findings, and what moved by part. */
export function Variants({ variants }: { readonly variants: readonly VariantBeside[] }) {
  const known = variants.flatMap((variant, place): KnownVariant[] =>
    variant.told === null ? [] : [{ ...variant, told: variant.told, letter: letterOf(place), place }],
  );
  if (known.length === 0) return <p className="text-faint">Computing…</p>;
  return (
    <section aria-label="Side by side" className="space-y-5">
      <PlansOver variants={variants} />
      <Numbers known={known} />
      <Button onClick={() => saveCsv(known)}>
        <Download size={14} aria-hidden="true" /> CSV of these numbers
      </Button>
      <Polars known={known} />
      <Motions known={known} />
      <FindingsOf known={known} />
      {known.slice(1).map((other) => (
        <Moved key={other.key} from={known[0]!} to={other} />
      ))}
    </section>
  );
}

const saveCsv = (known: readonly KnownVariant[]) =>
  downloadFile({
    name: `${known[0]!.name} compared.csv`,
    parts: [
      variantsCsv(
        known.map(({ name, told }) => ({
          name,
          numbers: Object.fromEntries(VARIANT_ROWS.map(([key, , , read]) => [key, read(told)])),
        })),
      ),
    ],
    type: 'text/csv',
  });

function Heads({ known, first }: { readonly known: readonly KnownVariant[]; readonly first: string }) {
  return (
    <thead>
      <tr className="border-b border-rule text-label text-faint">
        <th scope="col" className="py-1 pr-2 text-left font-normal">
          {first}
        </th>
        {known.map(({ key, name, letter }) => (
          <th key={key} scope="col" className="px-2 text-right align-bottom font-normal">
            <b className="font-semibold text-graphite">{letter}</b> {name}
          </th>
        ))}
      </tr>
    </thead>
  );
}

/** Numbers with best and worst as the brief has it, and what misses it. */
function Numbers({ known }: { readonly known: readonly KnownVariant[] }) {
  const units = useAppSelector((state) => state.settings.units);
  return (
    <table className="w-full max-w-4xl text-read">
      <caption className="text-left font-semibold">Numbers</caption>
      <Heads known={known} first="Number" />
      <tbody>
        {VARIANT_ROWS.map(([name, words, unit, read]) => {
          const values = known.map(({ told }) => read(told));
          const marks = marksOf(
            name,
            known.map(({ design }) => design),
            values,
          );
          return (
            <tr key={name} data-row={name} className="border-b border-soft">
              <th scope="row" className="py-0.5 pr-2 text-left font-normal">
                {words}
              </th>
              {values.map((value, index) => {
                const { rank, fails } = marks[index]!;
                return (
                  <td key={known[index]!.key} className="px-2 text-right whitespace-nowrap">
                    {(rank !== null || fails) && (
                      <span className={`mr-1.5 text-note ${fails ? 'text-stop' : 'text-faint'}`}>
                        {[rank, fails ? 'misses the brief' : null].filter((word) => word !== null).join(', ')}
                      </span>
                    )}
                    <span className={rank === 'best' ? 'font-semibold' : ''}>
                      {value === null ? '–' : outputText(name, value, { unit, units })}
                    </span>
                  </td>
                );
              })}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function Polars({ known }: { readonly known: readonly KnownVariant[] }) {
  const units = useAppSelector((state) => state.settings.units);
  const speed = axisOf('speed', units);
  const lines = known.flatMap(({ told, letter, name, place }) => {
    const { polar } = told.numbers.drag;
    return polar.length > 1
      ? [
          {
            name: `${letter} ${name}`,
            x: polar.map((point) => speed.to(point.speed)),
            y: polar.map((point) => speed.to(point.sink)),
            look: SIX[place]!,
          },
        ]
      : [];
  });
  if (lines.length === 0) return null;
  return (
    <div className="max-w-2xl">
      <h2 className="font-semibold">Sink over speed, power off</h2>
      <LateChart
        caption="Sink over speed of each"
        x={`speed (${speed.unit})`}
        y={`sink (${speed.unit})`}
        lines={lines}
      />
    </div>
  );
}

/** What happens, by its standard name. */
const MOTIONS: Readonly<Record<string, string>> = {
  shortPeriod: 'Short period',
  fast: 'Nose, without a swing',
  phugoid: 'Phugoid',
  slow: 'Path, without a swing',
  dutchRoll: 'Dutch roll',
  roll: 'Roll subsidence',
  rollSpiral: 'Roll and spiral as one',
  spiral: 'Spiral',
};

function Motions({ known }: { readonly known: readonly KnownVariant[] }) {
  const modesOf = ({ told }: KnownVariant) => [...told.numbers.motion.longitudinal, ...told.numbers.motion.lateral];
  const kinds = Object.keys(MOTIONS).filter((kind) =>
    known.some((one) => modesOf(one).some((mode) => mode.kind === kind)),
  );
  if (kinds.length === 0) return null;
  return (
    <table className="w-full max-w-4xl text-read">
      <caption className="text-left font-semibold">Motions left alone at cruise</caption>
      <Heads known={known} first="Motion" />
      <tbody>
        {kinds.map((kind) => (
          <tr key={kind} className="border-b border-soft align-top">
            <th scope="row" className="py-0.5 pr-2 text-left font-normal">
              {MOTIONS[kind]}
            </th>
            {known.map((one) => {
              const modes = modesOf(one).filter((mode) => mode.kind === kind);
              return (
                <td key={one.key} className="px-2 text-right">
                  {modes.length === 0 ? '–' : modes.map(modeWords).join('; ')}
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const RANK = ['stop', 'caution', 'note'];

function FindingsOf({ known }: { readonly known: readonly KnownVariant[] }) {
  const all = known.flatMap(({ told }) => told.findings);
  const ids = [...new Set(all.map(({ id }) => id))].toSorted(
    (a, b) =>
      Math.min(...all.filter(({ id }) => id === a).map(({ severity }) => RANK.indexOf(severity))) -
      Math.min(...all.filter(({ id }) => id === b).map(({ severity }) => RANK.indexOf(severity))),
  );
  return (
    <div className="max-w-3xl">
      <h2 className="font-semibold">Findings</h2>
      {ids.length === 0 && <p className="text-faint">None of them has any.</p>}
      <ul className="text-read">
        {ids.map((id) => {
          const having = known.flatMap(({ letter, told }) => {
            const finding = told.findings.find((one) => one.id === id);
            return finding ? [{ letter, finding }] : [];
          });
          const { severity, message } = having[0]!.finding;
          return (
            <li key={id} className="border-b border-soft py-1">
              <b className="font-semibold">{having.map(({ letter }) => letter).join(', ')}</b>{' '}
              <span className={severity === 'note' ? 'text-faint' : severity === 'stop' ? 'text-stop' : 'text-caution'}>
                {severity}
              </span>{' '}
              <Say words={message} />
            </li>
          );
        })}
      </ul>
    </div>
  );
}
