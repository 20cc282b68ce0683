import { clsx } from 'clsx';
import { field } from '@/core/2-document/edit/field';
import type { Surface } from '@/core/2-document/schema/surface';
import type { Face } from '@/core/3-shape/pattern/foldPattern';
import { sectionSheet } from '@/core/4-weight/boardParts';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { formatLength } from '@/words/formatQuantity';
import { SelectField } from '../fields/SelectField';
import { SECTION_FORMS } from './sectionForms';
import { usePatternOf } from './usePatternOf';

/** How a nose is bent; without a choice the board says how many lines it takes. */
const NOSES = [
  ['', 'as the board needs'],
  ['1', 'one dent'],
  ['3', '3 scores'],
  ['5', '5 scores'],
  ['7', '7 scores'],
  ['9', '9 scores'],
] as const;

interface CutLineProps {
  readonly surface: Surface;
  readonly station: number;
  /** At the foot of a sheet, over it. */
  readonly isOverlaid?: boolean;
}

/** How wide the strip is cut, and from which face it is scored. */
export function CutLine({ surface, station, isOverlaid = false }: CutLineProps) {
  const units = useAppSelector((state) => state.settings.units);
  const dispatch = useAppDispatch();
  const { section, chord } = surface.stations[station]!;
  const { pattern, scored } = usePatternOf(surface, station);
  const board = useAppSelector((state) =>
    state.document.present?.materials.find(({ id }) => id === surface.construction?.material),
  );
  const hasPaper = board?.faces === 'both';
  const folded = surface.stations.flatMap((other, index) => (other.section.kind === 'foldedOverSpar' ? [index] : []));
  const of = (index: number) => ['surfaces', surface.id, 'stations', index, 'section'] as const;
  const setScored = (face: Face) =>
    dispatch(setFields(folded.map((index) => field(...of(index), 'scoredFace').to(face))));
  const setScores = (chosen: string) =>
    dispatch(
      setFields(folded.map((index) => field(...of(index), 'scores').to(chosen === '' ? undefined : Number(chosen)))),
    );
  return (
    <div
      className={clsx(
        'flex items-end gap-x-4 gap-y-2 text-read',
        isOverlaid ? 'absolute right-4 bottom-3 left-4' : 'flex-wrap border-b border-rule px-3 py-2',
      )}
    >
      {pattern ? (
        <>
          <div className="w-44 shrink-0 max-w-full">
            <SelectField
              label="Nose"
              value={section.kind === 'foldedOverSpar' ? String(section.scores ?? '') : ''}
              options={NOSES}
              onChange={setScores}
            />
          </div>
          <div className="w-60 shrink-0 max-w-full">
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
            {section.kind === 'foldedOverSpar' && section.scores === 1 && scored === 'inner' && hasPaper && (
              <span className="text-faint"> Peel or slit the inside paper along the dent.</span>
            )}
          </p>
        </>
      ) : (
        <p className="pb-1" data-testid="cut-width">
          {section.kind === 'ribsUnderFilm' ? (
            <>
              A rib every <strong>{formatLength(section.ribSpacing, units, 0)}</strong>, film on both sides; spars and
              edges are rods.
            </>
          ) : (
            <>
              Cut a strip of{' '}
              <strong>
                {formatLength(
                  sectionSheet(section, chord).lengthRatio * (SECTION_FORMS[section.kind].cut === 'block' ? 1 : chord),
                  units,
                  1,
                )}
              </strong>
              {SECTION_FORMS[section.kind].cut === 'block' ? ' of mean thickness from a block' : ' along the faces'}.
            </>
          )}
        </p>
      )}
    </div>
  );
}
