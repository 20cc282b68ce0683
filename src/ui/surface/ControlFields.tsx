import { CheckField } from '../fields/CheckField';
import { field } from '@/core/2-document/edit/field';
import type { Control, ControlFunction } from '@/core/2-document/schema/surface';
import { setFields } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { shownTimes, useSet } from '../fields/useSet';
import { type ControlProps, LinkageFields } from './LinkageFields';

const FUNCTIONS: readonly (readonly [ControlFunction, string])[] = [
  ['aileron', 'Aileron'],
  ['elevator', 'Elevator'],
  ['rudder', 'Rudder'],
  ['elevon', 'Elevon'],
  ['flaperon', 'Flaperon'],
  ['ruddervator', 'Ruddervator'],
  ['flap', 'Flap'],
];

const GAPS: readonly (readonly [Control['gap'], string])[] = [
  ['sealed', 'Without a gap'],
  ['open', 'With a gap'],
];

/** What a control answers to, where it lies, how it turns and what turns it. */
export function ControlFields({ surface, control }: ControlProps) {
  const dispatch = useAppDispatch();
  const of = ['surfaces', surface.id, 'controls', control.id] as const;
  const set = useSet();
  return (
    <div className="mt-1 grid grid-cols-3 gap-x-2 gap-y-1.5">
      <SelectField
        label="Answers to"
        value={control.function}
        options={FUNCTIONS}
        onChange={(value) => dispatch(setFields([field(...of, 'function').to(value)]))}
      />
      <QuantityField
        label="From (of span)"
        kind="percent"
        value={control.from * 100}
        onCommit={shownTimes(100, set(field(...of, 'from')))}
      />
      <QuantityField
        label="To (of span)"
        kind="percent"
        value={control.to * 100}
        onCommit={shownTimes(100, set(field(...of, 'to')))}
      />
      <QuantityField
        label="Hinge inboard"
        kind="percent"
        value={control.hingeInboard * 100}
        onCommit={shownTimes(100, set(field(...of, 'hingeInboard')))}
      />
      <QuantityField
        label="Hinge outboard"
        kind="percent"
        value={control.hingeOutboard * 100}
        onCommit={shownTimes(100, set(field(...of, 'hingeOutboard')))}
      />
      <CheckField
        className="pb-1 self-end"
        checked={control.allMoving}
        onChange={(checked) => dispatch(setFields([field(...of, 'allMoving').to(checked)]))}
      >
        all moving
      </CheckField>
      <QuantityField label="Throw up" kind="angle" value={control.throwUp} onCommit={set(field(...of, 'throwUp'))} />
      <QuantityField
        label="Throw down"
        kind="angle"
        value={control.throwDown}
        onCommit={set(field(...of, 'throwDown'))}
      />
      <QuantityField
        label="Neutral (down +)"
        kind="angle"
        value={control.neutral}
        onCommit={set(field(...of, 'neutral'))}
      />
      <SelectField
        label="Hinge"
        value={control.gap}
        options={GAPS}
        onChange={(value) => dispatch(setFields([field(...of, 'gap').to(value)]))}
      />
      <LinkageFields surface={surface} control={control} />
    </div>
  );
}
