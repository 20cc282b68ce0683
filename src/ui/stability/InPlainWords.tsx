import { Check, TriangleAlert } from 'lucide-react';
import type { Analysis } from '@/core/analyse';
import { type Verdict, verdicts } from '@/core/6-groups/motion/verdicts';
import { Section } from '../numbers/Section';
import { Say } from '../numbers/Say';

const ABOUT: Record<Verdict['about'], string> = {
  yaw: 'Straight on, it',
  roll: 'Pushed aside, it',
  bank: 'Banked and let go, it',
  wag: 'After a gust its tail',
  nose: 'Nudged, its nose',
  speed: 'Left alone, its path',
};

/** What the numbers mean at the sticks. */
export function InPlainWords({ analysis }: { readonly analysis: Analysis }) {
  const list = verdicts(analysis);
  if (list.length === 0) return null;
  return (
    <Section title="In plain words" isRare>
      <ul data-testid="verdicts">
        {list.map(({ about, word, because, isGood }) => (
          <li key={about} className="flex items-start gap-1.5 border-b border-soft py-1 text-read">
            {isGood ? (
              <Check size={15} className="mt-0.5 shrink-0 text-balance" aria-label="in order" />
            ) : (
              <TriangleAlert size={15} className="mt-0.5 shrink-0 text-caution" aria-label="look again" />
            )}
            <span>
              {ABOUT[about]} <strong className="font-semibold">{word}</strong>
              <span className="block text-label text-faint">
                <Say words={because} />
              </span>
            </span>
          </li>
        ))}
      </ul>
    </Section>
  );
}
