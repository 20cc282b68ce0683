import { COMPARISONS, comparisonShown, type Comparison } from '@/store/compareSlice';
import type { Design } from '@/core/2-document/schema/design';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { Choices } from '../fields/Choices';
import { BuildFields } from './BuildFields';
import { SearchFields } from './SearchFields';
import { SweepFields } from './SweepFields';
import { VariantFields } from './VariantFields';

const WORDS: Readonly<Record<Comparison, string>> = {
  built: 'As built',
  sweep: 'One number',
  variants: 'Side by side',
  search: 'Search',
};

const FIELDS: Readonly<Record<Comparison, (props: { readonly design: Design }) => React.ReactNode>> = {
  built: BuildFields,
  sweep: SweepFields,
  variants: VariantFields,
  search: SearchFields,
};

/** What building errors do, what numbers change, several designs side by side, and a search for a better one. */
export function CompareStage({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const { failure, shown } = useAppSelector((state) => state.compare);
  const Fields = FIELDS[shown];
  return (
    <>
      <div className="px-3 pt-2">
        <Choices
          label="What is compared"
          options={COMPARISONS.map((each) => [each, WORDS[each]] as const)}
          value={shown}
          onChange={(next) => next && dispatch(comparisonShown(next))}
        />
      </div>
      {failure !== null && (
        <p role="alert" className="px-3 pt-2 text-stop">
          {failure}
        </p>
      )}
      <Fields design={design} />
    </>
  );
}
