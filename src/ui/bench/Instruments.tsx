import { hasSerial } from '@/instruments/serial';
import { isHeldInHand } from '@/instruments/phone';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { meterChosen, type Settings } from '@/store/settingsSlice';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { MeterZero } from './MeterZero';

/** What angles are read with, and what the own meter shows when it is level. */
export function Instruments() {
  const dispatch = useAppDispatch();
  const meter = useAppSelector((state) => state.settings.meter);
  const options: readonly (readonly [Settings['meter'], string])[] = [
    ['own', isHeldInHand() ? 'by this phone, or typed' : 'off a meter, and typed'],
    ...(isHeldInHand() ? ([['phone', 'by this phone']] as const) : []),
    ['standIn', 'by a made-up meter'],
    ...(hasSerial() || meter === 'serial' ? ([['serial', 'by a meter on a serial line']] as const) : []),
  ];
  return (
    <Section title="Instruments">
      <SelectField
        label="Angles are read"
        value={options.some(([value]) => value === meter) ? meter : 'own'}
        options={options}
        onChange={(value) => dispatch(meterChosen(value))}
      />
      {meter === 'own' && <MeterZero />}
      <p className="mt-1.5 text-label text-faint">
        {meter === 'serial'
          ? 'It writes lines such as “tilt 2.35 deg” at 9600 baud.'
          : meter === 'standIn'
            ? 'Our server plays it: it trembles, creeps, is knocked, and its battery runs out. It lies on nothing but a rehearsal.'
            : 'Level the datum first. Every reading is taken twice, the meter turned end for end between: what it shows when level falls out.'}
      </p>
    </Section>
  );
}
