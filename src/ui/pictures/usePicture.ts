import { useEffect, useState } from 'react';
import { useAppSelector } from '@/store/hooks';
import type { Photo } from '@/store/pictures';
import { useSurroundings } from '../surroundings';

export interface Shown {
  readonly url: string;
  /** Height over width. */
  readonly ratio: number;
}

/** A picture of the open design as it can be shown; nothing until it is read, or where it cannot be. */
export function usePicture(id: string, type: Photo['type']): Shown | null {
  const { designs } = useSurroundings();
  const designId = useAppSelector((state) => state.session.id);
  const [shown, setShown] = useState<Shown | null>(null);
  useEffect(() => {
    let url: string | null = null;
    let isWanted = true;
    const load = async () => {
      const bytes = (await designs.records.body('photos', designId!, id)) as Uint8Array<ArrayBuffer> | undefined;
      if (!bytes) return;
      const blob = new Blob([bytes], { type });
      const { width, height } = await createImageBitmap(blob);
      if (!isWanted) return;
      url = URL.createObjectURL(blob);
      setShown({ url, ratio: height / width });
    };
    // What cannot be shown is left out: what stands round it stays.
    void load().catch(() => undefined);
    return () => {
      isWanted = false;
      if (url) URL.revokeObjectURL(url);
    };
  }, [designs, designId, id, type]);
  return shown;
}
