import { isPitchTail } from '@/core/2-document/schema/roles';
import { field, type FieldChange } from '@/core/2-document/edit/field';
import type { Control, ControlFunction, Surface } from '@/core/2-document/schema/surface';
import type { Design } from '@/core/2-document/schema/design';
import { degreesFromRadians } from '@/core/1-base/units/convert';

/** A length for a field: whole tenths of a millimetre. */
export const tenths = (value: number) => Math.round(value * 10) / 10;
const hundredth = (value: number) => Math.round(value * 100) / 100;

/** Turns a surface nose up by degrees: its measured angles where it is built, else the drawn one. */
export function turned(surface: Surface, degrees: number): FieldChange[] {
  const measured = (['left', 'right'] as const).flatMap((side): FieldChange[] => {
    const incidence = surface.asBuilt?.[side]?.incidence;
    return incidence === undefined
      ? []
      : [field('surfaces', surface.id, 'asBuilt', side, 'incidence').to(hundredth(incidence + degrees))];
  });
  return measured.length > 0
    ? measured
    : [field('surfaces', surface.id, 'incidence').to(hundredth(surface.incidence + degrees))];
}

/** Every chord of a surface times a factor; quarter chords stay. */
export const withChords = (surface: Surface, factor: number): FieldChange[] =>
  surface.stations.flatMap((station, index) => [
    field('surfaces', surface.id, 'stations', index, 'chord').to(tenths(station.chord * factor)),
    field('surfaces', surface.id, 'stations', index, 'leadingEdgeOffset').to(
      tenths(station.leadingEdgeOffset - ((factor - 1) * (station.chord - surface.stations[0]!.chord)) / 4),
    ),
  ]);

/** Every station of a surface so much further out. */
export const withLength = (surface: Surface, factor: number): FieldChange[] =>
  surface.stations
    .slice(1)
    .map((station, index) =>
      field('surfaces', surface.id, 'stations', index + 1, 'distanceFromRoot').to(
        tenths(station.distanceFromRoot * factor),
      ),
    );

/** Degrees more dihedral on every panel. */
export const withDihedral = (surface: Surface, degrees: number): FieldChange[] =>
  surface.stations
    .slice(0, -1)
    .map((station, index) =>
      field('surfaces', surface.id, 'stations', index, 'dihedral').to(tenths(station.dihedral + degrees)),
    );

/** Both travels of the controls that do a job, times a factor, within what a hinge can do. */
export function withThrows(design: Design, functions: readonly ControlFunction[], factor: number): FieldChange[] {
  const travel = (value: number) => Math.max(2, Math.min(45, Math.round(value * factor)));
  return controlsOf(design, functions).flatMap(({ surface, control }) => [
    field('surfaces', surface.id, 'controls', control.id, 'throwUp').to(travel(control.throwUp)),
    field('surfaces', surface.id, 'controls', control.id, 'throwDown').to(travel(control.throwDown)),
  ]);
}

/** Travel below which a control does not move [°]. */
export const LEAST_TRAVEL = 0.01;

export function controlsOf(
  design: Design,
  functions: readonly ControlFunction[],
): { readonly surface: Surface; readonly control: Control }[] {
  return design.surfaces.flatMap((surface) =>
    surface.controls.filter((control) => functions.includes(control.function)).map((control) => ({ surface, control })),
  );
}

export const PITCH_CONTROLS = ['elevator', 'elevon', 'ruddervator'] as const;
export const ROLL_CONTROLS = ['aileron', 'elevon', 'flaperon'] as const;
export const YAW_CONTROLS = ['rudder', 'ruddervator'] as const;

/** Tailplane, V-tail or canard: the surface that pitch is trimmed with. */
export const pitchSurface = (design: Design): Surface | undefined => design.surfaces.find(isPitchTail);

/** Degrees by which the pitch surface would have to turn for a neutral control at cruise; null where it cannot be said. */
export function turnForNeutral(
  design: Design,
  {
    trim,
    rigging,
  }: {
    readonly trim: { readonly tailIncidence: number | null };
    readonly rigging: { readonly surfaces: readonly { surface: string; flown: number }[] };
  },
): { readonly surface: Surface; readonly degrees: number } | null {
  const surface = pitchSurface(design);
  const line = rigging.surfaces.find((entry) => entry.surface === surface?.id);
  if (!surface || !line || trim.tailIncidence === null) return null;
  return { surface, degrees: degreesFromRadians(trim.tailIncidence - line.flown) };
}
