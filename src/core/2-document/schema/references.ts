import { readField } from '../edit/fieldPath';

interface Named {
  id: string;
}

interface Mixing {
  terms: { control: string }[];
  drives: { drive: string }[];
}

/** The parts of a design that point to one another; loose on purpose, the schema types the rest. */
interface Referring {
  surfaces: (Named & { controls: Named[]; spars: Named[]; construction?: { material: string } })[];
  bodies: (Named & { construction?: { material: string } })[];
  materials: Named[];
  massItems: (Named & { attachment: { kind: string; body?: string } })[];
  propulsion: Named[];
  dragItems: Named[];
  wheels: Named[];
  mixes: Mixing[];
  modes: (Named & { neutrals: { control: string }[]; mixes: Mixing[] })[];
  mode?: string | undefined;
  tolerances: { field: string }[];
  assemblies: (Named & {
    surfaces: string[];
    bodies: string[];
    massItems: string[];
    propulsion: string[];
  })[];
}

export type Report = (path: (string | number)[], message: string) => void;

const NAMED_LISTS = [
  'surfaces',
  'bodies',
  'materials',
  'massItems',
  'propulsion',
  'dragItems',
  'wheels',
  'modes',
  'assemblies',
] as const;

function reportDuplicates(list: readonly Named[], path: (string | number)[], report: Report): void {
  const seen = new Set<string>();
  list.forEach(({ id }, index) => {
    if (seen.has(id)) report([...path, index, 'id'], `"${id}" is used twice: give every entry a name of its own`);
    seen.add(id);
  });
}

/** Names are unique in their list, and whatever is pointed to exists. */
export function checkReferences(design: Referring, report: Report): void {
  for (const list of NAMED_LISTS) reportDuplicates(design[list], [list], report);
  const controls = design.surfaces.flatMap((surface) => surface.controls);
  reportDuplicates(controls, ['surfaces'], (_, message) => report(['surfaces'], `control ${message}`));
  design.surfaces.forEach(({ spars }, index) => reportDuplicates(spars, ['surfaces', index, 'spars'], report));

  const names = {
    surfaces: new Set(design.surfaces.map(({ id }) => id)),
    bodies: new Set(design.bodies.map(({ id }) => id)),
    massItems: new Set(design.massItems.map(({ id }) => id)),
    propulsion: new Set(design.propulsion.map(({ id }) => id)),
    materials: new Set(design.materials.map(({ id }) => id)),
    controls: new Set(controls.map(({ id }) => id)),
  };
  const require = (list: keyof typeof names, id: string, path: (string | number)[]): void => {
    if (!names[list].has(id)) report(path, `points to "${id}", which is not among the ${list}`);
  };
  for (const list of ['surfaces', 'bodies'] as const) {
    design[list].forEach(({ construction }, index) => {
      if (construction) require('materials', construction.material, [list, index, 'construction', 'material']);
    });
  }
  design.massItems.forEach(({ attachment }, index) => {
    if (attachment.body !== undefined) require('bodies', attachment.body, ['massItems', index, 'attachment', 'body']);
  });
  const requireControls = (mixes: readonly Mixing[], path: (string | number)[]) =>
    mixes.forEach((mix, mixIndex) => {
      mix.terms.forEach((term, index) =>
        require('controls', term.control, [...path, mixIndex, 'terms', index, 'control']),
      );
      mix.drives.forEach(({ drive }, index) =>
        require('propulsion', drive, [...path, mixIndex, 'drives', index, 'drive']),
      );
    });
  requireControls(design.mixes, ['mixes']);
  design.modes.forEach(({ neutrals, mixes }, index) => {
    neutrals.forEach(({ control }, place) =>
      require('controls', control, ['modes', index, 'neutrals', place, 'control']),
    );
    requireControls(mixes, ['modes', index, 'mixes']);
  });
  if (design.mode !== undefined && !design.modes.some(({ id }) => id === design.mode))
    report(['mode'], `points to "${design.mode}", which is not among the flight modes`);
  design.assemblies.forEach((assembly, index) => {
    for (const list of ['surfaces', 'bodies', 'massItems', 'propulsion'] as const) {
      assembly[list].forEach((id, place) => require(list, id, ['assemblies', index, list, place]));
    }
  });
  design.tolerances.forEach(({ field }, index) => {
    if (typeof readField(design, field) !== 'number') {
      report(['tolerances', index, 'field'], `"${field}" is not a number of this document`);
    }
  });
}
