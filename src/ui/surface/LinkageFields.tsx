import { ROD_STOCK } from '@/core/2-document/catalogue/rods';
import { field } from '@/core/2-document/edit/field';
import { type Control, servoSchema, type Surface } from '@/core/2-document/schema/surface';
import { linkageTravel } from '@/core/6-groups/feel/linkage';
import { setFields } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { decimal } from '@/words/formatQuantity';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { useSet } from '../fields/useSet';
import { Button } from '../shell/buttons';

export interface ControlProps {
  readonly surface: Surface;
  readonly control: Control;
}

/** Pushrod that nobody describes [mm], and what the choice of none is called. */
const FREE_LENGTH = 120;
const NONE = 'none';

/** Servo arm and horn and the throw that they give; what the servo turns, how much play there is, and the pushrod. */
export function LinkageFields({ surface, control }: ControlProps) {
  const dispatch = useAppDispatch();
  const of = ['surfaces', surface.id, 'controls', control.id] as const;
  const set = useSet();
  const { servo } = control;
  if (!servo)
    return (
      <div className="flex items-end">
        <Button
          className="w-full"
          onClick={() => dispatch(setFields([field(...of, 'servo').to(servoSchema.parse({}))]))}
        >
          Add linkage
        </Button>
      </div>
    );
  const linkage = linkageTravel(servo);
  const { pushrod } = servo;
  return (
    <>
      <QuantityField
        label="Servo travel"
        kind="angle"
        value={servo.travel}
        onCommit={set(field(...of, 'servo', 'travel'))}
      />
      <QuantityField label="Servo arm" kind="length" value={servo.arm} onCommit={set(field(...of, 'servo', 'arm'))} />
      <QuantityField
        label="Horn height"
        kind="length"
        value={servo.horn}
        onCommit={set(field(...of, 'servo', 'horn'))}
      />
      <div className="flex items-end">
        <Button
          className="w-full"
          disabled={linkage.binds}
          onClick={() => {
            const degrees = Math.round(Math.min(60, linkage.degrees) * 10) / 10;
            dispatch(setFields([field(...of, 'throwUp').to(degrees), field(...of, 'throwDown').to(degrees)]));
          }}
        >
          {linkage.binds ? 'binds' : `Take ${decimal(linkage.degrees, 1)}°`}
        </Button>
      </div>
      <QuantityField
        label="Servo gives (N·cm)"
        kind="number"
        step={1}
        value={servo.torque}
        placeholder="not known"
        onCommit={set(field(...of, 'servo', 'torque'))}
        onClear={() => dispatch(setFields([field(...of, 'servo', 'torque').to(undefined)]))}
      />
      <QuantityField
        label="Play at the horn"
        kind="length"
        value={servo.slop}
        onCommit={set(field(...of, 'servo', 'slop'))}
      />
      <SelectField
        label="Pushrod"
        value={pushrod ? (ROD_STOCK.find((rod) => isSame(rod, pushrod))?.name ?? 'own') : NONE}
        options={[
          [NONE, 'not known'],
          ...(pushrod && !ROD_STOCK.some((rod) => isSame(rod, pushrod)) ? ([['own', 'my own']] as const) : []),
          ...ROD_STOCK.map(({ name }) => [name, name] as const),
        ]}
        onChange={(wanted) => {
          const { name: _named, ...stock } = ROD_STOCK.find(({ name }) => name === wanted) ?? { name: '' };
          const next =
            'shape' in stock
              ? { ...stock, length: pushrod?.length ?? FREE_LENGTH }
              : wanted === NONE
                ? undefined
                : pushrod;
          dispatch(setFields([field(...of, 'servo', 'pushrod').to(next)]));
        }}
      />
      {pushrod && (
        <QuantityField
          label="Held every"
          kind="length"
          value={pushrod.length}
          onCommit={set(field(...of, 'servo', 'pushrod', 'length'))}
        />
      )}
    </>
  );
}

/** The same rod by what it is made of and how thick it is. */
const isSame = (
  a: Pick<(typeof ROD_STOCK)[number], 'shape' | 'width' | 'height' | 'material'>,
  b: Pick<(typeof ROD_STOCK)[number], 'shape' | 'width' | 'height' | 'material'>,
): boolean => a.shape === b.shape && a.width === b.width && a.height === b.height && a.material === b.material;
