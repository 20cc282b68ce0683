import { withFields } from '../../document/applyChange';
import { type Design, designSchema } from '../../document/schema/design';
import type { Finding, Remedy, Severity } from '../finding';
import type { AnalysisWithoutFindings, Rule } from '../rule';
import { balanceAft } from './balanceAft';
import { balanceForward } from './balanceForward';
import { cruiseNearStall } from './cruiseNearStall';
import { elevatorAtStop } from './elevatorAtStop';
import { narrowWindow } from './narrowWindow';
import { nothingWeighed } from './nothingWeighed';
import { overWeight } from './overWeight';
import { packOutOfTravel } from './packOutOfTravel';
import { pitchFloor } from './pitchFloor';
import { stifferThanWanted } from './stifferThanWanted';
import { tipStall } from './tipStall';
import { weakFin } from './weakFin';

export const RULES: readonly Rule[] = [
  nothingWeighed,
  balanceAft,
  balanceForward,
  stifferThanWanted,
  packOutOfTravel,
  narrowWindow,
  cruiseNearStall,
  elevatorAtStop,
  pitchFloor,
  tipStall,
  weakFin,
  overWeight,
];

const RANK: Record<Severity, number> = { stop: 2, caution: 1, note: 0 };

type TryOut = (changed: Design) => AnalysisWithoutFindings;

/** What every rule says, gravest first. */
export function checkRules(design: Design, numbers: AnalysisWithoutFindings): Finding[] {
  return RULES.flatMap((rule) => rule.check(design, numbers) ?? []).sort((a, b) => RANK[b.severity] - RANK[a.severity]);
}

/**
 * Findings with the remedies that hold: each candidate is applied to a copy,
 * computed again, and kept only if its finding is gone and nothing graver or
 * new of the same weight has come. Without `tryOut` no remedy is offered.
 */
export function findFindings(design: Design, numbers: AnalysisWithoutFindings, tryOut: TryOut | null): Finding[] {
  const findings = checkRules(design, numbers);
  return findings.map((finding) => ({
    ...finding,
    remedies: tryOut ? finding.remedies.filter((remedy) => holds(design, finding, remedy, findings, tryOut)) : [],
  }));
}

function holds(
  design: Design,
  finding: Finding,
  { change }: Remedy,
  before: readonly Finding[],
  tryOut: TryOut,
): boolean {
  const changed = designSchema.safeParse(withFields(design, change));
  if (!changed.success) return false;
  const after = checkRules(changed.data, tryOut(changed.data));
  return (
    after.every(({ id }) => id !== finding.id) &&
    after.every((other) => {
      const known = before.find(({ id }) => id === other.id);
      return known ? RANK[other.severity] <= RANK[known.severity] : RANK[other.severity] < RANK[finding.severity];
    })
  );
}
