import { field } from '@/core/2-document/edit/field';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { buildOf } from '@/core/3-shape/section/kinds';
import { type Face, type FoldPattern } from '@/core/3-shape/pattern/foldPattern';
import { sectionSheet } from '@/core/4-weight/boardParts';
import { formatLength } from '@/words/formatQuantity';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { useMemo } from 'react';
import { boundsOf } from '@/core/3-shape/outline/path';
import { sectionOutline } from '@/core/3-shape/outline/sectionOutline';
import { useSize } from '../drawing/useSize';
import { Paper } from '../sheet/Paper';
import { SelectField } from '../fields/SelectField';
import { useChosenStation } from '../surface/useChosen';
import { MARGIN } from './margin';
import { type HingedHere, SectionDrawing } from './SectionDrawing';
import { SECTION_FORMS } from './sectionForms';
import { SpeedPolars } from './SpeedPolars';
import { Strip } from './Strip';
import { useFoldsOf } from './TrialFolds';

/** Room above a section and below it, for the strip with its words, and for the line that says what is cut [px]. */
const ABOVE = 66;
const BELOW = 44;
const STRIP_ROOM = 170;
const CUT_LINE = 40;
/** On a lower sheet the strip gives way to the section [px]. */
const STRIP_FROM = 280;

interface SectionSheetProps {
  readonly surface: Surface;
  readonly station: number;
}

/** The chosen station's sheet, or what to do first. */
export function ChosenSection({ design }: { readonly design: Design }) {
  const chosen = useChosenStation(design);
  const isFolded = chosen !== null && buildOf(chosen.surface.stations[chosen.station]!.section).pattern != null;
  return chosen ? (
    <div className="flex h-full min-h-0 flex-col">
      <div className={isFolded ? 'min-h-0 flex-[12]' : 'min-h-0 flex-[8]'}>
        <SectionSheet {...chosen} />
      </div>
      <div className="min-h-0 flex-[10] border-t border-soft small:hidden">
        <SpeedPolars design={design} {...chosen} />
      </div>
    </div>
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
  const { top: high, bottom: low } = boundsOf([useMemo(() => sectionOutline(section, chord), [section, chord]).edge]);
  const folds = useFoldsOf(surface.construction?.material);
  const pattern = buildOf(section).pattern?.(section, chord, { folds, scored }) ?? null;
  const hasStrip = pattern !== null && height >= STRIP_FROM;
  // Words stand above the section and below it; under it lies the strip.
  const room = (hasStrip ? height - STRIP_ROOM : height - CUT_LINE) - ABOVE - BELOW;
  const scale = Math.max(0.01, Math.min((width - 2 * MARGIN) / chord, Math.max(8, room) / Math.max(1, high - low)));
  const baseline = ABOVE + high * scale;
  const origin = [(width - chord * scale) / 2, baseline] as const;
  const where = station === 0 ? 'root' : station === surface.stations.length - 1 ? 'tip' : `station ${station + 1}`;
  return (
    <Paper
      place={ref}
      width={width}
      height={height}
      role="img"
      name={`Section of ${surface.name || surface.id} at the ${where}, chord ${formatLength(chord, units)}`}
      testId="section-sheet"
      caption={`${surface.name || surface.id}, ${where}: chord ${formatLength(chord, units)}`}
      over={<CutLine surface={surface} station={station} pattern={pattern} scored={scored} />}
    >
      <SectionDrawing
        section={section}
        chord={chord}
        origin={origin}
        scale={scale}
        controls={hingedAt(surface, station)}
      />
      {hasStrip && <Strip pattern={pattern} width={width} top={height - STRIP_ROOM + 22} />}
    </Paper>
  );
}

/** How a nose is bent; without a choice the board says how many lines it takes. */
const NOSES = [
  ['', 'as the board needs'],
  ['1', 'one dent'],
  ['3', '3 scores'],
  ['5', '5 scores'],
  ['7', '7 scores'],
  ['9', '9 scores'],
] as const;

/** Controls on the panels beside a station, and where their hinge lies in the chord at the end that is nearest. */
function hingedAt({ stations, controls }: Surface, station: number): HingedHere[] {
  const whole = stations.at(-1)!.distanceFromRoot;
  const shareAt = (index: number) => stations[index]!.distanceFromRoot / whole;
  const [inner, outer] = [shareAt(Math.max(0, station - 1)), shareAt(Math.min(stations.length - 1, station + 1))];
  return controls.flatMap(({ id, name, from, to, hingeInboard, hingeOutboard, allMoving, neutral }) => {
    if (allMoving || to <= inner || from >= outer) return [];
    const nearest = Math.min(to, Math.max(from, shareAt(station)));
    const hinge = hingeInboard + ((hingeOutboard - hingeInboard) * (nearest - from)) / (to - from);
    return [{ id, name: name || id, hinge, neutral }];
  });
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
    <div className="absolute right-4 bottom-3 left-4 flex items-end gap-4 text-read">
      {pattern ? (
        <>
          <div className="w-44 shrink-0">
            <SelectField
              label="Nose"
              value={section.kind === 'foldedOverSpar' ? String(section.scores ?? '') : ''}
              options={NOSES}
              onChange={setScores}
            />
          </div>
          <div className="w-60 shrink-0">
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
