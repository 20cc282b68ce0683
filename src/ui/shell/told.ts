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

/** Takes something out of a log, with a word and a way back. @param what as it is called: “The toss” */
export async function takenOut(what: string, work: () => Promise<() => Promise<unknown>>): Promise<void> {
  const putBack = await told(`${what} was not taken out`, work);
  if (!putBack) return;
  toast(`${what} was taken out.`, {
    action: { label: 'Undo', onClick: () => void told(`${what} was not put back`, putBack) },
  });
}
