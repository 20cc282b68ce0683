import { degreesFromRadians } from '@/core/1-base/units/convert';
import { type AxisFeel, type Feel } from '@/core/6-groups/feel/axisFeel';
import { PITCH_CONTROLS, ROLL_CONTROLS, withThrows, YAW_CONTROLS } from '@/core/7-verdict/changes';
import { decimal, formatValue } from '@/words/formatQuantity';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { Fact, Why } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';

const AXES: Record<AxisFeel['axis'], string> = { roll: 'Roll', yaw: 'Yaw', pitch: 'Pitch' };
const FEELS: Record<Feel, string> = {
  none: 'none',
  tooLittle: 'too little',
  calm: 'calm',
  lively: 'lively',
  tooMuch: 'too sensitive',
};
const CONTROLS = { roll: ROLL_CONTROLS, yaw: YAW_CONTROLS, pitch: PITCH_CONTROLS } as const;

const degrees = (radians: number) => `${decimal(degreesFromRadians(radians), 0)}°`;

function responseWords({ axis, response }: AxisFeel): string {
  if (axis === 'roll') return `${degrees(Math.abs(response))} a second`;
  return axis === 'yaw' ? `${degrees(response)} of slip` : `${decimal(response, 1)} g more`;
}

/** What full stick does, how that feels, and the rate that would mend it. */
export function ControlFeelSection() {
  const dispatch = useAppDispatch();
  const feel = useAppSelector((state) => state.analysis.current?.feel);
  const design = useAppSelector((state) => state.document.present);
  const units = useAppSelector((state) => state.settings.units);
  if (!feel || !design) return null;
  return (
    <Section title="Full stick" isRare>
      {feel.speed !== null && (
        <p className="mb-1 text-label text-faint">
          At {formatValue(feel.speed, 'speed', units)}: twice the stall speed, or cruise if that is slower. Nothing goes
          beyond the stall.
        </p>
      )}
      {feel.axes.length === 0 && <Why text="No control moves yet, or there is no trim to move away from." />}
      {feel.axes.map((axis) => (
        <div key={axis.axis} className="flex items-center justify-between gap-2 border-b border-soft py-1 text-read">
          <span>
            {AXES[axis.axis]}: {responseWords(axis)}
            <span className={`block text-label ${axis.travelShare === null ? 'text-faint' : 'text-caution'}`}>
              feels {FEELS[axis.feel]}
              {axis.travelShare !== null && `; ${Math.round(axis.travelShare * 100)} % of the travel would be calm`}
            </span>
          </span>
          {axis.travelShare !== null && (
            <Button
              onClick={() => dispatch(setFields(withThrows(design, CONTROLS[axis.axis], axis.travelShare!)))}
              aria-label={`Set the travel of ${AXES[axis.axis].toLowerCase()} to ${Math.round(axis.travelShare * 100)} %`}
            >
              Set it
            </Button>
          )}
        </div>
      ))}
      {feel.bankByRudder !== null && (
        <Fact label="A second of full rudder banks it">
          {degrees(Math.abs(feel.bankByRudder))} {feel.bankByRudder >= 0 ? 'with the rudder' : 'against the rudder'}
        </Fact>
      )}
    </Section>
  );
}
