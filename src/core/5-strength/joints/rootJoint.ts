import { megapascals, type Solid } from '../materials/solid';
import { type Composite, composite, type Fibre } from '../section/composite';
import type { SurfaceBeam } from '../beam/surfaceBeam';

/** Glue between cut edges bears what the core bears pulled, this at most. */
const GLUE_TENSION = megapascals(0.3);
/** Packing tape across a joint: 28 µm of film that carries, as tape by itself. */
const TAPE = { thickness: 45e-6, young: 1.8e9, tension: megapascals(60) };

/**
 * What bears where left and right are butted at the root, as a section: glue on
 * the cores, tape on both faces, and rods that run through. Null where the
 * board goes on, or a brace as strong as it does.
 */
export function rootJoint({ sections, surface }: SurfaceBeam): Composite | null {
  const { joint, spars } = surface.source;
  const root = sections[0];
  if (!root || joint === 'onePiece' || joint === 'braced') return null;
  const through = new Set(spars.filter(({ start }) => start.distanceFromRoot === 0).map(({ id }) => id));
  const glued = (solid: Solid): Solid => ({
    ...solid,
    tension: Math.min(solid.tension, GLUE_TENSION),
    compression: Math.min(solid.compression, GLUE_TENSION),
  });
  const fibres = root.whole.fibres.flatMap((fibre): Fibre[] => {
    if (fibre.member === 'rod') return joint !== 'glued' && fibre.rod && through.has(fibre.rod) ? [fibre] : [];
    if (joint === 'joiner') return [];
    if (fibre.member === 'core') return [{ ...fibre, member: 'joint', solid: glued(fibre.solid) }];
    // Paper ends at the cut; tape over it carries on where there is some.
    return joint === 'taped' && fibre.member === 'paper' ? [taped(fibre)] : [];
  });
  return composite(fibres);
}

/** Tape in place of the paper under it. */
function taped(fibre: Fibre): Fibre {
  const { solid } = fibre;
  const share = solid.young > 0 ? fibre.pull / solid.young : 0;
  const paper = Math.max(1e-9, PAPER_THICKNESS);
  const pull = TAPE.young * TAPE.thickness * (share / paper);
  return {
    ...fibre,
    member: 'joint',
    // Pressed, the cut edges bear on one another.
    solid: { ...solid, young: TAPE.young, tension: TAPE.tension, compression: TAPE.tension, band: 0.3 },
    pull,
    own: [0, 0, 0],
  };
}

/** Paper of 110 g/m² that tape lies on [m]. */
const PAPER_THICKNESS = 110 / 800e3;
