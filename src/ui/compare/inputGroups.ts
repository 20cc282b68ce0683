import type { Design } from '@/core/2-document/schema/design';
import { otherInputs, varied } from './compareWords';
import type { OptionGroup } from './OneOfMany';

/** Numbers of the document beside the usual ones, by their part. @param but what is chosen already */
export const inputGroups = (design: Design, but: readonly string[] = []): OptionGroup[] =>
  otherInputs(design)
    .map(({ part, paths }) => ({
      name: part,
      values: paths.filter((path) => !but.includes(path)),
      wordsOf: (path: string) => varied(design, path),
    }))
    .filter(({ values }) => values.length > 0);
