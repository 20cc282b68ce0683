import { Download } from 'lucide-react';
import type { ComponentProps } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { extentsOf } from '@/core/3-shape/outline/extents';
import { svgPath } from '@/core/3-shape/outline/svgPath';
import { bodyPlan, planOutline } from '@/core/3-shape/outline/views';
import { marksOf } from '@/core/9-compare/variants/marks';
import { BESIDE_SURFACES, shiftsBetween } from '@/core/9-compare/variants/shifts';
import type { Variant } from '@/core/9-compare/variants/variant';
import type { VariantBeside } from '@/store/compareSlice';
import { variantsCsv } from '@/files/variantsTable';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatValue } from '@/words/formatQuantity';
import type Chart from '../charts/Chart';
import { SIX, SIX_LOOKS, STROKES } from '../charts/looks';
import { Say } from '../numbers/Say';
import { axisOf } from '../sheet/unitAxes';
import { Button } from '../shell/buttons';
import { downloadFile } from '../shell/download';
import { late } from '../shell/Late';
import { modeWords } from '../stability/modeWords';
import { outputText } from './compareWords';
import { letterOf, VARIANT_ROWS } from './variantWords';

const LateChart = late<ComponentProps<typeof Chart>>(() => import('../charts/Chart'), {
  place: 'the polars side by side',
  meanwhile: <p className="text-faint">Drawing…</p>,
});

/** One that is known, with its letter. */
type Known = VariantBeside & { readonly letter: string; readonly place: number; readonly told: Variant };

/** Designs and revisions side by side: plans, numbers, polars, motions, findings, and what moved by part. */
export function Variants({ variants }: { readonly variants: readonly VariantBeside[] }) {
  const known = variants.flatMap((variant, place): Known[] =>
    variant.told === null ? [] : [{ ...variant, told: variant.told, letter: letterOf(place), place }],
  );
  if (known.length === 0) return <p className="text-faint">Computing…</p>;
  return (
    <section aria-label="Side by side" className="space-y-5">
      <Plans variants={variants} />
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

const saveCsv = (known: readonly Known[]) =>
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

const [WIDTH, HEIGHT] = [560, 250];
const FILLED = 0.94;

/** All plans over one another, wings at the same place: leading edges of the foremost parts together. */
function Plans({ variants }: { readonly variants: readonly VariantBeside[] }) {
  const all = variants.map(({ design }) => {
    const placed = placeAll(design.surfaces);
    return { design, placed, extents: extentsOf(design, placed) };
  });
  const [most, from, to] = [
    Math.max(...all.map(({ extents }) => extents.yMax)),
    Math.min(...all.map(({ extents }) => extents.xMin)),
    Math.max(...all.map(({ extents }) => extents.xMax)),
  ];
  const scale = Math.min(WIDTH / (2 * most), HEIGHT / (to - from)) * FILLED;
  const draw = (path: Parameters<typeof svgPath>[0], mirror: 1 | -1) =>
    svgPath(path, {
      place: ([x, y]) => [WIDTH / 2 + mirror * y * scale, (x - (from + to) / 2) * scale + HEIGHT / 2],
      scale,
      isMirrored: mirror === 1,
    });
  return (
    <figure className="max-w-3xl">
      <figcaption className="font-semibold">Plans to one scale, data at the same place</figcaption>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" role="img" aria-label="Plans over one another">
        {all.map(({ design, placed }, index) => {
          const { color, width } = SIX_LOOKS[SIX[index]!];
          const sides = [1, -1] as const;
          return (
            <g key={index} fill="none" stroke={color} strokeWidth={width * 0.7} strokeDasharray={STROKES[SIX[index]!]}>
              {design.bodies.flatMap((body) =>
                sides
                  .slice(0, body.mirrored ? 2 : 1)
                  .map((side) => <path key={`${body.id}${side}`} d={draw(bodyPlan(body), side)} />),
              )}
              {placed.flatMap((surface) => {
                const outline = planOutline(surface);
                return outline
                  ? sides.map((side) => <path key={`${surface.id}${side}`} d={draw(outline, side)} />)
                  : [];
              })}
            </g>
          );
        })}
      </svg>
      <ul className="flex flex-wrap gap-x-4 text-label">
        {variants.map(({ key, name }, index) => (
          <li key={key} className="flex items-center gap-1.5">
            <svg width={34} height={8} aria-hidden="true">
              <line
                x1={0}
                x2={34}
                y1={4}
                y2={4}
                stroke={SIX_LOOKS[SIX[index]!].color}
                strokeWidth={2}
                strokeDasharray={STROKES[SIX[index]!]}
              />
            </svg>
            {letterOf(index)} {name}
          </li>
        ))}
      </ul>
    </figure>
  );
}

function Heads({ known, first }: { readonly known: readonly Known[]; readonly first: string }) {
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
function Numbers({ known }: { readonly known: readonly Known[] }) {
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

function Polars({ known }: { readonly known: readonly Known[] }) {
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

function Motions({ known }: { readonly known: readonly Known[] }) {
  const modesOf = ({ told }: Known) => [...told.numbers.motion.longitudinal, ...told.numbers.motion.lateral];
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

function FindingsOf({ known }: { readonly known: readonly Known[] }) {
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

/** So many parts are told; what moves less than a tenth of a millimetre is not. */
const TOLD = 6;
const LEAST_SHIFT = 1e-4;

/** What moved the balance point, the neutral point and the drag on the way from one to another, part by part. */
function Moved({ from, to }: { readonly from: Known; readonly to: Known }) {
  const units = useAppSelector((state) => state.settings.units);
  const names = namesOf([from.design, to.design]);
  const nameOf = (part: string) => (part === BESIDE_SURFACES ? 'fuselage and propeller' : (names.get(part) ?? part));
  const signed = (value: number, words: (value: number) => string) =>
    `${value < 0 ? '−' : '+'}${words(Math.abs(value))}`;
  const shift = (title: string, moves: readonly { readonly part: string; readonly by: number }[]) => {
    const whole = moves.reduce((sum, { by }) => sum + by, 0);
    const told = moves.filter(({ by }) => Math.abs(by) >= LEAST_SHIFT).slice(0, TOLD);
    return (
      <div>
        <h3 className="text-label text-faint">
          {title} {signed(whole, (value) => formatValue(value, 'length', units))}
        </h3>
        <ul>
          {told.map(({ part, by }) => (
            <li key={part} className="flex justify-between gap-2 border-b border-soft">
              <span>{nameOf(part)}</span>
              <span className="whitespace-nowrap">{signed(by, (value) => formatValue(value, 'length', units))}</span>
            </li>
          ))}
        </ul>
      </div>
    );
  };
  const drag = dragChanges(from.told, to.told);
  return (
    <div className="max-w-4xl" data-moved={to.letter}>
      <h2 className="font-semibold">
        What moved from {from.letter} to {to.letter}, aft positive
      </h2>
      <div className="grid gap-4 text-read sm:grid-cols-3">
        {shift('Balance point', shiftsBetween(from.told.balance, to.told.balance))}
        {shift('Neutral point', shiftsBetween(from.told.neutralPoint, to.told.neutralPoint))}
        <div>
          <h3 className="text-label text-faint">
            Drag area at cruise {signed(drag.whole, (value) => `${decimal(value * 1e4, 1)} cm²`)}
          </h3>
          <ul>
            {drag.parts.slice(0, TOLD).map(({ part, by }) => (
              <li key={part} className="flex justify-between gap-2 border-b border-soft">
                <span>{nameOf(part)}</span>
                <span className="whitespace-nowrap">{signed(by, (value) => `${decimal(value * 1e4, 1)} cm²`)}</span>
              </li>
            ))}
          </ul>
        </div>
      </div>
    </div>
  );
}

const namesOf = (designs: readonly Design[]): ReadonlyMap<string, string> =>
  new Map(
    designs.flatMap((design) =>
      [...design.surfaces, ...design.bodies, ...design.massItems, ...design.dragItems].map(
        ({ id, name }) => [id, name || id] as const,
      ),
    ),
  );

function dragChanges(from: Variant, to: Variant) {
  const areaOf = ({ drag }: Variant, part: string) =>
    drag.reduce((sum, one) => sum + (one.part === part ? one.area : 0), 0);
  const parts = [...new Set([...from.drag, ...to.drag].map(({ part }) => part))]
    .map((part) => ({ part, by: areaOf(to, part) - areaOf(from, part) }))
    .filter(({ by }) => Math.abs(by) > 1e-6)
    .toSorted((a, b) => Math.abs(b.by) - Math.abs(a.by));
  return { parts, whole: parts.reduce((sum, { by }) => sum + by, 0) };
}
