import { ROD_STOCK, rodsInDrawer } from '@/core/2-document/catalogue/rods';
import { field } from '@/core/2-document/edit/field';
import { withFields } from '@/core/2-document/edit/withFields';
import { laidRod } from '@/core/2-document/laidRod';
import type { Design } from '@/core/2-document/schema/design';
import type { Choice } from './search';

const nameOf = (design: Design, id: string) => design.surfaces.find((one) => one.id === id)?.name || id;

/** Which sheet of the document a surface is cut from; the drawn one first. */
export function boardChoice(design: Design, surface: string): Choice {
  const drawn = design.surfaces.find(({ id }) => id === surface)?.construction?.material;
  const sheets = design.materials.toSorted((a, b) => Number(b.id === drawn) - Number(a.id === drawn));
  return {
    name: `Board of ${nameOf(design, surface)}`,
    options: sheets.map(({ id, name }) => ({
      label: name || id,
      apply: (of) => withFields(of, [field('surfaces', surface, 'construction', 'material').to(id)]),
    })),
  };
}

/** Rods that are usually at hand, from the lightest on. */
const AT_HAND = ['Carbon rod 3 mm', 'Carbon tube 6 × 4 mm', 'Spruce strip 3 × 10 mm, on edge'] as const;

/** Rods of the brief’s drawer that are in stock lists, else the usual ones. */
const drawerOf = ({ brief }: Design) => {
  const own = rodsInDrawer(brief);
  return own.length > 0 ? own : ROD_STOCK.filter(({ name }) => (AT_HAND as readonly string[]).includes(name));
};

/** The rods of a surface as drawn, none, or one of the drawer in their place. */
export function rodChoice(design: Design, surface: string): Choice {
  const withSpars =
    (spars: (of: Design['surfaces'][number]) => Design['surfaces'][number]['spars']) => (of: Design) => {
      const now = of.surfaces.find(({ id }) => id === surface);
      return now ? withFields(of, [field('surfaces', surface, 'spars').to(spars(now))]) : of;
    };
  const hasRods = (design.surfaces.find(({ id }) => id === surface)?.spars.length ?? 0) > 0;
  return {
    name: `Rods of ${nameOf(design, surface)}`,
    options: [
      { label: hasRods ? 'as drawn' : 'none', apply: (of) => of },
      ...(hasRods ? [{ label: 'none', apply: withSpars(() => []) }] : []),
      ...drawerOf(design).map((stock) => ({
        label: stock.name,
        apply: withSpars((now) => [laidRod({ ...now, spars: [] }, stock)]),
      })),
    ],
  };
}
