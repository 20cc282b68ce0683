import type { ReactNode } from 'react';
import { useSize } from '../drawing/useSize';
import { useScreen } from '../shell/useScreen';

interface TallProps {
  /** What is scrolled, for those who do not see it. */
  readonly name: string;
  /** Lower than that its contents cannot be read [px]. */
  readonly least: number;
  readonly children: ReactNode;
}

/** As tall as its place, but never lower than its contents need: in a low place it is scrolled, and nothing is left out. */
export function Tall({ name, least, children }: TallProps) {
  const [ref, { height }] = useSize<HTMLDivElement>();
  const isScrolled = height > 0 && height < least;
  return (
    <div
      ref={ref}
      className={isScrolled ? 'more-below h-full overflow-x-hidden overflow-y-auto' : 'h-full'}
      {...(isScrolled ? { role: 'region', 'aria-label': name, tabIndex: 0 } : {})}
    >
      <div className="overflow-clip" style={{ height: `max(100%, ${least}px)` }}>
        {children}
      </div>
    </div>
  );
}

/** Room on the paper for its words and the tools over it; on a small screen the tools stand above the paper [px]. */
const HEAD = { whole: 44, small: 12 } as const;

interface TallUnderToolsProps extends Omit<TallProps, 'children'> {
  /** Draws it, with so much left free above it [px]. */
  readonly children: (head: number) => ReactNode;
}

/** The same for paper that reaches up to the tools of the drawing: scrolled, it passes below them and not under them. */
export function TallUnderTools({ name, least, children }: TallUnderToolsProps) {
  const head = useScreen() === 'whole' ? HEAD.whole : HEAD.small;
  return (
    <div className="h-full small:pt-9">
      <Tall name={name} least={head + least}>
        {children(head)}
      </Tall>
    </div>
  );
}
