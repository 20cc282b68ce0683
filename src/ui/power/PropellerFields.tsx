import { field } from '@/core/2-document/edit/field';
import type { Propulsion } from '@/core/2-document/schema/propulsion';
import { setFields } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';

const AT_REST = [
  ['folds', 'folds back'],
  ['stops', 'stands still'],
  ['windmills', 'turns in the wind'],
] as const;
const TURNS = [
  ['clockwise', 'clockwise'],
  ['anticlockwise', 'anticlockwise'],
] as const;

/** What a propeller does without power, and which way it turns. */
export function PropellerFields({ drive }: { readonly drive: Propulsion }) {
  const dispatch = useAppDispatch();
  const of = ['propulsion', drive.id] as const;
  const hasOwn = drive.blade.length >= 2;
  return (
    <Section title={`${drive.name || drive.id}: propeller`} remembered="Propeller" isRare>
      <div className="grid grid-cols-3 items-end gap-x-2 gap-y-1.5">
        <SelectField
          label="Without power it"
          className="col-span-2"
          options={AT_REST}
          value={drive.atRest}
          onChange={(atRest) => dispatch(setFields([field(...of, 'atRest').to(atRest)]))}
        />
        <SelectField
          label="Seen from behind"
          options={TURNS}
          value={drive.turns}
          onChange={(turns) => dispatch(setFields([field(...of, 'turns').to(turns)]))}
        />
      </div>
      {hasOwn && (
        <div className="mt-1.5 flex items-center justify-between gap-2 text-label text-faint">
          Its blade is given place by place: see Blade and twist; the pitch is not used.
          <Button look="quiet" onClick={() => dispatch(setFields([field(...of, 'blade').to([])]))}>
            Go by the pitch
          </Button>
        </div>
      )}
    </Section>
  );
}
