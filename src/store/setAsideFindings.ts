import type { Design } from '@/core/2-document/schema/design';
import type { Finding } from '@/core/7-verdict/finding';
import { editDesign, type EditOutcome } from './edit';
import type { AppThunk } from './reduxStore';

type SetAside = Design['setAside'][number];

/** Findings to be looked at, and those that were set aside with their reasons; a stop is never set aside. */
export function shownFindings<Found extends Pick<Finding, 'id' | 'severity'>>(
  findings: readonly Found[],
  setAside: readonly SetAside[],
): {
  readonly open: readonly Found[];
  readonly aside: readonly { readonly finding: Found; readonly reason: string }[];
} {
  const reasons = new Map(setAside.map(({ finding, reason }) => [finding, reason]));
  const isAside = ({ id, severity }: Found) => severity !== 'stop' && reasons.has(id);
  return {
    open: findings.filter((finding) => !isAside(finding)),
    aside: findings.filter(isAside).map((finding) => ({ finding, reason: reasons.get(finding.id)! })),
  };
}

/** Sets a finding aside, with a reason that stays in the document. */
export const setFindingAside = (finding: string, reason: string): AppThunk<EditOutcome> =>
  editDesign((design) => ({
    ...design,
    setAside: [...design.setAside.filter((entry) => entry.finding !== finding), { finding, reason }],
  }));

/** Brings it back. */
export const bringFindingBack = (finding: string): AppThunk<EditOutcome> =>
  editDesign((design) => ({ ...design, setAside: design.setAside.filter((entry) => entry.finding !== finding) }));
