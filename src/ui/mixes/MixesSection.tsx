import { useState } from 'react';
import { LIMITS } from '@/core/2-document/schema/limits';
import type { Mix } from '@/core/2-document/schema/brief';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { mixOf } from '@/core/5-aero/commands';
import { inMode } from '@/core/2-document/inMode';
import { changeMix, type MixTarget, resetMix } from '@/store/mixes';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { decimal } from '@/words/formatQuantity';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { Typeset } from '../numbers/Typeset';
import { Button } from '../shell/buttons';
import { FlightModes } from './FlightModes';

const STICKS: readonly (readonly [Mix['command'], string])[] = [
  ['pitch', 'Pitch stick, forward'],
  ['roll', 'Roll stick, right'],
  ['yaw', 'Yaw stick, right'],
  ['flap', 'Flap switch'],
];

/** Of the command, either way. */
const MOST_PERCENT = 100 * LIMITS.gain.maximum;

/** Which control or tilting drive follows which stick, how far each side, in each flight mode. */
export function MixesSection({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const [stick, setStick] = useState<Mix['command']>('pitch');
  const flown = inMode(design);
  const mode = design.modes.find(({ id }) => id === design.mode);
  const own = (mode ? mode.mixes : design.mixes).some(({ command }) => command === stick);
  const terms = mixOf(flown, placeAll(flown.surfaces), stick);
  const drives = flown.mixes.find(({ command }) => command === stick)?.drives ?? [];
  const controls = design.surfaces.flatMap((surface) => surface.controls.map((control) => ({ surface, control })));
  if (controls.length === 0) return null;
  const set = (target: MixTarget, side: 'left' | 'right') => (shown: number) =>
    Math.abs(shown) > MOST_PERCENT
      ? {
          path: '',
          message: `must lie between −${MOST_PERCENT} % and ${MOST_PERCENT} %: a mix moves a control at most twice its throw`,
        }
      : dispatch(changeMix(stick, target, side, shown / 100));
  const row = (
    key: string,
    name: string,
    target: MixTarget,
    gains: { readonly left: number; readonly right: number } | undefined,
    isSingle: boolean,
  ) => (
    <tr key={key} className="border-t border-soft">
      <th scope="row" className="leading-tight py-1 pr-1 text-left font-normal" title={name}>
        {name}
      </th>
      {(['left', 'right'] as const).map((side) => (
        <td key={side} className="w-[27%] pr-1">
          {isSingle && side === 'left' ? (
            <span className="text-faint">–</span>
          ) : (
            <QuantityField
              hideLabel
              label={`${name}, ${isSingle ? 'only one' : side}`}
              kind="percent"
              digits={0}
              value={(gains?.[side] ?? 0) * 100}
              onCommit={set(target, side)}
            />
          )}
        </td>
      ))}
    </tr>
  );
  return (
    <Section
      title="Mixes and flight modes"
      isRare
      aside={
        <Button look="quiet" disabled={!own} onClick={() => dispatch(resetMix(stick))}>
          {mode ? 'As drawn' : 'Usual mix'}
        </Button>
      }
    >
      <FlightModes design={design} />
      <SelectField label="Stick" value={stick} options={STICKS} onChange={setStick} />
      <table className="mt-1 w-full table-fixed text-label" data-testid="mix">
        <caption className="sr-only">How far each control follows</caption>
        <thead>
          <tr className="text-left text-faint">
            {['Down; a fin to the right', 'Left', 'Right'].map((head) => (
              <th key={head} scope="col" className="font-normal">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {controls.map(({ surface, control }) =>
            row(
              control.id,
              control.name || control.id,
              { control: control.id },
              terms.find((term) => term.control.id === control.id),
              !surface.mirrored,
            ),
          )}
          {design.propulsion
            .filter(({ tiltTravel }) => tiltTravel > 0)
            .map((drive) =>
              row(
                drive.id,
                `${drive.name || drive.id}, tilted nose up`,
                { drive: drive.id },
                drives.find((entry) => entry.drive === drive.id),
                !drive.mirrored,
              ),
            )}
        </tbody>
      </table>
      <Tilted stick={stick} />
      <p className="mt-1 text-label text-faint">
        Of the stick’s command; a minus turns it the other way. What several sticks ask of one control adds up.
      </p>
    </Section>
  );
}

/** What tilting drives do with this stick. */
function Tilted({ stick }: { readonly stick: Mix['command'] }) {
  const tilt = useAppSelector((state) => state.analysis.current?.tilt.find(({ command }) => command === stick));
  if (!tilt) return null;
  return (
    <Fact label="Tilted drives in level flight">
      <Typeset text={`C_m ${decimal(tilt.pitch, 3)}, C_l ${decimal(tilt.roll, 3)}`} />: gone with the throttle
    </Fact>
  );
}
