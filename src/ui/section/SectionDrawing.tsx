import { useMemo } from 'react';
import { boundsOf, type Point } from '@/core/3-shape/outline/path';
import { sectionOutline } from '@/core/3-shape/outline/sectionOutline';
import { svgPath } from '@/core/3-shape/outline/svgPath';
import { contourOf, thicknessOf } from '@/core/3-shape/section/contour';
import type { Section } from '@/core/2-document/schema/section';
import { decimal, formatLength } from '@/words/formatQuantity';
import { useAppSelector } from '@/store/hooks';

interface SectionDrawingProps {
  readonly section: Section;
  /** [mm] */
  readonly chord: number;
  /** Where the nose lies on the sheet, and how large a millimetre is [px]. */
  readonly origin: Point;
  readonly scale: number;
}

const INNER_LOOK = {
  skin: { fill: 'none', strokeWidth: 0.8 },
  spar: { fill: 'var(--color-soft)', strokeWidth: 1 },
} as const;

/** One section to scale: its edge, what lies within it, its camber line, and how thick it is where. */
export function SectionDrawing({ section, chord, origin, scale }: SectionDrawingProps) {
  const units = useAppSelector((state) => state.settings.units);
  const outline = useMemo(() => sectionOutline(section, chord), [section, chord]);
  const thickness = thicknessOf(contourOf(section, chord));
  const [left, baseline] = origin;
  const u = (x: number) => left + x * scale;
  const v = (y: number) => baseline - y * scale;
  const paper = { place: ([x, y]: Point): Point => [u(x), v(y)], scale, isMirrored: true };
  const { top: high, bottom: low } = boundsOf([outline.edge]);
  const spar = outline.within.find(({ kind }) => kind === 'spar');
  const sparBounds = spar && boundsOf([spar.path]);
  const sparAt = sparBounds && (sparBounds.left + sparBounds.right) / 2;
  const thickest = thickness.position * chord;
  return (
    <>
      <path d={`M${u(0) - 14} ${v(0)} H${u(chord) + 14}`} stroke="var(--color-rule)" strokeDasharray="14 4 3 4" />
      <path
        d={svgPath(outline.edge, paper)}
        fill="var(--color-sheet)"
        stroke="var(--color-graphite)"
        strokeWidth={1.6}
        strokeLinejoin="round"
      />
      {outline.within.map(({ kind, path }) => (
        <path key={kind} d={svgPath(path, paper)} stroke="var(--color-graphite)" {...INNER_LOOK[kind]} />
      ))}
      {sparAt !== undefined && (
        <text x={u(sparAt)} y={v(low) + 20} fontSize={12} textAnchor="middle" fill="var(--color-graphite)">
          spar at {decimal((sparAt / chord) * 100, 0)} %
        </text>
      )}
      <path d={svgPath(outline.camber, paper)} fill="none" stroke="var(--color-balance)" strokeDasharray="6 4" />
      <path d={`M${u(thickest)} ${v(high) - 26} v18`} stroke="var(--color-faint)" />
      <text x={u(thickest)} y={v(high) - 30} fontSize={12} textAnchor="middle" fill="var(--color-graphite)">
        thickest {formatLength(thickness.ratio * chord, units)} = {decimal(thickness.ratio * 100, 1)} % at{' '}
        {decimal(thickness.position * 100, 0)} %
      </text>
    </>
  );
}
