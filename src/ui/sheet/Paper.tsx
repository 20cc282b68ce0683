import type { ReactNode, Ref } from 'react';
import { Picture, type PictureProps } from './Picture';

/** Words in the corner have room beside the tools of a drawing on paper at least so wide [px]. */
const BESIDE_TOOLS = 500;

interface PaperProps extends PictureProps {
  /** Measures the place the paper lies in; nothing is drawn before its size is known. */
  readonly place: Ref<HTMLDivElement>;
  /** Words in the corner; they give way on small screens. */
  readonly caption?: ReactNode;
  /** The tools of a drawing lie over the other corner: words give way to them too. */
  readonly underTools?: boolean;
  /** What lies over the paper: entries, tables. */
  readonly over?: ReactNode;
}

/** What a view is drawn on: as large as its place, with a name and words in the corner. */
export function Paper({
  place,
  width,
  height,
  name,
  role = 'group',
  testId = 'drawing',
  caption,
  underTools = false,
  over,
  children,
  ...rest
}: PaperProps) {
  return (
    <div className="relative h-full min-h-0 w-full" ref={place}>
      {width > 0 && (
        <Picture {...{ width, height, name, role, testId }} {...rest}>
          {caption && (!underTools || width >= BESIDE_TOOLS) && (
            <text x={14} y={22} fontSize={12} fill="var(--color-faint)" aria-hidden="true" className="small:hidden">
              {caption}
            </text>
          )}
          {children}
        </Picture>
      )}
      {over}
    </div>
  );
}
