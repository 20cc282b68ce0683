import { CheckField } from '../fields/CheckField';
import { field } from '@/core/2-document/edit/field';
import { type Control, type ControlFunction, servoSchema, type Surface } from '@/core/2-document/schema/surface';
import { linkageTravel } from '@/core/6-groups/feel/linkage';
import { decimal } from '@/words/formatQuantity';
import { setFields } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { shownTimes, useSet } from '../fields/useSet';
import { Button } from '../shell/buttons';

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

interface ControlProps {
  readonly surface: Surface;
  readonly control: Control;
}

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

/** Servo arm and horn, and the throw that they give. */
function LinkageFields({ surface, control }: ControlProps) {
  const dispatch = useAppDispatch();
  const of = ['surfaces', surface.id, 'controls', control.id] as const;
  const set = useSet();
  const linkage = control.servo ? linkageTravel(control.servo) : null;
  return control.servo ? (
    <>
      <QuantityField
        label="Servo travel"
        kind="angle"
        value={control.servo.travel}
        onCommit={set(field(...of, 'servo', 'travel'))}
      />
      <QuantityField
        label="Servo arm"
        kind="length"
        value={control.servo.arm}
        onCommit={set(field(...of, 'servo', 'arm'))}
      />
      <QuantityField
        label="Horn height"
        kind="length"
        value={control.servo.horn}
        onCommit={set(field(...of, 'servo', 'horn'))}
      />
      <div className="flex items-end">
        <Button
          className="w-full"
          disabled={linkage!.binds}
          onClick={() => {
            const degrees = Math.round(Math.min(60, linkage!.degrees) * 10) / 10;
            dispatch(setFields([field(...of, 'throwUp').to(degrees), field(...of, 'throwDown').to(degrees)]));
          }}
        >
          {linkage!.binds ? 'binds' : `Take ${decimal(linkage!.degrees, 1)}°`}
        </Button>
      </div>
    </>
  ) : (
    <div className="flex items-end">
      <Button className="w-full" onClick={() => dispatch(setFields([field(...of, 'servo').to(servoSchema.parse({}))]))}>
        Add linkage
      </Button>
    </div>
  );
}
