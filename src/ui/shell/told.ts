import { toast } from 'sonner';
import { storageFault } from '@/storage/storageFault';

/** Does something with the browser's storage; when it cannot be done, that is said with the reason. @returns null then */
export async function told<Result>(what: string, work: () => Promise<Result>): Promise<Result | null> {
  try {
    return await work();
  } catch (error) {
    toast.error(`${what}: ${storageFault(error)}.`, { duration: Infinity, closeButton: true });
    return null;
  }
}
