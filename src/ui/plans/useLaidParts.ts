import { useEffect } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { cancelLaying, layOutParts } from '@/store/plans';
import { useRecords } from '../records/useRecords';

/** After the last change nothing is laid out for so long [ms]. */
const SETTLES = 350;

/** Has the parts of a design cut and laid out in the worker while something shows them. */
export function useLaidParts(design: Design): void {
  const dispatch = useAppDispatch();
  const scale = useAppSelector((state) => state.plans.scale);
  const folds = useRecords('trialFolds');
  useEffect(() => {
    const later = setTimeout(() => void dispatch(layOutParts(design, folds, scale)), SETTLES);
    return () => {
      clearTimeout(later);
      dispatch(cancelLaying());
    };
  }, [dispatch, design, folds, scale]);
}
