import { useState } from 'react';
import { useAppSelector } from '@/store/hooks';

/** A value that rests while something is dragged, so that the scale stays and the handle under the hand. */
export function useHeld<Value>(wanted: Value): Value {
  const dragging = useAppSelector((state) => state.session.dragging);
  const [held, setHeld] = useState(wanted);
  if (!dragging && held !== wanted) setHeld(wanted);
  return dragging ? held : wanted;
}
