import { Eraser, Magnet, Maximize, Ruler, ZoomIn, ZoomOut } from 'lucide-react';
import { Choices } from '../fields/Choices';
import { memo } from 'react';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { measuresCleared, snappingChanged } from '@/store/sessionSlice';
import { UnderlayTool } from '../underlay/UnderlayTool';
import { Button, IconButton } from '../shell/buttons';

const VIEWS = [
  ['plan', 'Plan and side'],
  ['front', 'Front'],
  ['space', '3D'],
] as const;
/** The sheet of the stage itself, or one of the drawings that all stages have. */
export type View = 'own' | (typeof VIEWS)[number][0];

interface DrawingToolsProps {
  readonly view: View;
  /** Name of the stage's own sheet, where it has one. */
  readonly own?: string;
  readonly onView: (view: View) => void;
  readonly whole: boolean;
  /** Left out where there is no plan. */
  readonly onWhole?: (whole: boolean) => void;
  readonly closer: () => void;
  readonly further: () => void;
  readonly fit: () => void;
  readonly measuring: boolean;
  readonly onMeasuring: (measuring: boolean) => void;
  /** A picture under the drawing is to be brought to scale. */
  readonly onScale: (photo: string) => void;
}

/** Views, halves, snapping and zoom; drawn anew only when one of them changes. */
export const DrawingTools = memo(function DrawingTools(props: DrawingToolsProps) {
  const { view, own, onView, whole, onWhole, closer, further, fit, measuring, onMeasuring, onScale } = props;
  const hasMeasures = useAppSelector((state) => state.session.measures.length > 0);
  const dispatch = useAppDispatch();
  const snapping = useAppSelector((state) => state.session.snapping);
  return (
    <div className="pointer-events-none absolute top-2 right-2 left-2 flex justify-end">
      <div
        data-tools=""
        className="pointer-events-auto flex flex-wrap-reverse items-center justify-end gap-1 bg-paper/85"
      >
        {view === 'plan' && onWhole && (
          <Button look="quiet" aria-pressed={whole} onClick={() => onWhole(!whole)}>
            {whole ? 'Right half' : 'Both halves'}
          </Button>
        )}
        {view === 'plan' && (
          <>
            <IconButton
              label="Measure between two points"
              icon={<Ruler size={16} />}
              aria-pressed={measuring}
              className="aria-pressed:bg-soft"
              onClick={() => onMeasuring(!measuring)}
            />
            <UnderlayTool onScale={onScale} />
            {hasMeasures && (
              <IconButton
                label="Take the dimensions away"
                icon={<Eraser size={16} />}
                onClick={() => dispatch(measuresCleared())}
              />
            )}
          </>
        )}
        {(view === 'plan' || view === 'front') && (
          <>
            <IconButton
              label="Meet sheet sizes and whole steps"
              icon={<Magnet size={16} />}
              aria-pressed={snapping}
              className="aria-pressed:bg-soft"
              onClick={() => dispatch(snappingChanged(!snapping))}
            />
            <IconButton label="Closer" icon={<ZoomIn size={16} />} onClick={closer} />
            <IconButton label="Further away" icon={<ZoomOut size={16} />} onClick={further} />
            <IconButton label="Fit the drawing" icon={<Maximize size={16} />} onClick={fit} />
          </>
        )}
        <Choices
          joined
          label="View"
          options={own === undefined ? VIEWS : [['own', own] as const, ...VIEWS]}
          value={view}
          onChange={(next) => next && onView(next)}
        />
      </div>
    </div>
  );
});
