import type { Design } from '@/core/2-document/schema/design';
import { isFin } from '@/core/2-document/schema/roles';
import { type MapAcross, placeOfTail, tailAxes, type TailAxes, type TailPlace } from '@/core/8-sizing/tail/tailMap';
import type { AppThunk } from './reduxStore';
import { mapFailed, mapStarted, rowArrived, schoolsCompared } from './tailSlice';

const SLOT = 'tailMap';
/** A tail this near the edge of its map is mapped anew around it, as a share of the map. */
const EDGE = 0.12;

const isWithin = (values: readonly number[], value: number): boolean => {
  const [least, most] = [values[0]!, values.at(-1)!];
  return Math.abs(value - (least + most) / 2) <= (0.5 - EDGE) * (most - least);
};

const holds = ({ areas, across }: TailAxes, place: TailPlace) =>
  isWithin(areas, place.area) && isWithin(across, place.across);

/** Fills the map of a tail, one place across after another from the middle outward; a newer state of the document ends it. */
export const fillTailMap =
  (design: Design, surfaceId: string, kind: MapAcross): AppThunk<Promise<void>> =>
  async (dispatch, getState, { jobs }) => {
    const surface = design.surfaces.find(({ id }) => id === surfaceId);
    const place = surface ? placeOfTail(design, surface, kind) : null;
    if (getState().document.present !== design || !place) return;
    const before = getState().tail.map;
    const axes =
      before?.surface === surfaceId && before.kind === kind && holds(before.axes, place)
        ? before.axes
        : tailAxes(place, kind);
    dispatch(mapStarted({ surface: surfaceId, kind, design, axes }));
    const isCurrent = () => {
      const { map } = getState().tail;
      return getState().document.present === design && map?.surface === surfaceId && map.kind === kind;
    };
    const middle = (axes.across.length - 1) / 2;
    const order = axes.across.map((_, index) => index).sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle));
    for (const index of order) {
      const input = { design, surface: surfaceId, kind, areas: axes.areas, across: axes.across[index]! };
      const outcome = await jobs.ask('tailMapRow', input, { lane: 'preview', slot: SLOT });
      if (!isCurrent() || outcome.kind === 'superseded' || outcome.kind === 'cancelled') return;
      if (outcome.kind === 'failed') {
        dispatch(mapFailed(outcome.message));
        return;
      }
      dispatch(rowArrived({ index, points: outcome.output }));
    }
  };

/** One tail by three schools with the aims that are set, in the worker. */
export const compareTailSchools =
  (surfaceId: string): AppThunk<Promise<void>> =>
  async (dispatch, getState, { jobs }) => {
    const design: Design | null = getState().document.present;
    const surface = design?.surfaces.find(({ id }) => id === surfaceId);
    if (!design || !surface) return;
    const aims = getState().tail.aims[isFin(surface) ? 'fin' : 'level'];
    const outcome = await jobs.ask('sizeTail', { design, surface: surfaceId, aims }, { lane: 'preview', slot: 'tail' });
    if (outcome.kind === 'failed')
      dispatch(
        schoolsCompared({
          surface: surfaceId,
          result: { kind: 'impossible', because: `It could not be computed: ${outcome.message}` },
        }),
      );
    if (outcome.kind === 'done') dispatch(schoolsCompared({ surface: surfaceId, result: outcome.output }));
  };
