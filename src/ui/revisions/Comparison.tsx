import { useMemo } from 'react';
import type { Analysis } from '@/core/analyse';
import { compareDesigns, type Difference } from '@/core/2-document/compareDesigns';
import { unitOfField } from '@/core/2-document/fieldUnits';
import type { Design } from '@/core/2-document/schema/design';
import { decimal, type DisplayUnits, formatField, formatSpeed, formatValue } from '@/words/formatQuantity';
import { useAppSelector } from '@/store/hooks';
import type { Compared } from '@/store/sessionSlice';

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

/** What changed against a kept state, and what that did. */
export function Comparison({ design, compared }: { readonly design: Design; readonly compared: Compared }) {
  const units = useAppSelector((state) => state.settings.units);
  const current = useAppSelector((state) => state.analysis.current);
  const differences = useMemo(() => compareDesigns(compared.design, design), [compared.design, design]);
  const { analysis } = compared;
  return (
    <section aria-label={`Against ${compared.name}`} className="mt-4" data-testid="comparison">
      <h3 className="text-[13px] font-semibold tracking-wide uppercase">What it did</h3>
      {current && analysis ? (
        <table className="mt-1 w-full text-sm">
          <thead>
            <tr className="text-[13px] text-faint">
              <th scope="col" className="text-left font-normal">
                <span className="sr-only">Number</span>
              </th>
              <th scope="col" className="text-right font-normal">
                {compared.name}
              </th>
              <th scope="col" className="text-right font-normal">
                now
              </th>
              <th scope="col" className="text-right font-normal">
                change
              </th>
            </tr>
          </thead>
          <tbody>
            {ROWS.map(([name, read, show]) => {
              const before = read(analysis);
              const after = read(current);
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
        <p className="text-sm text-faint">Computing…</p>
      )}
      <h3 className="mt-4 text-[13px] font-semibold tracking-wide uppercase">What changed</h3>
      {differences.length === 0 ? (
        <p className="text-sm text-faint">Nothing: both are the same.</p>
      ) : (
        <ul className="mt-1 text-sm">
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
