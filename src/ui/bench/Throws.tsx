import { useState } from 'react';
import { toast } from 'sonner';
import type { Degrees } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { Side } from '@/core/8-bench/gates';
import {
  angleOfTravel,
  edgeTravel,
  judgeThrow,
  type ThrowGate,
  throwGates,
  throwId,
  type ThrowVerdict,
  type Way,
  WAYS,
} from '@/core/8-bench/throws';
import { forgetReading, keepReading } from '@/store/bench';
import { useAppDispatch } from '@/store/hooks';
import { decimal } from '@/words/formatQuantity';
import { Choices } from '../fields/Choices';
import { QuantityField } from '../fields/QuantityField';
import { Say } from '../numbers/Say';
import { Section } from '../numbers/Section';
import { useRecords } from '../records/useRecords';

const LOOKS: Readonly<Record<ThrowVerdict['state'], string>> = {
  open: 'border-rule text-faint',
  ok: 'border-balance bg-balance-soft',
  reset: 'border-caution bg-caution-soft',
};
const READ_IN: readonly (readonly ['angle' | 'length', string])[] = [
  ['angle', 'in degrees'],
  ['length', 'at the edge'],
];
/** No control travels farther [°]. */
const MOST = 90;

/** Travels of all controls with full stick, against the drawing. */
export function Throws({ design }: { readonly design: Design }) {
  const [readIn, setReadIn] = useState<'angle' | 'length'>('angle');
  const gates = throwGates(design);
  if (gates.length === 0) return null;
  return (
    <Section title="Throws">
      <Choices
        joined
        className="mb-1.5 w-fit"
        label="How travels are read"
        options={READ_IN}
        value={readIn}
        onChange={(next) => next && setReadIn(next)}
      />
      {gates.map((gate) => (
        <Travels key={`${gate.surface} ${gate.control}`} gate={gate} readIn={readIn} />
      ))}
      <p className="mt-1 text-label text-faint">
        Propeller off. Stick to the right: the right aileron rises; stick back: the elevator rises. A hinge that is let
        go falls by itself.
      </p>
    </Section>
  );
}

function Travels({ gate, readIn }: { readonly gate: ThrowGate; readonly readIn: 'angle' | 'length' }) {
  const dispatch = useAppDispatch();
  const kept = useRecords('benchReadings');
  const read = (side: Side, way: Way): Degrees | undefined =>
    kept.find(({ id }) => id === throwId(gate, side, way))?.value;
  const shown = (angle: Degrees) => (readIn === 'angle' ? angle : Math.round(10 * edgeTravel(gate, angle)) / 10);
  const take = (side: Side, way: Way) => (value: number) => {
    const angle = readIn === 'angle' ? value : angleOfTravel(gate, value);
    if (angle === null || !(angle >= 0 && angle <= MOST))
      return {
        path: '',
        message:
          readIn === 'angle' ? `must lie between 0 and ${MOST}` : `must lie between 0 and ${decimal(gate.chord, 0)} mm`,
      };
    void dispatch(
      keepReading({
        id: throwId(gate, side, way),
        what: 'throw',
        part: gate.control,
        side,
        value: Math.round(100 * angle) / 100,
        notes: '',
      }),
    ).then((because) => because && toast(because));
    return null;
  };
  const { state, words } = judgeThrow(gate, read);
  return (
    <div className="mb-2">
      <div className="grid grid-cols-2 gap-x-2 gap-y-1">
        {gate.sides.flatMap((side) =>
          WAYS.map((way) => {
            const own = read(side, way);
            return (
              <QuantityField
                key={`${side} ${way}`}
                label={`${gate.name} ${gate.called[way]}${gate.sides.length === 2 ? `, ${side}` : ''}`}
                kind={readIn}
                digits={1}
                value={own === undefined ? undefined : shown(own)}
                placeholder={decimal(shown(gate.drawn[way]), 1)}
                onCommit={take(side, way)}
                onClear={() => {
                  void dispatch(forgetReading(throwId(gate, side, way)));
                  return null;
                }}
              />
            );
          }),
        )}
      </div>
      <p
        role="status"
        aria-label={`Throws of ${gate.name}`}
        className={`mt-1 border-l-4 px-2 py-1 text-label ${LOOKS[state]}`}
      >
        <Say words={words} />
      </p>
    </div>
  );
}
