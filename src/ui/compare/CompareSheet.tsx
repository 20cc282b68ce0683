import type { ReactNode } from 'react';
import { isSameState } from '@/core/2-document/compareDesigns';
import type { Design } from '@/core/2-document/schema/design';
import type { Comparison } from '@/store/compareSlice';
import { useAppSelector } from '@/store/hooks';
import { Drawing } from '../drawing/Drawing';
import { BuiltOften } from './BuiltOften';
import { Found } from './Found';
import { Swept } from './Swept';
import { Variants } from './Variants';

const NO_HANDLES: readonly never[] = [];

/** How a design is spread as it may be built, what numbers do, designs side by side, and what a search found. */
export function CompareSheet({ design }: { readonly design: Design }) {
  return (
    <Drawing design={design} handles={NO_HANDLES} own={{ name: 'Compare', sheet: <Compared design={design} /> }} />
  );
}

/** What can be had here, before anything is computed. */
const BEFORE: Readonly<Record<Comparison, string>> = {
  built:
    'Build it a thousand times, each a little off as hands and boards are: how often it then balances, flies hands off and leaves the hand stands here, and which error costs most.',
  sweep:
    'Take one number from one end to the other, or two through all their pairs: what comes out stands here as a curve or a map, with the limits it should keep to. Press a place to try it.',
  variants: 'Up to six designs and revisions stand here side by side.',
  search:
    'Let a few numbers vary and keep the rest: designs that meet the brief stand here, or what of it cannot be met and what it would take.',
};

function Compared({ design }: { readonly design: Design }) {
  const { shown, tolerated, swept, searched, variants } = useAppSelector((state) => state.compare);
  const isOlder = (of: Design) => !isSameState(of, design);
  let content: ReactNode = null;
  if (shown === 'built' && tolerated)
    content = <BuiltOften told={tolerated.result} design={tolerated.of} isOlder={isOlder(tolerated.of)} />;
  if (shown === 'sweep' && swept) content = <Swept {...swept} isOlder={isOlder(swept.of)} />;
  if (shown === 'variants' && variants.length > 0) content = <Variants variants={variants} />;
  if (shown === 'search' && searched) content = <Found {...searched} isOlder={isOlder(searched.of)} />;
  if (content === null) return <p className="max-w-md p-6 pt-12">{BEFORE[shown]}</p>;
  return (
    <div className="h-full overflow-auto p-4 pt-12" tabIndex={0} role="region" aria-label="Compared">
      {content}
    </div>
  );
}
