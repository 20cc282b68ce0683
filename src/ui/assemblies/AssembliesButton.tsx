import { Blocks } from 'lucide-react';
import type { Design } from '@/core/2-document/schema/design';
import { SideSheet } from '../shell/SideSheet';
import { AssembliesSheet } from './AssembliesSheet';

/** Opens the parts that are shared between designs, and their combinations. */
export function AssembliesButton({ design }: { readonly design: Design }) {
  return (
    <SideSheet title="Assemblies" icon={<Blocks size={15} aria-hidden="true" />} count={design.assemblies.length}>
      <AssembliesSheet design={design} />
    </SideSheet>
  );
}
