import { toast } from 'sonner';
import { told } from '../shell/told';
import { useSurroundings } from '../surroundings';

/** Puts designs into the bin, with a word and the way back; false when it failed, which is told. */
export function useRemoval(): (ids: readonly string[], what: string) => Promise<boolean> {
  const { designs } = useSurroundings();
  return async (ids, what) => {
    const done = await told(`Not removed: ${what}`, async () => {
      await designs.putInBin(...ids);
      return true;
    });
    if (!done) return false;
    toast(`Removed: ${what}.`, {
      action: {
        label: 'Undo',
        onClick: () => void told(`Not put back: ${what}`, () => designs.takeFromBin(...ids)),
      },
    });
    return true;
  };
}
