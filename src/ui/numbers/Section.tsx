import { ChevronDown, ChevronRight } from 'lucide-react';
import { Collapsible } from 'radix-ui';
import type { ReactNode } from 'react';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { groupFolded } from '@/store/settingsSlice';

const SKIP = 'data-skip-section';

/** Sets the focus to the way over the next group, or to what follows the last one. */
function goToNext(from: HTMLElement): void {
  const ways = [...document.querySelectorAll<HTMLElement>(`[${SKIP}]`)];
  const next = ways[ways.indexOf(from) + 1];
  if (next) next.focus();
  else from.closest<HTMLElement>('[tabindex]')?.focus();
}

interface SectionProps {
  readonly title: string;
  readonly children: ReactNode;
  readonly aside?: ReactNode;
  /** Needed now and then: folded until it is opened once. */
  readonly isRare?: boolean;
  /** Name under which it is remembered, where its title changes. */
  readonly remembered?: string;
}

/** A titled group of inputs or numbers in the side panel, which folds and remembers. The keyboard passes over a whole group with one key. */
export function Section({ title, children, aside, isRare = false, remembered = title }: SectionProps) {
  const dispatch = useAppDispatch();
  const isOpen = useAppSelector(({ settings: { groups } }) => groups.open[remembered] ?? (groups.allOpen || !isRare));
  return (
    <Collapsible.Root
      open={isOpen}
      onOpenChange={(open) => dispatch(groupFolded({ name: remembered, isOpen: open }))}
      role="group"
      aria-label={title}
      className="relative border-b border-rule px-3 py-2.5"
    >
      {isOpen && (
        <button
          type="button"
          {...{ [SKIP]: '' }}
          className="sr-only z-10 bg-sheet text-read focus:not-sr-only focus:absolute focus:top-0.5 focus:right-1 focus:border focus:border-graphite focus:px-2"
          onClick={(event) => goToNext(event.currentTarget)}
        >
          Pass over {title}
        </button>
      )}
      <div className={`flex items-center justify-between gap-2 ${isOpen ? 'mb-1.5' : ''}`}>
        <h2 className="text-label font-semibold tracking-wide uppercase">
          <Collapsible.Trigger className="-my-1 flex cursor-pointer items-center gap-1 py-1 tracking-wide uppercase hover:text-balance">
            {isOpen ? <ChevronDown size={14} aria-hidden="true" /> : <ChevronRight size={14} aria-hidden="true" />}
            {title}
          </Collapsible.Trigger>
        </h2>
        {isOpen && aside}
      </div>
      <Collapsible.Content>{children}</Collapsible.Content>
    </Collapsible.Root>
  );
}
