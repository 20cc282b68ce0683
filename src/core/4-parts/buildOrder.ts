import { degreesFromRadians } from '@/core/1-base/units/convert';
import { degrees, grams, millimetres, say, type Words } from '@/core/1-base/words/phrase';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { measurableFace } from '@/core/3-shape/section/measurableFace';
import { nameOfSurface, runsOf } from './kinds/panels';
import type { CutList, CutPart } from './part';

/** What kind of work a step is; a gate is measured and passed before what follows. */
export type StepKind = 'test' | 'cut' | 'shape' | 'gate' | 'glue' | 'fit' | 'check';

/** One step of the build. */
export interface BuildStep {
  readonly id: string;
  readonly kind: StepKind;
  readonly title: Words;
  /** Names of the parts it takes. */
  readonly parts: readonly string[];
  /** Gauge that is held to it, and what has to be read. */
  readonly gauge: string | null;
  readonly reading: Words | null;
  readonly minutes: number;
  readonly caution: Words | null;
}

const BLADE = 'Fresh blade, cut away from the hand on a mat.';
const GLUE = 'Ventilate; keep glue off skin and eyes, and try on scrap that it does not eat the foam.';
const HOT_WIRE = 'Hot wire burns and fumes: outside or under a fan, two people, switch off between cuts.';
const ARMING = 'Propeller off while anything is set up; pack last in, first out.';

interface Draft extends Partial<Omit<BuildStep, 'id' | 'kind' | 'title'>> {
  readonly id: string;
  readonly kind: StepKind;
  readonly title: Words;
}

const step = ({
  parts = [],
  gauge = null,
  reading = null,
  minutes = 5,
  caution = null,
  ...rest
}: Draft): BuildStep => ({
  ...rest,
  parts,
  gauge,
  reading,
  minutes,
  caution,
});

/** Minutes that cutting takes, by how many pieces there are. */
const CUT_EACH = 3;

/**
 * The build of this design, step by step: electrics tried before anything is
 * fitted, every part cut once, every joint once with its gate before its glue.
 * What a design has not, its order does not hold.
 */
export function buildOrder(design: Design, list: CutList): BuildStep[] {
  const bodies = design.bodies.filter(({ construction }) => construction);
  return [
    ...electricsFirst(design),
    ...design.surfaces.flatMap((surface) => surfaceSteps(surface, list)),
    ...bodies.flatMap((body) => bodySteps(body.id, body.name || body.id, list)),
    ...(bodies.length > 0 ? design.surfaces.flatMap((surface) => mountSteps(surface, list)) : []),
    ...linkageSteps(design),
    ...lastSteps(design),
  ];
}

const namesOf = (parts: readonly CutPart[]): string[] => parts.map(({ name }) => name);

function electricsFirst({ massItems, propulsion }: Design): BuildStep[] {
  const hasElectrics = massItems.some(({ category }) =>
    ['motor', 'servo', 'receiver', 'speedController'].includes(category),
  );
  if (!hasElectrics) return [];
  return [
    step({
      id: 'electrics',
      kind: 'test',
      title: 'Try motor, controller, servos and receiver on the bench before anything is fitted',
      reading: propulsion.some(({ kind }) => kind === 'pusher')
        ? 'every servo to both stops and back to its middle; the motor turns so that a pusher blows back'
        : 'every servo to both stops and back to its middle; the motor turns so that it blows back',
      minutes: 20,
      caution: ARMING,
    }),
  ];
}

function surfaceSteps(surface: Surface, { parts, blocks }: CutList): BuildStep[] {
  const own = parts.filter(({ owner, kind }) => owner === surface.id && kind !== 'gauge');
  const { id, controls, spars } = surface;
  const name = nameOfSurface(surface);
  if (own.length === 0) return [];
  const of = (...kinds: CutPart['kind'][]) => own.filter(({ kind }) => kinds.includes(kind));
  const [skins, ribs, templates, strips] = [of('skin'), of('rib'), of('template'), of('spar')];
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
    steps.push(...twistGate(surface, skins));
    steps.push(
      step({
        id: `${id}-close`,
        kind: 'glue',
        title: say`Glue ${strips.length > 0 ? 'the spar and close the skins' : 'the skins'} of ${name} on a flat board`,
        parts: namesOf([...strips, ...skins]),
        minutes: 20 * skins.length,
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
      step({ id: `${id}-joint-${index + 1}`, kind: 'glue', title: say`Glue ${joint}`, minutes: 10, caution: GLUE }),
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
    step({ id: `${id}-root`, kind: 'glue', title: say`Join left and right of ${name}`, minutes: 15, caution: GLUE }),
  );
  return steps;
}

const gaugeNamed = (parts: readonly CutPart[], owner: string, suffix: string): string | null =>
  parts.find(({ id }) => id === `${owner}-gauge-${suffix}`)?.name ?? null;

function bodySteps(id: string, name: string, { parts }: CutList): BuildStep[] {
  const own = parts.filter(({ owner }) => owner === id);
  if (own.length === 0) return [];
  const of = (...kinds: CutPart['kind'][]) => namesOf(own.filter(({ kind }) => kinds.includes(kind)));
  const firewall = of('firewall');
  const steps = [
    step({
      id: `${id}-cut`,
      kind: 'cut',
      title: say`Cut out ${name}`,
      parts: namesOf(own),
      minutes: CUT_EACH * own.reduce((sum, { count }) => sum + count, 0),
      caution: BLADE,
    }),
  ];
  const layers = of('layer', 'shell', 'doubler');
  if (layers.length > 0)
    steps.push(
      step({
        id: `${id}-layers`,
        kind: 'glue',
        title: say`Glue layers, shells and doublers of ${name}`,
        parts: layers,
        minutes: 15,
        caution: GLUE,
      }),
    );
  const walls = of('side', 'former', 'tray', 'firewall', 'bottom');
  if (walls.length > 0) {
    steps.push(
      step({
        id: `${id}-square`,
        kind: 'gate',
        title: say`Stand ${name} dry on the plan`,
        parts: walls,
        reading: 'both sides upright, the tail in the middle seen from above, no twist from nose to tail',
        minutes: 10,
      }),
      step({
        id: `${id}-walls`,
        kind: 'glue',
        title: say`Glue the sides of ${name} to formers, tray and bottom`,
        parts: walls,
        minutes: 20,
        caution: GLUE,
      }),
    );
  }
  if (firewall.length > 0)
    steps.push(
      step({
        id: `${id}-firewall`,
        kind: 'check',
        title: 'Firewall at its down and right thrust',
        parts: firewall,
        reading: own.find(({ kind }) => kind === 'firewall')?.notes[1] ?? 'square to the datum',
        minutes: 5,
      }),
    );
  const top = of('top');
  if (top.length > 0)
    steps.push(
      step({
        id: `${id}-top`,
        kind: 'glue',
        title: say`Close the top of ${name}, leave the hatch open`,
        parts: top,
        minutes: 10,
        caution: GLUE,
      }),
    );
  return steps;
}

/** A surface on its body: level the datum, read the face, then glue, screw or band it. */
function mountSteps(surface: Surface, { parts }: CutList): BuildStep[] {
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

function linkageSteps({ surfaces }: Design): BuildStep[] {
  return surfaces.flatMap(({ controls }) =>
    controls.map((control) =>
      step({
        id: `${control.id}-linkage`,
        kind: 'fit',
        title: say`Horn, pushrod and servo of ${control.name || control.id}`,
        reading: say`stick in the middle: ${Math.abs(control.neutral) < 0.05 ? 'in line' : say`at ${degrees(control.neutral, 1)}`}; ${degrees(control.throwUp, 0)} up, ${degrees(control.throwDown, 0)} down, the right way`,
        minutes: 15,
        caution: ARMING,
      }),
    ),
  );
}

function lastSteps(design: Design): BuildStep[] {
  const pack = design.massItems.find(({ category }) => category === 'battery');
  const whole = design.massItems.reduce((sum, { mass, mirrored }) => sum + mass * (mirrored ? 2 : 1), 0);
  return [
    ...(design.massItems.length > 0
      ? [
          step({
            id: 'equipment',
            kind: 'fit',
            title: say`Fit the equipment, ${grams(whole, 0)} in all`,
            parts: design.massItems.map(({ name, id }) => name || id),
            minutes: 30,
            caution: ARMING,
          }),
        ]
      : []),
    step({
      id: 'balance',
      kind: 'gate',
      title: 'Balance it on the stand, ready to fly',
      reading: pack
        ? say`inside the window of the balance beam; slide ${pack.name || 'the pack'}, drawn ${millimetres(pack.position.x, 0)} behind the datum`
        : 'inside the window of the balance beam',
      minutes: 10,
    }),
    step({
      id: 'ready',
      kind: 'check',
      title: 'Range, failsafe, throws and every joint once more',
      reading: 'as the radio and your club ask; somebody else looks too',
      minutes: 15,
      caution: 'First flights over empty ground; rules of the country and the club come first.',
    }),
  ];
}
