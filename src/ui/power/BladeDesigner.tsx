import { useState } from 'react';
import { degreesFromRadians, millimetresFromMetres, type Newtons } from '@/core/1-base/units/convert';
import { field } from '@/core/2-document/edit/field';
import type { Design } from '@/core/2-document/schema/design';
import type { Propulsion } from '@/core/2-document/schema/propulsion';
import { airAt } from '@/core/5-aero/atmosphere';
import { bladeAt } from '@/core/5-power/propeller/blade';
import { TWIST_SHARES, type Twist, twistFor } from '@/core/5-power/propeller/twist';
import { propellerMissing, propellerOf } from '@/core/6-groups/power/drives';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { decimal, formatLength, formatValue } from '@/words/formatQuantity';
import { QuantityField } from '../fields/QuantityField';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';

const MINUTE = 60;
const TAKEN = null;

/** What a hand-made blade is twisted for. */
interface Wanted {
  readonly speed: number;
  readonly turns: number;
  readonly thrust: number;
}

/** Chord and angle of a blade, place by place, typed or worked out for a speed, revolutions and a thrust. */
export function BladeDesigner({ design, drive }: { readonly design: Design; readonly drive: Propulsion }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const power = useAppSelector((state) => state.analysis.current?.power);
  const [wanted, setWanted] = useState<Partial<Wanted>>({});
  const { elevation, temperature, cruiseSpeed } = design.conditions;
  const cruise = power?.curve.reduce(
    (near, point) => (Math.abs(point.speed - cruiseSpeed) < Math.abs(near.speed - cruiseSpeed) ? point : near),
    power.curve[0]!,
  );
  const asked: Wanted = {
    speed: wanted.speed ?? cruiseSpeed,
    turns: wanted.turns ?? Math.round(((power?.staticTurns ?? 80) * MINUTE * 0.7) / 100) * 100,
    thrust: wanted.thrust ?? Math.max(0.1, cruise?.drag ?? 1),
  };
  const isUsable = propellerMissing(drive) === null;
  const own = isUsable ? propellerOf(drive) : null;
  const twist = own
    ? twistFor({
        diameter: own.diameter,
        blades: own.blades,
        chordAt: (share) => bladeAt(own.places, share).chord,
        speed: asked.speed,
        perSecond: asked.turns / MINUTE,
        thrust: asked.thrust as Newtons,
        air: airAt(elevation, temperature),
      })
    : null;
  const take = (places: Twist['propeller']['places']) =>
    dispatch(
      setFields([
        field('propulsion', drive.id, 'blade').to(
          places.map(({ share, chord, angle }) => ({
            share,
            chord: Math.round(millimetresFromMetres(chord) * 10) / 10,
            angle: Math.round(degreesFromRadians(angle) * 10) / 10,
          })),
        ),
      ]),
    );
  const change = (more: Partial<Wanted>) => {
    setWanted({ ...wanted, ...more });
    return TAKEN;
  };
  return (
    <Section title={`${drive.name || drive.id}: blade and twist`} remembered="Blade and twist" isRare>
      <div className="grid grid-cols-3 items-end gap-x-2 gap-y-1.5">
        <QuantityField
          label="Twist for"
          kind="speed"
          value={asked.speed}
          onCommit={(speed) => change({ speed: Math.max(1, speed) })}
        />
        <QuantityField
          label="rev/min"
          kind="number"
          step={100}
          value={asked.turns}
          onCommit={(turns) => change({ turns: Math.max(60, turns) })}
        />
        <QuantityField
          label="Thrust, N"
          kind="number"
          step={0.1}
          value={asked.thrust}
          digits={2}
          onCommit={(thrust) => change({ thrust: Math.max(0.01, thrust) })}
        />
      </div>
      {own && !twist && (
        <p className="mt-1 text-label text-stop">
          These chords at these revolutions do not give that thrust: more revolutions, a larger or broader blade.
        </p>
      )}
      {twist && (
        <>
          <Fact label="Twisted blade takes">{formatValue(twist.power, 'power', units)}</Fact>
          <Fact label="A straight blade for the same thrust">
            {twist.straightPower === null
              ? 'cannot give it'
              : `${formatValue(twist.straightPower, 'power', units)}, ${decimal((twist.straightPower / twist.power - 1) * 100, 0)} % more`}
          </Fact>
          {twist.narrow.length > 0 && (
            <p className="mt-1 text-label text-stop">
              Too narrow for what it should lift at{' '}
              {twist.narrow.map((share) => `${decimal(share * 100, 0)} %`).join(', ')} of the radius.
            </p>
          )}
          <Button className="mt-1.5" onClick={() => take(twist.propeller.places)}>
            Twist the blade so
          </Button>
        </>
      )}
      {drive.blade.length === 0 && own && (
        <Button
          look="quiet"
          className="mt-1.5"
          onClick={() => take(TWIST_SHARES.map((share) => ({ share, ...bladeAt(own.places, share) })))}
        >
          Type chords and angles
        </Button>
      )}
      {drive.blade.length > 0 && <Stations drive={drive} />}
      <p className="mt-1 text-label text-faint">
        Least loss for that thrust with these chords (Larrabee). The sheet “Blade” draws the blade and its templates,
        true to size for {formatLength(drive.propellerDiameter, units)}.
      </p>
    </Section>
  );
}

function Stations({ drive }: { readonly drive: Propulsion }) {
  const dispatch = useAppDispatch();
  const set = (index: number, more: Partial<Propulsion['blade'][number]>) =>
    dispatch(
      setFields([
        field('propulsion', drive.id, 'blade').to(
          drive.blade.map((station, place) => (place === index ? { ...station, ...more } : station)),
        ),
      ]),
    );
  return (
    <table className="mt-2 w-full text-read">
      <caption className="sr-only">Chord and angle along the blade</caption>
      <thead>
        <tr className="text-left text-label text-faint">
          <th scope="col" className="font-normal">
            of the radius
          </th>
          <th scope="col" className="font-normal">
            Chord
          </th>
          <th scope="col" className="font-normal">
            Angle
          </th>
        </tr>
      </thead>
      <tbody>
        {drive.blade.map(({ share, chord, angle }, index) => (
          <tr key={index}>
            <th scope="row" className="text-left font-normal">
              {decimal(share * 100, 0)} %
            </th>
            <td className="pr-2">
              <QuantityField
                label={`Chord at ${decimal(share * 100, 0)} %`}
                hideLabel
                kind="length"
                value={chord}
                onCommit={(next) => set(index, { chord: next })}
              />
            </td>
            <td>
              <QuantityField
                label={`Angle at ${decimal(share * 100, 0)} %`}
                hideLabel
                kind="angle"
                value={angle}
                onCommit={(next) => set(index, { angle: next })}
              />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
