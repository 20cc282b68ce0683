import { buildOf } from '@/core/3-shape/section/kinds';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { chordSquareToEdge } from '@/core/3-shape/pattern/foldPattern';
import { contourOf, thicknessOf } from '@/core/3-shape/section/contour';
import { decimal, formatLength } from '@/words/formatQuantity';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { surfaceChosen } from '@/store/sessionSlice';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { useScreen } from '../shell/useScreen';
import { SurfacePicker } from '../surface/SurfacePicker';
import { useChosenStation } from '../surface/useChosen';
import { CutLine } from './CutLine';
import { CompareSections } from './CompareSections';
import { Rods } from './Rods';
import { SectionEditor } from './SectionEditor';
import { TrialFolds } from './TrialFolds';

/** How a surface is cut and folded, and what that makes of it. */
export function SectionStage({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const chosen = useChosenStation(design);
  const isPhone = useScreen() === 'phone';
  if (!chosen) return <p className="p-3 text-read text-faint">Nothing is drawn yet.</p>;
  const { surface, station } = chosen;
  const material = design.materials.find(({ id }) => id === surface.construction?.material);
  return (
    <>
      <SurfacePicker
        surfaces={design.surfaces}
        chosen={surface.id}
        onChoose={(id) => dispatch(surfaceChosen({ surface: id }))}
      />
      <div className="flex flex-wrap gap-1 border-b border-rule px-3 py-2" role="group" aria-label="Station">
        {surface.stations.map((_, index) => (
          <button
            key={index}
            type="button"
            aria-pressed={index === station}
            onClick={() => dispatch(surfaceChosen({ surface: surface.id, station: index }))}
            className="cursor-pointer rounded-sm border border-rule px-2 py-0.5 text-read aria-pressed:border-graphite aria-pressed:bg-soft"
          >
            {index === 0 ? 'root' : index === surface.stations.length - 1 ? 'tip' : `station ${index + 1}`}
          </button>
        ))}
      </div>
      {isPhone && <CutLine surface={surface} station={station} />}
      <SectionEditor surface={surface} station={station} />
      <SquareToEdge surface={surface} />
      <Rods surface={surface} />
      {material && buildOf(surface.stations[station]!.section).pattern && (
        <TrialFolds material={material} section={surface.stations[station]!.section} />
      )}
      <CompareSections design={design} surface={surface} station={station} />
    </>
  );
}

/** Panels folded square to a swept edge fly streamwise: both chords and thicknesses. */
function SquareToEdge({ surface }: { readonly surface: Surface }) {
  const units = useAppSelector((state) => state.settings.units);
  const rows = surface.stations.slice(1).flatMap((outer, index) => {
    const inner = surface.stations[index]!;
    const length = outer.distanceFromRoot - inner.distanceFromRoot;
    const leading = Math.atan((outer.leadingEdgeOffset - inner.leadingEdgeOffset) / length);
    const trailing = Math.atan(
      (outer.leadingEdgeOffset + outer.chord - inner.leadingEdgeOffset - inner.chord) / length,
    );
    if (Math.abs(leading) < 0.07) return [];
    const square = chordSquareToEdge(inner.chord, leading, trailing);
    const thickness = thicknessOf(contourOf(inner.section, inner.chord)).ratio * inner.chord;
    return [{ index, square, chord: inner.chord, thickness }];
  });
  if (rows.length === 0) return null;
  return (
    <Section title="Folded square to the swept edge" isRare>
      {rows.map(({ index, square, chord, thickness }) => (
        <Fact
          key={index}
          label={rows.length > 1 ? `Panel ${index + 1}: square, as flown` : 'Square to the edge, as flown'}
        >
          {formatLength(square, units)} at {decimal((thickness / square) * 100, 1)} %, {formatLength(chord, units)} at{' '}
          {decimal((thickness / chord) * 100, 1)} %
        </Fact>
      ))}
    </Section>
  );
}
