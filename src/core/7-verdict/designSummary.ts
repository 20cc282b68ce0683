import type { Design } from '@/core/2-document/schema/design';
import type { Numbers } from '@/core/6-groups/page';
import { balanceVerdict, type BalanceVerdict } from './balanceVerdict';
import type { Finding } from './finding';

/** What a list of designs tells of each: SI units; null where it is not known. */
export interface DesignSummary {
  /** Of the widest wing, projected [m]. */
  readonly span: number | null;
  /** Flying mass [kg]. */
  readonly mass: number | null;
  /** Share of the mean chord. */
  readonly staticMargin: number | null;
  readonly balance: BalanceVerdict;
  /** Findings of each kind that nobody set aside; a stop is never set aside. */
  readonly findings: Readonly<Record<Finding['severity'], number>>;
}

export function designSummary(
  { setAside }: Pick<Design, 'setAside'>,
  analysis: Pick<Numbers, 'reference' | 'mass' | 'pitch' | 'window'> & { readonly findings: readonly Finding[] },
): DesignSummary {
  const aside = new Set(setAside.map(({ finding }) => finding));
  const count = (severity: Finding['severity']) =>
    analysis.findings.filter(
      (finding) => finding.severity === severity && (severity === 'stop' || !aside.has(finding.id)),
    ).length;
  return {
    span: analysis.reference.span,
    mass: analysis.mass.total,
    staticMargin: analysis.pitch.staticMargin,
    balance: balanceVerdict(analysis),
    findings: { stop: count('stop'), caution: count('caution'), note: count('note') },
  };
}
