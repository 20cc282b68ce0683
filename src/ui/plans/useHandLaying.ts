import { useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { inPose, snapped, turned, turnedOver } from '@/core/4-parts/handLaid';
import { type LaidPart, type LaidSheet, USUAL_LAYOUT } from '@/core/4-parts/layout';
import type { LaidPose } from '@/core/4-parts/nesting/nest';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { layByHand } from '@/store/layByHand';
import { KEY_STEPS } from '../drawing/keySteps';

/** How near edges catch [px]; a press that moves less than the other is none. */
const CATCHES = 8;
const STILL = 3;

/** As the document says by hand, before the worker has answered. */
function withHandLaid(sheet: LaidSheet, laid: Design['laid']): LaidSheet {
  if (laid.length === 0) return sheet;
  return {
    ...sheet,
    parts: sheet.parts.map((part) => {
      const own = laid.find(
        ({ part: id, copy, sheet: number }) => id === part.id && copy === part.copy && number === sheet.number,
      );
      return own
        ? inPose(part, { x: own.x, y: own.y, turn: radiansFromDegrees(own.turn), isMirrored: own.isTurnedOver })
        : part;
    }),
  };
}

interface HandLaying {
  readonly design: Design;
  readonly sheet: LaidSheet;
  /** At another scale nothing is laid by hand. */
  readonly isMovable: boolean;
  readonly nameOf: (part: LaidPart) => string;
}

/** Parts of a sheet laid by hand: dragged with the pointer, by the arrows, turned by R and over by F. */
export function useHandLaying({ design, sheet: answered, isMovable, nameOf }: HandLaying) {
  const dispatch = useAppDispatch();
  const layout = useAppSelector((state) => state.plans.laid?.layout);
  const [dragged, setDragged] = useState<{ readonly index: number; readonly pose: LaidPose } | null>(null);
  const gesture = useRef(0);
  /** The press that ends a drag chooses nothing. */
  const wasDragged = useRef(false);
  const resting = useMemo(
    () => (isMovable ? withHandLaid(answered, design.laid) : answered),
    [answered, design.laid, isMovable],
  );
  const sheet = useMemo(() => (dragged ? posed(resting, dragged.index, dragged.pose) : resting), [resting, dragged]);

  const commit = (index: number, pose: LaidPose, keys?: string) => {
    if (!layout) return;
    const fault = dispatch(layByHand({ layout, sheet: resting, index, pose, gesture: keys }));
    if (fault) toast.error(`That part cannot lie there: ${String(fault.message)}.`);
  };

  /** Takes a part along with the pointer. @param scale pixels a millimetre */
  const begin = (event: React.PointerEvent<SVGGElement>, index: number, scale: number) => {
    if (!isMovable || event.button !== 0) return;
    const target = event.currentTarget;
    target.setPointerCapture(event.pointerId);
    wasDragged.current = false;
    const start = { x: event.clientX, y: event.clientY };
    const from = resting.parts[index]!.pose;
    let latest: LaidPose | null = null;
    const move = (next: PointerEvent) => {
      const [dx, dy] = [next.clientX - start.x, next.clientY - start.y];
      if (!latest && Math.hypot(dx, dy) < STILL) return;
      const free = { ...from, x: from.x + dx / scale, y: from.y - dy / scale };
      latest = next.altKey
        ? free
        : snapped(resting, index, free, { reach: CATCHES / scale, margin: USUAL_LAYOUT.margin });
      setDragged({ index, pose: latest });
    };
    const stop = () => {
      target.removeEventListener('pointermove', move);
      target.removeEventListener('pointerup', stop);
      target.removeEventListener('pointercancel', stop);
      if (!latest) return;
      wasDragged.current = true;
      commit(index, latest);
      setDragged(null);
    };
    target.addEventListener('pointermove', move);
    target.addEventListener('pointerup', stop);
    target.addEventListener('pointercancel', stop);
  };

  const press = (event: React.KeyboardEvent, index: number) => {
    if (!isMovable || event.ctrlKey || event.metaKey || event.altKey) return;
    const part = resting.parts[index]!;
    const { pose } = part;
    const step = KEY_STEPS[event.key];
    if (step) {
      event.preventDefault();
      const size = event.shiftKey ? 10 : 1;
      if (!event.repeat) gesture.current++;
      const moved = { ...pose, x: pose.x + step[0] * size, y: pose.y + step[1] * size };
      commit(index, moved, `lay-${part.id}-${part.copy}-${gesture.current}`);
    } else if (event.key.toLowerCase() === 'r') commit(index, turned(part));
    else if (event.key.toLowerCase() === 'f') {
      const over = turnedOver(part);
      if (over) commit(index, over);
      else toast(`${nameOf(part)} keeps its face: left and right of it are cut as they lie.`);
    }
  };

  return { sheet, begin, press, wasDragged: () => wasDragged.current };
}

const posed = (sheet: LaidSheet, index: number, pose: LaidPose): LaidSheet => ({
  ...sheet,
  parts: sheet.parts.map((part, at) => (at === index ? inPose(part, pose) : part)),
});
