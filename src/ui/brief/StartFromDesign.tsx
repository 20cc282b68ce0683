import { useLiveQuery } from 'dexie-react-hooks';
import type { StoredDesign } from '@/storage/database';
import { isUnreadable } from '@/storage/readStored';
import { editDesign } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { Button } from '../shell/buttons';
import { Menu, MenuEntry } from '../shell/Menu';
import { useSurroundings } from '../surroundings';

/** Takes over everything that is drawn in another design; name, brief and record stay. One step back. */
export function StartFromDesign() {
  const { designs } = useSurroundings();
  const dispatch = useAppDispatch();
  const own = useAppSelector((state) => state.session.id);
  const list = useLiveQuery(async () =>
    (await designs.list()).flatMap((entry) => (isUnreadable(entry) ? [] : [entry])),
  );
  const others = list?.filter(({ id }) => id !== own) ?? [];
  const take = (entry: StoredDesign) =>
    dispatch(
      editDesign((current) => ({
        ...entry.design,
        name: current.name,
        brief: current.brief,
        basedOn: current.basedOn,
      })),
    );
  return (
    <Menu trigger={<Button disabled={others.length === 0}>Start from a design…</Button>}>
      {others.map((entry) => (
        <MenuEntry key={entry.id} onSelect={() => take(entry)}>
          {entry.name}
        </MenuEntry>
      ))}
    </Menu>
  );
}
