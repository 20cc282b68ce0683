import { Dialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { STAGE_LIST } from '../stages/stages';
import { Button } from './buttons';
import { isTextEntry } from './isTextEntry';

const KEYS: readonly (readonly [keys: string, what: string])[] = [
  ['1 … 9', `go to one of the first stages, from ${STAGE_LIST[0]!.title} to ${STAGE_LIST[8]!.title}`],
  ['Ctrl K', 'find a stage, a part, a field or something to do by its words'],
  ['Ctrl Z', 'one step back; in a text field the field’s own'],
  ['Ctrl Shift Z, Ctrl Y', 'one step forward again'],
  ['Tab, then arrows', 'choose a handle of the drawing and nudge it; with Shift ten times as far'],
  ['Enter', 'take what was typed; on a handle type its length'],
  ['Escape', 'leave what was typed, close what is open'],
  ['?', 'this list'],
];

/** Keys pressed there choose an entry or are typed. */
const isTaken = (target: EventTarget | null): boolean =>
  isTextEntry(target) ||
  (target instanceof Element && target.closest('[role=combobox], [role=listbox], [role=menu]') !== null);

/** Number keys go to the stages, `?` shows the keys there are. */
export function Shortcuts({ id }: { readonly id: string }) {
  const navigate = useNavigate();
  const [isOpen, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTaken(event.target)) return;
      const stage = /^[1-9]$/.test(event.key) ? STAGE_LIST[Number(event.key) - 1] : undefined;
      if (stage) navigate(`/design/${id}/${stage.path}`);
      else if (event.key === '?') setOpen((before) => !before);
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [id, navigate]);
  return (
    <Dialog.Root open={isOpen} onOpenChange={setOpen}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-graphite/20" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-40 w-[460px] max-w-[92vw] -translate-x-1/2 -translate-y-1/2 border border-graphite bg-sheet p-4"
        >
          <Dialog.Title className="text-lg font-semibold">Keys</Dialog.Title>
          <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5 text-read">
            {KEYS.map(([keys, what]) => (
              <div key={keys} className="contents">
                <dt className="font-semibold whitespace-nowrap">{keys}</dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close asChild>
            <Button className="mt-3">Close</Button>
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
