import { millimetresFromMetres } from '@/core/1-base/units/convert';
import type { BalanceVerdict } from '@/core/7-verdict/balanceVerdict';
import { type DisplayUnits, formatLength } from './formatQuantity';

/** Where it balances against its window, in words. */
export function balanceWords(verdict: BalanceVerdict, units: DisplayUnits): string {
  switch (verdict.kind) {
    case 'inside':
      return 'Balances inside its window';
    case 'noWindow':
      return 'There is no window';
    case 'unknown':
      return 'Not known where it balances';
    case 'aft':
    case 'forward': {
      const by = formatLength(millimetresFromMetres(verdict.by), units, 0);
      return `Balances ${by} too far ${verdict.kind === 'aft' ? 'back' : 'forward'}`;
    }
  }
}
