import { gramsFromKilograms } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { boundsOfPart } from '@/core/3-shape/outline/partOutline';
import { massOfPart } from '@/core/4-parts/layout';
import { packedPieces } from '@/core/4-parts/packed';
import type { CutPart } from '@/core/4-parts/part';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { partChosen, partChosenOf } from '@/store/plansSlice';
import { formatLength, formatMass } from '@/words/formatQuantity';
import { Fact } from '../numbers/Derived';
import { Say } from '../numbers/Say';
import { Section } from '../numbers/Section';
import type { LaidProps } from './laidProps';
import { Cutting, SheetsNeeded } from './SheetsNeeded';
import { ToPaper } from './ToPaper';

/** What is cut, how many sheets it takes, and the way to paper, cutter or laser. */
export function PlansStage({ design }: { readonly design: Design }) {
  const { laid } = useAppSelector((state) => state.plans);
  if (!laid) return <p className="p-3 text-read text-faint">Laying out…</p>;
  return (
    <>
      <ChosenPart design={design} laid={laid} />
      <ToPaper design={design} laid={laid} />
      <SheetsNeeded design={design} laid={laid} />
      <Cutting design={design} />
      <TakenApart design={design} />
      <PartList laid={laid} />
    </>
  );
}

function ChosenPart({ design, laid }: LaidProps) {
  const chosen = useAppSelector((state) => state.plans.chosen);
  const units = useAppSelector((state) => state.settings.units);
  const part = partChosenOf(laid.list, chosen);
  if (!part)
    return (
      <Section title="A part">
        <p className="text-label text-faint">Press a part on the sheet, or in the list, to see what it is.</p>
      </Section>
    );
  const { left, right, bottom, top } = boundsOfPart(part.outline);
  return (
    <Section title={part.name} remembered="A part">
      <Fact label="Long">{formatLength(right - left, units)}</Fact>
      <Fact label="Wide">{formatLength(top - bottom, units)}</Fact>
      <Fact label="Needed">
        {part.count}
        {part.mirrored > 0 && `, ${part.mirrored} turned over`}
      </Fact>
      <Fact label="Weighs, each">{formatMass(gramsFromKilograms(massOfPart(design, part)), units, 1)}</Fact>
      <ul className="mt-1 list-disc pl-4 text-label text-faint">
        {part.notes.map((note, index) => (
          <li key={index}>
            <Say words={note} />
          </li>
        ))}
        {part.isAlongGrain && <li>grain of the board along it</li>}
        {part.hasFace && <li>drawn with its outer face down: do not turn it over</li>}
      </ul>
    </Section>
  );
}

/** What has to go into the car, and whether it does. */
function TakenApart({ design }: Pick<LaidProps, 'design'>) {
  const units = useAppSelector((state) => state.settings.units);
  const { longestPanel } = design.brief;
  const pieces = packedPieces(design);
  const tooLong = longestPanel === undefined ? [] : pieces.filter(({ length }) => length > longestPanel);
  return (
    <Section title="Taken apart for the car">
      {pieces.map(({ name, count, length, width, height }) => (
        <Fact key={name} label={count > 1 ? `${name} (${count})` : name}>
          {[length, width, height].map((edge) => formatLength(edge, units, 0)).join(' × ')}
        </Fact>
      ))}
      {tooLong.map(({ name, length }) => (
        <p key={name} className="mt-1 border-l-4 border-caution pl-2 text-label">
          {name} is {formatLength(length, units, 0)} long, the brief carries {formatLength(longestPanel!, units, 0)}:
          band or bolt the wing on, or push its halves over joiners.
        </p>
      ))}
    </Section>
  );
}

function PartList({ laid: { list } }: Pick<LaidProps, 'laid'>) {
  const dispatch = useAppDispatch();
  const chosen = useAppSelector((state) => state.plans.chosen);
  const row = (part: CutPart) => (
    <li key={part.id}>
      <button
        type="button"
        aria-pressed={chosen === part.id}
        aria-label={`${part.name}, ${part.count}`}
        className="flex w-full cursor-pointer justify-between gap-2 border-b border-soft py-1 text-left text-read hover:bg-soft aria-pressed:font-semibold"
        onClick={() => dispatch(partChosen(chosen === part.id ? null : part.id))}
      >
        <span className="min-w-0 truncate">{part.name}</span>
        <span className="text-faint">{part.count}</span>
      </button>
    </li>
  );
  return (
    <Section title={`Parts (${list.parts.reduce((sum, { count }) => sum + count, 0)})`} remembered="Parts">
      <ul>{list.parts.map(row)}</ul>
    </Section>
  );
}
