import {
  type Fraction,
  kilogramsFromGrams,
  type Metres,
  metresFromMillimetres,
  type MetresPerSecond,
  vectorFromPoint,
} from '@/core/1-base/units/convert';
import type { Body, MassItem } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { bodyElements } from '@/core/4-weight/boardParts';
import { heldBetween } from '../aircraft/mounts';
import { hardestPlace } from '../beam/beam';
import type { BeamLoad } from '../beam/stretch';
import { bodyBeam } from '../body/bodyBeam';
import { bodyStuff } from '../body/bodySection';
import { boardNamed } from '../materials/ownBoard';
import { layupOf } from '../materials/board';
import { boardOf, type Check, type CheckInput, GLUE, nameOf } from './check';

/** Load factor of touching down at a sinking speed that is taken up over a way: 1 + w²/(2 g s). [exact] for an even force. */
export function landingFactor(sink: MetresPerSecond, travel: Metres): Fraction {
  return 1 + sink ** 2 / (2 * GRAVITY * Math.max(1e-3, travel));
}

/** What holds packs: a strap [N], hook and loop in shear [Pa], screws [N]; practice, ±40 %. */
const STRAP = 60;
const SCREWS = 100;
const HOOKS = 40e3;
/** Plate that a leg of the undercarriage bears on when nobody draws one [m²]: 30 × 15 mm. */
const LEG_PLATE = 30e-3 * 15e-3;

const weightOf = ({ mass, measuredMass, mirrored }: MassItem): number =>
  kilogramsFromGrams(measuredMass ?? mass) * (mirrored ? 2 : 1);

/** What holds a part against the stop of a landing. */
export function held(item: MassItem, landing: Fraction): Check[] {
  const { heldBy, size } = item;
  if (heldBy === undefined) return [];
  const base = metresFromMillimetres(size?.length ?? 0) * metresFromMillimetres(size?.width ?? 0);
  const bears = { strap: STRAP, screws: SCREWS, hookAndLoop: HOOKS * base, glue: GLUE * base }[heldBy];
  if (!(bears > 0)) return [];
  return [{ kind: 'packHeld', part: nameOf(item), unit: 'force', load: landing * weightOf(item) * GRAVITY, bears }];
}

/** A motor on a bulkhead of board glued round its edge: its weight in a landing against the glue in shear. */
export function motorMount(design: Design, item: MassItem, landing: Fraction): Check[] {
  if (item.category !== 'motor') return [];
  const body = design.bodies.find(
    ({ position, frames, mirrored }) =>
      mirrored === item.mirrored &&
      Math.abs(item.position.y - position.y) < 60 &&
      Math.min(...[frames[0]!, frames.at(-1)!].map(({ x }) => Math.abs(item.position.x - position.x - x))) < 80,
  );
  const sheet = boardNamed(design, body?.construction?.material);
  if (!body || !sheet) return [];
  const frame = [body.frames[0]!, body.frames.at(-1)!].reduce((a, b) =>
    Math.abs(item.position.x - body.position.x - b.x) < Math.abs(item.position.x - body.position.x - a.x) ? b : a,
  );
  const round = 2 * metresFromMillimetres(frame.width + frame.top - frame.bottom);
  const bears = layupOf(sheet, sheet.thickness).core.shearStrength * round * metresFromMillimetres(sheet.thickness);
  if (!(bears > 0)) return [];
  return [{ kind: 'motorMount', part: nameOf(item), unit: 'force', load: landing * weightOf(item) * GRAVITY, bears }];
}

/** Nose and tail of a fuselage under their own weights when the wing stops: the moment there against what the walls bear. */
export function fuselage(input: CheckInput, body: Body, landing: Fraction): Check[] {
  const between = heldBetween(body, input.placed);
  if (!between || body.mirrored) return [];
  const stuff = bodyStuff(body, input.design);
  const [x0] = vectorFromPoint(body.position);
  const ends = [
    x0 + metresFromMillimetres(body.frames[0]!.x),
    x0 + metresFromMillimetres(body.frames.at(-1)!.x),
  ] as const;
  const masses = [
    ...bodyElements(input.design, body).map(({ mass, centre }) => ({ mass, at: centre })),
    ...input.design.massItems
      .filter(({ position }) => Math.abs(position.y) < 60)
      .map((item) => ({ mass: weightOf(item), at: vectorFromPoint(item.position) })),
  ];
  return ([0, 1] as const).flatMap((end): Check[] => {
    const [from, to] = [between[end], ends[end]];
    const way = to > from ? 1 : -1;
    if ((end === 0) !== way < 0) return [];
    const beam = bodyBeam(stuff, from, to);
    if (!beam) return [];
    const loads = masses
      .filter(({ at }) => way * (at[0] - from) > 0)
      .map(({ mass, at }): BeamLoad => {
        const place = Math.min(Math.abs(to - from), way * (at[0] - from));
        return { from: place, to: place, at, way: [way, 0, 0], force: [0, 0, -landing * mass * GRAVITY] };
      });
    const hardest = hardestPlace(beam, loads);
    if (!hardest || hardest.share <= 0) return [];
    const moment = loads.reduce((sum, { from: place, force }) => sum - force[2] * place, 0);
    return [
      {
        kind: end === 0 ? 'noseLanding' : 'tailLanding',
        part: nameOf(body),
        unit: 'moment',
        load: moment,
        bears: moment / hardest.share,
      },
    ];
  });
}

/** A leg presses on the plate under it; two legs share a landing, a single one bears it. */
export function leg(input: CheckInput, wheel: Design['wheels'][number], landing: Fraction): Check[] {
  const body = input.design.bodies.find(({ mirrored, construction }) => !mirrored && construction?.material);
  const board = boardOf(input, body?.construction?.material);
  if (!board) return [];
  const legs = input.design.wheels.reduce((sum, { mirrored }) => sum + (mirrored ? 2 : 1), 0);
  const load = (landing * input.mass * GRAVITY) / legs;
  return [
    {
      kind: 'undercarriage',
      part: wheel.id,
      unit: 'pressure',
      load: load / LEG_PLATE,
      bears: board.layup.core.crush * FACED_PLATE,
    },
  ];
}

/** Faces spread a load on a plate over so much more core than lies under it; C, ±40 %. */
const FACED_PLATE = 2;
