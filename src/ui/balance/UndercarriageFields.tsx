import { CheckField } from '../fields/CheckField';
import { degreesFromRadians, millimetresFromMetres } from '@/core/1-base/units/convert';
import { field } from '@/core/2-document/edit/field';
import { Plus, Trash2 } from 'lucide-react';
import { bellyClearance, undercarriageOf } from '@/core/4-weight/undercarriage';
import { wheelSchema } from '@/core/2-document/schema/airframe';
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

/** Wheels and skids: where they stand, when it tips over, and how far the propeller is from the ground. */
export function UndercarriageFields({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const set = useSet();
  const units = useAppSelector((state) => state.settings.units);
  const cg = useAppSelector((state) => state.analysis.current?.mass.cg);
  const gear = cg ? undercarriageOf(design, cg) : null;
  const belly = bellyClearance(design);
  const add = (mirrored: boolean) =>
    dispatch(
      editDesign((current) => {
        let number = current.wheels.length + 1;
        while (current.wheels.some(({ id }) => id === `wheel${number}`)) number++;
        const balance = millimetresFromMetres(cg?.[0] ?? 0.2);
        const rear = Math.max(...current.surfaces.map(({ position }) => position.x), balance + 200);
        return {
          ...current,
          wheels: [
            ...current.wheels,
            wheelSchema.parse({
              id: `wheel${number}`,
              mirrored,
              ...(mirrored
                ? { position: { x: Math.round(balance - 45), y: 110, z: -130 }, diameter: 60 }
                : { position: { x: Math.round(rear), y: 0, z: -40 }, diameter: 20 }),
            }),
          ],
        };
      }),
    );
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
        {design.wheels.map((wheel, index) => {
          return (
            <li
              key={wheel.id}
              className="grid grid-cols-[1fr_1fr_1fr_1fr_28px] items-end gap-1 small:grid-cols-[1fr_1fr_1fr]"
            >
              <QuantityField
                label={`${index + 1} aft`}
                kind="length"
                value={wheel.position.x}
                onCommit={set(field('wheels', wheel.id, 'position', 'x'))}
              />
              {wheel.mirrored ? (
                <QuantityField
                  label={`${index + 1} off`}
                  kind="length"
                  value={wheel.position.y}
                  onCommit={set(field('wheels', wheel.id, 'position', 'y'))}
                />
              ) : (
                <span className="pb-1 text-label text-faint">centre</span>
              )}
              <QuantityField
                label={`${index + 1} up`}
                kind="length"
                value={wheel.position.z}
                onCommit={set(field('wheels', wheel.id, 'position', 'z'))}
              />
              <QuantityField
                label={`${index + 1} ∅`}
                kind="length"
                value={wheel.diameter}
                onCommit={set(field('wheels', wheel.id, 'diameter'))}
              />
              <IconButton
                label={`Take wheel ${index + 1} out`}
                className="!size-7"
                icon={<Trash2 size={14} />}
                onClick={() =>
                  dispatch(
                    editDesign((current) => ({
                      ...current,
                      wheels: current.wheels.filter(({ id }) => id !== wheel.id),
                    })),
                  )
                }
              />
              <QuantityField
                label={`${index + 1} tyre`}
                kind="length"
                value={wheel.width}
                placeholder="usual"
                onCommit={set(field('wheels', wheel.id, 'width'))}
                onClear={() => set(field('wheels', wheel.id, 'width'))(undefined)}
              />
              <QuantityField
                label={`${index + 1} leg ∅`}
                kind="length"
                value={wheel.legDiameter}
                onCommit={set(field('wheels', wheel.id, 'legDiameter'))}
              />
              <CheckField
                className="col-span-2 pb-1"
                checked={wheel.retracts}
                onChange={(checked) => set(field('wheels', wheel.id, 'retracts'))(checked)}
              >
                drawn in for flight
              </CheckField>
            </li>
          );
        })}
      </ul>
      {gear && (
        <div className="mt-1.5">
          <Fact label={`${LAYOUTS[gear.layout]}: tips over beyond`}>{degrees(gear.tipAngle)}</Fact>
          {gear.turnoverAngle !== null && (
            <Fact label="Turnover angle (at most 63° is usual)">{degrees(gear.turnoverAngle)}</Fact>
          )}
          {gear.propellerClearance !== null && (
            <Fact label="Propeller over the ground, at lift-off">
              {formatLength(millimetresFromMetres(gear.propellerClearance), units, 0)}
              {gear.rotationClearance !== null &&
                `, ${formatLength(millimetresFromMetres(gear.rotationClearance), units, 0)}`}
            </Fact>
          )}
          {gear.words.map((words, index) => (
            <p key={index} className="mt-1 text-label text-caution">
              <Say words={words} />
            </p>
          ))}
        </div>
      )}
    </Section>
  );
}
