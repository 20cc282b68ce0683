import { useMemo } from 'react';
import type { Analysis } from '@/core/analyse';
import { compareDesigns, type Difference } from '@/core/2-document/compareDesigns';
import { unitOfField } from '@/core/2-document/fieldUnits';
import type { Design } from '@/core/2-document/schema/design';
import { decimal, type DisplayUnits, formatField, formatSpeed, formatValue } from '@/words/formatQuantity';
import { useAppSelector } from '@/store/hooks';

/** What is compared: words, number in SI, and how it is shown. */
const ROWS: readonly (readonly [
  string,
  (analysis: Analysis) => number | null,
  (value: number, units: DisplayUnits) => string,
])[] = [
  ['Span', ({ reference }) => reference.span, (value, units) => formatValue(value, 'length', units)],
  ['Wing area', ({ reference }) => reference.area, (value, units) => formatValue(value, 'area', units)],
  ['Weight', ({ mass }) => mass.total, (value, units) => formatValue(value, 'mass', units)],
  ['Wing loading', ({ mass }) => mass.wingLoading, (value, units) => formatValue(value, 'wingLoading', units)],
  ['Balances at', ({ mass }) => mass.cg?.[0] ?? null, (value, units) => formatValue(value, 'length', units)],
  ['Neutral point', ({ pitch }) => pitch.neutralPoint, (value, units) => formatValue(value, 'length', units)],
  ['Static margin', ({ pitch }) => pitch.staticMargin, (value) => `${decimal(value * 100, 1)} %`],
  ['Stall speed', ({ speeds }) => speeds.stall, formatSpeed],
  ['Pitch control at cruise', ({ trim }) => trim.elevator, (value, units) => formatValue(value, 'angle', units)],
  ['Best glide', ({ speeds }) => speeds.glideRatio, (value) => `1 : ${decimal(value, 1)}`],
  ['Yaw stiffness', ({ lateral }) => lateral.yawStiffness, (value) => decimal(value, 3)],
  ['Dihedral effect', ({ lateral }) => lateral.dihedralEffect, (value) => decimal(value, 3)],
];

/** A design, or a state of one, with its numbers as soon as they are known. */
export interface Side {
  readonly name: string;
  readonly design: Design;
  readonly analysis: Analysis | null;
}

interface ComparisonProps {
  readonly before: Side;
  readonly after: Side;
  /** Two states of one design: the second grew from the first. */
  readonly areStates?: boolean;
}

/** What changed from one state to another, and what that did. */
export function Comparison({ before: from, after: to, areStates = false }: ComparisonProps) {
  const units = useAppSelector((state) => state.settings.units);
  const differences = useMemo(() => compareDesigns(from.design, to.design), [from.design, to.design]);
  return (
    <section aria-label={`Against ${from.name}`} className="mt-4" data-testid="comparison">
      <h3 className="text-label font-semibold tracking-wide uppercase">{areStates ? 'What it did' : 'Numbers'}</h3>
      {from.analysis && to.analysis ? (
        <table className="mt-1 w-full text-read">
          <thead>
            <tr className="text-label text-faint">
              <th scope="col" className="text-left font-normal">
                <span className="sr-only">Number</span>
              </th>
              <th scope="col" className="text-right font-normal">
                {from.name}
              </th>
              <th scope="col" className="text-right font-normal">
                {to.name}
              </th>
              <th scope="col" className="text-right font-normal">
                change
              </th>
            </tr>
          </thead>
          <tbody>
            {ROWS.map(([name, read, show]) => {
              const before = read(from.analysis!);
              const after = read(to.analysis!);
              const text = (value: number | null) => (value === null ? '–' : show(value, units));
              return (
                <tr key={name} className="border-t border-soft">
                  <th scope="row" className="py-0.5 text-left font-normal">
                    {name}
                  </th>
                  <td className="text-right whitespace-nowrap">{text(before)}</td>
                  <td className="text-right font-medium whitespace-nowrap">{text(after)}</td>
                  <td className="text-right whitespace-nowrap text-faint">
                    {before === null || after === null || text(before) === text(after)
                      ? ''
                      : changeOf(before, after, (value) => show(value, units))}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      ) : (
        <p className="text-read text-faint">Computing…</p>
      )}
      <h3 className="mt-4 text-label font-semibold tracking-wide uppercase">
        {areStates ? 'What changed' : 'What differs'}
      </h3>
      {differences.length === 0 ? (
        <p className="text-read text-faint">Nothing: both are the same.</p>
      ) : (
        <ul className="mt-1 text-read">
          {differences.slice(0, 80).map((difference) => (
            <li key={difference.field} className="flex justify-between gap-3 border-t border-soft py-0.5">
              <span className="first-letter:uppercase">{difference.words}</span>
              <span className="text-right">{changeWords(difference, units)}</span>
            </li>
          ))}
          {differences.length > 80 && <li className="text-faint">and {differences.length - 80} more</li>}
        </ul>
      )}
    </section>
  );
}

/** The difference of what stands in the two columns, so that the three numbers of a row agree. */
function changeOf(before: number, after: number, show: (value: number) => string): string {
  const sign = after > before ? '+' : '−';
  const [from, to] = [shownNumber(show(before)), shownNumber(show(after))];
  const whole = show(Math.abs(after - before)).replace('1 : ', '');
  // Inches in sixteenths are no decimal: their difference is rounded like any other.
  if (!from || !to || !DECIMAL.test(whole)) return sign + whole;
  const difference = decimal(Math.abs(to.value - from.value), Math.max(from.digits, to.digits));
  return sign + whole.replace(DECIMAL, difference);
}

const DECIMAL = /^\d+(\.\d+)?(?! ?\d*\/)/;

function shownNumber(text: string): { readonly value: number; readonly digits: number } | null {
  const match = /^(−?)(?:1 : )?(\d+)(\.\d+)?(?! ?\d*\/)/.exec(text);
  if (!match) return null;
  const value = Number(`${match[2]}${match[3] ?? ''}`);
  return { value: match[1] ? -value : value, digits: (match[3]?.length ?? 1) - 1 };
}

function changeWords({ field, before, after }: Difference, units: DisplayUnits): string {
  const show = (value: Difference['before']) =>
    typeof value === 'number'
      ? formatField(value, unitOfField(field), units)
      : typeof value === 'boolean'
        ? value
          ? 'yes'
          : 'no'
        : value;
  if (before === null) return after === 'there' ? 'added' : `set to ${show(after)}`;
  if (after === null) return before === 'there' ? 'taken out' : `was ${show(before)}`;
  return `${show(before)} → ${show(after)}`;
}
