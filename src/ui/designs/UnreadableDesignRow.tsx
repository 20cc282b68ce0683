import type { UnreadableDesign } from '@/storage/readStored';
import { UnreadableRow } from '../shell/UnreadableRow';
import { useSurroundings } from '../surroundings';

interface UnreadableDesignRowProps {
  readonly entry: UnreadableDesign;
  readonly onGone: () => void;
}

/** A design of the list that is none, with its first fault. */
export function UnreadableDesignRow({ entry: { id, name, raw, issues }, onGone }: UnreadableDesignRowProps) {
  const { designs } = useSurroundings();
  const [first] = issues;
  return (
    <UnreadableRow id={id} name={name} raw={raw} remove={() => designs.erase(id)} onGone={onGone}>
      {first && (
        <>
          <code>{first.path}</code> {first.message}
        </>
      )}
    </UnreadableRow>
  );
}
