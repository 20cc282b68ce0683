import { field } from '@/core/2-document/edit/field';
import { millimetres, nameOf, say } from '@/core/1-base/words/phrase';
import { panelsTooLong } from '@/core/3-shape/planform/sheets';
import { makeRule } from '../makeRule';

/** A small miss of a round number: a sheet is cut a little long, a car holds a little more. */
const SMALL_MISS = 1.02;

/** A panel that no sheet is long enough for, or that no car takes. */
export const panelTooLong = makeRule(
  { id: 'panelTooLong', stage: 'wing', source: 'Sheet sizes and the brief' },
  (design) => {
    const long = panelsTooLong(design);
    const worst = long.reduce<(typeof long)[number] | null>(
      (a, b) => (a === null || b.panel.length - b.limit > a.panel.length - a.limit ? b : a),
      null,
    );
    if (!worst) return null;
    const surface = design.surfaces.find(({ id }) => id === worst.panel.surface)!;
    const { limit } = worst;
    const longer = design.materials.find(
      ({ sheetLength, sheetWidth }) => Math.max(sheetLength, sheetWidth) >= worst.panel.length,
    );
    // A joint lies where both pieces fit a sheet: the rod must pass there.
    const joint = worst.panel.from + worst.panel.length - limit;
    const hasRod = surface.spars.some(
      ({ start, end }) => start.distanceFromRoot < joint && end.distanceFromRoot > joint,
    );
    return {
      // Two pieces joined over a rod that is there are a usual joint.
      severity: worst.panel.length > SMALL_MISS * limit && !(hasRod && worst.because === 'sheet') ? 'caution' : 'note',
      message: say`A panel of ${nameOf(surface).toLowerCase()} is ${millimetres(worst.panel.length)} long, ${
        worst.because === 'sheet'
          ? say`and its sheet ${millimetres(limit)}: ${hasRod ? 'join two pieces over the rod that runs through it' : 'join it over a rod, or bend it there as a second panel'}.`
          : say`more than the ${millimetres(limit)} that can be carried: make it in two panels that come apart.`
      }`,
      numbers: { length: millimetres(worst.panel.length), limit: millimetres(worst.limit) },
      remedies:
        worst.because === 'sheet' && longer
          ? [
              {
                label: say`Cut it from ${longer.name || longer.id}`,
                change: [field('surfaces', surface.id, 'construction', 'material').to(longer.id)],
              },
            ]
          : [],
    };
  },
);
