import type { MeasurableFace } from '@/core/3-shape/section/measurableFace';

/** Where a tilt meter is laid. */
export const FACE_WORDS: Readonly<Record<MeasurableFace['face'], string>> = {
  lower: 'meter on the lower face',
  upper: 'meter on the upper face',
  chord: 'meter on a jig from nose to trailing edge',
};
