import { field } from '@/core/2-document/edit/field';
import { Plus, Trash2 } from 'lucide-react';
import type { Body } from '@/core/2-document/schema/airframe';
import { changeFrames, removeBody } from '@/store/airframe';
import { useAppDispatch } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Button, IconButton } from '../shell/buttons';
import { useSet } from '../fields/useSet';
import { BodyBuild } from './BodyBuild';
import { BodyRods } from './BodyRods';

const KINDS = [
  ['box', 'Box of board'],
  ['round', 'Round shell'],
  ['plank', 'One upright board'],
] as const;

const COLUMNS = [
  ['x', 'Aft'],
  ['width', 'Wide'],
  ['top', 'Top'],
  ['bottom', 'Bottom'],
] as const;

/** A fuselage, pod or boom by its frames. */
export function BodyFields({ body }: { readonly body: Body }) {
  const dispatch = useAppDispatch();
  const set = useSet();
  const name = body.name || body.id;
  return (
    <div className="my-1 border-l-2 border-rule pl-2">
      <div className="grid grid-cols-2 gap-x-2 gap-y-1">
        <SelectField label="Shape" value={body.kind} options={KINDS} onChange={set(field('bodies', body.id, 'kind'))} />
        <QuantityField
          label={`${name} aft of datum`}
          kind="length"
          value={body.position.x}
          onCommit={set(field('bodies', body.id, 'position', 'x'))}
        />
        <QuantityField
          label={`${name} above datum`}
          kind="length"
          value={body.position.z}
          onCommit={set(field('bodies', body.id, 'position', 'z'))}
        />
      </div>
      <table className="mt-1 w-full table-fixed text-label">
        <caption className="sr-only">Frames of {name}, nose to tail</caption>
        <thead>
          <tr className="text-left text-faint">
            {COLUMNS.map(([key, head]) => (
              <th key={key} scope="col" className="font-normal">
                {head}
              </th>
            ))}
            <th scope="col" className="w-14">
              <span className="sr-only">Add or take out</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {body.frames.map((frame, index) => (
            <tr key={`${index}-${body.frames.length}`}>
              {COLUMNS.map(([key, head]) => (
                <td key={key} className="pr-1">
                  <QuantityField
                    hideLabel
                    hideUnit
                    label={`Frame ${index + 1} ${head.toLowerCase()}`}
                    kind="length"
                    value={frame[key]}
                    onCommit={set(field('bodies', body.id, 'frames', index, key))}
                  />
                </td>
              ))}
              <td className="whitespace-nowrap">
                <IconButton
                  label={`Add a frame behind frame ${index + 1}`}
                  className="!size-6"
                  icon={<Plus size={13} />}
                  onClick={() => dispatch(changeFrames(body.id, { after: index }))}
                />
                <IconButton
                  label={`Take frame ${index + 1} out`}
                  className="!size-6"
                  icon={<Trash2 size={13} />}
                  disabled={body.frames.length <= 2}
                  onClick={() => dispatch(changeFrames(body.id, { without: index }))}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {body.construction && <BodyBuild body={body} construction={body.construction} />}
      <BodyRods body={body} />
      <Button look="quiet" className="mt-1" onClick={() => dispatch(removeBody(body.id))}>
        Take {name.toLowerCase()} out
      </Button>
    </div>
  );
}
