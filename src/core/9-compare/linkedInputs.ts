import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { checkChange } from '@/core/2-document/edit/checkChange';
import { field } from '@/core/2-document/edit/field';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { numbersOf } from '@/core/6-groups/solve';
import { cutBack } from '@/core/8-field/cutBack';
import { keptOnTips } from '@/core/3-shape/geometry/keptOnTips';
import { type Link, linkedNames, LINKS } from './linkedNames';
import { type Varied, variedField, type VariedInput } from './variedInput';

/** As drawn [%]. */
const DRAWN = 100;
const LEAST = 40;
const MOST = 250;

const fault = (because: string): { readonly ok: false; readonly because: string } => ({ ok: false, because });

function linkedDesign(design: Design, link: Link, id: string, percent: number): Varied {
  const surface = design.surfaces.find((one) => one.id === id)!;
  const share = percent / DRAWN;
  if (link === 'tips') {
    if (share > 1) return fault(`Tips can only be cut: up to ${DRAWN} %, ${percent} was asked.`);
    const left = cutBack(design, { what: 'tips', of: id }, share);
    return left
      ? { ok: true, design: left }
      : fault(`At ${percent} % nothing would be left of a control of ${surface.name || id}.`);
  }
  const scaled =
    link === 'chords'
      ? surface.stations.map((station) => ({ ...station, chord: station.chord * share }))
      : surface.stations.map((station) => ({
          ...station,
          distanceFromRoot: station.distanceFromRoot * share,
          leadingEdgeOffset: station.leadingEdgeOffset * share,
        }));
  const change = [
    field('surfaces', id, 'stations').to(scaled),
    // Rods go as far as they went, and lie where they lay in the chord.
    field('surfaces', id, 'spars').to(
      surface.spars.map((spar) => {
        const moved = (end: (typeof spar)['start']) =>
          link === 'chords' ? { ...end, x: end.x * share } : { ...end, distanceFromRoot: end.distanceFromRoot * share };
        return { ...spar, start: moved(spar.start), end: moved(spar.end) };
      }),
    ),
  ];
  const checked = checkChange(design, keptOnTips(design, withFields(design, change)));
  return checked.ok
    ? checked
    : fault(`${checked.issues[0]!.path} ${checked.issues[0]!.message as string} (${percent} % was asked)`);
}

/** Any input: a field of the document by its path, or a linked one by its name. */
export function inputNamed(
  design: Design,
  name: string,
): { readonly ok: true; readonly input: VariedInput } | { readonly ok: false; readonly because: string } {
  if (name.startsWith('/')) return variedField(design, name);
  const [link, id, ...rest] = name.split('/');
  const known = linkedNames(design);
  if (rest.length > 0 || !LINKS.includes(link as Link) || !known.includes(name))
    return fault(
      `${name} is neither a field of this design, such as /surfaces/wing/incidence, nor one of ${known.join(', ') || 'the linked inputs, which want a wing'}.`,
    );
  return {
    ok: true,
    input: {
      name,
      unit: '%',
      valueIn: () => DRAWN,
      set: (of, percent) =>
        percent < LEAST || percent > MOST
          ? fault(`${name} must lie between ${LEAST} and ${MOST} % (${percent} was asked)`)
          : linkedDesign(of, link as Link, id!, percent),
    },
  };
}

/** Steps until the margin holds: the neutral point hardly moves with what slides. */
const STEPS = 3;
/** Static margin that counts as held. */
const HELD = 1e-4;

/** Slides a thing in its bay until the static margin is what is asked; where the bay is too short as far as it goes, or why not. */
export function slideToMargin(design: Design, itemId: string, margin: number, short: 'end' | 'fault'): Varied {
  let slid = design;
  for (let step = 0; step < STEPS; step++) {
    const { pitch, mass, reference } = numbersOf(slid, { without: ['bands'], quick: true });
    const item = slid.massItems.find(({ id }) => id === itemId);
    if (!item || item.attachment.kind !== 'slides') return fault(`${itemId} does not slide in a bay.`);
    if (pitch.staticMargin === null || mass.total === null || reference.meanChord === null)
      return fault('There is no static margin to hold.');
    const off = pitch.staticMargin - margin;
    if (Math.abs(off) < HELD) break;
    const weighs = mass.parts.find(({ id }) => id === itemId)?.mass ?? 0;
    if (weighs <= 0) return fault(`${item.name || itemId} weighs nothing: sliding it moves nothing.`);
    // A margin too large wants the balance point further aft.
    const by = millimetresFromMetres((off * reference.meanChord * mass.total) / weighs);
    const wanted = item.position.x + by;
    const x = Math.min(item.attachment.to, Math.max(item.attachment.from, wanted));
    if (x !== wanted && short === 'fault')
      return fault(
        `${item.name || itemId} would have to slide to ${Math.round(wanted)} mm, and its bay reaches from ${item.attachment.from} to ${item.attachment.to} mm.`,
      );
    const checked = checkChange(slid, withFields(slid, [field('massItems', itemId, 'position', 'x').to(x)]));
    if (!checked.ok) return fault(checked.issues[0]!.message as string);
    slid = checked.design;
    if (x !== wanted) break;
  }
  return { ok: true, design: slid };
}

/** The same input, with a thing that slides along so that the static margin stays as it is drawn. */
export function holdingMargin(design: Design, input: VariedInput, itemId: string): VariedInput {
  const margin = numbersOf(design, { without: ['bands'], quick: true }).pitch.staticMargin;
  return {
    ...input,
    set: (of, value) => {
      const varied = input.set(of, value);
      return varied.ok && margin !== null ? slideToMargin(varied.design, itemId, margin, 'fault') : varied;
    },
  };
}
