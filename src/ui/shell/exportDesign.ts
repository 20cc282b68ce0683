import { toast } from 'sonner';
import type { Design } from '@/core/2-document/schema/design';
import { exportedFile } from '@/files/designFile';
import type { DesignStore } from '@/storage/designStore';
import { storageFault } from '@/storage/storageFault';
import { downloadFile } from './download';

/** Saves a design with everything that happened to it as one file; the design alone where the storage gives nothing. */
export async function exportDesign(designs: DesignStore, id: string, design: Design): Promise<void> {
  const beside = await designs.records.allOf(id).catch((error: unknown) => {
    toast.error(`What happened to ${design.name} is not in the file: ${storageFault(error)}.`, { duration: Infinity });
    return {};
  });
  downloadFile(exportedFile({ design, ...beside }));
}
