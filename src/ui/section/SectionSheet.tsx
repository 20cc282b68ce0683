import { field } from '@/core/2-document/edit/field';
import { useMemo } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { buildOf } from '@/core/3-shape/section/kinds';
import type { LineKind } from '@/core/3-shape/outline/partOutline';
import type { Point } from '@/core/3-shape/outline/path';
import { svgPath } from '@/core/3-shape/outline/svgPath';
import { stripOutline } from '@/core/3-shape/pattern/stripOutline';
import { type Face, type FoldPattern } from '@/core/3-shape/pattern/foldPattern';
import { camberLine, contourOf, thicknessOf } from '@/core/3-shape/section/contour';
import { sectionSheet } from '@/core/4-weight/boardParts';
import { decimal, formatLength } from '@/words/formatQuantity';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { useSize } from '../drawing/useSize';
import { SelectField } from '../fields/SelectField';
import { useChosenStation } from '../surface/useChosen';
import { Say } from '../numbers/Say';
import { SECTION_FORMS } from './sectionForms';
import { useFoldsOf } from './TrialFolds';

const MARGIN = 40;

interface SectionSheetProps {
  readonly surface: Surface;
  readonly station: number;
}

/** The chosen station's sheet, or what to do first. */
export function ChosenSection({ design }: { readonly design: Design }) {
  const chosen = useChosenStation(design);
  return chosen ? (
    <SectionSheet {...chosen} />
  ) : (
    <p className="p-6 text-faint">Nothing is drawn yet: start in the brief.</p>
  );
}

/** One section to scale, with its camber line and spar, and the strip to cut for it below. */
function SectionSheet({ surface, station }: SectionSheetProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const units = useAppSelector((state) => state.settings.units);
  const dispatch = useAppDispatch();
  const { section, chord } = surface.stations[station]!;
  const scored: Face = (section.kind === 'foldedOverSpar' ? section.scoredFace : undefined) ?? 'inner';
  const setScored = (face: Face) =>
    dispatch(
      setFields(
        surface.stations.flatMap((other, index) =>
          other.section.kind === 'foldedOverSpar'
            ? [field('surfaces', surface.id, 'stations', index, 'section', 'scoredFace').to(face)]
            : [],
        ),
      ),
    );
  const contour = useMemo(() => contourOf(section, chord), [section, chord]);
  const camber = useMemo(() => camberLine(contour), [contour]);
  const thickness = thicknessOf(contour);
  const scale = (width - 2 * MARGIN) / chord;
  const baseline = Math.min(height * 0.36, 220);
  const u = (x: number) => MARGIN + x * chord * scale;
  const v = (z: number) => baseline - z * chord * scale;
  const trace = (face: ArrayLike<number>) =>
    Array.from(face, (z, index) => `${index ? 'L' : 'M'}${u(contour.x[index]!).toFixed(2)} ${v(z).toFixed(2)}`).join(
      ' ',
    );
  const folds = useFoldsOf(surface.construction?.material);
  const pattern = buildOf(section).pattern?.(section, chord, { folds, scored }) ?? null;
  const spar = section.kind === 'foldedOverSpar' ? section : null;
  const where = station === 0 ? 'root' : station === surface.stations.length - 1 ? 'tip' : `station ${station + 1}`;
  const low = Math.min(...contour.lower);
  return (
    <div className="relative h-full min-h-0 w-full" ref={ref}>
      {width > 0 && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={`Section of ${surface.name || surface.id} at the ${where}, chord ${formatLength(chord, units)}`}
          data-testid="section-sheet"
        >
          <text x={14} y={22} fontSize={12} fill="var(--color-faint)">
            {surface.name || surface.id}, {where}: chord {formatLength(chord, units)}
          </text>
          <path d={`M${u(0) - 14} ${v(0)} H${u(1) + 14}`} stroke="var(--color-rule)" strokeDasharray="14 4 3 4" />
          <path
            d={`${trace(contour.upper)} ${Array.from(contour.lower, (_, index) => {
              const place = contour.lower.length - 1 - index;
              return `L${u(contour.x[place]!).toFixed(2)} ${v(contour.lower[place]!).toFixed(2)}`;
            }).join(' ')} Z`}
            fill="var(--color-sheet)"
            stroke="var(--color-graphite)"
            strokeWidth={1.6}
            strokeLinejoin="round"
          />
          {spar && (
            <>
              <path
                d={innerFace(contour, spar.boardThickness / chord, u, v)}
                fill="none"
                stroke="var(--color-graphite)"
                strokeWidth={0.8}
              />
              <rect
                x={u(spar.sparPosition) - 4}
                y={v((spar.boardThickness + spar.sparHeight) / chord)}
                width={8}
                height={spar.sparHeight * scale}
                fill="var(--color-soft)"
                stroke="var(--color-graphite)"
              />
              <text
                x={u(spar.sparPosition)}
                y={v(low) + 20}
                fontSize={12}
                textAnchor="middle"
                fill="var(--color-graphite)"
              >
                spar at {decimal(spar.sparPosition * 100, 0)} %
              </text>
            </>
          )}
          <path
            d={trace(camber.map((z, index) => z + contourBase(contour, index)))}
            fill="none"
            stroke="var(--color-balance)"
            strokeDasharray="6 4"
          />
          <path d={`M${u(thickness.position)} ${v(Math.max(...contour.upper)) - 26} v18`} stroke="var(--color-faint)" />
          <text
            x={u(thickness.position)}
            y={v(Math.max(...contour.upper)) - 30}
            fontSize={12}
            textAnchor="middle"
            fill="var(--color-graphite)"
          >
            thickest {formatLength(thickness.ratio * chord, units)} = {decimal(thickness.ratio * 100, 1)} % at{' '}
            {decimal(thickness.position * 100, 0)} %
          </text>
          {pattern && <Strip pattern={pattern} width={width} top={height * 0.62} />}
        </svg>
      )}
      <div className="absolute right-4 bottom-3 left-4 flex items-end gap-4 text-sm">
        {pattern ? (
          <>
            <div className="w-72 shrink-0">
              <SelectField
                label="Scored or cut from"
                value={scored}
                options={[
                  ['inner', 'inside: outer face keeps its length'],
                  ['outer', 'outside: inner face keeps its length'],
                ]}
                onChange={setScored}
              />
            </div>
            <p className="pb-1" data-testid="cut-width">
              Cut a strip of <strong>{formatLength(pattern.cutWidth, units, 1)}</strong>
              {pattern.correction !== 0 &&
                `, ${formatLength(pattern.correction, units, 1)} of it learned from trial folds`}
              .
              {pattern.tooTight && (
                <span className="text-caution">
                  {' '}
                  <Say words={pattern.tooTight} />
                </span>
              )}
            </p>
          </>
        ) : (
          <p className="pb-1" data-testid="cut-width">
            Cut a strip of{' '}
            <strong>
              {formatLength(
                sectionSheet(section, chord).lengthRatio * (SECTION_FORMS[section.kind].cut === 'block' ? 1 : chord),
                units,
                1,
              )}
            </strong>
            {SECTION_FORMS[section.kind].cut === 'block' ? ' of mean thickness from a block' : ' along the faces'}.
          </p>
        )}
      </div>
    </div>
  );
}

/** The chord line through nose and trailing edge, which the camber line is measured from. */
function contourBase({ x, upper, lower }: ReturnType<typeof contourOf>, index: number): number {
  const nose = (upper[0]! + lower[0]!) / 2;
  const rear = (upper.at(-1)! + lower.at(-1)!) / 2;
  return nose + (rear - nose) * x[index]!;
}

/** The inside of the skins, one board thickness in. */
function innerFace(
  contour: ReturnType<typeof contourOf>,
  board: number,
  u: (x: number) => number,
  v: (z: number) => number,
): string {
  const inside = [...contour.x.keys()].filter((place) => contour.upper[place]! - contour.lower[place]! > 2 * board);
  if (inside.length < 2) return '';
  const line = (places: number[], face: ArrayLike<number>, shift: number) =>
    places.map((place) => `L${u(contour.x[place]!).toFixed(2)} ${v(face[place]! + shift).toFixed(2)}`);
  const points = [...line(inside, contour.upper, -board), ...line([...inside].reverse(), contour.lower, board)].join(
    ' ',
  );
  return `M${points.slice(1)}`;
}

/** How each kind of line is drawn; the same on paper later. */
const LINE_LOOK: Record<LineKind, { readonly dash: string | undefined; readonly width: number }> = {
  score: { dash: '2 3', width: 1 },
  dent: { dash: '1 4', width: 1.6 },
  peel: { dash: '6 2', width: 0.8 },
  bevel: { dash: '10 3 2 3', width: 1 },
  hinge: { dash: '12 3', width: 1.2 },
  mark: { dash: '8 3', width: 1.2 },
};

/** Height of the strip on the sheet [px]. */
const STRIP_TALL = 84;

/** Words near an end of the strip stay on it. */
const anchorAt = (share: number) => (share < 0.12 ? 'start' : share > 0.88 ? 'end' : 'middle');

/** The flat strip with its score lines, from the end of the lower skin at the left to the trailing edge. */
function Strip({
  pattern,
  width,
  top,
}: {
  readonly pattern: FoldPattern;
  readonly width: number;
  readonly top: number;
}) {
  const units = useAppSelector((state) => state.settings.units);
  const scale = (width - 2 * MARGIN) / pattern.cutWidth;
  const named = pattern.lines.filter(({ words }) => words !== '');
  const part = stripOutline(pattern, 'Strip', STRIP_TALL / scale);
  const paper = { place: ([x, y]: Point): Point => [MARGIN + x * scale, top + y * scale], scale, isMirrored: true };
  return (
    <g data-testid="strip">
      <text x={14} y={top - 12} fontSize={12} fill="var(--color-faint)">
        Strip to cut, seen from {pattern.keptFace === 'outer' ? 'the inside: score here' : 'the outside: cut here'}
      </text>
      <path d={svgPath(part.edge, paper)} fill="var(--color-sheet)" stroke="var(--color-graphite)" strokeWidth={1.6} />
      {part.lines.map(({ kind, path }, index) => (
        <path
          key={index}
          d={svgPath(path, paper)}
          stroke="var(--color-graphite)"
          strokeWidth={LINE_LOOK[kind].width}
          strokeDasharray={LINE_LOOK[kind].dash}
        />
      ))}
      <g fontSize={11.5} fill="var(--color-graphite)">
        {named.map(({ at, words }, index) => (
          <text
            key={words}
            x={MARGIN + at * scale}
            y={top + STRIP_TALL + 16 + (index % 2) * 15}
            textAnchor={anchorAt(at / pattern.cutWidth)}
          >
            {words} {formatLength(at, units, 1)}
          </text>
        ))}
      </g>
    </g>
  );
}
