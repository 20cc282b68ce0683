import type { Design } from '@/core/document/schema/design';
import { slidingItems } from '@/core/balance/placement';
import { formatLength } from '@/core/units/formatQuantity';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { Derived, Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';

/** Where it balances, where it should, and what can be slid. */
export function BalanceStage({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const analysis = useAppSelector((state) => state.analysis.current);
  const units = useAppSelector((state) => state.settings.units);
  const set =
    (field: string, factor = 1) =>
    (value: number) =>
      dispatch(setFields([{ field, value: value / factor }]));
  const wing = design.surfaces.find(({ role }) => role === 'wing');
  return (
    <>
      <Section title="Balance">
        <Derived id="centreOfGravity" />
        <Derived id="neutralPoint" />
        <Derived id="staticMargin" />
        <Derived id="window" />
        {analysis?.mass.cg && wing && (
          <Fact label="Mark behind the root leading edge">
            {formatLength(analysis.mass.cg[0] * 1000 - wing.position.x, units)}
          </Fact>
        )}
        {analysis?.window.forwardBecause && (
          <p className="mt-1.5 text-[13px] text-faint">
            <strong className="font-semibold text-graphite">Front:</strong> {analysis.window.forwardBecause}{' '}
            <strong className="font-semibold text-graphite">Rear:</strong> {analysis.window.aftBecause}
          </p>
        )}
      </Section>
      {slidingItems(design).length > 0 && (
        <Section title="What slides">
          {slidingItems(design).map((item) => (
            <div key={item.id} className="grid grid-cols-[1.4fr_1fr_1fr] gap-x-2">
              <QuantityField
                label={`${item.name || item.id} at`}
                kind="length"
                value={item.position.x}
                onCommit={set(`/massItems/${item.id}/position/x`)}
              />
              {item.attachment.kind === 'slides' && (
                <>
                  <QuantityField
                    label="Bay from"
                    kind="length"
                    value={item.attachment.from}
                    onCommit={set(`/massItems/${item.id}/attachment/from`)}
                  />
                  <QuantityField
                    label="Bay to"
                    kind="length"
                    value={item.attachment.to}
                    onCommit={set(`/massItems/${item.id}/attachment/to`)}
                  />
                </>
              )}
            </div>
          ))}
        </Section>
      )}
      <Section title="Wanted">
        <div className="grid grid-cols-2 gap-x-2 gap-y-1.5">
          <QuantityField
            label="Least static margin"
            kind="percent"
            value={design.balance.minimumStaticMargin * 100}
            onCommit={set('/balance/minimumStaticMargin', 100)}
          />
          <QuantityField
            label="Greatest static margin"
            kind="percent"
            value={design.balance.maximumStaticMargin * 100}
            onCommit={set('/balance/maximumStaticMargin', 100)}
          />
          <QuantityField
            label="Cruise speed"
            kind="speed"
            value={design.conditions.cruiseSpeed}
            onCommit={set('/conditions/cruiseSpeed')}
          />
          <QuantityField
            label="Field above sea (m)"
            kind="number"
            value={design.conditions.elevation}
            onCommit={set('/conditions/elevation')}
            step={10}
          />
          <QuantityField
            label="Air temperature (°C)"
            kind="number"
            value={design.conditions.temperature}
            onCommit={set('/conditions/temperature')}
            step={1}
          />
          <QuantityField
            label="Stated C_Lmax (empty: computed)"
            kind="number"
            value={design.balance.statedMaximumLift}
            placeholder="computed"
            onCommit={set('/balance/statedMaximumLift')}
            onClear={() => dispatch(setFields([{ field: '/balance/statedMaximumLift', value: undefined }]))}
          />
        </div>
      </Section>
    </>
  );
}
