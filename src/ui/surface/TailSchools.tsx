import { isFin } from '@/core/2-document/schema/roles';
import { useState } from 'react';
import type { Surface } from '@/core/2-document/schema/surface';
import type { TailAims, TailProposal, TailSchool } from '@/core/8-sizing/tail/tailSizing';
import { decimal, formatValue } from '@/words/formatQuantity';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { compareTailSchools } from '@/store/tails';
import { aimsChanged } from '@/store/tailSlice';
import { QuantityField } from '../fields/QuantityField';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { Say } from '../numbers/Say';

export const SCHOOL_NAMES: Record<TailSchool, string> = {
  percentOfWing: 'Share of the wing',
  volume: 'Tail volume',
  result: 'What it must do',
};

interface TailProps {
  readonly surface: Surface;
}

/** The same tail by three schools, side by side; any of them can drive. */
export function TailSchools({ surface }: TailProps) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const result = useAppSelector((state) =>
    state.tail.schools?.surface === surface.id ? state.tail.schools.result : null,
  );
  const [busy, setBusy] = useState(false);
  const compare = async () => {
    setBusy(true);
    await dispatch(compareTailSchools(surface.id));
    setBusy(false);
  };
  return (
    <Section title="Size by school">
      <div className="grid grid-cols-[repeat(auto-fit,minmax(86px,1fr))] items-end gap-x-2">
        <AimFields surface={surface} />
        <Button disabled={busy} onClick={() => void compare()}>
          {busy ? 'Sizing…' : 'Compare'}
        </Button>
      </div>
      {result?.kind === 'impossible' && (
        <p className="mt-1.5 text-read text-caution">
          <Say words={result.because} />
        </p>
      )}
      {result?.kind === 'sized' && (
        <table className="mt-2 w-full text-label" data-testid="tail-schools">
          <thead>
            <tr className="text-faint">
              <th scope="col" className="text-left font-normal">
                School
              </th>
              <th scope="col" className="pl-2 text-right font-normal">
                Area
              </th>
              <th scope="col" className="pl-2 text-right font-normal">
                {isFin(surface) ? 'Stiffness' : 'Margin'}
              </th>
              <th scope="col" className="sr-only">
                Take it
              </th>
            </tr>
          </thead>
          <tbody>
            {result.proposals.map((proposal) => (
              <ProposalRow key={proposal.school} surface={surface} proposal={proposal} />
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

/** What each school aims at. */
function AimFields({ surface }: TailProps) {
  const dispatch = useAppDispatch();
  const fin = isFin(surface);
  const kind = fin ? 'fin' : 'level';
  const aims = useAppSelector((state) => state.tail.aims[kind]);
  const setAims = (changed: Partial<TailAims>) => {
    dispatch(aimsChanged({ kind, aims: changed }));
    return null;
  };
  const percent = fin ? 1 : 100;
  return (
    <>
      <QuantityField
        label={fin ? 'Fin volume' : 'Tail volume'}
        kind="number"
        step={fin ? 0.005 : 0.05}
        value={aims.volume}
        onCommit={(volume) =>
          volume > 0 && volume < 3 ? setAims({ volume }) : { path: '', message: 'must lie between 0 and 3' }
        }
      />
      <QuantityField
        label={fin ? 'Yaw stiffness (/rad)' : 'Static margin'}
        kind={fin ? 'number' : 'percent'}
        step={fin ? 0.01 : 1}
        value={aims.result * percent}
        onCommit={(value) => setAims({ result: value / percent })}
      />
      {surface.role === 'vTail' && (
        <QuantityField
          label="Yaw stiffness (/rad)"
          kind="number"
          step={0.01}
          value={aims.yaw}
          onCommit={(yaw) => setAims({ yaw })}
        />
      )}
    </>
  );
}

interface ProposalRowProps extends TailProps {
  readonly proposal: TailProposal;
}

/** The tail of one school, what it would give, and why it is so large. */
function ProposalRow({ surface, proposal }: ProposalRowProps) {
  const { school, words, area, change, because, overComputed } = proposal;
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  return (
    <tr className="border-t border-soft align-top">
      <th scope="row" className="py-1 text-left font-normal">
        {SCHOOL_NAMES[school]}
        <span className="block text-faint">
          <Say words={because ?? words} />
          {overComputed !== null && Math.abs(overComputed) >= 0.01 && (
            <>
              : {decimal(Math.abs(overComputed) * 100, 0)} % {overComputed > 0 ? 'more' : 'less'} than it must be
            </>
          )}
        </span>
      </th>
      <td className="py-1 pl-2 text-right whitespace-nowrap">
        {area === null ? '–' : formatValue(area, 'area', units)}
      </td>
      <td className="py-1 pl-2 text-right whitespace-nowrap">{gives(surface, proposal)}</td>
      <td className="py-1 text-right">
        {area !== null && (
          <Button
            aria-label={`Size it by ${SCHOOL_NAMES[school].toLowerCase()}`}
            onClick={() => dispatch(setFields(change))}
          >
            Take
          </Button>
        )}
      </td>
    </tr>
  );
}

/** Margin or yaw stiffness with a tail; of a V both. */
function gives(surface: Surface, { staticMargin, yawStiffness }: TailProposal): string {
  const yaw = yawStiffness === null ? null : decimal(yawStiffness, 3);
  if (isFin(surface)) return yaw ?? '–';
  if (staticMargin === null) return '–';
  const margin = `${decimal(staticMargin * 100, 1)} %`;
  return surface.role === 'vTail' && yaw !== null ? `${margin}, ${yaw}` : margin;
}
