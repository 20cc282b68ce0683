import { degreesFromRadians } from '@/core/1-base/units/convert';
import { degrees, say } from '@/core/1-base/words/phrase';
import type { Surface } from '@/core/2-document/schema/surface';
import { measurableFace } from '@/core/3-shape/section/measurableFace';
import { nameOfSurface, runsOf } from '../kinds/panels';
import type { CutList, CutPart } from '../part';
import { BLADE, type BuildStep, CUT_EACH, gaugeNamed, GLUE, HOT_WIRE, namesOf, step } from './step';

/** Everything that is done to a wing or tail before it comes to its body. */
export function surfaceSteps(surface: Surface, { parts, blocks }: CutList): BuildStep[] {
  const own = parts.filter(({ owner, kind }) => owner === surface.id && kind !== 'gauge');
  const { id, controls, spars } = surface;
  const name = nameOfSurface(surface);
  if (own.length === 0) return [];
  const of = (...kinds: CutPart['kind'][]) => own.filter(({ kind }) => kinds.includes(kind));
  const [skins, templates, strips, spacers] = [of('skin'), of('template'), of('spar'), of('spacer')];
  const closing = of('rib').filter(({ id: rib }) => rib.startsWith(`${id}-closing-`));
  const ribs = of('rib').filter((rib) => !closing.includes(rib));
  const sheet = own.filter(({ kind }) => kind !== 'template');
  const steps: BuildStep[] = [];
  if (sheet.length > 0)
    steps.push(
      step({
        id: `${id}-cut`,
        kind: 'cut',
        title: say`Cut out ${name}`,
        parts: namesOf(sheet),
        minutes: CUT_EACH * sheet.reduce((sum, { count }) => sum + count, 0),
        caution: BLADE,
      }),
    );
  if (templates.length > 0)
    steps.push(
      step({
        id: `${id}-wire`,
        kind: 'cut',
        title: say`Cut ${name} from ${blocks.some(({ owner }) => owner === id) ? 'its blocks' : 'a block'} along the templates`,
        parts: namesOf(templates),
        reading: 'both ends pass the same mark at the same time',
        minutes: 30,
        caution: HOT_WIRE,
      }),
    );
  const hinged = controls.filter(({ allMoving }) => !allMoving);
  if (hinged.length > 0)
    steps.push(
      step({
        id: `${id}-hinges`,
        kind: 'shape',
        title: say`Slit, bevel and hinge the controls of ${name}`,
        parts: hinged.map((control) => control.name || control.id),
        reading: 'each falls by its own weight through all its travel',
        minutes: 8 * hinged.length,
        caution: BLADE,
      }),
    );
  if (spars.length > 0)
    steps.push(
      step({
        id: `${id}-rods`,
        kind: 'glue',
        title: say`Let the rods into ${name}`,
        parts: spars.map((spar) => spar.name || spar.id),
        reading: 'straight along a ruler, both sides alike',
        minutes: 10 * spars.length,
        caution: GLUE,
      }),
    );
  if (ribs.length > 0)
    steps.push(
      step({
        id: `${id}-ribs`,
        kind: 'glue',
        title: say`Set the ribs of ${name} on their marks`,
        parts: namesOf(ribs),
        minutes: 3 * ribs.length,
        caution: GLUE,
      }),
    );
  if (skins.length > 0) {
    steps.push(
      step({
        id: `${id}-fold`,
        kind: 'shape',
        title: say`Score and bend the skins of ${name}, dry`,
        parts: namesOf(skins),
        reading: 'the edges meet along the whole panel without force',
        minutes: 12 * skins.length,
        caution: BLADE,
      }),
    );
    const folded = strips.filter(({ outline }) => outline.lines.some(({ kind }) => kind === 'score'));
    if (folded.length > 0)
      steps.push(
        step({
          id: `${id}-spar`,
          kind: 'glue',
          title: say`Groove, fold and glue the spars of ${name}`,
          parts: namesOf(folded),
          reading: 'both webs stand square on the base, straight along a ruler',
          minutes: 15 * folded.length,
          caution: say`${BLADE} ${GLUE}`,
        }),
      );
    steps.push(...twistGate(surface, skins));
    steps.push(
      step({
        id: `${id}-close`,
        kind: 'glue',
        title: say`Glue ${strips.length > 0 ? 'the spar and close the skins' : 'the skins'} of ${name} on a flat board`,
        parts: namesOf([...strips, ...spacers, ...skins, ...closing]),
        minutes: 20 * skins.length + 2 * spacers.length,
        caution: GLUE,
      }),
    );
  }
  return [...steps, ...jointSteps(surface, parts)];
}

/** The tip is held at its washout before the skin is closed: later it does not turn any more. */
function twistGate(surface: Surface, skins: readonly CutPart[]): BuildStep[] {
  const { stations, id, incidence } = surface;
  const [root, tip] = [stations[0]!, stations.at(-1)!];
  const washout = root.twist - tip.twist;
  if (Math.abs(washout) < 0.05) return [];
  const { angle, face } = measurableFace(tip.section, tip.chord);
  return [
    step({
      id: `${id}-twist`,
      kind: 'gate',
      title: say`Block up the tips of ${nameOfSurface(surface)} to their washout`,
      parts: namesOf(skins),
      gauge: `${nameOfSurface(surface)}, tip ${round(incidence + tip.twist + degreesFromRadians(angle))}°`,
      reading: say`${face === 'chord' ? 'chord' : `${face} face`} of the tip ${degrees(washout, 2)} below that of the root, left and right`,
      minutes: 6,
    }),
  ];
}

const round = (angle: number): number => Math.round(angle * 100) / 100;

/** Every joint between panels and between left and right: held at its gauge, then glued. */
function jointSteps(surface: Surface, parts: readonly CutPart[]): BuildStep[] {
  const { id, mirrored, stations } = surface;
  if (!mirrored) return [];
  const name = nameOfSurface(surface);
  const runs = runsOf(surface);
  const steps: BuildStep[] = [];
  const bracesAt = (station: number) => namesOf(parts.filter((part) => part.id === `${id}-brace-${station}`));
  runs.slice(1).forEach((run, index) => {
    const before = runs[index]!;
    const angle = run.dihedral - before.dihedral;
    const joint = `${name}, joint ${index + 1}`;
    if (Math.abs(angle) < 0.05) return;
    steps.push(
      step({
        id: `${id}-joint-${index + 1}-gate`,
        kind: 'gate',
        title: say`Hold ${joint} at its angle`,
        gauge: gaugeNamed(parts, id, `dihedral-${run.from}`),
        reading: say`${degrees(angle, 1)} up from the inner panel, left and right alike`,
        minutes: 5,
      }),
      step({
        id: `${id}-joint-${index + 1}`,
        kind: 'glue',
        title: say`Glue ${joint}`,
        parts: bracesAt(run.from),
        minutes: 10,
        caution: GLUE,
      }),
    );
  });
  const { dihedral } = stations[0]!;
  const isWhole = Math.abs(dihedral) < 0.5 && surface.joint === 'onePiece';
  if (isWhole && parts.some(({ owner, kind, count }) => owner === id && kind === 'plate' && count === 1)) return steps;
  if (Math.abs(dihedral) >= 0.05)
    steps.push(
      step({
        id: `${id}-root-gate`,
        kind: 'gate',
        title: say`Hold left and right of ${name} at their dihedral`,
        gauge: gaugeNamed(parts, id, 'dihedral-0'),
        reading: say`${degrees(2 * dihedral, 1)} between them, tips equally high`,
        minutes: 8,
      }),
    );
  steps.push(
    step({
      id: `${id}-root`,
      kind: 'glue',
      title: say`Join left and right of ${name}`,
      parts: bracesAt(0),
      minutes: 15,
      caution: GLUE,
    }),
  );
  return steps;
}

/** A surface on its body: level the datum, read the face, then glue, screw or band it. */
export function mountSteps(surface: Surface, { parts }: CutList): BuildStep[] {
  const { id, mirrored, incidence, stations, mount } = surface;
  const name = nameOfSurface(surface);
  if (!parts.some(({ owner }) => owner === id)) return [];
  const root = stations[0]!;
  const { angle, face } = measurableFace(root.section, root.chord);
  const reads = incidence + root.twist + degreesFromRadians(angle);
  const fixed = { glued: 'Glue', taped: 'Tape', bands: 'Band', screws: 'Screw' }[mount.kind];
  return [
    step({
      id: `${id}-mount-gate`,
      kind: 'gate',
      title: mirrored ? say`Read the incidence of ${name}, dry in its seat` : say`Stand ${name} upright, dry`,
      gauge: mirrored ? gaugeNamed(parts, id, 'incidence') : null,
      reading: mirrored
        ? say`datum level: ${face === 'chord' ? 'chord' : `${face} face`} at ${degrees(reads, 2)}, left as right; tips equally far from the tail`
        : 'square to the wing seen from behind, in line with the body seen from above',
      minutes: 10,
    }),
    step({
      id: `${id}-mount`,
      kind: mount.kind === 'glued' ? 'glue' : 'fit',
      title: say`${fixed} ${name} in its place`,
      minutes: 10,
      caution: mount.kind === 'glued' ? GLUE : null,
    }),
  ];
}
