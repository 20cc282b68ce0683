import type { PlanFrame } from '../drawing/planFrame';
import { usePicture } from '../pictures/usePicture';
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

function Laid({ photo: { id, type, underlay }, frame }: { readonly photo: LaidPhoto; readonly frame: PlanFrame }) {
  const shown = usePicture(id, type);
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
