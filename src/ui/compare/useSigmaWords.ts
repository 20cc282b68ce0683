import { type Metres, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Tolerance } from '@/core/9-compare/tolerances/inputs';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatField, formatLength, formatValue } from '@/words/formatQuantity';
import { unitOfInput } from './compareWords';

/** How far one input is off, in the reader’s units. */
export function useSigmaWords() {
  const units = useAppSelector((state) => state.settings.units);
  return ({ kind, sigma, id }: Pick<Tolerance, 'kind' | 'sigma' | 'id'>): string => {
    switch (kind) {
      case 'incidence':
      case 'warp':
        return formatValue(sigma, 'angle', units);
      case 'balance':
      case 'neutralPoint':
        return formatLength(millimetresFromMetres(sigma as Metres), units, 1);
      case 'field':
        return formatField(sigma, unitOfInput(id), units);
      default:
        return `${decimal(100 * sigma, 1)} %`;
    }
  };
}
