import type { ReactNode } from 'react';

interface SkipLinkProps {
  /** Id of what takes the focus. */
  readonly to: string;
  readonly children: ReactNode;
}

/** The first stop of the keyboard on a page, seen only while it has the focus: over everything to what matters. */
export function SkipLink({ to, children }: SkipLinkProps) {
  return (
    <a
      href={`#${to}`}
      className="sr-only z-40 focus:not-sr-only focus:absolute focus:top-1 focus:left-1 focus:bg-sheet focus:px-3 focus:py-2 focus:font-medium"
      onClick={(event) => {
        event.preventDefault();
        document.getElementById(to)?.focus();
      }}
    >
      {children}
    </a>
  );
}
