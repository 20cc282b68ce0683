import { Magnet, Maximize, ZoomIn, ZoomOut } from 'lucide-react';
import { ToggleGroup } from 'radix-ui';
import { memo } from 'react';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { snappingChanged } from '@/store/sessionSlice';
import { Button, IconButton } from '../shell/buttons';

const VIEWS = [
  ['plan', 'Plan and side'],
  ['front', 'Front'],
  ['space', '3D'],
] as const;
export type View = (typeof VIEWS)[number][0];

interface DrawingToolsProps {
  readonly view: View;
  readonly onView: (view: View) => void;
  readonly whole: boolean;
  /** Left out where there is no plan. */
  readonly onWhole?: (whole: boolean) => void;
  readonly closer: () => void;
  readonly further: () => void;
  readonly fit: () => void;
}

/** Views, halves, snapping and zoom; drawn anew only when one of them changes. */
export const DrawingTools = memo(function DrawingTools(props: DrawingToolsProps) {
  const { view, onView, whole, onWhole, closer, further, fit } = props;
  const dispatch = useAppDispatch();
  const snapping = useAppSelector((state) => state.session.snapping);
  return (
    <div className="absolute top-2 right-2 flex items-center gap-1 bg-paper/85">
      {view === 'plan' && onWhole && (
        <Button look="quiet" aria-pressed={whole} onClick={() => onWhole(!whole)}>
          {whole ? 'Right half' : 'Both halves'}
        </Button>
      )}
      {view !== 'space' && (
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
      <ToggleGroup.Root
        type="single"
        value={view}
        onValueChange={(next) => next && onView(next as View)}
        aria-label="View"
        className="flex rounded-sm border border-rule bg-sheet"
      >
        {VIEWS.map(([id, name]) => (
          <ToggleGroup.Item
            key={id}
            value={id}
            className="cursor-pointer px-2 py-0.5 text-sm data-[state=on]:bg-graphite data-[state=on]:text-sheet"
          >
            {name}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
});
