import type { Brief } from '@/core/2-document/schema/brief';
import type { Design } from '@/core/2-document/schema/design';
import { limitsOf, missed } from '../limits';
import type { OutputName } from '../outputs';

/** Which way a number is better; nought where that depends on what else is wanted. */
export type Better = 'more' | 'less' | null;

/** Where slow flight is what it is for. */
const SLOW: ReadonlySet<Brief['purpose']> = new Set(['float', 'train', 'soar']);
/** Where long glides are. */
const GLIDES: ReadonlySet<Brief['purpose']> = new Set(['float', 'soar']);

/** Which way the brief has it, by the name of the number. */
export function betterOf(name: OutputName, { purpose, launch, duration, climbRate }: Brief): Better {
  switch (name) {
    case 'mass.total':
    case 'cost':
    case 'findings.stops':
    case 'findings.cautions':
      return 'less';
    case 'stall.speed':
      return SLOW.has(purpose) || launch === 'hand' ? 'less' : null;
    case 'mass.wingLoading':
      return SLOW.has(purpose) ? 'less' : null;
    case 'speeds.glideRatio':
      return GLIDES.has(purpose) ? 'more' : null;
    case 'speeds.sink':
      return GLIDES.has(purpose) ? 'less' : null;
    case 'drag.total':
      return null;
    case 'power.duration':
      return duration === undefined ? null : 'more';
    case 'power.climbRate':
      return climbRate === undefined ? null : 'more';
    case 'power.maximumSpeed':
      return purpose === 'wind' ? 'more' : null;
    case 'strength.breakingLoadFactor':
      return 'more';
    default:
      return null;
  }
}

export interface Mark {
  /** Best or worst of all that are compared; neither where they are alike. */
  readonly rank: 'best' | 'worst' | null;
  /** It does not keep to what its document asks. */
  readonly fails: boolean;
}

/** Numbers closer than this share of the largest are alike. */
const ALIKE = 0.005;

/** Marks the numbers of one row, one for each design, as the brief of the first has it. */
export function marksOf(name: OutputName, designs: readonly Design[], values: readonly (number | null)[]): Mark[] {
  const better = betterOf(name, designs[0]!.brief);
  const known = values.filter((value) => value !== null);
  const [least, most] = [Math.min(...known), Math.max(...known)];
  const differ = known.length > 1 && most - least > ALIKE * Math.max(Math.abs(most), Math.abs(least));
  const [best, worst] = better === 'more' ? [most, least] : [least, most];
  return values.map((value, index) => ({
    rank:
      better === null || !differ || value === null ? null : value === best ? 'best' : value === worst ? 'worst' : null,
    fails: limitsOf(designs[index]!).some((limit) => limit.name === name && value !== null && missed(limit, value) > 0),
  }));
}
