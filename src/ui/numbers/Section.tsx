import { type ReactNode, useId } from 'react';

const SKIP = 'data-skip-section';

/** Sets the focus to the way over the next group, or to what follows the last one. */
function goToNext(from: HTMLElement): void {
  const ways = [...document.querySelectorAll<HTMLElement>(`[${SKIP}]`)];
  const next = ways[ways.indexOf(from) + 1];
  if (next) next.focus();
  else from.closest<HTMLElement>('[tabindex]')?.focus();
}

/** A titled group of inputs or numbers in the side panel. The keyboard passes over a whole group with one key. */
export function Section({
  title,
  children,
  aside,
}: {
  readonly title: string;
  readonly children: ReactNode;
  readonly aside?: ReactNode;
}) {
  const id = useId();
  return (
    <div role="group" aria-labelledby={id} className="relative border-b border-rule px-3 py-2.5">
      <button
        type="button"
        {...{ [SKIP]: '' }}
        className="sr-only z-10 bg-sheet text-sm focus:not-sr-only focus:absolute focus:top-0.5 focus:right-1 focus:border focus:border-graphite focus:px-2"
        onClick={(event) => goToNext(event.currentTarget)}
      >
        Pass over {title}
      </button>
      <div className="mb-1.5 flex items-center justify-between gap-2">
        <h2 id={id} className="text-[13px] font-semibold tracking-wide uppercase">
          {title}
        </h2>
        {aside}
      </div>
      {children}
    </div>
  );
}
