import type { Check } from '@/core/5-strength/checks/check';

/** What a check is about, in words. */
export const CHECK_WORDS: Readonly<Record<Check['kind'], string>> = {
  bandsHold: 'Bands hold what hangs under them',
  bandsBite: 'Bands bite into the edge',
  joinerSocket: 'Joiner presses in its socket',
  finRoot: 'Glue at the root, in a dive',
  packHeld: 'Held when it lands',
  noseLanding: 'Nose bends when it lands',
  tailLanding: 'Tail bends when it lands',
  saddle: 'Wing presses on its seat',
  undercarriage: 'Leg presses on its plate',
  motorMount: 'Glue of the bulkhead',
  coverPull: 'Cover bows the rear edge',
};
