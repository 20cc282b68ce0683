import { DropdownMenu } from 'radix-ui';
import type { ReactElement, ReactNode } from 'react';
import { layer } from './layer';

interface MenuProps {
  /** The button that opens it. */
  readonly trigger: ReactElement;
  readonly align?: 'start' | 'center' | 'end';
  readonly children: ReactNode;
}

/** A menu that drops from a button. What lies behind it stays in reach, for readers of the screen too. */
export function Menu({ trigger, align = 'start', children }: MenuProps) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>{trigger}</DropdownMenu.Trigger>
      <DropdownMenu.Portal container={layer()}>
        <DropdownMenu.Content
          className="z-40 max-h-96 overflow-y-auto border border-graphite bg-sheet py-1 text-read shadow-lg"
          sideOffset={4}
          align={align}
          tabIndex={0}
        >
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

interface MenuEntryProps {
  readonly onSelect: () => void;
  readonly disabled?: boolean;
  /** Said at the end of the line. */
  readonly aside?: ReactNode;
  readonly children: ReactNode;
}

export function MenuEntry({ onSelect, disabled, aside, children }: MenuEntryProps) {
  return (
    <DropdownMenu.Item
      disabled={disabled}
      className="flex cursor-pointer justify-between gap-4 px-3 py-1 data-[disabled]:text-faint data-[highlighted]:bg-soft"
      onSelect={onSelect}
    >
      {children}
      {aside !== undefined && <span className="text-faint">{aside}</span>}
    </DropdownMenu.Item>
  );
}

/** Entries of one kind under their name. */
export function MenuGroup({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <DropdownMenu.Group>
      <DropdownMenu.Label className="px-3 pt-1.5 text-note tracking-wide text-faint uppercase">
        {title}
      </DropdownMenu.Label>
      {children}
    </DropdownMenu.Group>
  );
}
