import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { type ReactNode, useEffect, useState } from 'react';
import { Search } from 'lucide-react';
import { useAppSelector } from '@/store/hooks';
import { STAGE_LIST } from '../stages/stages';
import { useGoTo } from '../stages/useGoTo';
import { Button } from '../shell/buttons';
import { useActions } from './useActions';

/** One field to write in, and everything that can be gone to or done, found by its words. */
export function CommandPalette() {
  const [isOpen, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'k') return;
      event.preventDefault();
      setOpen((before) => !before);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <Dialog.Root open={isOpen} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button aria-keyshortcuts="Control+K">
          <Search size={15} aria-hidden="true" /> <span className="small:sr-only max-[1200px]:sr-only">Find</span>
        </Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-graphite/20" />
        <Dialog.Content
          aria-describedby={undefined}
          // What was chosen takes the focus itself.
          onCloseAutoFocus={(event) => event.preventDefault()}
          className="fixed top-[12vh] left-1/2 z-40 w-[520px] max-w-[94vw] -translate-x-1/2 border border-graphite bg-sheet shadow-lg"
        >
          <Dialog.Title className="sr-only">Find a stage, a part, a field or something to do</Dialog.Title>
          <Everything onDone={() => setOpen(false)} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Everything({ onDone }: { readonly onDone: () => void }) {
  const design = useAppSelector((state) => state.document.present);
  const actions = useActions();
  const go = useGoTo();
  const done = (what: () => unknown) => () => {
    onDone();
    what();
  };
  return (
    <Command label="Find" loop>
      <Command.Input
        placeholder="Stage, part, field or action…"
        className="w-full border-b border-rule bg-white px-3 py-2 outline-none"
      />
      <Command.List className="max-h-[56vh] overflow-y-auto py-1" tabIndex={0}>
        <Command.Empty className="px-3 py-2 text-read text-faint">
          Nothing is called so. Try a word of its label, such as “chord” or “margin”.
        </Command.Empty>
        <Group name="Stages">
          {STAGE_LIST.map(({ path, title }, index) => (
            <Entry
              key={path}
              value={`Stage ${title}`}
              aside={index < 9 ? index + 1 : undefined}
              onSelect={done(() => go.stage(path))}
            >
              {title}
            </Entry>
          ))}
        </Group>
        {design && (
          <Group name="Parts">
            {(['surface', 'body', 'item'] as const).flatMap((kind) =>
              design[PARTS[kind]].map(({ id, name }) => (
                <Entry
                  key={`${kind}-${id}`}
                  value={`Part ${name || id} ${kind}-${id}`}
                  onSelect={done(() => go.part(design, { kind, id }))}
                >
                  {name || id}
                </Entry>
              )),
            )}
          </Group>
        )}
        <Group name="Fields">
          {STAGE_LIST.flatMap(({ path, title, fields }) =>
            fields.map(([group, label]) => (
              <Entry
                key={`${path}-${group}-${label}`}
                value={`${label} ${group} ${title}`}
                aside={`${title}, ${group.toLowerCase()}`}
                onSelect={done(() => go.field(path, group, label))}
              >
                {label}
              </Entry>
            )),
          )}
        </Group>
        <Group name="Actions">
          {actions.map(({ name, keys, run, isOff }) => (
            <Entry key={name} value={name} aside={keys} disabled={isOff} onSelect={done(run)}>
              {name}
            </Entry>
          ))}
        </Group>
      </Command.List>
    </Command>
  );
}

const PARTS = { surface: 'surfaces', body: 'bodies', item: 'massItems' } as const;

function Group({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <Command.Group
      heading={name}
      className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-1.5 [&_[cmdk-group-heading]]:text-note [&_[cmdk-group-heading]]:tracking-wide [&_[cmdk-group-heading]]:text-faint [&_[cmdk-group-heading]]:uppercase"
    >
      {children}
    </Command.Group>
  );
}

interface EntryProps {
  readonly value: string;
  readonly onSelect: () => void;
  readonly disabled?: boolean;
  readonly aside?: ReactNode;
  readonly children: ReactNode;
}

function Entry({ aside, children, ...rest }: EntryProps) {
  return (
    <Command.Item
      {...rest}
      className="flex cursor-pointer items-center justify-between gap-4 px-3 py-1 text-read data-[disabled=true]:text-faint data-[selected=true]:bg-soft pointer-coarse:min-h-11"
    >
      {children}
      {aside !== undefined && <span className="text-note text-faint">{aside}</span>}
    </Command.Item>
  );
}
