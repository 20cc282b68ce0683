import { useParams } from 'react-router';
import { toast } from 'sonner';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { sharingShown } from '@/store/sessionSlice';
import { stageAt } from '../stages/stages';
import { savePicture } from './sheetPicture';

/** What can be taken from the open stage to paper: its drawing as a picture, or the stage with its numbers. */
export function useSheetActions() {
  const dispatch = useAppDispatch();
  const { stage = 'wing' } = useParams();
  const name = useAppSelector((state) => state.document.present?.name);
  return [
    {
      name: 'Save a picture of this sheet',
      isOff: name === undefined,
      run: () => {
        if (!savePicture(name!, stageAt(stage).title))
          toast.error('This sheet holds no drawing: choose another view of it.');
      },
    },
    { name: 'Send to another device', isOff: name === undefined, run: () => dispatch(sharingShown(true)) },
    { name: 'Print this stage', isOff: name === undefined, run: () => window.print() },
  ] as const;
}
