import { field } from '@/core/2-document/edit/field';
import type { Propulsion } from '@/core/2-document/schema/propulsion';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { decimal } from '@/words/formatQuantity';
import { MaybeField } from '../fields/MaybeField';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { benchNumber } from './benchNumber';

/** What a bench said at rest, full throttle: it sets motor and propeller. */
export function BenchFields({ drive }: { readonly drive: Propulsion }) {
  const dispatch = useAppDispatch();
  const limits = useAppSelector((state) => state.analysis.current?.driveLimits.find(({ id }) => id === drive.id));
  const { benchTest } = drive;
  return (
    <Section title={`${drive.name || drive.id}: bench test`} remembered="Bench test" isRare>
      <div className="grid grid-cols-4 items-end gap-x-2 gap-y-1.5">
        <MaybeField label="Thrust" kind="mass" value={benchTest?.thrust} of={benchNumber(drive, 'thrust')} />
        <MaybeField label="rev/min" step={50} value={benchTest?.turns} of={benchNumber(drive, 'turns')} />
        <MaybeField label="Volts" step={0.1} value={benchTest?.volts} of={benchNumber(drive, 'volts')} />
        <MaybeField label="Ampere" step={0.1} value={benchTest?.current} of={benchNumber(drive, 'current')} />
      </div>
      {benchTest && limits && (
        <>
          <Fact label="Thrust against the computed">{decimal(limits.thrustFactor * 100, 0)} %</Fact>
          <Fact label="Torque against the computed">{decimal(limits.torqueFactor * 100, 0)} %</Fact>
        </>
      )}
      <p className="mt-1 text-label text-faint">
        At rest, full throttle, of one motor; leave empty what was not read. What was measured replaces what is
        computed, at all speeds. Hold the model fast, stand behind the disc, keep it short.
      </p>
      {benchTest && (
        <Button
          look="quiet"
          onClick={() => dispatch(setFields([field('propulsion', drive.id, 'benchTest').to(undefined)]))}
        >
          Forget the bench test
        </Button>
      )}
    </Section>
  );
}
