import type { Design } from '@/core/2-document/schema/design';
import type { Finding, Stage } from '@/core/7-verdict/finding';
import { balance } from '../balance/stage';
import { bench } from '../bench/stage';
import { compare } from '../compare/stage';
import { brief } from '../brief/stage';
import { field } from '../field/stage';
import { glider } from '../glider/stage';
import { plans } from '../plans/stage';
import { power } from '../power/stage';
import { rigging } from '../rigging/stage';
import { section } from '../section/stage';
import { stability } from '../stability/stage';
import { strength } from '../strength/stage';
import { tail } from '../surface/tailStage';
import { wing } from '../surface/wingStage';
import { weights } from '../weights/stage';
import type { StageEntry } from './stage';

/** The stages in working order; one that findings speak of and that is not here does not compile. */
export const STAGES: { readonly [Path in Stage]: StageEntry & { readonly path: Path } } = {
  brief,
  wing,
  section,
  tail,
  rigging,
  weights,
  balance,
  stability,
  strength,
  power,
  plans,
  glider,
  bench,
  field,
  compare,
};

/** What the stages are for, so that a long list stays calm. */
export const STAGE_GROUPS: readonly { readonly title: string; readonly stages: readonly Stage[] }[] = [
  { title: 'Size', stages: ['brief', 'wing', 'section', 'tail', 'rigging', 'weights'] },
  { title: 'Judge', stages: ['balance', 'stability', 'strength', 'power'] },
  { title: 'Build', stages: ['plans', 'glider', 'bench'] },
  { title: 'Fly', stages: ['field', 'compare'] },
];

export const STAGE_LIST: readonly StageEntry[] = Object.values(STAGES);

/** The stage at an address, the wing where there is none. */
export const stageAt = (path: string): StageEntry => STAGE_LIST.find((stage) => stage.path === path) ?? wing;

export type StageState = 'stop' | 'look again' | 'in order' | 'not started';

/** State of a stage from its findings, in words and as a shape. */
export function stageState(
  design: Design,
  findings: readonly Finding[],
  path: Stage,
): { state: StageState; count: number } {
  const own = findings.filter((finding) => finding.stage === path);
  const has = (severity: Finding['severity']) => own.some((finding) => finding.severity === severity);
  const state = has('stop')
    ? 'stop'
    : has('caution')
      ? 'look again'
      : STAGES[path].isStarted(design)
        ? 'in order'
        : 'not started';
  return { state, count: own.length };
}
