import type { Design } from '@/core/2-document/schema/design';

/** Asked before every flight, in this order; arming comes last. */
export function preflightItems({ propulsion, massItems }: Design, own: readonly string[]): string[] {
  const isRubber = propulsion.some(({ rubber }) => rubber);
  const isArmed = propulsion.length > 0 && !isRubber;
  const hasPack = massItems.some(({ category }) => category === 'battery');
  return [
    'Local rules and the club allow this flight here',
    'Nothing loose: wings, hinges, horns and hatches pulled at',
    'Balance checked ready to fly, pack fixed',
    'Controls free, in the middle, and the right way',
    ...(massItems.some(({ category }) => category === 'receiver')
      ? ['Range checked, failsafe closes the throttle']
      : []),
    ...(hasPack ? ['Pack charged, neither swollen nor dented, not cold'] : []),
    'Wind and light within what it and its pilot are used to',
    ...own,
    'First flights over empty ground, spectators behind the line',
    ...(isRubber ? ['Eyes shielded while it is wound, blades held'] : []),
    ...(isArmed ? ['Armed last, hand clear of the disc'] : []),
  ];
}
