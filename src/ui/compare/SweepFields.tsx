import { useEffect, useState } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { limitsOf } from '@/core/9-compare/limits';
import type { OutputRow } from '@/core/9-compare/outputs';
import { learnOutputs, sweepInputs } from '@/store/compare';
import { sweepShown } from '@/store/compareSlice';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import type { InputRange } from '@/workers/contract';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { drawnInput, isUsualOutput, slidingItems, SWEPT_OUTPUTS, variedInputs } from './compareWords';
import { inputGroups } from './inputGroups';
import { OneOfMany, type OptionGroup } from './OneOfMany';
import { RangeFields, usualRange } from './RangeFields';
import { Works } from './Works';

const NONE = '';

/** Numbers of the analysis beside the usual ones, by what they are about. */
function groupsOf(table: readonly OutputRow[]): OptionGroup[] {
  const others = table.filter(({ name }) => !isUsualOutput(name));
  return [...new Set(others.map(({ group }) => group))].map((name) => ({
    name,
    values: others.filter(({ group }) => group === name).map((row) => row.name),
    wordsOf: (key) => table.find((row) => row.name === key)?.words ?? key,
  }));
}

/** One number or two, from one end to the other. */
export function SweepFields({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const inputs = variedInputs(design);
  useEffect(() => void dispatch(learnOutputs()), [dispatch]);
  const [chosen, setChosen] = useState<readonly string[]>(inputs.slice(0, 1).map(([name]) => name));
  const [typed, setTyped] = useState<readonly InputRange[]>([]);
  const shown = useAppSelector((state) => state.compare.swept?.asked.output);
  const [output, setOutput] = useState(shown ?? SWEPT_OUTPUTS[0]![0]);
  const [slides, setSlides] = useState(NONE);
  const table = useAppSelector((state) => state.compare.outputs);
  const known = chosen.filter((name) =>
    name.startsWith('/') ? drawnInput(design, name) !== undefined : inputs.some(([one]) => one === name),
  );
  if (inputs.length === 0 || known.length === 0)
    return (
      <Section title="What a number does">
        <p className="text-faint">Nothing is drawn yet that could be varied.</p>
      </Section>
    );
  const rangeOf = (name: string) => typed.find((range) => range.name === name) ?? usualRange(design, name);
  const change = (range: InputRange) => setTyped([...typed.filter(({ name }) => name !== range.name), range]);
  const [first, second] = known;
  const items = slidingItems(design);
  const start = () => {
    const asked = { inputs: known.map(rangeOf), slides: slides === NONE ? null : slides, output };
    const names = [...SWEPT_OUTPUTS, ...limitsOf(design).map(({ name }) => [name])].map(([name]) => name!);
    void dispatch(sweepInputs(design, asked, [...new Set(names)]));
  };
  return (
    <Section title="What a number does">
      <div className="grid grid-cols-2 gap-x-1.5 gap-y-1">
        <OneOfMany
          label="Goes through"
          value={first!}
          usual={inputs}
          groups={inputGroups(design)}
          onChange={(name) => setChosen([name, ...known.slice(1).filter((other) => other !== name)])}
        />
        <RangeFields range={rangeOf(first!)} onChange={change} />
        <OneOfMany
          label="and, for a map"
          value={second ?? NONE}
          usual={[[NONE, 'nothing else'], ...inputs.filter(([name]) => name !== first)]}
          groups={inputGroups(design, [first!])}
          onChange={(name) => setChosen(name === NONE ? [first!] : [first!, name])}
        />
        {second !== undefined && <RangeFields of="Second: " range={rangeOf(second)} onChange={change} />}
        {items.length > 0 && (
          <SelectField
            className="col-span-2"
            label="Slides so that the static margin stays"
            value={slides}
            options={[[NONE, 'nothing'], ...items]}
            onChange={setSlides}
          />
        )}
        <OneOfMany
          label="Shows"
          value={output}
          usual={SWEPT_OUTPUTS.map(([name, words]) => [name, words] as const)}
          groups={groupsOf(table)}
          onChange={(name) => {
            setOutput(name);
            dispatch(sweepShown(name));
          }}
        />
      </div>
      <Works work="sweep" words={second === undefined ? 'Sweep it' : 'Map it'} start={start} />
      <p className="mt-1 text-label text-faint">The design stays as it is until a place of it is taken over.</p>
    </Section>
  );
}
