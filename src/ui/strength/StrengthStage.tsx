import type { ComponentProps } from 'react';
import { field } from '@/core/2-document/edit/field';
import type { UnitKind } from '@/core/1-base/units/unitKind';
import type { Design } from '@/core/2-document/schema/design';
import { isWing } from '@/core/2-document/schema/roles';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatValue } from '@/words/formatQuantity';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { useSet } from '../fields/useSet';
import { Derived, Fact } from '../numbers/Derived';
import { GroupFact } from '../numbers/GroupFact';
import { Section } from '../numbers/Section';
import { Rods } from '../section/Rods';
import { CHECK_WORDS } from './checkWords';
import { Joints } from './Joints';

type ToldProps = Omit<ComponentProps<typeof GroupFact>, 'group'>;

const Told = (props: ToldProps) => <GroupFact group="strength" {...props} />;

/** A number with the way it goes in words instead of a sign. */
function Goes({
  ways,
  ...told
}: ToldProps & { readonly unit: UnitKind; readonly ways: readonly [up: string, down: string] }) {
  const units = useAppSelector((state) => state.settings.units);
  const format = (value: number) =>
    `${formatValue(Math.abs(value), told.unit, units)} ${value < 0 ? ways[1] : ways[0]}`;
  return <Told {...told} format={format} />;
}

const AFT_OR_AHEAD = ['aft', 'ahead'] as const;

const timesWeight = (value: number) => `${decimal(value, 1)} × its weight`;

/** One number that opens to its working, or why it is not there. */
function Explained({
  label,
  id,
  isFactor,
}: {
  readonly label: string;
  readonly id: string;
  readonly isFactor?: boolean;
}) {
  const why = useAppSelector((state) => state.analysis.current?.strength.reasons[id]);
  return (
    <Derived
      {...{ id, label }}
      why={why ?? 'not known'}
      {...(isFactor ? { format: (value) => decimal(value, 1), beside: ' × its weight' } : {})}
    />
  );
}

/** What it bears, what bends, and what that does to flight; rods, joints and loads. */
export function StrengthStage({ design }: { readonly design: Design }) {
  const analysis = useAppSelector((state) => state.analysis.current);
  const divergesBy = analysis?.strength.divergesBy;
  if (design.surfaces.length === 0) return <p className="p-3 text-read text-faint">Nothing is drawn yet.</p>;
  return (
    <>
      <WhatItBears />
      <Section title="What bends">
        <Explained label="Tip of the wing, level" id="tipDeflection" />
        <Goes label="Turned there" id="tipTwist" unit="angle" ways={['leading edge up', 'leading edge down']} />
        <Told label="Both may be off by" id="deflectionBand" unit="percent" />
        <Told label="Lift slope left" id="liftSlopeKept" unit="percent" />
        <Goes label="Neutral point moves" id="neutralPointShift" unit="length" ways={AFT_OR_AHEAD} />
        <Goes label="Neutral point in the dive" id="neutralPointShiftAtDive" unit="length" ways={AFT_OR_AHEAD} />
        <Told label="Pitch command left" id="pitchKept" unit="percent" />
        <Told label="Roll command left" id="rollKept" unit="percent" />
        <Told label="Yaw command left" id="rudderYawKept" unit="percent" />
        <Told label="Roll of that command left" id="rudderRollKept" unit="percent" />
        <Explained label="Tail’s pitch left by its boom" id="boomPitchFactor" />
        <Told label="Tail’s yaw left by its boom" id="boomYawFactor" unit="percent" />
        {analysis?.strength.flexApart != null && <Told label="Front wing turns more by" id="flexApart" unit="angle" />}
      </Section>
      <Section title="Speeds it must not reach">
        <Explained label="Fastest in the dive below" id="diveSpeed" />
        <Explained label={divergesBy == null ? 'Twists away' : `${divergesBy} turns away`} id="divergenceSpeed" />
        <Told label="Pitch command turns round" id="elevatorReversalSpeed" unit="speed" />
        <Told label="Roll command turns round" id="aileronReversalSpeed" unit="speed" />
        <Told label="Yaw command turns round" id="rudderReversalSpeed" unit="speed" />
        <Told label="Its roll turns round" id="rudderRollReversalSpeed" unit="speed" />
        <p className="mt-1 text-label text-faint">
          No flutter speed is computed: keep controls free of play, hinges stiff and control surfaces light.
        </p>
      </Section>
      <Loads design={design} />
      <Linkages />
      <Checks />
      <HeldBy items={design.massItems} />
      {design.surfaces.filter(isWing).map((surface) => (
        <Joints key={surface.id} surface={surface} />
      ))}
      {design.surfaces.filter(isWing).map((surface) => (
        <Rods
          key={`rods ${surface.id}`}
          surface={surface}
          title={`Rods of ${(surface.name || surface.id).toLowerCase()}`}
        />
      ))}
    </>
  );
}

function WhatItBears() {
  const strength = useAppSelector((state) => state.analysis.current?.strength);
  const breaks = strength?.breaksAt;
  return (
    <Section title="What it bears">
      <Explained label="Breaks at cruise speed under" id="breakingLoadFactor" isFactor />
      <Told label="Breaks in the dive under" id="breakingAtDive" format={timesWeight} />
      <Explained label="Flight may ask for" id="flightLoadFactor" isFactor />
      {breaks && (
        <Fact label="Gives way">
          {breaks.surface}, {breaks.member} at {decimal(breaks.spanFraction * 100, 0)} % of the half span
        </Fact>
      )}
      <p className="mt-1 text-label text-faint">
        Boards differ by {strength?.breakingBand == null ? 'a third' : `${decimal(strength.breakingBand * 100, 0)} %`}{' '}
        and more when damp. Bend a strip of yours and enter it under Boards; load a wing by hand before it flies.
      </p>
    </Section>
  );
}

function Loads({ design }: { readonly design: Design }) {
  const set = useSet();
  const { diveAngle, diveHeight, landingSink, landingTravel } = design.loads;
  return (
    <Section title="Dive and landing" isRare>
      <div className="grid grid-cols-2 gap-x-2 gap-y-1.5">
        <QuantityField label="Dives at" kind="angle" value={diveAngle} onCommit={set(field('loads', 'diveAngle'))} />
        <QuantityField
          label="Over a height of (m)"
          kind="number"
          step={5}
          value={diveHeight}
          onCommit={set(field('loads', 'diveHeight'))}
        />
        <QuantityField
          label="Touches down sinking at"
          kind="speed"
          value={landingSink}
          onCommit={set(field('loads', 'landingSink'))}
        />
        <QuantityField
          label="Legs or belly give by"
          kind="length"
          value={landingTravel}
          onCommit={set(field('loads', 'landingTravel'))}
        />
      </div>
    </Section>
  );
}

/** Torque under which the numbers of a servo are usually sold: shown in newton centimetres. */
const CENTI = 100;

function Linkages() {
  const linkages = useAppSelector((state) => state.analysis.current?.strength.linkages) ?? [];
  const units = useAppSelector((state) => state.settings.units);
  if (linkages.length === 0) return null;
  return (
    <Section title="Servos and pushrods">
      <table className="w-full text-label">
        <caption className="sr-only">What full throw in the dive asks of each servo</caption>
        <thead>
          <tr className="text-faint">
            {['Control', 'Servo, N·cm', 'Level', 'Play', 'Pushrod'].map((head, index) => (
              <th key={head} scope="col" className={`font-normal ${index === 0 ? 'text-left' : 'text-right'}`}>
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {linkages.map(({ control, servo, servoAtCruise, torqueShare, slop, bucklingShare }, index) => (
            <tr key={`${control}${index}`} className="border-t border-soft">
              <th scope="row" className="py-1 text-left font-normal">
                {control}
              </th>
              <td className="text-right">
                {decimal(servo * CENTI, 1)}
                {torqueShare !== null && `, ${decimal(torqueShare * 100, 0)} %`}
              </td>
              <td className="text-right">{decimal(servoAtCruise * CENTI, 1)}</td>
              <td className="text-right">{formatValue(slop, 'angle', units)}</td>
              <td className="text-right">{bucklingShare === null ? '–' : `${decimal(bucklingShare * 100, 0)} %`}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-label text-faint">
        At full throw in the dive, and at cruise speed; torque of the servo, play and pushrod are typed with each
        control.
      </p>
    </Section>
  );
}

function Checks() {
  const checks = useAppSelector((state) => state.analysis.current?.strength.checks) ?? [];
  if (checks.length === 0) return null;
  return (
    <Section title="Joints and landing">
      <table className="w-full text-label">
        <caption className="sr-only">How much of what it bears each joint is asked for</caption>
        <tbody>
          {checks.map(({ kind, part, share }, index) => (
            <tr key={`${kind}${part}${index}`} className="border-t border-soft">
              <th scope="row" className="py-1 text-left font-normal">
                {CHECK_WORDS[kind]} <span className="text-faint">{part}</span>
              </th>
              <td className={`text-right ${share > 1 ? 'text-stop' : share > TIGHT ? 'text-caution' : ''}`}>
                {decimal(share * 100, 0)} %
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Section>
  );
}

const HOLDS = [
  ['unsaid', 'not said'],
  ['strap', 'a strap'],
  ['hookAndLoop', 'hook and loop'],
  ['glue', 'glue'],
  ['screws', 'screws'],
] as const;

/** What keeps each thing in its place when it lands; heaviest first. */
function HeldBy({ items }: { readonly items: Design['massItems'] }) {
  const set = useSet();
  if (items.length === 0) return null;
  return (
    <Section title="What holds the equipment" isRare>
      <div className="grid grid-cols-2 gap-x-2 gap-y-1.5">
        {items
          .toSorted((a, b) => (b.measuredMass ?? b.mass) - (a.measuredMass ?? a.mass))
          .map(({ id, name, heldBy }) => (
            <SelectField
              key={id}
              label={name || id}
              value={heldBy ?? 'unsaid'}
              options={HOLDS}
              onChange={(next) => set(field('massItems', id, 'heldBy'))(next === 'unsaid' ? undefined : next)}
            />
          ))}
      </div>
    </Section>
  );
}

/** More than that of what it bears leaves little for glue that did not take. */
const TIGHT = 0.6;
