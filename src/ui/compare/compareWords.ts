import type { Design } from '@/core/2-document/schema/design';
import type { UnitKind } from '@/core/1-base/units/unitKind';
import type { ChanceName, ToleratedOutput } from '@/core/9-compare/tolerances/tolerances';

export const CHANCE_WORDS: Readonly<Record<ChanceName, string>> = {
  inWindow: 'Balances in its window',
  handsOff: 'Flies hands off between dive and stall',
  noTipStall: 'Does not stall at a tip first',
  rollTrimmable: 'Holds its wings level within trim',
  firstThrow: 'Flies off the hand at first try',
};

export const OUTPUT_WORDS: Readonly<Record<ToleratedOutput, readonly [words: string, unit: UnitKind]>> = {
  'pitch.staticMargin': ['Static margin', 'percent'],
  'pitch.neutralPoint': ['Neutral point', 'length'],
  'mass.total': ['Mass', 'mass'],
  'mass.cg.0': ['Balances at', 'length'],
  'rigging.handsOffLift': ['Hands-off lift', 'ratio'],
  'rigging.handsOffSpeed': ['Hands-off speed', 'speed'],
  'trim.elevator': ['Pitch trim at cruise', 'angle'],
  'stall.liftCoefficient': ['Greatest lift', 'ratio'],
  'stall.speed': ['Stall speed', 'speed'],
  'asymmetry.aileron': ['Roll trim', 'angle'],
};

const PLAIN: Readonly<Record<string, string>> = {
  balance: 'balance point',
  neutralPoint: 'neutral point',
  mass: 'mass beside boards',
  boards: 'mass of boards',
  greatestLift: 'greatest lift',
  drag: 'drag',
  control: 'effect of controls',
};

/** An input of the tolerances in words, by its id. */
export function inputWords({ surfaces }: Design, id: string): string {
  const [kind = '', of] = id.split(' ');
  const surface = surfaces.find((one) => one.id === of);
  if (!surface) return PLAIN[kind] ?? id;
  const name = (surface.name || surface.id).toLowerCase();
  return kind === 'warp' ? `warp of ${name}` : `angle of ${name}`;
}

/** Numbers of the document that are often varied: their path and how they are called. */
export function sweptFields({ surfaces, massItems, propulsion }: Design): readonly (readonly [string, string])[] {
  return [
    ...surfaces.flatMap(({ id, name, stations }) => {
      const words = name || id;
      const tip = stations.length - 1;
      const of = (path: string) => `/surfaces/${id}/${path}`;
      return [
        [of('incidence'), `${words}: incidence`],
        [of('stations/0/chord'), `${words}: root chord`],
        [of(`stations/${tip}/chord`), `${words}: tip chord`],
        [of(`stations/${tip}/distanceFromRoot`), `${words}: half span`],
        [of(`stations/${tip}/twist`), `${words}: twist at the tip`],
        [of('position/x'), `${words}: place`],
      ] as const;
    }),
    ...massItems
      .filter(({ attachment }) => attachment.kind === 'slides')
      .map(({ id, name }) => [`/massItems/${id}/position/x`, `${name || id}: place`] as const),
    ...propulsion.flatMap(({ id, name }) => [
      [`/propulsion/${id}/propellerDiameter`, `${name || id}: diameter of the propeller`] as const,
      [`/propulsion/${id}/propellerPitch`, `${name || id}: pitch of the propeller`] as const,
      [`/propulsion/${id}/downThrust`, `${name || id}: down thrust`] as const,
    ]),
    ['/conditions/cruiseSpeed', 'Cruise speed'],
  ];
}

/** Numbers of the analysis that a sweep often looks at, with the unit they are shown in. */
export const SWEPT_OUTPUTS: readonly (readonly [name: string, words: string, unit: UnitKind])[] = [
  ['pitch.staticMargin', 'Static margin', 'percent'],
  ['stall.speed', 'Stall speed', 'speed'],
  ['rigging.handsOffLift', 'Hands-off lift', 'ratio'],
  ['trim.elevator', 'Pitch trim at cruise', 'angle'],
  ['mass.total', 'Mass', 'mass'],
  ['speeds.glideRatio', 'Best glide ratio', 'ratio'],
  ['speeds.sink', 'Least sink', 'speed'],
  ['drag.total', 'Drag coefficient at cruise', 'ratio'],
  ['strength.breakingLoadFactor', 'Load factor that breaks it', 'ratio'],
  ['strength.tipDeflection', 'Bending of the tip', 'length'],
  ['power.duration', 'Duration', 'time'],
  ['power.climbRate', 'Climb', 'speed'],
  ['findings.count', 'Findings', 'ratio'],
];
