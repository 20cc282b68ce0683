import { metresFromMillimetres } from '@/core/1-base/units/convert';
import { isFin, isWing } from '@/core/2-document/schema/roles';
import { developedLength, type PlacedSurface } from '@/core/3-shape/geometry/layout';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { heldBetween } from '../aircraft/mounts';
import { megapascals } from '../materials/solid';
import { boardOf, type Check, type CheckInput, GLUE, nameOf } from './check';

/** What a fillet of hot glue adds to the width of a joint on each side [m]. */
const FILLET = 0.004;
/** Sideslip that a gust or a rudder puts on a fin in a dive [rad], and the slope of a low fin. */
const FIN_ANGLE = 0.15;
const FIN_SLOPE = 2.5;
/** Strands that one band makes where it crosses. */
const STRANDS = 2;

/** Rubber bands hold what hangs under the wing, and bite into its edges. */
export function bands(input: CheckInput, surface: PlacedSurface): Check[] {
  const { mount, construction } = surface.source;
  if (mount.kind !== 'bands' || !isWing(surface.source)) return [];
  const hangs = (input.mass - input.massOf(surface.id)) * GRAVITY;
  const part = nameOf(surface.source);
  const hold: Check = {
    kind: 'bandsHold',
    part,
    unit: 'force',
    load: input.flightFactor * hangs,
    bears: mount.bands * STRANDS * mount.bandPull,
  };
  const board = boardOf(input, construction?.material);
  if (!board || mount.hasEdgeGuard || mount.bandWidth <= 0) return [hold];
  const bite = mount.bandPull / (metresFromMillimetres(mount.bandWidth) * board.thickness);
  return [hold, { kind: 'bandsBite', part, unit: 'pressure', load: bite, bears: board.layup.core.crush }];
}

/** A joiner in its socket presses most at both ends of it: p = 6 M/(d ℓ²) for a stiff rod in even foam. [exact] */
export function socket(input: CheckInput, surface: PlacedSurface): Check[] {
  const { joint, spars, construction } = surface.source;
  const board = boardOf(input, construction?.material);
  const moment = input.rootMoments.get(surface.id);
  if (joint !== 'joiner' || !board || moment === undefined) return [];
  return spars
    .filter(({ start, width }) => start.distanceFromRoot === 0 && width > 0)
    .slice(0, 1)
    .map((rod): Check => {
      const length = metresFromMillimetres(rod.end.distanceFromRoot);
      return {
        kind: 'joinerSocket',
        part: nameOf(rod),
        unit: 'pressure',
        load: (6 * moment) / (metresFromMillimetres(rod.width) * length ** 2),
        bears: board.layup.core.crush,
      };
    });
}

/** A fin glued on edge: its side load in a dive against the glue along its root, σ = 6 M/(c t²). */
export function finRoot(input: CheckInput, surface: PlacedSurface): Check[] {
  const board = boardOf(input, surface.source.construction?.material);
  if (!isFin(surface.source) || !board || surface.source.mount.kind !== 'glued') return [];
  const height = developedLength(surface);
  const [root, tip] = [surface.stations[0]!.chord, surface.stations.at(-1)!.chord];
  const area = ((root + tip) / 2) * height;
  const middle = (height * (root + 2 * tip)) / (3 * (root + tip));
  const moment = input.divePressure * area * FIN_SLOPE * FIN_ANGLE * middle;
  const width = board.thickness + 2 * FILLET;
  return [
    {
      kind: 'finRoot',
      part: nameOf(surface.source),
      unit: 'moment',
      load: moment,
      bears: (Math.min(GLUE, board.layup.core.tension) * root * width ** 2) / 6,
    },
  ];
}

/** Film draws its edges together: a rear edge between ribs bends as q ℓ²/10 under the pull of both faces (Gere, Mechanics of Materials, app. G, many spans). Drum-tight film pulls about 60 N/m; C, ±50 %. */
export function coverPull(_input: CheckInput, surface: PlacedSurface): Check[] {
  const { section, chord } = surface.stations[0]!;
  if (section.kind !== 'ribsUnderFilm') return [];
  const edge = surface.source.spars
    .filter(({ width, height }) => width > 0 && height > 0)
    .toSorted((a, b) => b.start.x - a.start.x)[0];
  if (!edge || metresFromMillimetres(edge.start.x) < 0.8 * chord) return [];
  const spacing = metresFromMillimetres(section.ribSpacing);
  const [w, h] = [
    metresFromMillimetres(edge.width),
    metresFromMillimetres(edge.shape === 'rectangle' ? edge.height : edge.width),
  ];
  return [
    {
      kind: 'coverPull',
      part: nameOf(edge),
      unit: 'moment',
      load: (2 * FILM_PULL * spacing ** 2) / 10,
      bears: (WOOD * h * w ** 2) / 6,
    },
  ];
}

const FILM_PULL = 60;
/** Soft wood bent, half of what it bears. */
const WOOD = megapascals(15);

/** The wing presses on the edges of both walls under it. */
export function saddle(input: CheckInput, surface: PlacedSurface): Check[] {
  if (!isWing(surface.source) || !surface.mirrored) return [];
  const root = surface.stations[0]!;
  const body = input.design.bodies.find(
    (one) =>
      !one.mirrored &&
      one.kind === 'box' &&
      heldBetween(one, [surface]) !== null &&
      root.y < metresFromMillimetres(200),
  );
  const board = boardOf(input, body?.construction?.material);
  if (!body || !board) return [];
  return [
    {
      kind: 'saddle',
      part: nameOf(body),
      unit: 'pressure',
      load:
        (input.flightFactor * (input.mass - input.massOf(surface.id)) * GRAVITY) / (2 * board.thickness * root.chord),
      bears: board.layup.core.crush,
    },
  ];
}
