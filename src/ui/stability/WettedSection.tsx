import { thousands } from '@/core/1-base/words/phrase';
import type { Analysis } from '@/core/analyse';
import { formatValue } from '@/words/formatQuantity';
import { useAppSelector } from '@/store/hooks';
import { Why } from '../numbers/Derived';
import { Section } from '../numbers/Section';

/** What the air rubs on, and the Reynolds numbers that say how it flows there. */
export function WettedSection({ wetted }: { readonly wetted: Analysis['wetted'] }) {
  const units = useAppSelector((state) => state.settings.units);
  const surfaces = useAppSelector((state) => state.document.present?.surfaces);
  const nameOf = (id: string) => surfaces?.find((surface) => surface.id === id)?.name || id;
  return (
    <Section title="Wetted area and Reynolds numbers" isRare>
      {wetted.total === null ? (
        <Why text={wetted.reasons['total']} />
      ) : (
        <table className="w-full text-label" data-testid="wetted">
          <caption className="sr-only">Wetted area of both faces and Reynolds numbers, surface by surface</caption>
          <thead>
            <tr className="text-left text-faint">
              <th scope="col" className="py-1 font-normal">
                Surface
              </th>
              <th scope="col" className="text-right font-normal">
                Wetted
              </th>
              <th scope="col" className="text-right font-normal">
                Re at cruise
              </th>
              <th scope="col" className="text-right font-normal">
                at the stall
              </th>
            </tr>
          </thead>
          <tbody>
            {wetted.surfaces.map(({ surface, area, reynolds, reynoldsLeast, reynoldsAtStall }) => (
              <tr key={surface} className="border-b border-soft">
                <th scope="row" className="py-1 text-left font-normal">
                  {nameOf(surface)}
                </th>
                <td className="text-right font-medium whitespace-nowrap">{formatValue(area, 'area', units)}</td>
                <td className="text-right whitespace-nowrap">
                  {reynoldsLeast < 0.95 * reynolds && `${thousands(reynoldsLeast)} to `}
                  {thousands(reynolds)}
                </td>
                <td className="text-right whitespace-nowrap">
                  {reynoldsAtStall === null ? '–' : thousands(reynoldsAtStall)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {wetted.total !== null && (
        <p className="text-label text-faint">
          {formatValue(wetted.total, 'area', units)} in all. At cruise the smallest chord to the mean chord; what a
          fuselage covers is counted.
        </p>
      )}
    </Section>
  );
}
