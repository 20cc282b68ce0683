import { type ReactNode, useId } from 'react';

/** A titled group of inputs or numbers in the side panel. */
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
    <div role="group" aria-labelledby={id} className="border-b border-rule px-3 py-2.5">
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
