import { useLiveQuery } from 'dexie-react-hooks';
import { DropdownMenu } from 'radix-ui';
import { isUnreadable } from '@/storage/readStored';
import { editDesign } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { Button } from '../shell/buttons';
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
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button disabled={others.length === 0}>Start from a design…</Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          className="z-30 max-h-80 overflow-y-auto border border-graphite bg-sheet py-1 text-sm shadow-lg"
          sideOffset={4}
        >
          {others.map((entry) => (
            <DropdownMenu.Item
              key={entry.id}
              className="cursor-pointer px-3 py-1 data-[highlighted]:bg-soft"
              onSelect={() =>
                dispatch(
                  editDesign((current) => ({
                    ...entry.design,
                    name: current.name,
                    brief: current.brief,
                    basedOn: current.basedOn,
                  })),
                )
              }
            >
              {entry.name}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
