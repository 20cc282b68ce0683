import type { Design } from '@/core/2-document/schema/design';
import { type PartPlace, useGoTo } from '../stages/useGoTo';

/** A press that moves further than this is a drag [px]. */
const STILL = 4;

/** The part that is drawn where something was pressed. */
function partAt(target: EventTarget): PartPlace | null {
  const words = (target as Element).closest?.('[data-part]')?.getAttribute('data-part')?.split(' ');
  if (!words) return null;
  const [kind, id] = words;
  return kind === 'surface' || kind === 'body' || kind === 'item' ? { kind, id: id! } : null;
}

/** A press on a part of the drawing, without a drag, leads to its fields. */
export function usePick(design: Design) {
  const go = useGoTo();
  return (event: React.PointerEvent): void => {
    const place =
      event.button === 0 && !(event.target as Element).closest('[data-handle]') ? partAt(event.target) : null;
    if (!place) return;
    const { clientX, clientY, pointerId } = event;
    const end = (next: PointerEvent) => {
      if (next.pointerId !== pointerId) return;
      window.removeEventListener('pointerup', end);
      window.removeEventListener('pointercancel', end);
      const moved = Math.hypot(next.clientX - clientX, next.clientY - clientY);
      if (next.type === 'pointerup' && moved < STILL) go.part(design, place);
    };
    window.addEventListener('pointerup', end);
    window.addEventListener('pointercancel', end);
  };
}
