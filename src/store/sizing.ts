import { MILLIMETRES_PER_INCH } from '@/core/1-base/units/convert';
import { type Recipe, RECIPES } from '@/core/8-sizing/recipe';
import type { SizingResult } from '@/core/8-sizing/sizeDesign';
import { editDesign, type EditOutcome } from './edit';
import { layoutSized, sizingCancelled, sizingFailed, sizingStarted } from './sizingSlice';
import type { AppThunk } from './reduxStore';

const SLOT = 'sizing';
/** [mm] */
const EIGHTH_OF_AN_INCH = MILLIMETRES_PER_INCH / 8;

/** Ends the sizing that goes on; what came stays. */
export const cancelSizing =
  (): AppThunk =>
  (dispatch, _getState, { jobs }) => {
    dispatch(sizingCancelled());
    jobs.cancel(SLOT);
  };

/** Sizes layouts one after another in the worker; a newer request or a cancel ends it. */
const sizeLayouts =
  (recipes: readonly Recipe[], keep: boolean): AppThunk<Promise<void>> =>
  async (dispatch, getState, { jobs }) => {
    const design = getState().document.present;
    if (!design) return;
    dispatch(sizingStarted({ count: recipes.length, keep }));
    const { run } = getState().sizing;
    for (const recipe of recipes) {
      const { brief, conditions, materials, figures } = design;
      const step = getState().settings.units.length === 'in' ? EIGHTH_OF_AN_INCH : undefined;
      const outcome = await jobs.ask(
        'size',
        { recipe, brief, conditions, materials, figures, step },
        { lane: 'long', slot: SLOT },
      );
      if (getState().sizing.run !== run) return;
      if (outcome.kind === 'done') dispatch(layoutSized(outcome.output));
      else {
        dispatch(
          sizingFailed(outcome.kind === 'failed' ? outcome.message : 'Something else was asked meanwhile: ask again.'),
        );
        return;
      }
    }
  };

/** Three layouts for the brief of the open design. */
export const sizeCandidates = (): AppThunk<Promise<void>> => (dispatch, getState) => {
  const brief = getState().document.present?.brief;
  return brief ? dispatch(sizeLayouts(RECIPES[brief.purpose], false)) : Promise.resolve();
};

/** One more layout beside those that are there. */
export const sizeOneMore = (recipe: Recipe): AppThunk<Promise<void>> => sizeLayouts([recipe], true);

/** Draws the open design anew as a sized layout; name, notes and everything on record stay. One step back. */
export const startFrom = (result: Extract<SizingResult, { kind: 'sized' }>): AppThunk<EditOutcome> =>
  editDesign((current) => ({
    ...result.candidate.design,
    name: current.name === 'New design' ? result.candidate.recipe.name : current.name,
    notes: current.notes || result.candidate.design.notes,
    tags: current.tags,
    brief: current.brief,
    basedOn: current.basedOn,
  }));
