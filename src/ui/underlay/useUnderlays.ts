import { useLiveQuery } from 'dexie-react-hooks';
import type { Photo } from '@/store/pictures';
import type { Underlay } from '@/store/underlays';
import { useAppSelector } from '@/store/hooks';
import { useSurroundings } from '../surroundings';

export type LaidPhoto = Photo & { readonly underlay: Underlay };

/** Pictures that lie under the drawing of the open design, the oldest first. */
export function useUnderlays(): readonly LaidPhoto[] {
  const { designs } = useSurroundings();
  const id = useAppSelector((state) => state.session.id);
  const photos = useLiveQuery(() => (id === null ? [] : designs.records.heads('photos', id)), [designs, id]);
  return (photos ?? []).filter((photo): photo is LaidPhoto => photo.underlay !== undefined);
}
