import type { Words } from '@/core/1-base/words/phrase';
import { useAppSelector } from '@/store/hooks';
import { sentence } from '@/words/formatQuantity';
import { Typeset } from './Typeset';

/** Turns sentences of the core into text in the chosen units, for names and titles. */
export function useSentence(): (words: Words) => string {
  const units = useAppSelector((state) => state.settings.units);
  return (words) => sentence(words, units);
}

/** A sentence of the core in the chosen units. */
export function Say({ words }: { readonly words: Words }) {
  return <Typeset text={useSentence()(words)} />;
}
