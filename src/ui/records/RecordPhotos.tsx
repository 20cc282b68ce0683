import { Trash2 } from 'lucide-react';
import { toast } from 'sonner';
import { useAppDispatch } from '@/store/hooks';
import { addPicture, dropPicture, type Photo } from '@/store/pictures';
import { ChoosePicture } from '../pictures/ChoosePicture';
import { fittingPicture } from '../pictures/fittingPicture';
import { usePicture } from '../pictures/usePicture';
import { useRecords } from './useRecords';
import { IconButton } from '../shell/buttons';
import { told } from '../shell/told';

/** Photographs of a toss or a flight: how it was held, what was on it, where it came down. */
export function RecordPhotos({ of: id }: { readonly of: string }) {
  const dispatch = useAppDispatch();
  const photos = useRecords('photos').filter(({ part }) => part === id);
  const take = (file: File) =>
    told(`${file.name} was not kept`, async () => {
      await dispatch(addPicture(await fittingPicture(file), { part: id }));
    });
  return (
    <div className="col-span-2 flex flex-wrap items-start gap-2">
      {photos.map((photo) => (
        <RecordPhoto key={photo.id} photo={photo} />
      ))}
      <ChoosePicture label="Photo" onChoose={(file) => void take(file)} />
    </div>
  );
}

function RecordPhoto({ photo: { id, name, type } }: { readonly photo: Photo }) {
  const dispatch = useAppDispatch();
  const shown = usePicture(id, type);
  const words = `Photo ${name || id}`;
  const drop = async () => {
    const back = await told('It was not taken away', () => dispatch(dropPicture(id)));
    if (back) toast(`${words} was taken away.`, { action: { label: 'Undo', onClick: () => void back() } });
  };
  return (
    <div className="relative w-28 border border-rule bg-sheet">
      {shown ? (
        <img src={shown.url} alt={words} className="block w-full" />
      ) : (
        <p className="p-2 text-label text-faint">{words}</p>
      )}
      <span className="absolute top-0 right-0 bg-sheet">
        <IconButton label={`Take ${words} away`} icon={<Trash2 size={15} />} onClick={() => void drop()} />
      </span>
    </div>
  );
}
