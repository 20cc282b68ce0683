import { useState } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { isWing } from '@/core/2-document/schema/roles';
import type { Goal } from '@/core/9-compare/search/goal';
import { searchDesigns } from '@/store/compare';
import { useAppDispatch } from '@/store/hooks';
import type { InputRange } from '@/workers/contract';
import { ChoiceChips } from '../fields/ChoiceChips';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { GOAL_WORDS, slidingItems, varied, variedInputs } from './compareWords';
import { RangeFields, usualRange } from './RangeFields';
import { Works } from './Works';

const NONE = '';
/** More of them at once are found too coarsely. */
const MOST_FREE = 5;

/** What may vary, and what is made as small or as wide as it can be. */
export function SearchFields({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const inputs = variedInputs(design);
  const wings = design.surfaces.filter(isWing);
  const usual = inputs.filter(([name]) => /^(spans|chords)\//.test(name)).slice(0, 2);
  const [ranges, setRanges] = useState<readonly InputRange[]>(usual.map(([name]) => usualRange(design, name)));
  const [goal, setGoal] = useState<Goal>('mass');
  const [boards, setBoards] = useState<readonly string[]>([]);
  const [rods, setRods] = useState<readonly string[]>([]);
  const items = slidingItems(design);
  const [slides, setSlides] = useState(items[0]?.[0] ?? NONE);
  const free = ranges.filter(({ name }) => inputs.some(([known]) => known === name));
  const others = inputs.filter(([name]) => !free.some((range) => range.name === name));
  const named = wings.map(({ id, name }) => [id, name || id] as const);
  const start = () =>
    void dispatch(
      searchDesigns(design, {
        goal,
        free,
        boards: boards.filter((id) => wings.some((wing) => wing.id === id)),
        rods: rods.filter((id) => wings.some((wing) => wing.id === id)),
        slides: slides === NONE ? null : slides,
      }),
    );
  if (wings.length === 0)
    return (
      <Section title="What may vary">
        <p className="text-faint">There is no wing yet.</p>
      </Section>
    );
  return (
    <Section title="What may vary">
      <div className="space-y-1.5">
        <SelectField label="Meets the brief with" value={goal} options={GOAL_WORDS} onChange={setGoal} />
        {free.map((range) => (
          <fieldset key={range.name} className="grid grid-cols-2 items-end gap-x-1.5">
            <legend className="text-read">{varied(design, range.name)}</legend>
            <RangeFields
              range={range}
              of={`${varied(design, range.name)}: `}
              onChange={(next) => setRanges(ranges.map((one) => (one.name === next.name ? next : one)))}
            />
            <Button
              look="quiet"
              className="col-span-2 justify-self-start !py-0"
              onClick={() => setRanges(ranges.filter(({ name }) => name !== range.name))}
            >
              Lock {varied(design, range.name)}
            </Button>
          </fieldset>
        ))}
        {free.length < MOST_FREE && others.length > 0 && (
          <SelectField
            label="Let vary as well"
            value={NONE}
            options={[[NONE, 'everything else is locked'], ...others]}
            onChange={(name) => name !== NONE && setRanges([...free, usualRange(design, name)])}
          />
        )}
        {design.materials.length > 1 && (
          <ChoiceChips legend="Board may be any of the sheets" options={named} chosen={boards} onChange={setBoards} />
        )}
        <ChoiceChips legend="Rods may be any at hand" options={named} chosen={rods} onChange={setRods} />
        {items.length > 0 && (
          <SelectField
            label="Slides so that the margin stays in the middle"
            value={slides}
            options={[[NONE, 'nothing'], ...items]}
            onChange={setSlides}
          />
        )}
      </div>
      <Works work="search" words="Search" start={start} />
      <p className="mt-1 text-label text-faint">
        Demands are those of the brief, the margins of the balance, and the stall that a throw and the field bear.
      </p>
    </Section>
  );
}
