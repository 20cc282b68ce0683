import { ImagePlus, Trash2 } from 'lucide-react';
import { Popover } from 'radix-ui';
import { toast } from 'sonner';
import { dropPicture } from '@/store/pictures';
import { addUnderlay, changeUnderlay, type Underlay } from '@/store/underlays';
import { useAppDispatch, useAppStore } from '@/store/hooks';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { extentsOf } from '@/core/3-shape/outline/extents';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Button, IconButton } from '../shell/buttons';
import { layer } from '../shell/layer';
import { told } from '../shell/told';
import { ChoosePicture } from '../pictures/ChoosePicture';
import { fittingPicture } from '../pictures/fittingPicture';
import { type LaidPhoto, useUnderlays } from './useUnderlays';

interface UnderlayToolProps {
  /** Two points of a picture are to be pressed. */
  readonly onScale: (photo: string) => void;
}

/** Pictures under the drawing: an own sketch or photograph to be traced, brought to scale by two points. */
export function UnderlayTool({ onScale }: UnderlayToolProps) {
  const dispatch = useAppDispatch();
  const photos = useUnderlays();
  // Asked for when a picture is chosen: the tool stays as it is while something is dragged.
  const store = useAppStore();
  const take = async (file: File | undefined) => {
    const design = store.getState().document.present;
    if (!file || !design) return;
    const { xMin, xMax } = extentsOf(design, placeAll(design.surfaces));
    await told(`${file.name} was not laid under the drawing`, async () => {
      const picture = await fittingPicture(file);
      // At first as long as the aircraft, nose and tail where they are drawn.
      const underlay: Underlay = { view: 'plan', x: (xMin + xMax) / 2, across: 0, width: xMax - xMin, turn: 0 };
      await dispatch(addUnderlay(picture, underlay));
    });
  };
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <IconButton label="Pictures under the drawing" icon={<ImagePlus size={16} />} />
      </Popover.Trigger>
      <Popover.Portal container={layer()}>
        <Popover.Content
          sideOffset={4}
          align="end"
          collisionPadding={8}
          aria-label="Pictures under the drawing"
          className="z-30 w-80 max-w-[94vw] border border-graphite bg-sheet p-3 text-read shadow-lg"
        >
          <ChoosePicture label="Lay a picture under it" onChoose={(file) => void take(file)} />
          {photos.length === 0 && (
            <p className="mt-2 text-label text-faint">
              A sketch or a photograph, nose to the left. It is kept beside the design and goes into its file.
            </p>
          )}
          <ul>
            {photos.map((photo) => (
              <li key={photo.id} className="mt-2 border-t border-soft pt-2">
                <Placing photo={photo} onScale={() => onScale(photo.id)} />
              </li>
            ))}
          </ul>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Placing({ photo, onScale }: { readonly photo: LaidPhoto; readonly onScale: () => void }) {
  const dispatch = useAppDispatch();
  const { underlay, name, id } = photo;
  const change = (part: Partial<Underlay>) =>
    void told('It was left as it is', () => dispatch(changeUnderlay(photo, part)));
  const number = (key: 'x' | 'across' | 'width' | 'turn') => (value: number) => {
    if (key === 'width' && value < 1) return { path: '', message: 'must be at least 1 mm' };
    if (Math.abs(value) > (key === 'turn' ? 180 : 5000)) return { path: '', message: 'is too far away' };
    change({ [key]: value });
    return null;
  };
  const drop = async () => {
    const back = await told('It was not taken away', () => dispatch(dropPicture(id)));
    if (back) toast(`${name || id} was taken away.`, { action: { label: 'Undo', onClick: () => void back() } });
  };
  return (
    <>
      <div className="flex items-center gap-2">
        <p className="min-w-0 flex-1 leading-tight font-medium break-words">{name || id}</p>
        <Popover.Close asChild>
          <Button onClick={onScale}>Scale by two points</Button>
        </Popover.Close>
        <IconButton label={`Take ${name || id} away`} icon={<Trash2 size={15} />} onClick={() => void drop()} />
      </div>
      <div className="mt-1 grid grid-cols-3 gap-x-2 gap-y-1">
        <SelectField
          label="Under the"
          value={underlay.view}
          options={[
            ['plan', 'plan'],
            ['side', 'side view'],
          ]}
          onChange={(view) => change({ view })}
        />
        <QuantityField label="Its width is" kind="length" value={underlay.width} onCommit={number('width')} />
        <QuantityField label="Turned by" kind="angle" value={underlay.turn} onCommit={number('turn')} />
        <QuantityField label="Middle aft" kind="length" value={underlay.x} onCommit={number('x')} />
        <QuantityField
          label={underlay.view === 'plan' ? 'Middle right' : 'Middle up'}
          kind="length"
          value={underlay.across}
          onCommit={number('across')}
        />
      </div>
    </>
  );
}
