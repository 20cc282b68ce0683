import { useMemo } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { WEIGHT_GROUPS, weightBudget, weightRows } from '@/core/4-weight/weightRows';
import { decimal, formatMass, formatValue } from '@/words/formatQuantity';
import { useAppSelector } from '@/store/hooks';
import { BoardSheets } from '../brief/BoardSheets';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { AddEquipment } from './AddEquipment';
import { BoardParts } from './BoardParts';
import { useScreen } from '../shell/useScreen';
import { Cameras } from './Cameras';
import { RoomInside } from './RoomInside';
import { MyDrawer } from './MyDrawer';
import { WeightsTable } from './WeightsTable';
import { Say } from '../numbers/Say';

/** Sum against the brief, what is added, and what board parts are cut from. */
export function WeightsStage({ design }: { readonly design: Design }) {
  const isSmall = useScreen() !== 'whole';
  return (
    <>
      <Sum design={design} />
      {isSmall && <WeightsTable />}
      <RoomInside design={design} />
      <Cameras design={design} />
      <BoardParts design={design} />
      <BoardSheets design={design} />
      <MyDrawer />
    </>
  );
}

function Sum({ design }: { readonly design: Design }) {
  const mass = useAppSelector((state) => state.analysis.current?.mass);
  const units = useAppSelector((state) => state.settings.units);
  const budget = useMemo(() => (mass ? weightBudget(weightRows(design, mass.parts)) : null), [design, mass]);
  const limit = design.brief.maximumMass;
  return (
    <Section title="Sum" aside={<AddEquipment />}>
      {!mass || !budget || mass.total === null ? (
        <p className="text-read text-faint">
          <Say words={mass?.reasons['total'] ?? 'Computing…'} /> The motor, the pack and the servos decide where it
          balances: add them.
        </p>
      ) : (
        <>
          <Fact label="Flying mass">{formatValue(mass.total, 'mass', units)}</Fact>
          {mass.wingLoading !== null && (
            <Fact label="Wing loading">{formatValue(mass.wingLoading, 'wingLoading', units)}</Fact>
          )}
          {limit !== undefined && limit > 0 && (
            <>
              <Fact label={`Of the ${formatMass(limit, units)} of the brief`}>
                {decimal((100 * budget.total) / limit, 0)} %, {formatMass(Math.abs(limit - budget.total), units)}{' '}
                {budget.total > limit ? 'over' : 'left'}
              </Fact>
              <meter
                className="h-2 w-full"
                aria-label="Mass against the brief"
                min={0}
                max={limit}
                high={0.9 * limit}
                value={Math.min(budget.total, limit)}
              />
            </>
          )}
          {WEIGHT_GROUPS.filter((group) => budget.byGroup[group] > 0).map((group) => (
            <Fact key={group} label={group.charAt(0).toUpperCase() + group.slice(1)}>
              {formatMass(budget.byGroup[group], units)}, {decimal((100 * budget.byGroup[group]) / budget.total, 0)} %
            </Fact>
          ))}
          {budget.creep !== null && (
            <Fact label="Weighed against computed">
              {budget.creep >= 0 ? '+' : '−'}
              {decimal(Math.abs(budget.creep) * 100, 1)} %
              {budget.creep > 0.01 && `; all so: ${formatMass(budget.expected, units)}`}
            </Fact>
          )}
        </>
      )}
    </Section>
  );
}
