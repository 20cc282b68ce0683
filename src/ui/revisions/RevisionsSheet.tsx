import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { branchFrom, compareWith, dropRevision, keepRevision } from '@/store/revisions';
import { Button, IconButton } from '../shell/buttons';
import { Comparison } from './Comparison';
import { Say } from '../numbers/Say';
import type { Words } from '@/core/1-base/words/phrase';

type Revision = Design['revisions'][number];

/** Revisions with what grew from each, in the order in which they were kept. */
function asTree(revisions: readonly Revision[], parent: string | undefined, depth: number): [Revision, number][] {
  const known = new Set(revisions.map(({ id }) => id));
  return revisions
    .filter(
      (revision) =>
        (revision.parent !== undefined && known.has(revision.parent) ? revision.parent : undefined) === parent,
    )
    .flatMap((revision): [Revision, number][] => [[revision, depth], ...asTree(revisions, revision.id, depth + 1)]);
}

/** Keeps the present state by name, goes back to a kept one, compares. */
export function RevisionsSheet({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const compared = useAppSelector((state) => state.session.compared);
  const [name, setName] = useState('');
  const [fault, setFault] = useState<Words | null>(null);
  const keep = () => {
    const outcome = dispatch(keepRevision(name.trim() || `State ${design.revisions.length + 1}`));
    setFault(outcome?.message ?? null);
    if (!outcome) setName('');
  };
  return (
    <>
      <form
        className="mt-3 flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <label className="flex-1 text-[13px] text-faint">
          Name of this state
          <input
            value={name}
            maxLength={200}
            placeholder={`State ${design.revisions.length + 1}`}
            onChange={(event) => setName(event.target.value)}
            className="block w-full rounded-sm border border-rule bg-white px-1.5 py-1 text-[15px] text-graphite"
          />
        </label>
        <Button look="strong" type="submit">
          Keep it
        </Button>
      </form>
      {fault && (
        <p role="alert" className="mt-2 border-l-4 border-stop bg-stop-soft p-2 text-sm">
          It was not done: <Say words={fault} />
        </p>
      )}
      {design.revisions.length === 0 && (
        <p className="mt-3 text-sm text-faint">
          Nothing kept yet. Keep a state before a change that may make things worse: you can lay it under the drawing,
          read what the change did, and go on from it again.
        </p>
      )}
      <ul className="mt-3">
        {asTree(design.revisions, undefined, 0).map(([revision, depth]) => (
          <li key={revision.id} className="border-t border-soft py-1.5" style={{ paddingLeft: depth * 16 }}>
            <div className="flex items-center gap-1.5">
              <span className="min-w-0 flex-1 truncate">
                {depth > 0 && (
                  <span aria-hidden="true" className="text-faint">
                    └{' '}
                  </span>
                )}
                <span className="font-medium">{revision.name}</span>{' '}
                <span className="text-[13px] text-faint">
                  {new Date(revision.at).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })}
                  {design.basedOn === revision.id && ' · worked on from here'}
                </span>
              </span>
              <Button
                aria-pressed={compared?.id === revision.id}
                className="aria-pressed:bg-balance-soft"
                onClick={() =>
                  setFault(dispatch(compareWith(compared?.id === revision.id ? null : revision.id))?.message ?? null)
                }
              >
                Compare
              </Button>
              <Button onClick={() => setFault(dispatch(branchFrom(revision.id))?.message ?? null)}>
                Go on from it
              </Button>
              <IconButton
                label={`Take ${revision.name} out of the record`}
                icon={<Trash2 size={15} />}
                onClick={() => dispatch(dropRevision(revision.id))}
              />
            </div>
          </li>
        ))}
      </ul>
      {compared && <Comparison design={design} compared={compared} />}
    </>
  );
}
