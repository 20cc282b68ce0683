import { useNavigate } from 'react-router';
import { redone, undone } from '@/store/documentSlice';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { snappingChanged } from '@/store/sessionSlice';
import { groupsOpened, paneShown, unitsChanged } from '@/store/settingsSlice';
import { exportDesign } from '../shell/exportDesign';
import { told } from '../shell/told';
import { useSheetActions } from '../shell/useSheetActions';
import { useSurroundings } from '../surroundings';

export interface Action {
  readonly name: string;
  readonly keys?: string;
  readonly isOff?: boolean;
  readonly run: () => unknown;
}

/** What can be done from anywhere on the bench. */
export function useActions(): readonly Action[] {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { designs } = useSurroundings();
  const { id, snapping } = useAppSelector((state) => state.session);
  const { present: design, past, future } = useAppSelector((state) => state.document);
  const { groups, panes, units } = useAppSelector((state) => state.settings);
  return [
    { name: 'Undo', keys: 'Ctrl Z', isOff: past.length === 0, run: () => dispatch(undone()) },
    { name: 'Redo', keys: 'Ctrl Shift Z', isOff: future.length === 0, run: () => dispatch(redone()) },
    {
      name: 'Export the design as a file',
      isOff: id === null || !design,
      run: () => told('It was not exported', () => exportDesign(designs, id!, design!)),
    },
    ...useSheetActions(),
    { name: 'Go to all designs', run: () => navigate('/') },
    {
      name: groups.allOpen ? 'Fold what is rarely needed' : 'Open all groups',
      run: () => dispatch(groupsOpened(!groups.allOpen)),
    },
    {
      name: panes.inputs ? 'Push the inputs in' : 'Pull the inputs out',
      run: () => dispatch(paneShown({ pane: 'inputs', isShown: !panes.inputs })),
    },
    {
      name: panes.beam ? 'Fold the beam to one line' : 'Show the whole beam',
      run: () => dispatch(paneShown({ pane: 'beam', isShown: !panes.beam })),
    },
    {
      name: snapping ? 'Let drags take any length' : 'Let drags meet sheet sizes and whole steps',
      run: () => dispatch(snappingChanged(!snapping)),
    },
    units.length === 'mm'
      ? { name: 'Lengths in inches', run: () => dispatch(unitsChanged({ length: 'in' })) }
      : { name: 'Lengths in millimetres', run: () => dispatch(unitsChanged({ length: 'mm' })) },
    units.mass === 'g'
      ? { name: 'Weights in ounces', run: () => dispatch(unitsChanged({ mass: 'oz' })) }
      : { name: 'Weights in grams', run: () => dispatch(unitsChanged({ mass: 'g' })) },
  ];
}
