import { useAppSelector } from '@/store/hooks';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { expectedOf, wantsOf } from './expectedWords';

/** What it should do, said before it is thrown. */
export function Expected() {
  const analysis = useAppSelector((state) => state.analysis.current);
  const units = useAppSelector((state) => state.settings.units);
  if (!analysis) return null;
  const said = wantsOf(analysis);
  return (
    <Section title="What it should do">
      {expectedOf(analysis, units).map(([words, value]) => (
        <Fact key={words} label={words}>
          {value}
        </Fact>
      ))}
      {said.length > 0 ? (
        <ul className="mt-1.5 list-disc space-y-0.5 pl-4 text-read">
          {said.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      ) : (
        <p className="mt-1.5 text-read">Nothing pulls it to a side, and power hardly trims it.</p>
      )}
    </Section>
  );
}
