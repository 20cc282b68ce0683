import type { Design } from '@/core/2-document/schema/design';
import { exportedFile } from '@/files/designFile';
import type { DesignStore } from '@/storage/designStore';
import { downloadFile } from './download';

/** Saves a design with everything that happened to it as one file. */
export async function exportDesign(designs: DesignStore, id: string, design: Design): Promise<void> {
  downloadFile(exportedFile({ design, ...(await designs.records.allOf(id)) }));
}
