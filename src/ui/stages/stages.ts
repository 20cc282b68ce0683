import { briefSchema } from '@/core/2-document/schema/brief';
import type { Design } from '@/core/2-document/schema/design';
import type { Finding, Stage } from '@/core/7-verdict/finding';

/** The stages in working order. */
export const STAGES: readonly { readonly id: Stage; readonly name: string }[] = [
  { id: 'brief', name: 'Brief' },
  { id: 'wing', name: 'Wing' },
  { id: 'section', name: 'Section' },
  { id: 'tail', name: 'Tail' },
  { id: 'rigging', name: 'Rigging' },
  { id: 'weights', name: 'Weights' },
  { id: 'balance', name: 'Balance' },
  { id: 'stability', name: 'Stability' },
];

export type StageState = 'stop' | 'look again' | 'in order' | 'not started';

const EMPTY_BRIEF = JSON.stringify(briefSchema.parse({}));
const TAIL_ROLES: ReadonlySet<string> = new Set(['tailplane', 'vTail', 'canard', 'fin', 'tipFin']);

/** Whether there is anything yet to judge at a stage. */
function isStarted(design: Design, stage: Stage): boolean {
  const hasWing = design.surfaces.some(({ role }) => role === 'wing');
  const hasMass = design.massItems.length > 0;
  switch (stage) {
    case 'brief':
      return hasWing || JSON.stringify(design.brief) !== EMPTY_BRIEF;
    case 'wing':
    case 'section':
    case 'rigging':
      return hasWing;
    case 'tail':
      return design.surfaces.some(
        ({ role, controls }) => TAIL_ROLES.has(role) || controls.some((control) => control.function === 'elevon'),
      );
    case 'weights':
      return hasMass;
    case 'balance':
    case 'stability':
      return hasWing && hasMass;
  }
}

/** State of a stage from its findings, in words and as a shape. */
export function stageState(
  design: Design,
  findings: readonly Finding[],
  stage: Stage,
): { state: StageState; count: number } {
  const own = findings.filter((finding) => finding.stage === stage);
  const has = (severity: Finding['severity']) => own.some((finding) => finding.severity === severity);
  return {
    state: has('stop') ? 'stop' : has('caution') ? 'look again' : isStarted(design, stage) ? 'in order' : 'not started',
    count: own.length,
  };
}
