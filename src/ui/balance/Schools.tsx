import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { formatLength } from '@/words/formatQuantity';
import { useAppSelector } from '@/store/hooks';
import { Section } from '../numbers/Section';

/** Where each rule of thumb would balance it, beside the computed window, and how far they are apart. */
export function Schools() {
  const analysis = useAppSelector((state) => state.analysis.current);
  const units = useAppSelector((state) => state.settings.units);
  if (!analysis || analysis.schools.length === 0) return null;
  const { schools, window, reference, mass } = analysis;
  const target =
    window.aft !== null && window.forward !== null
      ? (window.aft + Math.max(window.forward, window.aft - 0.15 * (reference.meanChord ?? 0))) / 2
      : null;
  return (
    <Section title="Rules of thumb beside it" isRare>
      <table className="w-full text-label" data-testid="schools">
        <caption className="sr-only">Where each rule would put the balance point, from the datum</caption>
        <tbody>
          {schools.map((school) => (
            <tr key={school.id} className="border-b border-soft">
              <th scope="row" className="py-1 text-left font-normal">
                {school.name}
              </th>
              <td className="text-right font-medium whitespace-nowrap">
                {formatLength(millimetresFromMetres(school.from), units, 0)}
                {school.to !== school.from && ` to ${formatLength(millimetresFromMetres(school.to), units, 0)}`}
              </td>
              <td className="w-24 text-right text-faint">
                {target !== null &&
                  `${school.from > target ? '+' : '−'}${formatLength(millimetresFromMetres(Math.abs(school.from - target)), units, 0)}`}
              </td>
            </tr>
          ))}
          {target !== null && (
            <tr>
              <th scope="row" className="py-1 text-left font-normal">
                Computed: middle of the useful window
              </th>
              <td className="text-right font-medium">{formatLength(millimetresFromMetres(target), units, 0)}</td>
              <td className="text-right text-faint">
                {mass.cg && `now ${formatLength(millimetresFromMetres(mass.cg[0]), units, 0)}`}
              </td>
            </tr>
          )}
        </tbody>
      </table>
    </Section>
  );
}
