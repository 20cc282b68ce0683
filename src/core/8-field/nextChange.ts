import { type Kilograms, kilogramsFromGrams, type Millimetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { Cause, Diagnosis } from './diagnose';
import { type Drawn, drawnOf, type Fault } from './faults';
import type { Predicted } from './predict';

/** The one thing to change before the next flight, and how that flight will tell. */
export interface NextChange {
  readonly fault: Fault;
  /** By how much, in the unit of the fault, back towards the drawing. */
  readonly by: number;
  /** What is moved along, and how far; null for what is not put right by moving something. */
  readonly moves: { readonly item: string; readonly by: Millimetres } | null;
  /** What is laid under which edge; null for what is not put right by a shim. */
  readonly shim: { readonly surface: string; readonly edge: 'leading' | 'trailing'; readonly by: Millimetres } | null;
  /** What the next flight should show it by, in its own unit, and how far off one reading of that is. */
  readonly tells: {
    readonly what: keyof Predicted;
    readonly speed: number | null;
    readonly by: number;
    readonly sigma: number;
  };
  /** The change is no larger than what readings scatter: fly with it, without it, and with it again. */
  readonly isThereAndBack: boolean;
}

/** A change has to move what is read by so many times what one reading is off, or one flight does not tell. */
const CLEAR = 2;

/** What to change next by what flights told; null where nothing has to be wrong. */
export function nextChange(design: Design, diagnosis: Diagnosis): NextChange | null {
  if (!diagnosis.ok || diagnosis.cause === null) return null;
  const cause = diagnosis.causes.find(({ fault }) => fault === diagnosis.cause);
  const drawn = drawnOf(design);
  if (!cause || !drawn) return null;
  const told = cause.puts
    .map(({ what, speed, by }) => {
      const sight = diagnosis.compared.find((one) => one.what === what && one.speed === speed);
      return { what, speed, by, sigma: sight?.sigma ?? Infinity };
    })
    .toSorted((a, b) => Math.abs(b.by) / b.sigma - Math.abs(a.by) / a.sigma)[0];
  if (!told) return null;
  return {
    fault: cause.fault,
    by: -cause.size,
    moves: cause.fault === 'balance' ? movedItem(drawn, -cause.size) : null,
    shim: cause.fault === 'decalage' ? shimFor(drawn, cause) : null,
    tells: told,
    isThereAndBack: Math.abs(told.by) < CLEAR * told.sigma,
  };
}

/** How far the heaviest thing on board goes for the balance point to go so far [mm]. */
function movedItem({ design, mass }: Drawn, by: Millimetres): NextChange['moves'] {
  const weight = (item: Design['massItems'][number]): Kilograms =>
    kilogramsFromGrams((item.measuredMass ?? item.mass) * (item.mirrored ? 2 : 1));
  const heaviest = design.massItems.toSorted((a, b) => weight(b) - weight(a))[0];
  const own = heaviest ? weight(heaviest) : 0;
  return heaviest && own > 0 ? { item: heaviest.name || heaviest.id, by: (by * mass) / own } : null;
}

/** What goes under an edge of the surface that trims it to turn it back; over its whole chord at the root. */
function shimFor({ design, trimmer }: Drawn, { size }: Cause): NextChange['shim'] {
  const surface = design.surfaces.find(({ id }) => id === trimmer);
  if (!surface) return null;
  return {
    surface: surface.name || surface.id,
    // It stands nose up: its trailing edge is raised.
    edge: size > 0 ? 'trailing' : 'leading',
    by: Math.tan(radiansFromDegrees(Math.abs(size))) * surface.stations[0]!.chord,
  };
}

/** What was changed before a flight, one thing in each line. */
export const changesIn = (changed: string): string[] =>
  changed
    .split(/[;\n]/)
    .map((one) => one.trim())
    .filter((one) => one !== '');
