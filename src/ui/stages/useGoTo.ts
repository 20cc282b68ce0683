import { useNavigate, useParams } from 'react-router';
import type { Design } from '@/core/2-document/schema/design';
import { ROLES } from '@/core/2-document/schema/roles';
import type { Stage } from '@/core/7-verdict/finding';
import { useAppDispatch } from '@/store/hooks';
import { bodyChosen, surfaceChosen } from '@/store/sessionSlice';
import { groupFolded, paneShown } from '@/store/settingsSlice';

/** A part of the airframe or of what is carried in it. */
export interface PartPlace {
  readonly kind: 'surface' | 'body' | 'item';
  readonly id: string;
}

/** Frames that a stage may take until its fields are there. */
const PATIENCE = 90;

/** The control that a label of the page belongs to; words that stand for a whole field are compared as they are read. */
function controlNamed(label: string): HTMLElement | null {
  const found = [...document.querySelectorAll<HTMLLabelElement>('#numbers label, main label')].find(
    (candidate) => candidate.textContent === label && candidate.checkVisibility(),
  );
  return (found?.control as HTMLElement | null | undefined) ?? null;
}

/** Gives a field the focus as soon as it is on the page. */
function focusWhenThere(label: string, patience = PATIENCE): void {
  const control = controlNamed(label);
  if (control) {
    control.scrollIntoView({ block: 'center' });
    control.focus();
  } else if (patience > 0) requestAnimationFrame(() => focusWhenThere(label, patience - 1));
}

/** Ways to a stage, to one of its fields, and to the fields of a part. */
export function useGoTo() {
  const navigate = useNavigate();
  const { id } = useParams();
  const dispatch = useAppDispatch();
  const stage = (path: Stage) => void navigate(`/design/${id}/${path}`);
  const field = (path: Stage, group: string | null, label: string) => {
    if (group !== null) dispatch(groupFolded({ name: group, isOpen: true }));
    dispatch(paneShown({ pane: 'inputs', isShown: true }));
    stage(path);
    requestAnimationFrame(() => focusWhenThere(label));
  };
  const part = (design: Design, place: PartPlace) => {
    const nameOf = (list: readonly { readonly id: string; readonly name: string }[]) =>
      list.find((candidate) => candidate.id === place.id)?.name || place.id;
    if (place.kind === 'item') return field('weights', null, `Mass of ${nameOf(design.massItems)}`);
    if (place.kind === 'body') {
      dispatch(bodyChosen(place.id));
      return field('weights', 'Board parts', `Sheet of ${nameOf(design.bodies)}`);
    }
    const surface = design.surfaces.find((candidate) => candidate.id === place.id);
    if (!surface) return undefined;
    dispatch(surfaceChosen({ surface: surface.id }));
    return field(ROLES[surface.role].stage, 'Place of a surface', 'Name');
  };
  return { stage, field, part };
}
