import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { buildOf } from '@/core/3-shape/section/kinds';
import { formatLength } from '@/words/formatQuantity';
import { useAppSelector } from '@/store/hooks';
import { useMemo } from 'react';
import { boundsOf } from '@/core/3-shape/outline/path';
import { sectionOutline } from '@/core/3-shape/outline/sectionOutline';
import { useSize } from '../drawing/useSize';
import { Paper } from '../sheet/Paper';
import { Tall } from '../sheet/Tall';
import { useScreen } from '../shell/useScreen';
import { useChosenStation } from '../surface/useChosen';
import { CutLine } from './CutLine';
import { MARGIN } from './margin';
import { type HingedHere, SectionDrawing } from './SectionDrawing';
import { SpeedPolars, STACKED_BELOW } from './SpeedPolars';
import { Strip } from './Strip';
import { usePatternOf } from './usePatternOf';

/** Room above a section and below it, for the strip with its words, and for the line that says what is cut [px]. */
const ABOVE = 66;
const BELOW = 44;
const STRIP_ROOM = 170;
const CUT_LINE = 40;
/** What a section needs with its strip and without, less the line of its cut, and what polars over speed need under it [px]. */
const LEAST = { folded: 270, plain: 160, polars: 215, polarsStacked: 400 } as const;

interface SectionSheetProps {
  readonly surface: Surface;
  readonly station: number;
}

/** Room of the line that says what is cut; on a phone it stands below the sheet [px]. */
const useCutLine = () => (useScreen() === 'phone' ? 0 : CUT_LINE);

/** The chosen station's sheet, or what to do first. */
export function ChosenSection({ design }: { readonly design: Design }) {
  const chosen = useChosenStation(design);
  const [ref, { width }] = useSize<HTMLDivElement>();
  const cutLine = useCutLine();
  if (!chosen) return <p className="p-6 text-faint">Nothing is drawn yet: start in the brief.</p>;
  const isFolded = buildOf(chosen.surface.stations[chosen.station]!.section).pattern != null;
  const section = (isFolded ? LEAST.folded : LEAST.plain) + cutLine;
  const polars = width < STACKED_BELOW ? LEAST.polarsStacked : LEAST.polars;
  return (
    <div className="h-full" ref={ref}>
      <Tall name="Section and polars" least={section + polars}>
        <div className="flex h-full min-h-0 flex-col">
          <div className="basis-0" style={{ flexGrow: section, minHeight: section }}>
            <SectionSheet {...chosen} />
          </div>
          <div className="basis-0 border-t border-soft" style={{ flexGrow: polars, minHeight: polars }}>
            <SpeedPolars design={design} {...chosen} />
          </div>
        </div>
      </Tall>
    </div>
  );
}

/** One section to scale, with its camber line and spar, and the strip to cut for it below. */
function SectionSheet({ surface, station }: SectionSheetProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const units = useAppSelector((state) => state.settings.units);
  const { section, chord } = surface.stations[station]!;
  const { top: high, bottom: low } = boundsOf([useMemo(() => sectionOutline(section, chord), [section, chord]).edge]);
  const { pattern } = usePatternOf(surface, station);
  const cutLine = useCutLine();
  const stripRoom = STRIP_ROOM - CUT_LINE + cutLine;
  // Words stand above the section and below it; under it lies the strip.
  const room = (pattern ? height - stripRoom : height - cutLine) - ABOVE - BELOW;
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
      over={cutLine > 0 && <CutLine surface={surface} station={station} isOverlaid />}
    >
      <SectionDrawing
        section={section}
        chord={chord}
        origin={origin}
        scale={scale}
        controls={hingedAt(surface, station)}
      />
      {pattern && <Strip pattern={pattern} width={width} top={height - stripRoom + 22} />}
    </Paper>
  );
}

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
