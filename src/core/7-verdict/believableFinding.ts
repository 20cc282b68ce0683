import { judged, mostOf } from '@/core/1-base/units/mostBelievable';
import type { Amount, Words } from '@/core/1-base/words/phrase';
import type { Finding } from './finding';

type Judge = ReturnType<typeof judged>;

const verdictOf = ({ value, unit }: Amount): Judge => judged(value, unit);

const amountsIn = (words: Words): readonly Amount[] =>
  typeof words === 'string' ? [] : words.filter((piece) => typeof piece !== 'string');

/** The amount, or the limit that stands for it. */
const capped = (amount: Amount): Amount =>
  verdictOf(amount) === 'beyond'
    ? { ...amount, value: Math.sign(amount.value) * mostOf(amount.unit), beyond: true }
    : amount;

const cappedWords = (words: Words): Words =>
  typeof words === 'string' ? words : words.map((piece) => (typeof piece === 'string' ? piece : capped(piece)));

/**
 * A finding in which nothing is told that nobody can know: an amount beyond
 * belief is said as its limit ("over 180°"), since what is wrong stays wrong; a
 * finding that rests on what is no number is none, and a remedy that speaks of
 * either is left out.
 */
export function believableFinding(finding: Finding): Finding | null {
  const amounts = [...amountsIn(finding.message), ...Object.values(finding.numbers)];
  if (amounts.some((amount) => verdictOf(amount) === 'broken')) return null;
  const remedies = finding.remedies.filter(({ label }) =>
    amountsIn(label).every((amount) => verdictOf(amount) === 'fine'),
  );
  return {
    ...finding,
    message: cappedWords(finding.message),
    numbers: Object.fromEntries(Object.entries(finding.numbers).map(([name, amount]) => [name, capped(amount)])),
    remedies,
  };
}
