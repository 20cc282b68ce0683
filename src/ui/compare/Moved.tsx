import type { Design } from '@/core/2-document/schema/design';
import { BESIDE_SURFACES, shiftsBetween } from '@/core/9-compare/variants/shifts';
import type { Variant } from '@/core/9-compare/variants/variant';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatValue } from '@/words/formatQuantity';
import type { KnownVariant } from './variantWords';

/** So many parts are told; what moves less than a tenth of a millimetre is not. */
const TOLD = 6;
const LEAST_SHIFT = 1e-4;

/** What moved the balance point, the neutral point and the drag on the way from one to another, part by part. */
export function Moved({ from, to }: { readonly from: KnownVariant; readonly to: KnownVariant }) {
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
