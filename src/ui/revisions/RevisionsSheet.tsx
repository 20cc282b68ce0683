import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import type { Words } from '@/core/1-base/words/phrase';
import { asGrown } from '@/core/2-document/records/recordKinds';
import type { Design } from '@/core/2-document/schema/design';
import { storageFault } from '@/storage/storageFault';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { branchFrom, compareWith, dropRevision, keepRevision, type RevisionHead } from '@/store/revisions';
import { Say } from '../numbers/Say';
import { UnreadableRecords } from '../records/UnreadableRecords';
import { useRecords } from '../records/useRecords';
import { Button, IconButton } from '../shell/buttons';
import { told } from '../shell/told';
import { Comparison } from './Comparison';

/** Rows shown at first, and how many more each time. */
const PAGE = 50;

/** Revisions with what grew from each, in the order in which they were kept. */
function asTree(revisions: readonly RevisionHead[]): [RevisionHead, number][] {
  const grownFrom = new Map<string, RevisionHead[]>();
  for (const revision of asGrown(revisions)) {
    const parent = revision.parent ?? '';
    grownFrom.set(parent, [...(grownFrom.get(parent) ?? []), revision]);
  }
  const below = (parent: string, depth: number): [RevisionHead, number][] =>
    (grownFrom.get(parent) ?? []).flatMap((revision) => [[revision, depth], ...below(revision.id, depth + 1)]);
  return below('', 0);
}

/** Keeps the present state by name, goes back to a kept one, compares. */
export function RevisionsSheet({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const compared = useAppSelector((state) => state.session.compared);
  const current = useAppSelector((state) => state.analysis.current);
  const revisions = useRecords('revisions');
  const [name, setName] = useState('');
  const [shown, setShown] = useState(PAGE);
  const [fault, setFault] = useState<Words | null>(null);
  const usual = `State ${revisions.length + 1}`;
  const attempt = async (work: Promise<{ readonly message: Words } | null>) => {
    const outcome = await work.catch((error: unknown) => ({ message: `${storageFault(error)}.` }));
    setFault(outcome?.message ?? null);
    return outcome === null;
  };
  const keep = async () => {
    if (await attempt(dispatch(keepRevision(name.trim() || usual)))) setName('');
  };
  const takeOut = async (revision: RevisionHead) => {
    const putBack = await told(`${revision.name} was not taken out`, () => dispatch(dropRevision(revision.id)));
    if (!putBack) return;
    toast(`${revision.name} was taken out of the record.`, {
      action: { label: 'Undo', onClick: () => void told(`${revision.name} was not put back`, putBack) },
    });
  };
  const tree = asTree(revisions);
  return (
    <>
      <form
        className="mt-3 flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <label className="flex-1 text-label text-faint">
          Name of this state
          <input
            value={name}
            maxLength={200}
            placeholder={usual}
            onChange={(event) => setName(event.target.value)}
            className="block w-full rounded-sm border border-rule bg-white px-1.5 py-1 text-lead text-graphite"
          />
        </label>
        <Button look="strong" type="submit">
          Keep it
        </Button>
      </form>
      {fault && (
        <p role="alert" className="mt-2 border-l-4 border-stop bg-stop-soft p-2 text-read">
          It was not done: <Say words={fault} />
        </p>
      )}
      {revisions.length === 0 && (
        <p className="mt-3 text-read text-faint">
          Nothing kept yet. Keep a state before a change that may make things worse: you can lay it under the drawing,
          read what the change did, and go on from it again.
        </p>
      )}
      <ul className="mt-3">
        {tree.slice(0, shown).map(([revision, depth]) => (
          <li
            key={revision.id}
            className="border-t border-soft py-1.5"
            style={{ paddingLeft: Math.min(depth, 8) * 16 }}
          >
            <div className="flex items-center gap-1.5">
              <span className="min-w-0 flex-1 truncate">
                {depth > 0 && (
                  <span aria-hidden="true" className="text-faint">
                    └{' '}
                  </span>
                )}
                <span className="font-medium">{revision.name}</span>{' '}
                <span className="text-label text-faint">
                  {new Date(revision.at).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })}
                  {design.basedOn === revision.id && ' · worked on from here'}
                </span>
              </span>
              <Button
                aria-pressed={compared?.id === revision.id}
                className="aria-pressed:bg-balance-soft"
                onClick={() => void attempt(dispatch(compareWith(compared?.id === revision.id ? null : revision.id)))}
              >
                Compare
              </Button>
              <Button onClick={() => void attempt(dispatch(branchFrom(revision.id)))}>Go on from it</Button>
              <IconButton
                label={`Take ${revision.name} out of the record`}
                icon={<Trash2 size={15} />}
                onClick={() => void takeOut(revision)}
              />
            </div>
          </li>
        ))}
      </ul>
      <UnreadableRecords kind="revisions" />
      {tree.length > shown && (
        <Button className="mt-2" onClick={() => setShown(shown + PAGE)}>
          Show {Math.min(PAGE, tree.length - shown)} more
        </Button>
      )}
      {compared && <Comparison areStates before={compared} after={{ name: 'now', design, analysis: current }} />}
    </>
  );
}
