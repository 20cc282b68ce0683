import type { Finding, Stage } from '@/core/findings/finding';

/** The stages in working order. */
export const STAGES: readonly {
  readonly id: Stage;
  readonly name: string;
  readonly about: string;
}[] = [
  { id: 'brief', name: 'Brief', about: 'What it is for, what is at hand, a first size' },
  { id: 'wing', name: 'Wing', about: 'Span, chords, sweep, dihedral, washout' },
  { id: 'section', name: 'Section', about: 'How it is cut and folded, and what that makes of the air' },
  { id: 'tail', name: 'Tail', about: 'Tailplane, fin, canard, their place, size and controls' },
  { id: 'rigging', name: 'Rigging', about: 'Angles against the datum, shims, trim' },
  { id: 'weights', name: 'Weights', about: 'Board, equipment and where it sits' },
  { id: 'balance', name: 'Balance', about: 'Where it balances and where it should' },
  { id: 'stability', name: 'Stability', about: 'Margins, stall, downwash, how sure' },
];

export type StageState = 'stop' | 'look again' | 'in order';

/** State of a stage from its findings, in words and as a shape. */
export function stageState(findings: readonly Finding[], stage: Stage): { state: StageState; count: number } {
  const own = findings.filter((finding) => finding.stage === stage);
  const has = (severity: Finding['severity']) => own.some((finding) => finding.severity === severity);
  return {
    state: has('stop') ? 'stop' : has('caution') ? 'look again' : 'in order',
    count: own.length,
  };
}
