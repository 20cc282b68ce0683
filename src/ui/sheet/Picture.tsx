import type { SVGProps } from 'react';
import { Ground } from './Ground';

export interface PictureProps extends Omit<SVGProps<SVGSVGElement>, 'ref' | 'role' | 'name'> {
  /** [px] */
  readonly width: number;
  readonly height: number;
  /** What it is called for those who do not see it. */
  readonly name: string;
  readonly role?: 'group' | 'img';
  readonly testId?: string;
}

/** A drawing in pixels of its place. */
export const Picture = ({ width, height, name, role = 'img', testId, children, ...rest }: PictureProps) => (
  <svg
    width={width}
    height={height}
    viewBox={`0 0 ${width} ${height}`}
    role={role}
    aria-label={name}
    data-testid={testId}
    {...rest}
  >
    <Ground />
    {children}
  </svg>
);
