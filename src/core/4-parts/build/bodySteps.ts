import { say } from '@/core/1-base/words/phrase';
import type { CutList, CutPart } from '../part';
import { BLADE, type BuildStep, CUT_EACH, GLUE, namesOf, step } from './step';

/** Everything that is done to a body before wing and tail come to it. */
export function bodySteps(id: string, name: string, { parts, rods }: CutList): BuildStep[] {
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
  const fittings = of('mount', 'skid');
  const dowels = rods.filter(({ owner, id: rod }) => owner === id && rod.includes('-dowel-')).map((rod) => rod.name);
  if (fittings.length + dowels.length > 0)
    steps.push(
      step({
        id: `${id}-fittings`,
        kind: 'glue',
        title: say`Glue plates, dowels and skid of ${name} in`,
        parts: [...fittings, ...dowels],
        reading: 'plates square to the datum, dowels level and equally far out on both sides',
        minutes: 15,
        caution: GLUE,
      }),
    );
  const top = of('top');
  if (top.length > 0)
    steps.push(
      step({
        id: `${id}-top`,
        kind: 'glue',
        title: say`Close the top of ${name}, leave the bay of the pack open`,
        parts: top,
        minutes: 10,
        caution: GLUE,
      }),
    );
  const hatch = of('hatch');
  if (hatch.length > 0)
    steps.push(
      step({
        id: `${id}-hatch`,
        kind: 'fit',
        title: say`Fit the hatch of ${name}`,
        parts: hatch,
        reading: 'it lies flush by itself and comes off with one hand, the pack slides along its whole bay',
        minutes: 10,
      }),
    );
  return steps;
}
