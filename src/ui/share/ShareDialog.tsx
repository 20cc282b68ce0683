import { useLiveQuery } from 'dexie-react-hooks';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { toast } from 'sonner';
import { encode } from 'uqr';
import { linkPart, LONGEST_CODE, LONGEST_LINK } from '@/files/share/link';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { sharingShown } from '@/store/sessionSlice';
import { CheckField } from '../fields/CheckField';
import { Button } from '../shell/buttons';
import { exportDesign } from '../shell/exportDesign';
import { layer } from '../shell/layer';
import { told } from '../shell/told';
import { useSurroundings } from '../surroundings';

/** A design goes to another device: by a code that its camera reads, by a link that holds all of it, or by a file. */
export default function ShareDialog() {
  const dispatch = useAppDispatch();
  const { designs } = useSurroundings();
  const id = useAppSelector((state) => state.session.id);
  const design = useAppSelector((state) => state.document.present);
  const [withLog, setWithLog] = useState(false);
  const kept = useLiveQuery(() => (id === null ? undefined : designs.records.allOf(id)), [id, designs]);
  const close = () => dispatch(sharingShown(false));
  if (!design || id === null) return null;
  const part = linkPart(withLog && kept ? { design, records: kept.records } : { design });
  const link = `${window.location.origin}/take#${part}`;
  const isLink = link.length <= LONGEST_LINK;
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(link);
      toast('The link is copied.');
    } catch {
      toast.error('This browser does not let it be copied: mark the link and copy it by hand.');
    }
  };
  return (
    <Dialog.Root open onOpenChange={(isOpen) => !isOpen && close()}>
      <Dialog.Portal container={layer()}>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-graphite/20" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-30 max-h-[92vh] w-[min(420px,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto border border-graphite bg-sheet p-4">
          <Dialog.Title className="text-lead font-semibold">Send {design.name} to another device</Dialog.Title>
          <Dialog.Description className="mt-1 text-read text-faint">
            All of it stands in the link itself: no server keeps it. Inclinar has to run there at the same address.
          </Dialog.Description>
          <CheckField className="mt-2" checked={withLog} onChange={setWithLog}>
            With its flights, tosses and readings
          </CheckField>
          {link.length <= LONGEST_CODE ? (
            <Code words={link} />
          ) : (
            <p className="mt-2 border-l-4 border-caution bg-caution-soft p-2 text-read">
              Too much for a code that a camera reads from a screen: send {isLink ? 'the link or the file' : 'the file'}
              .
            </p>
          )}
          {isLink && (
            <input
              readOnly
              aria-label="Link"
              className="mt-2 w-full rounded-sm border border-rule bg-paper px-2 py-1 text-note"
              value={link}
              onFocus={(event) => event.target.select()}
            />
          )}
          <p className="mt-1 text-label text-faint">Pictures and kept revisions go by file only.</p>
          <div className="mt-3 flex flex-wrap justify-end gap-2">
            {isLink && (
              <Button look="strong" onClick={() => void copy()}>
                Copy the link
              </Button>
            )}
            <Button onClick={() => void told('It was not exported', () => exportDesign(designs, id, design))}>
              Save the file
            </Button>
            <Button look="quiet" onClick={close}>
              Close
            </Button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** Rows and columns of white around a code, as its standard asks. */
const QUIET = 4;

/** A code that a camera reads. */
function Code({ words }: { readonly words: string }) {
  const { data, size } = encode(words, { ecc: 'L', border: 0 });
  const path = data
    .flatMap((row, y) => row.flatMap((isDark, x) => (isDark ? [`M${x + QUIET} ${y + QUIET}h1v1h-1z`] : [])))
    .join('');
  const side = size + 2 * QUIET;
  return (
    <svg
      viewBox={`0 0 ${side} ${side}`}
      role="img"
      aria-label="Code that holds the link"
      className="mx-auto mt-2 block w-full max-w-[340px]"
      shapeRendering="crispEdges"
    >
      <rect width={side} height={side} fill="#ffffff" />
      <path d={path} fill="#000000" />
    </svg>
  );
}
