import { useState } from 'react';
import { Dialog } from 'radix-ui';
import { toast } from 'sonner';
import { useAppDispatch } from '@/store/hooks';
import { pasteWeights } from '@/store/weights';
import { useSentence } from '../numbers/Say';
import { Button } from '../shell/buttons';

/** Rows from a spreadsheet or a text: known names change, others are added. */
export function PasteWeights({ onClose }: { readonly onClose: () => void }) {
  const dispatch = useAppDispatch();
  const say = useSentence();
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const take = () => {
    const outcome = dispatch(pasteWeights(text));
    if (!outcome.ok) {
      setFault(say(outcome.message));
      return;
    }
    toast(`${outcome.changed} changed, ${outcome.added} added.`);
    onClose();
  };
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-graphite/20" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-30 w-[560px] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 border border-graphite bg-sheet p-4">
          <Dialog.Title className="text-lg font-semibold">Paste rows of weights</Dialog.Title>
          <Dialog.Description className="mt-1 text-read text-faint">
            First line the heads: name, mass (g), and any of weighed, x, y, z (mm), category. Tabs, commas or
            semicolons. Known names change that part, others are added; a faulty line changes nothing.
          </Dialog.Description>
          <textarea
            aria-label="Rows"
            value={text}
            rows={9}
            placeholder={'name\tmass\tx\nCamera\t75\t40'}
            onChange={(event) => setText(event.target.value)}
            className="mt-2 w-full rounded-sm border border-rule bg-white p-2 text-read"
          />
          {fault && (
            <p role="alert" className="mt-1 border-l-4 border-stop bg-stop-soft p-2 text-read">
              Nothing was taken. {fault}
            </p>
          )}
          <div className="mt-2 flex justify-end gap-2">
            <Button onClick={onClose}>Leave it</Button>
            <Button look="strong" disabled={text.trim() === ''} onClick={take}>
              Take them
            </Button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
