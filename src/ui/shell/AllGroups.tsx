import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { groupsOpened } from '@/store/settingsSlice';
import { Button } from './buttons';

/** Opens every group of inputs, or folds again what is needed now and then. */
export function AllGroups() {
  const dispatch = useAppDispatch();
  const allOpen = useAppSelector((state) => state.settings.groups.allOpen);
  return (
    <div className="px-2 py-2">
      <Button look="quiet" onClick={() => dispatch(groupsOpened(!allOpen))}>
        {allOpen ? 'Fold what is rarely needed' : 'Open all groups'}
      </Button>
    </div>
  );
}
