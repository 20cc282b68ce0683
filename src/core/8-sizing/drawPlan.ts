import { radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Station } from '@/core/2-document/schema/surface';
import type { Section } from '@/core/2-document/schema/section';
import type { Recipe } from './recipe';

/** Sizes of one wing of a layout [mm, degrees]. */
export interface WingSizes {
  readonly span: number;
  readonly rootChord: number;
  readonly tipChord: number;
  readonly meanChord: number;
}

/** Span and chords for an area [mm²] and aspect ratio; a greatest span makes the chords longer instead. */
export function wingSizes(recipe: Recipe, area: number, greatestSpan = Infinity): WingSizes {
  const one = recipe.wing === 'biplane' ? area / 2 : area;
  const span = Math.min(Math.sqrt(recipe.aspectRatio * one), greatestSpan);
  const rootChord = (2 * one) / (span * (1 + recipe.taper));
  const tipChord = rootChord * recipe.taper;
  const meanChord = (2 / 3) * rootChord * ((1 + recipe.taper + recipe.taper ** 2) / (1 + recipe.taper));
  return { span, rootChord, tipChord, meanChord };
}

/** Leading edge of the mean chord behind that of the root, for straight tapered wings [mm]. */
export function meanChordSetback(recipe: Recipe, { span, rootChord, tipChord }: WingSizes): number {
  const share = (1 + 2 * recipe.taper) / (3 * (1 + recipe.taper));
  return share * tipOffset(recipe, { span, rootChord, tipChord });
}

function tipOffset(
  recipe: Recipe,
  { span, rootChord, tipChord }: Pick<WingSizes, 'span' | 'rootChord' | 'tipChord'>,
): number {
  if (recipe.wing === 'delta') return rootChord - tipChord;
  const straight = (rootChord - tipChord) / 4;
  return recipe.wing === 'sweptTailless' ? straight + (Math.tan(radiansFromDegrees(SWEEP)) * span) / 2 : straight;
}

/** Quarter-chord sweep of a swept tailless wing [°]: enough arm for the elevons, little enough for the spar. */
const SWEEP = 24;

const whole = (value: number) => Math.round(value);

/** Sections as each build form is cut from board of a thickness, on a chord [mm]. */
export function sectionFor(recipe: Recipe, chord: number, board: number): Section {
  const tailless = recipe.wing === 'sweptTailless' || recipe.wing === 'plank' || recipe.wing === 'delta';
  if (recipe.wing === 'plank')
    return { kind: 'reflexed', thickness: board, camber: 0.03, camberPosition: 0.3, bendPosition: 0.75, bendAngle: 6 };
  switch (recipe.build) {
    case 'flat':
      return { kind: 'flatPlate', thickness: board, edge: 'rounded' };
    case 'stepped':
      return { kind: 'steppedPlate', thickness: board, stepPosition: 0.5, stepSide: 'upper' };
    case 'curved':
      return {
        kind: 'curvedPlate',
        thickness: board,
        camber: tailless || recipe.tail === 'canard' ? 0.02 : 0.045,
        camberPosition: 0.38,
        openBelow: true,
        ribSpacing: 120,
      };
    case 'folded':
      return {
        kind: 'foldedOverSpar',
        boardThickness: board,
        bottomLength: 0.8,
        sparHeight: Math.max(4, whole(0.11 * chord - 2 * board)),
        sparPosition: 0.28,
        rearBevel: whole(Math.min(15, 0.07 * chord)),
      };
  }
}

/** Stations of a wing, root to tip. @param tipTwist washout of tailless wings [°] */
export function wingStations(recipe: Recipe, sizes: WingSizes, board: number, tipTwist: number): Station[] {
  const { rootChord, tipChord } = sizes;
  const half = sizes.span / 2;
  const station = (share: number, chord: number, offset: number, dihedral: number, twist = 0) => ({
    distanceFromRoot: 0,
    share,
    chord: whole(chord),
    leadingEdgeOffset: whole(offset),
    dihedral,
    twist,
    section: sectionFor(recipe, chord, board),
  });
  const offset = tipOffset(recipe, sizes);
  const twist = Math.round(tipTwist * 10) / 10;
  const rows = (() => {
    switch (recipe.wing) {
      case 'polyhedral': {
        const at = 0.6;
        const chord = rootChord + (tipChord - rootChord) * at * 0.5;
        return [station(0, rootChord, 0, 2), station(at, chord, offset * at, 9), station(1, tipChord, offset, 0)];
      }
      case 'sweptTailless':
        return [station(0, rootChord, 0, 1), station(1, tipChord, offset, 0, twist)];
      case 'delta':
        return [station(0, rootChord, 0, 0), station(1, tipChord, offset, 0, twist)];
      case 'biplane':
        return [station(0, rootChord, 0, 5), station(1, tipChord, 0, 0)];
      case 'plank':
        return [station(0, rootChord, 0, 2), station(1, tipChord, offset, 0)];
      case 'single':
        return [station(0, rootChord, 0, 4), station(1, tipChord, offset, 0)];
    }
  })();
  // Board lengths are longer than the projected span by the dihedral.
  let length = 0;
  return rows.map(({ share, ...row }, index) => {
    const previous = rows[index - 1];
    if (previous) length += ((share - previous.share) * half) / Math.cos(radiansFromDegrees(previous.dihedral));
    return { ...row, distanceFromRoot: whole(length) };
  });
}
