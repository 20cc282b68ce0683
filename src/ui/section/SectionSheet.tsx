import { field } from '@/core/2-document/edit/field';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { buildOf } from '@/core/3-shape/section/kinds';
import { type Face, type FoldPattern } from '@/core/3-shape/pattern/foldPattern';
import { sectionSheet } from '@/core/4-weight/boardParts';
import { formatLength } from '@/words/formatQuantity';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { useSize } from '../drawing/useSize';
import { SelectField } from '../fields/SelectField';
import { useChosenStation } from '../surface/useChosen';
import { Say } from '../numbers/Say';
import { MARGIN } from './margin';
import { SectionDrawing } from './SectionDrawing';
import { SECTION_FORMS } from './sectionForms';
import { Strip } from './Strip';
import { useFoldsOf } from './TrialFolds';

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
  const { section, chord } = surface.stations[station]!;
  const scored: Face = (section.kind === 'foldedOverSpar' ? section.scoredFace : undefined) ?? 'inner';
  const scale = (width - 2 * MARGIN) / chord;
  const baseline = Math.min(height * 0.36, 220);
  const folds = useFoldsOf(surface.construction?.material);
  const pattern = buildOf(section).pattern?.(section, chord, { folds, scored }) ?? null;
  const where = station === 0 ? 'root' : station === surface.stations.length - 1 ? 'tip' : `station ${station + 1}`;
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
          <SectionDrawing section={section} chord={chord} origin={[MARGIN, baseline]} scale={scale} />
          {pattern && <Strip pattern={pattern} width={width} top={height * 0.62} />}
        </svg>
      )}
      <CutLine surface={surface} station={station} pattern={pattern} scored={scored} />
    </div>
  );
}

interface CutLineProps extends SectionSheetProps {
  readonly pattern: FoldPattern | null;
  readonly scored: Face;
}

/** How wide the strip is cut, and from which face it is scored. */
function CutLine({ surface, station, pattern, scored }: CutLineProps) {
  const units = useAppSelector((state) => state.settings.units);
  const dispatch = useAppDispatch();
  const { section, chord } = surface.stations[station]!;
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
  return (
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
  );
}
