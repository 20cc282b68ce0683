import { useAppSelector } from '@/store/hooks';
import { useSurroundings } from '../surroundings';
import { Button } from '../shell/buttons';
import { exportDesign } from '../shell/exportDesign';
import { told } from '../shell/told';

/** Designs that were left before they could be saved: tried until they are, and exported meanwhile. */
export function UnsavedDesigns() {
  const { session, designs } = useSurroundings();
  const unsaved = useAppSelector((state) => state.session.unsaved);
  const save = (id: string) => {
    const design = session.leftBehind(id);
    if (design) void told(`${design.name} was not exported`, () => exportDesign(designs, id, design));
  };
  return unsaved.map(({ id, name, detail }) => (
    <div
      key={id}
      role="alert"
      className="mt-3 flex items-center gap-2 border-l-4 border-stop bg-stop-soft p-3 text-read"
    >
      <p className="flex-1">
        <span className="font-semibold">{name} is not saved:</span> {detail}. It is tried again as long as this page is
        open.
      </p>
      <Button onClick={() => void session.flush()}>Try again</Button>
      <Button onClick={() => save(id)}>Export now</Button>
    </div>
  ));
}
