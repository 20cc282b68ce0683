import { GitBranch } from 'lucide-react';
import type { Design } from '@/core/2-document/schema/design';
import { SideSheet } from '../shell/SideSheet';
import { RevisionsSheet } from './RevisionsSheet';

/** Opens the record of named states. */
export function RevisionsButton({ design }: { readonly design: Design }) {
  return (
    <SideSheet title="Revisions" icon={<GitBranch size={15} aria-hidden="true" />} count={design.revisions.length}>
      <RevisionsSheet design={design} />
    </SideSheet>
  );
}
