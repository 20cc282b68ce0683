import { useEffect, useState } from 'react';
import { USUAL_DRIVE_PARTS } from '@/core/2-document/catalogue/driveParts';
import { field } from '@/core/2-document/edit/field';
import type { Design } from '@/core/2-document/schema/design';
import { cancelChoosing, partsOfDrawer, tryAllDrives } from '@/store/drives';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { MaybeField } from '../fields/MaybeField';
import { Choices } from '../fields/Choices';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';

/** What is asked where the brief says nothing: enough to come over trees, and something for gusts. */
const USUAL_CLIMB = 2;
const MOST_THROTTLE = 0.85;
const MINUTE = 60;

const FROM = [
  ['drawer', 'my drawer'],
  ['usual', 'usual sizes'],
] as const;

/** Tries every motor, propeller and pack for a drive. */
export function ChooseDrive({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const drawer = useAppSelector((state) => state.settings.drawer);
  const { progress, failure } = useAppSelector((state) => state.choice);
  const own = partsOfDrawer(drawer);
  const hasOwn = own.motors.length > 0 && own.propellers.length > 0 && own.packs.length > 0;
  const [from, setFrom] = useState<'drawer' | 'usual'>(hasOwn ? 'drawer' : 'usual');
  const [chosen, setChosen] = useState(design.propulsion[0]?.id ?? '');
  const drive = design.propulsion.find(({ id }) => id === chosen) ?? design.propulsion[0];
  const parts = from === 'drawer' ? own : USUAL_DRIVE_PARTS;
  const count = parts.motors.length * parts.propellers.length * parts.packs.length;
  useEffect(() => () => void dispatch(cancelChoosing()), [dispatch]);
  if (!drive) return null;
  const { climbRate, duration } = design.brief;
  const start = () =>
    dispatch(
      tryAllDrives(drive.id, parts, {
        climbRate: climbRate ?? USUAL_CLIMB,
        duration: (duration ?? 0) * MINUTE,
        throttle: MOST_THROTTLE,
      }),
    );
  return (
    <Section title="Choose motor, propeller and pack">
      <div className="grid grid-cols-2 items-end gap-x-2 gap-y-1.5">
        <MaybeField
          label="Should last, min"
          step={1}
          value={duration}
          of={field('brief', 'duration')}
          placeholder="any"
        />
        <MaybeField
          label="Should climb at"
          kind="speed"
          value={climbRate}
          of={field('brief', 'climbRate')}
          placeholder={String(USUAL_CLIMB)}
        />
        {design.propulsion.length > 1 && (
          <SelectField
            label="For"
            options={design.propulsion.map(({ id, name }) => [id, name || id] as const)}
            value={drive.id}
            onChange={setChosen}
          />
        )}
      </div>
      <div className="mt-1.5 flex flex-wrap items-center gap-2">
        <Choices joined label="Choose from" options={FROM} value={from} onChange={(next) => next && setFrom(next)} />
        <Button look="strong" disabled={progress !== null || count === 0} onClick={() => void start()}>
          Try all {count}
        </Button>
        {progress && (
          <>
            <progress value={progress.done} max={progress.total} aria-label="Combinations tried" className="h-2 w-24" />
            <Button look="quiet" onClick={() => dispatch(cancelChoosing())}>
              Cancel
            </Button>
          </>
        )}
      </div>
      {failure && (
        <p role="alert" className="mt-2 border-l-4 border-stop bg-stop-soft p-2 text-read">
          They could not be tried: {failure}
        </p>
      )}
      {from === 'drawer' && !hasOwn && (
        <p className="mt-1 text-label text-faint">
          The drawer holds {own.motors.length} motors, {own.propellers.length} propellers and {own.packs.length} packs
          of which enough is known. Keep those of a design from the weights table: what is typed here goes along.
        </p>
      )}
    </Section>
  );
}
