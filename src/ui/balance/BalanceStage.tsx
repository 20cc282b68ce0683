import { field } from '@/core/2-document/edit/field';
import type { Design } from '@/core/2-document/schema/design';
import { setFields } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { Section } from '../numbers/Section';
import { Bays } from './Bays';
import { BringItTo } from './BringItTo';
import { HowHeavy } from './HowHeavy';
import { Schools } from './Schools';
import { TryAdding } from './TryAdding';
import { UndercarriageFields } from './UndercarriageFields';
import { WhereItBalances } from './WhereItBalances';
import { shownTimes, useSet } from '../fields/useSet';

/** Where it balances, where it should, how it gets there, and how heavy it may become. */
export function BalanceStage({ design }: { readonly design: Design }) {
  return (
    <>
      <WhereItBalances design={design} />
      <BringItTo design={design} />
      <Bays design={design} />
      <Wanted design={design} />
      <Schools />
      <HowHeavy design={design} />
      <TryAdding design={design} />
      <UndercarriageFields design={design} />
    </>
  );
}

function Wanted({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const set = useSet();
  return (
    <Section title="Wanted" isRare>
      <div className="grid grid-cols-2 gap-x-2 gap-y-1.5">
        <QuantityField
          label="Least static margin"
          kind="percent"
          value={design.balance.minimumStaticMargin * 100}
          onCommit={shownTimes(100, set(field('balance', 'minimumStaticMargin')))}
        />
        <QuantityField
          label="Greatest static margin"
          kind="percent"
          value={design.balance.maximumStaticMargin * 100}
          onCommit={shownTimes(100, set(field('balance', 'maximumStaticMargin')))}
        />
        <QuantityField
          label="Cruise speed"
          kind="speed"
          value={design.conditions.cruiseSpeed}
          onCommit={set(field('conditions', 'cruiseSpeed'))}
        />
        <QuantityField
          label="Field above sea (m)"
          kind="number"
          value={design.conditions.elevation}
          onCommit={set(field('conditions', 'elevation'))}
          step={10}
        />
        <QuantityField
          label="Air temperature (°C)"
          kind="number"
          value={design.conditions.temperature}
          onCommit={set(field('conditions', 'temperature'))}
          step={1}
        />
        <QuantityField
          label="Stated C_Lmax (empty: computed)"
          kind="number"
          value={design.balance.statedMaximumLift}
          placeholder="computed"
          onCommit={set(field('balance', 'statedMaximumLift'))}
          onClear={() => dispatch(setFields([field('balance', 'statedMaximumLift').to(undefined)]))}
        />
      </div>
    </Section>
  );
}
