import type { Surface } from '@/core/2-document/schema/surface';
import { buildOf } from '@/core/3-shape/section/kinds';
import type { Face, FoldPattern } from '@/core/3-shape/pattern/foldPattern';
import { foldsCounted } from '@/core/3-shape/pattern/foldsCounted';
import { useAppSelector } from '@/store/hooks';
import { useRecords } from '../records/useRecords';

/** The strip that a section is folded of, with what trial folds of it or the builder’s own figure taught; none where nothing is folded. */
export function usePatternOf(
  surface: Surface,
  station: number,
): { readonly pattern: FoldPattern | null; readonly scored: Face } {
  const { section, chord } = surface.stations[station]!;
  const scored: Face = (section.kind === 'foldedOverSpar' ? section.scoredFace : undefined) ?? 'inner';
  const records = useRecords('trialFolds');
  const design = useAppSelector(({ document }) => document.present);
  const folds = design ? foldsCounted(design, surface.construction?.material, records) : [];
  return { pattern: buildOf(section).pattern?.(section, chord, { folds, scored }) ?? null, scored };
}
