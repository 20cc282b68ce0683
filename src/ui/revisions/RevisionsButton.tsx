import { GitBranch } from 'lucide-react';
import type { Design } from '@/core/2-document/schema/design';
import { SideSheet } from '../shell/SideSheet';
import { RevisionsSheet } from './RevisionsSheet';
import { useRecordCount } from '../records/useRecords';

/** Opens the record of named states. */
export function RevisionsButton({ design }: { readonly design: Design }) {
  const count = useRecordCount('revisions');
  return (
    <SideSheet title="Revisions" icon={<GitBranch size={15} aria-hidden="true" />} count={count}>
      <RevisionsSheet design={design} />
    </SideSheet>
  );
}
