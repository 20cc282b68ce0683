import { millimetres, nameOf, percent, plain, radians, say } from '@/core/1-base/words/phrase';
import { shimFor } from '@/core/3-shape/geometry/shim';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { field } from '@/core/2-document/edit/field';
import { turned } from '../changes';
import type { Remedy } from '../finding';
import { makeRule } from '../makeRule';
import { type BuiltErrors, builtErrors, standing, surfaceOf, WORTH_A_WORD } from './builtErrors';

/** Share of C_Lmax by which errors may move the hands-off lift before it is a caution. */
export const BUILT_CAUTION = 0.12;
/** Turning a surface by less is not worth a shim [°]. */
const WORTH_A_SHIM = 0.1;

/** Built angles differ from the drawn ones: all of them together, judged by how far they move the trim, not by degrees. */
export const builtAngle = makeRule(
  { id: 'builtAngle', stage: 'rigging', source: 'ΔC_L = ΔC_m/margin at neutral control; Etkin & Reid, section 2.4' },
  (design, analysis) => {
    const built = builtErrors(design, analysis);
    if (!built || Math.abs(built.total) < WORTH_A_WORD * built.maximumLift) return null;
    const { errors, total, maximumLift } = built;
    const { staticMargin } = analysis.pitch;
    const atMargin = staticMargin === null ? '' : say` at a margin of ${percent(staticMargin, 1)}`;
    return {
      severity: Math.abs(total) >= BUILT_CAUTION * maximumLift ? 'caution' : 'note',
      message: say`${standing(design, built)}. That moves its hands-off lift coefficient by ${total >= 0 ? '+' : '−'}${plain(Math.abs(total))}${atMargin}.`,
      numbers: {
        moved: plain(total),
        ...Object.fromEntries(errors.map(({ line }) => [line.surface, radians(line.flown - line.drawn)])),
      },
      remedies: shims(design, analysis.rigging.surfaces, built),
    };
  },
);

type Lines = Parameters<typeof builtErrors>[1]['rigging']['surfaces'];

/** One shim that takes all of it, on the surface where a degree does most; then each back to the drawing. */
function shims(design: Design, lines: Lines, { errors, controls, total, margin }: BuiltErrors): Remedy[] {
  const linkages = controls.map(({ surface, control }): Remedy => ({
    label: say`Set ${nameOf(control)} to its neutral at its linkage`,
    change: [
      field('surfaces', surface.id, 'controls', control.id, 'asBuilt').to({
        left: control.neutral,
        right: control.neutral,
      }),
    ],
  }));
  const shimTo = (line: Lines[number], turn: number): Remedy => {
    const surface = surfaceOf(design, line.surface);
    const shim = shimFor(surface.stations[0]!.chord, degreesFromRadians(turn));
    return {
      label: say`Shim ${nameOf(surface)} ${millimetres(shim.thickness, 1)} under its ${shim.edge} edge`,
      change: turned(surface, degreesFromRadians(turn)),
    };
  };
  const back = [...linkages, ...errors.map(({ line }) => shimTo(line, line.drawn - line.flown))];
  if (errors.length === 0) return back;
  const lever = [...lines].sort((a, b) => Math.abs(b.momentPerRadian) - Math.abs(a.momentPerRadian))[0]!;
  const whole = (-total * margin) / lever.momentPerRadian;
  const isBack = errors.length === 1 && errors[0]!.line.surface === lever.surface;
  return isBack || Math.abs(degreesFromRadians(whole)) < WORTH_A_SHIM ? back : [shimTo(lever, whole), ...back];
}
