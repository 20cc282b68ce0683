import { percent, say } from '@/core/1-base/words/phrase';
import type { Design } from '@/core/2-document/schema/design';
import { outlineFaults } from '@/core/3-shape/outline/partOutline';
import { lengthOf } from '@/core/3-shape/outline/path';
import type { FoldOfSheet } from '@/core/3-shape/pattern/foldPattern';
import { foldsCounted } from '@/core/3-shape/pattern/foldsCounted';
import { allowancesOf } from './allowances';
import { bodyParts } from './kinds/body/body';
import { gaugeParts } from './kinds/gauge';
import { braceParts, hornParts } from './kinds/joint';
import { balanceRig, bladeTemplates } from './kinds/rig';
import { nameOfSurface } from './kinds/panels';
import { lightened } from './lightening';
import { plateParts } from './kinds/plate';
import { closingRibs, ribParts, templateParts } from './kinds/rib';
import { curvedSkinParts } from './kinds/curvedSheet';
import { shimParts } from './kinds/shim';
import { skinParts } from './kinds/skin';
import { spacerParts } from './kinds/spacer';
import { sparParts } from './kinds/spar';
import type { CutList, CutPart, PartFault, RodPiece } from './part';

export interface CutOptions {
  /** Trial folds on record; those of its own sheet count for a surface. */
  readonly folds?: readonly FoldOfSheet[];
}

/** Less than that of the board is not told of. */
const LESS_LIGHT = 0.01;

/** Everything that is cut for a design, from the document alone; what cannot be cut says why. */
export function cutListOf(design: Design, { folds = [] }: CutOptions = {}): CutList {
  const faults: PartFault[] = [];
  const surfaces = design.surfaces.map((surface) => {
    const own = foldsCounted(design, surface.construction?.material, folds);
    const sheet = design.materials.find(({ id }) => id === surface.construction?.material);
    const skins = skinParts(surface, own, { sheet, massItems: design.massItems });
    const spars = sparParts(surface);
    const templates = templateParts(surface);
    faults.push(...skins.faults, ...spars.faults);
    if (!surface.construction && templates.parts.length === 0)
      faults.push({
        owner: surface.id,
        message: say`Nobody says what ${nameOfSurface(surface)} is cut from: choose a sheet for it at its stage.`,
      });
    const wanted = surface.construction?.lighteningFraction ?? 0;
    const { parts: board, share } = lightened(
      [
        ...plateParts(surface, design.massItems),
        ...skins.parts,
        ...curvedSkinParts(surface, design.massItems),
        ...ribParts(surface, sheet && allowancesOf(sheet).slot),
      ],
      wanted,
    );
    if (board.length > 0 && wanted - share > LESS_LIGHT)
      faults.push({
        owner: surface.id,
        message: say`Holes in ${nameOfSurface(surface)} take ${percent(share, 0)} of its board, where ${percent(wanted, 0)} is to be cut away: more has no room beside hinges, scores and rods. Say so much at its stage.`,
      });
    return {
      parts: [
        ...board,
        ...spars.parts,
        ...spacerParts(surface, sheet && allowancesOf(sheet).slot),
        ...closingRibs(surface),
        ...templates.parts,
        ...braceParts(surface),
        ...hornParts(surface),
        ...shimParts(surface),
      ],
      blocks: templates.blocks,
    };
  });
  const bodies = design.bodies.map((body) => bodyParts(design, body));
  faults.push(...bodies.flatMap((body) => body.faults));
  const all = [
    ...surfaces.flatMap(({ parts }) => parts),
    ...bodies.flatMap(({ parts }) => parts),
    ...gaugeParts(design),
    ...bladeTemplates(design),
    ...balanceRig(design),
  ];
  const parts = all.map(withoutDots).filter((part) => isSound(part, faults));
  const dowels = bodies.flatMap(({ rods = [] }) => rods);
  return { parts, rods: [...rodsOf(design), ...dowels], blocks: surfaces.flatMap(({ blocks }) => blocks), faults };
}

/** Lines shorter than that no pen draws [mm]. */
const LEAST_LINE = 0.05;

/** A part without lines that come down to a point, where a chord or a rod ends there. */
const withoutDots = (part: CutPart): CutPart =>
  part.outline.lines.every(({ path }) => lengthOf(path) > LEAST_LINE)
    ? part
    : {
        ...part,
        outline: { ...part.outline, lines: part.outline.lines.filter(({ path }) => lengthOf(path) > LEAST_LINE) },
      };

/** A part whose outline is none is left out and told of. */
function isSound(part: CutPart, faults: PartFault[]): boolean {
  const [fault] = outlineFaults(part.outline);
  if (fault === undefined) return true;
  faults.push({
    owner: part.owner,
    message: say`${part.name} cannot be cut: ${fault.charAt(0).toLowerCase() + fault.slice(1, -1)}. Look at its stations and at the board again.`,
  });
  return false;
}

const sizeOf = ({
  shape,
  width,
  height,
  innerDiameter,
}: {
  readonly shape: string;
  readonly width: number;
  readonly height: number;
  readonly innerDiameter: number;
}): string =>
  shape === 'tube'
    ? `tube ${width} × ${innerDiameter} mm`
    : shape === 'round'
      ? `round ${width} mm`
      : `${width} × ${height} mm`;

/** Rods along surfaces and bodies, pushrods: each with its length. */
function rodsOf({ surfaces, bodies }: Design): RodPiece[] {
  const alongSurfaces = surfaces.flatMap((surface) => [
    ...surface.spars.map((spar): RodPiece => ({
      id: `${surface.id}-${spar.id}`,
      owner: surface.id,
      name: `${nameOfSurface(surface)}, ${spar.name || spar.id}`,
      material: spar.material || 'rod',
      size: sizeOf(spar),
      price: spar.price,
      length: Math.hypot(spar.end.distanceFromRoot - spar.start.distanceFromRoot, spar.end.x - spar.start.x),
      count: surface.mirrored ? 2 : 1,
    })),
    ...surface.controls.flatMap(({ id, name, servo }): RodPiece[] =>
      servo?.pushrod
        ? [
            {
              id: `${surface.id}-${id}-pushrod`,
              owner: surface.id,
              name: `${name || id}, pushrod`,
              material: servo.pushrod.material || 'wire',
              size: sizeOf(servo.pushrod),
              price: servo.pushrod.price,
              length: servo.pushrod.length,
              count: surface.mirrored ? 2 : 1,
            },
          ]
        : [],
    ),
  ]);
  const alongBodies = bodies.flatMap((body) =>
    body.rods.map((rod): RodPiece => ({
      id: `${body.id}-${rod.id}`,
      owner: body.id,
      name: `${body.name || body.id}, ${rod.name || rod.id}`,
      material: rod.material || 'rod',
      size: sizeOf(rod),
      price: rod.price,
      length: rod.to - rod.from,
      count: (rod.mirrored ? 2 : 1) * (body.mirrored ? 2 : 1),
    })),
  );
  return [...alongSurfaces, ...alongBodies].filter(({ length }) => length > 0);
}
