import type { Design } from '@/core/2-document/schema/design';
import { airAt } from '@/core/5-aero/atmosphere';
import { targetsOf } from '@/core/6-groups/ceilings/briefTargets';
import type { Numbers } from '@/core/6-groups/page';
import { type Limit, limitsOf, missed } from '../limits';

/** A demand, and how it was met. */
export interface Met {
  readonly limit: Limit;
  readonly value: number | null;
  /** Share of the limit by which it is missed; nought where it is met. */
  readonly miss: number;
}

/** What a throw, a bungee or a field bears of stall speed; nothing where the brief says nothing of them. */
function stallLimit({ brief, conditions }: Design, { stall, mass }: Numbers): Limit[] {
  if (stall.liftCoefficient === null || mass.total === null) return [];
  const { targetWingLoading: _, ...asked } = brief;
  const air = airAt(conditions.elevation, conditions.temperature);
  const speeds = targetsOf(asked, air, stall.liftCoefficient, mass.total)
    .bounds.filter(({ kind }) => kind === 'physics')
    .map(({ speed }) => speed);
  return speeds.length > 0 ? [{ name: 'stall.speed', kind: 'most', value: Math.min(...speeds) }] : [];
}

const valueOf = (numbers: Numbers, name: string): number | null => {
  const [group, key] = name.split('.') as [keyof Numbers, string];
  const value = (numbers[group] as unknown as Record<string, unknown>)[key];
  return typeof value === 'number' ? value : null;
};

/**
 * What a light lattice may be off by: neutral points by half a percent of the
 * chord, speeds by as much of themselves. @see docs/validation.md
 */
const LIGHT = { margin: 0.006, share: 0.005 } as const;

/** Of what lies between two limits of one number so much may be kept in reserve at each. */
const OF_RANGE = 1 / 3;

/** A limit with so much in reserve that the whole lattice keeps to it as well. */
function inReserve({ name, kind, value }: Limit, { balance }: Design): Limit {
  const inward = kind === 'least' ? 1 : -1;
  const range = balance.maximumStaticMargin - balance.minimumStaticMargin;
  const by = name === 'pitch.staticMargin' ? Math.min(LIGHT.margin, OF_RANGE * range) : LIGHT.share * Math.abs(value);
  return { name, kind, value: value + inward * by };
}

/** Everything that is asked of a design, margins on both sides among it, and how far it is met; on a light lattice with a reserve. */
export function demandsOf(design: Design, numbers: Numbers, isLight = false): Met[] {
  const limits: Limit[] = [
    ...limitsOf(design),
    { name: 'pitch.staticMargin', kind: 'most', value: design.balance.maximumStaticMargin },
    ...stallLimit(design, numbers),
  ];
  return limits.map((limit) => {
    const value = valueOf(numbers, limit.name);
    return { limit, value, miss: missed(isLight ? inReserve(limit, design) : limit, value) };
  });
}
