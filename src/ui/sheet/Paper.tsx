import type { ReactNode, Ref, SVGProps } from 'react';
import { Picture } from './Picture';

interface PaperProps extends Omit<SVGProps<SVGSVGElement>, 'ref' | 'role' | 'name'> {
  /** Measures the place the paper lies in; nothing is drawn before its size is known [px]. */
  readonly place: Ref<HTMLDivElement>;
  readonly width: number;
  readonly height: number;
  /** What the drawing is called for those who do not see it. */
  readonly name: string;
  readonly role?: 'group' | 'img';
  readonly testId?: string;
  /** Words in the corner; they give way on small screens. */
  readonly caption?: ReactNode;
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
  over,
  children,
  ...rest
}: PaperProps) {
  return (
    <div className="relative h-full min-h-0 w-full" ref={place}>
      {width > 0 && (
        <Picture {...{ width, height, name, role, testId }} {...rest}>
          {caption && (
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
