import { panelsTooLong } from '../../planform/sheets';
import { makeRule } from '../makeRule';
import { nameOf } from '../words';

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
    const limit = Math.round(worst.limit);
    const longer = design.materials.find(
      ({ sheetLength, sheetWidth }) => Math.max(sheetLength, sheetWidth) >= worst.panel.length,
    );
    return {
      severity: 'caution',
      message:
        `A panel of ${nameOf(surface).toLowerCase()} is ${Math.round(worst.panel.length)} mm long, ` +
        (worst.because === 'sheet'
          ? `and its sheet ${limit} mm: join it over a rod, or bend it there as a second panel.`
          : `more than the ${limit} mm that can be carried: make it in two panels that come apart.`),
      numbers: { length: worst.panel.length / 1000, limit: worst.limit / 1000 },
      remedies:
        worst.because === 'sheet' && longer
          ? [
              {
                label: `Cut it from ${longer.name || longer.id}`,
                change: [{ field: `/surfaces/${surface.id}/construction/material`, value: longer.id }],
              },
            ]
          : [],
    };
  },
);
