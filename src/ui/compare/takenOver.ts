import { toast } from 'sonner';
import type { EditOutcome } from '@/store/edit';
import { sentence } from '@/words/formatQuantity';
import { told } from '../shell/told';

/** Letters that a revision may be called by. */
const LONGEST = 80;

export const nameOfRevision = (words: string): string =>
  words.length <= LONGEST ? words : `${words.slice(0, LONGEST - 1)}…`;

/** Takes something over as what is drawn, and says that it was, or why not. */
export async function takenOver(work: () => Promise<EditOutcome>): Promise<void> {
  const outcome = await told('It was not taken over', async () => ({ fault: await work() }));
  if (outcome?.fault) toast.error(`It was not taken over: ${sentence(outcome.fault.message)}`);
  else if (outcome) toast('Taken over and kept as a revision. Undo goes back to what was drawn.');
}
