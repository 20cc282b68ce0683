import { Popover } from 'radix-ui';
import { formatValue } from '@/words/formatQuantity';
import type { Words } from '@/core/1-base/words/phrase';
import type { Working } from '@/core/6-groups/working';
import { useAppSelector } from '@/store/hooks';
import { layer } from '../shell/layer';
import { Say } from './Say';
import { Typeset } from './Typeset';

/** A computed number that opens to its working: formula, values, source, range, band. */
interface DerivedProps {
  readonly id: string;
  readonly label?: string;
  /** Said instead of the number when it could not be computed; without it nothing is shown. */
  readonly why?: Words;
  /** Said after the number. */
  readonly beside?: string;
  /** How the number is written where its unit alone does not say. */
  readonly format?: (value: number) => string;
}

export function Derived({ id, label, why, beside, format }: DerivedProps) {
  const working = useAppSelector((state) => state.analysis.current?.workings.find((candidate) => candidate.id === id));
  const units = useAppSelector((state) => state.settings.units);
  if (!working) {
    return why === undefined ? null : (
      <Fact label={label ?? id}>
        <Why text={why} />
      </Fact>
    );
  }
  const value = format ? format(working.value) : formatValue(working.value, working.unit, units);
  return (
    <Popover.Root>
      <div className="flex items-baseline justify-between gap-2 border-b border-soft py-1">
        <span className="text-label text-faint">{label ?? working.name}</span>
        <Popover.Trigger
          data-number={id}
          className="cursor-pointer rounded-sm px-1 font-medium underline decoration-rule decoration-dotted underline-offset-4 hover:bg-soft"
          aria-label={`${working.name} ${value}: show the working`}
        >
          {value}
          {beside !== undefined && <span className="font-normal text-faint">{beside}</span>}
        </Popover.Trigger>
      </div>
      <Popover.Portal container={layer()}>
        <Popover.Content
          side="left"
          align="start"
          collisionPadding={12}
          className="z-30 w-[360px] rounded-sm border border-graphite bg-sheet p-4 text-read shadow-lg"
          aria-label={`Working of ${working.name}`}
        >
          <WorkingSheet working={working} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function WorkingSheet({ working }: { readonly working: Working }) {
  const units = useAppSelector((state) => state.settings.units);
  return (
    <>
      <h3 className="text-base font-semibold">
        {working.name}{' '}
        <span className="font-normal text-faint">
          <Typeset text={working.symbol} />
        </span>
      </h3>
      <p className="mt-1 rounded-sm bg-soft px-2 py-1.5">
        <Typeset text={working.formula} />
      </p>
      <table className="mt-2 w-full">
        <caption className="sr-only">Values put in</caption>
        <tbody>
          {working.inputs.map((entry, index) => (
            <tr key={`${entry.symbol}-${index}`} className="border-b border-soft">
              <th scope="row" className="py-0.5 text-left font-normal">
                <span className="inline-block w-12 text-faint">
                  <Typeset text={entry.symbol} />
                </span>
                {entry.name}
              </th>
              <td className="text-right whitespace-nowrap">{formatValue(entry.value, entry.unit, units)}</td>
            </tr>
          ))}
          <tr>
            <th scope="row" className="py-1 text-left font-semibold">
              Result
            </th>
            <td className="text-right font-semibold whitespace-nowrap">
              {formatValue(working.value, working.unit, units)}
              {working.band !== null && ` ± ${formatValue(working.band, working.unit, units)}`}
            </td>
          </tr>
        </tbody>
      </table>
      <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
        <dt className="text-faint">How sure</dt>
        <dd>{working.bandBecause}</dd>
        <dt className="text-faint">Holds for</dt>
        <dd>{working.range}</dd>
        <dt className="text-faint">Source</dt>
        <dd>{working.source}</dd>
      </dl>
    </>
  );
}

/** A plain number without a working of its own. */
export function Fact({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
  return (
    <div className="flex items-baseline justify-between gap-2 border-b border-soft py-1">
      <span className="text-label text-faint">
        <Typeset text={label} />
      </span>
      <span className="px-1 text-right font-medium">{children}</span>
    </div>
  );
}

/** Why a number is missing. */
export function Why({ text }: { readonly text: Words | undefined }) {
  return (
    <span className="text-note font-normal text-faint">
      <Say words={text ?? 'not known'} />
    </span>
  );
}
