import type { FieldOf } from '@/core/2-document/edit/field';
import { type EditOutcome, setFields } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';

/** Sets one field of the open design: `set(field('balance', 'minimumStaticMargin'))` is a commit for an input. */
export function useSet() {
  const dispatch = useAppDispatch();
  return <Value>(of: FieldOf<Value>) =>
    (value: Value): EditOutcome =>
      dispatch(setFields([of.to(value)]));
}

/** A commit for an input that shows so many times what the document holds, such as percent. */
export const shownTimes =
  (factor: number, commit: (value: number) => EditOutcome) =>
  (shown: number): EditOutcome =>
    commit(shown / factor);
