import { useMemo } from 'react';
import { boundsOf, type Point } from '@/core/3-shape/outline/path';
import { sectionOutline } from '@/core/3-shape/outline/sectionOutline';
import { svgPath } from '@/core/3-shape/outline/svgPath';
import { contourOf, thicknessOf } from '@/core/3-shape/section/contour';
import { degreesFromRadians, type Degrees, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Section } from '@/core/2-document/schema/section';
import { measurableFace } from '@/core/3-shape/section/measurableFace';
import { FACE_WORDS } from '../rigging/faceWords';
import { decimal, formatLength } from '@/words/formatQuantity';
import { useAppSelector } from '@/store/hooks';

interface SectionDrawingProps {
  readonly section: Section;
  /** [mm] */
  readonly chord: number;
  /** Where the nose lies on the sheet, and how large a millimetre is [px]. */
  readonly origin: Point;
  readonly scale: number;
  /** What is hinged here: drawn where it stands with the stick in the middle. */
  readonly controls?: readonly HingedHere[];
}

export interface HingedHere {
  readonly id: string;
  readonly name: string;
  /** Hinge, as a fraction of the chord. */
  readonly hinge: number;
  /** Trailing edge down. */
  readonly neutral: Degrees;
}

const INNER_LOOK = {
  skin: { fill: 'none', strokeWidth: 0.8 },
  spar: { fill: 'var(--color-soft)', strokeWidth: 1 },
} as const;

/** One section to scale: its edge, what lies within it, its camber line, and how thick it is where. */
export function SectionDrawing({ section, chord, origin, scale, controls = [] }: SectionDrawingProps) {
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
      <MeterFace section={section} chord={chord} u={u} v={v} />
      {controls.map((control) => (
        <ControlAsItStands key={control.id} section={section} chord={chord} control={control} u={u} v={v} />
      ))}
      <path d={`M${u(thickest)} ${v(high) - 26} v18`} stroke="var(--color-faint)" />
      <text x={u(thickest)} y={v(high) - 30} fontSize={12} textAnchor="middle" fill="var(--color-graphite)">
        thickest {formatLength(thickness.ratio * chord, units)} = {decimal(thickness.ratio * 100, 1)} % at{' '}
        {decimal(thickness.position * 100, 0)} %
      </text>
    </>
  );
}

interface MarkProps {
  readonly section: Section;
  readonly chord: number;
  readonly u: (x: number) => number;
  readonly v: (y: number) => number;
}

/** Where a tilt meter lies along the chord, from and to. */
const METER = [0.42, 0.62] as const;

/** The face that a tilt meter is laid on, and what it shows of the chord. */
function MeterFace({ section, chord, u, v }: MarkProps) {
  const { face, angle } = measurableFace(section, chord);
  const { x, upper, lower } = contourOf(section, chord);
  const heights = face === 'upper' ? upper : lower;
  const at = (share: number) =>
    heights[
      Math.max(
        0,
        x.findIndex((place) => place >= share),
      )
    ]! * chord;
  const [from, to] = METER;
  const off = face === 'upper' ? 5 : -5;
  const shown = decimal(Math.abs(degreesFromRadians(angle)), 1);
  const words =
    face === 'chord'
      ? FACE_WORDS.chord
      : `${FACE_WORDS[face]}: shows the chord’s angle${Number(shown) === 0 ? '' : ` ${angle > 0 ? '+' : '−'} ${shown}°`}`;
  return (
    <g data-testid="meter-face">
      {face !== 'chord' && (
        <path
          d={`M${u(from * chord)} ${v(at(from)) - off} L${u(to * chord)} ${v(at(to)) - off}`}
          stroke="var(--color-balance)"
          strokeWidth={4}
        />
      )}
      <text x={u(chord)} y={v(0) + 40} fontSize={12} textAnchor="end" fill="var(--color-faint)">
        {words}
      </text>
    </g>
  );
}

/** A control that stands off the line of its surface with the stick in the middle. */
function ControlAsItStands({ section, chord, control, u, v }: MarkProps & { readonly control: HingedHere }) {
  const { x, upper, lower } = contourOf(section, chord);
  const at = Math.max(
    0,
    x.findIndex((place) => place >= control.hinge),
  );
  const middle = ((upper[at]! + lower[at]!) / 2) * chord;
  const length = (1 - control.hinge) * chord;
  const turn = radiansFromDegrees(control.neutral);
  const end: Point = [control.hinge * chord + length * Math.cos(turn), middle - length * Math.sin(turn)];
  return (
    <g data-testid={`stands-${control.id}`}>
      <circle cx={u(control.hinge * chord)} cy={v(middle)} r={3} fill="none" stroke="var(--color-graphite)" />
      {control.neutral !== 0 && (
        <>
          <path
            d={`M${u(control.hinge * chord)} ${v(middle)} L${u(end[0])} ${v(end[1])}`}
            stroke="var(--color-graphite)"
            strokeWidth={1.4}
            strokeDasharray="2 3"
          />
          <text x={u(end[0])} y={v(end[1]) + (control.neutral > 0 ? 14 : -6)} fontSize={12} textAnchor="end">
            {control.name} stands {decimal(Math.abs(control.neutral), 1)}° {control.neutral > 0 ? 'down' : 'up'}
          </text>
        </>
      )}
    </g>
  );
}
