import { isFin } from '@/core/2-document/schema/roles';
import { useState } from 'react';
import type { Surface } from '@/core/2-document/schema/surface';
import { type TailSchool, type TailSizingResult } from '@/core/8-sizing/tail/tailSizing';
import { decimal, formatValue } from '@/words/formatQuantity';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { compareTailSchools } from '@/store/sizing';
import { QuantityField } from '../fields/QuantityField';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { Say } from '../numbers/Say';

const NAMES: Record<TailSchool, string> = {
  percentOfWing: 'Share of the wing',
  volume: 'Tail volume',
  result: 'What it must do',
};

/** The same tail by three schools, side by side; any of them can drive. */
export function TailSchools({ surface }: { readonly surface: Surface }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const fin = isFin(surface);
  const [aims, setAims] = useState(fin ? { volume: 0.035, result: 0.06 } : { volume: 0.5, result: 0.1 });
  const [result, setResult] = useState<TailSizingResult | null>(null);
  const [busy, setBusy] = useState(false);
  const compare = async () => {
    setBusy(true);
    setResult(await dispatch(compareTailSchools(surface.id, aims)));
    setBusy(false);
  };
  const percent = fin ? 1 : 100;
  return (
    <Section title="Size by school">
      <div className="grid grid-cols-[1fr_1fr_auto] items-end gap-x-2">
        <QuantityField
          label={fin ? 'Fin volume' : 'Tail volume'}
          kind="number"
          step={fin ? 0.005 : 0.05}
          value={aims.volume}
          onCommit={(volume) => {
            if (!(volume > 0 && volume < 3)) return { path: '', message: 'must lie between 0 and 3' };
            setAims({ ...aims, volume });
            return null;
          }}
        />
        <QuantityField
          label={fin ? 'Yaw stiffness (/rad)' : 'Static margin'}
          kind={fin ? 'number' : 'percent'}
          step={fin ? 0.01 : 1}
          value={aims.result * percent}
          onCommit={(value) => {
            setAims({ ...aims, result: value / percent });
            return null;
          }}
        />
        <Button disabled={busy} onClick={() => void compare()}>
          {busy ? 'Sizing…' : 'Compare'}
        </Button>
      </div>
      {result?.kind === 'impossible' && (
        <p className="mt-1.5 text-sm text-caution">
          <Say words={result.because} />
        </p>
      )}
      {result?.kind === 'sized' && (
        <table className="mt-2 w-full text-[13px]" data-testid="tail-schools">
          <thead>
            <tr className="text-faint">
              <th scope="col" className="text-left font-normal">
                School
              </th>
              <th scope="col" className="text-right font-normal">
                Area
              </th>
              <th scope="col" className="text-right font-normal">
                {fin ? 'Stiffness' : 'Margin'}
              </th>
              <th scope="col" className="sr-only">
                Take it
              </th>
            </tr>
          </thead>
          <tbody>
            {result.proposals.map(({ school, words, area, staticMargin, yawStiffness, change, because }) => (
              <tr key={school} className="border-t border-soft align-top">
                <th scope="row" className="py-1 text-left font-normal">
                  {NAMES[school]}
                  <span className="block text-faint">
                    <Say words={because ?? words} />
                  </span>
                </th>
                <td className="py-1 text-right whitespace-nowrap">
                  {area === null ? '–' : formatValue(area, 'area', units)}
                </td>
                <td className="py-1 text-right whitespace-nowrap">
                  {fin
                    ? yawStiffness === null
                      ? '–'
                      : decimal(yawStiffness, 3)
                    : staticMargin === null
                      ? '–'
                      : `${decimal(staticMargin * 100, 1)} %`}
                </td>
                <td className="py-1 text-right">
                  {area !== null && (
                    <Button
                      aria-label={`Size it by ${NAMES[school].toLowerCase()}`}
                      onClick={() => dispatch(setFields(change))}
                    >
                      Take
                    </Button>
                  )}
                </td>
              </tr>
            ))}
            <tr className="border-t border-soft text-faint">
              <th scope="row" className="py-1 text-left font-normal">
                When compared
              </th>
              <td className="text-right" colSpan={1}>
                {formatValue(result.area, 'area', units)}
              </td>
            </tr>
          </tbody>
        </table>
      )}
    </Section>
  );
}
