import { CheckField } from '../fields/CheckField';
import { degreesFromRadians, type Millimetres, millimetresFromMetres } from '@/core/1-base/units/convert';
import { field } from '@/core/2-document/edit/field';
import { Plus, Trash2 } from 'lucide-react';
import { bellyClearance, type Undercarriage, undercarriageOf } from '@/core/4-weight/undercarriage';
import { type Wheel, wheelSchema } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { decimal, formatLength } from '@/words/formatQuantity';
import { editDesign } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { Button, IconButton } from '../shell/buttons';
import { Say } from '../numbers/Say';
import { useSet } from '../fields/useSet';

const LAYOUTS = { tricycle: 'Nose wheel', tailDragger: 'Tail wheel', skid: 'Skid' } as const;
const degrees = (radians: number) => `${decimal(degreesFromRadians(radians), 0)}°`;

/** A pair of wheels a little ahead of where the design balances, or one at its rear end. */
function withWheel(design: Design, mirrored: boolean, balance: Millimetres): Design {
  let number = design.wheels.length + 1;
  while (design.wheels.some(({ id }) => id === `wheel${number}`)) number++;
  const rear = Math.max(...design.surfaces.map(({ position }) => position.x), balance + 200);
  const wheel = wheelSchema.parse({
    id: `wheel${number}`,
    mirrored,
    ...(mirrored
      ? { position: { x: Math.round(balance - 45), y: 110, z: -130 }, diameter: 60 }
      : { position: { x: Math.round(rear), y: 0, z: -40 }, diameter: 20 }),
  });
  return { ...design, wheels: [...design.wheels, wheel] };
}

/** Wheels and skids: where they stand, when it tips over, and how far the propeller is from the ground. */
export function UndercarriageFields({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const cg = useAppSelector((state) => state.analysis.current?.mass.cg);
  const gear = cg ? undercarriageOf(design, cg) : null;
  const belly = bellyClearance(design);
  const add = (mirrored: boolean) =>
    dispatch(editDesign((current) => withWheel(current, mirrored, millimetresFromMetres(cg?.[0] ?? 0.2))));
  return (
    <Section
      title="Undercarriage"
      isRare
      aside={
        <span className="flex gap-1">
          <Button onClick={() => add(true)}>
            <Plus size={14} aria-hidden="true" /> Pair
          </Button>
          <Button onClick={() => add(false)}>
            <Plus size={14} aria-hidden="true" /> One
          </Button>
        </span>
      }
    >
      {design.wheels.length === 0 && (
        <p className="text-label text-faint">
          It lands on its belly.
          {belly !== null &&
            (belly >= 0
              ? ` The propeller stays ${formatLength(millimetresFromMetres(belly), units, 0)} above it.`
              : ` The propeller reaches ${formatLength(millimetresFromMetres(-belly), units, 0)} below it: land with it stopped, folded or across, or put a skid under it.`)}
        </p>
      )}
      <ul className="space-y-1">
        {design.wheels.map((wheel, index) => (
          <WheelRow key={wheel.id} wheel={wheel} number={index + 1} />
        ))}
      </ul>
      {gear && <GearFacts gear={gear} />}
    </Section>
  );
}

interface WheelRowProps {
  readonly wheel: Wheel;
  /** Counted from one. */
  readonly number: number;
}

/** Where one wheel or pair stands, how large it is, and what carries it. */
function WheelRow({
  wheel: { id, mirrored, position, diameter, width, legDiameter, retracts },
  number,
}: WheelRowProps) {
  const dispatch = useAppDispatch();
  const set = useSet();
  return (
    <li className="grid grid-cols-[1fr_1fr_1fr_1fr_28px] items-end gap-1 small:grid-cols-[1fr_1fr_1fr]">
      <QuantityField
        label={`${number} aft`}
        kind="length"
        value={position.x}
        onCommit={set(field('wheels', id, 'position', 'x'))}
      />
      {mirrored ? (
        <QuantityField
          label={`${number} off`}
          kind="length"
          value={position.y}
          onCommit={set(field('wheels', id, 'position', 'y'))}
        />
      ) : (
        <span className="pb-1 text-label text-faint">centre</span>
      )}
      <QuantityField
        label={`${number} up`}
        kind="length"
        value={position.z}
        onCommit={set(field('wheels', id, 'position', 'z'))}
      />
      <QuantityField
        label={`${number} ∅`}
        kind="length"
        value={diameter}
        onCommit={set(field('wheels', id, 'diameter'))}
      />
      <IconButton
        label={`Take wheel ${number} out`}
        className="!size-7"
        icon={<Trash2 size={14} />}
        onClick={() =>
          dispatch(editDesign((current) => ({ ...current, wheels: current.wheels.filter((one) => one.id !== id) })))
        }
      />
      <QuantityField
        label={`${number} tyre`}
        kind="length"
        value={width}
        placeholder="usual"
        onCommit={set(field('wheels', id, 'width'))}
        onClear={() => set(field('wheels', id, 'width'))(undefined)}
      />
      <QuantityField
        label={`${number} leg ∅`}
        kind="length"
        value={legDiameter}
        onCommit={set(field('wheels', id, 'legDiameter'))}
      />
      <CheckField
        className="col-span-2 pb-1"
        checked={retracts}
        onChange={(checked) => set(field('wheels', id, 'retracts'))(checked)}
      >
        drawn in for flight
      </CheckField>
    </li>
  );
}

/** How it stands on the ground, and what is amiss with that. */
function GearFacts({ gear }: { readonly gear: Undercarriage }) {
  const units = useAppSelector((state) => state.settings.units);
  const height = (metres: number) => formatLength(millimetresFromMetres(metres), units, 0);
  return (
    <div className="mt-1.5">
      <Fact label={`${LAYOUTS[gear.layout]}: tips over beyond`}>{degrees(gear.tipAngle)}</Fact>
      {gear.turnoverAngle !== null && (
        <Fact label="Turnover angle (at most 63° is usual)">{degrees(gear.turnoverAngle)}</Fact>
      )}
      {gear.propellerClearance !== null && (
        <Fact label="Propeller over the ground, at lift-off">
          {height(gear.propellerClearance)}
          {gear.rotationClearance !== null && `, ${height(gear.rotationClearance)}`}
        </Fact>
      )}
      {gear.words.map((words, index) => (
        <p key={index} className="mt-1 text-label text-caution">
          <Say words={words} />
        </p>
      ))}
    </div>
  );
}
