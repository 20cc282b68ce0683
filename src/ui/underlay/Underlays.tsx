import { useEffect, useState } from 'react';
import { useAppSelector } from '@/store/hooks';
import type { PlanFrame } from '../drawing/planFrame';
import { useSurroundings } from '../surroundings';
import { type LaidPhoto, useUnderlays } from './useUnderlays';

/** Pictures under the drawing, to be traced: where they lie, as large as they stand for. */
export function Underlays({ frame }: { readonly frame: PlanFrame }) {
  const photos = useUnderlays();
  return (
    <g aria-hidden="true" opacity={0.45}>
      {photos
        .filter(({ underlay }) => !(frame.sideOnly && underlay.view === 'plan'))
        .map((photo) => (
          <Laid key={photo.id} photo={photo} frame={frame} />
        ))}
    </g>
  );
}

interface Shown {
  readonly url: string;
  /** Height over width. */
  readonly ratio: number;
}

function Laid({ photo: { id, type, underlay }, frame }: { readonly photo: LaidPhoto; readonly frame: PlanFrame }) {
  const { designs } = useSurroundings();
  const designId = useAppSelector((state) => state.session.id);
  const [shown, setShown] = useState<Shown | null>(null);
  useEffect(() => {
    let url: string | null = null;
    let isWanted = true;
    const load = async () => {
      const bytes = (await designs.records.body('photos', designId!, id)) as Uint8Array<ArrayBuffer> | undefined;
      if (!bytes) return;
      const blob = new Blob([bytes], { type });
      const { width, height } = await createImageBitmap(blob);
      if (!isWanted) return;
      url = URL.createObjectURL(blob);
      setShown({ url, ratio: height / width });
    };
    // What cannot be shown is left out: the drawing stands without it.
    void load().catch(() => undefined);
    return () => {
      isWanted = false;
      if (url) URL.revokeObjectURL(url);
    };
  }, [designs, designId, id, type]);
  if (!shown) return null;
  const { u, plan, side, scale } = frame;
  const [x, y] = [u(underlay.x), underlay.view === 'plan' ? plan(underlay.across) : side(underlay.across)];
  const width = underlay.width * scale;
  return (
    <image
      href={shown.url}
      x={x - width / 2}
      y={y - (width * shown.ratio) / 2}
      width={width}
      height={width * shown.ratio}
      transform={`rotate(${underlay.turn} ${x} ${y})`}
      data-testid="underlay"
    />
  );
}
