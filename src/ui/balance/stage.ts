import { canBalance } from '../stages/isStarted';
import type { StageEntry } from '../stages/stage';
import { BalanceSheet } from './BalanceSheet';
import { BalanceStage } from './BalanceStage';

export const balance = {
  path: 'balance',
  title: 'Balance',
  isStarted: canBalance,
  task: 'Slide the pack until the balance point lies inside its window, with room at both ends.',
  fields: [
    ['Balance', 'Front support at'],
    ['Balance', 'Rear support at'],
    ['Bring it to', 'Balance at'],
    ['Wanted', 'Least static margin'],
    ['Wanted', 'Greatest static margin'],
    ['Wanted', 'Cruise speed'],
    ['Wanted', 'Field above sea (m)'],
    ['Wanted', 'Air temperature (°C)'],
    ['Wanted', 'Stated C_Lmax (empty: computed)'],
    ['What adding would do', 'Put in'],
  ],
  Sheet: BalanceSheet,
  Inputs: BalanceStage,
} as const satisfies StageEntry;
