import { type ComponentType, useMemo } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { isWing } from '@/core/2-document/schema/roles';
import type { Surface, SurfaceRole } from '@/core/2-document/schema/surface';
import { useAppSelector } from '@/store/hooks';
import { type Driven, heldEdits } from '@/store/surfaces';
import { sheetTargets, snapLength } from '@/words/snap';
import { Drawing } from '../drawing/Drawing';
import { type Handle, itemHandles, type Snap, surfaceHandles } from '../drawing/handles';
import { useChosenSurface } from './useChosen';

/** A sheet size pulls a dragged length from this near [mm]. */
const PULL = 4;

/** Where a dragged length comes to rest, when lengths snap. */
function useSnap(materials: Design['materials']): Snap | undefined {
  const units = useAppSelector((state) => state.settings.units);
  const snapping = useAppSelector((state) => state.session.snapping);
  return useMemo(() => {
    if (!snapping) return undefined;
    const targets = sheetTargets(materials);
    return (length) => snapLength(length, { units, targets, pull: PULL });
  }, [snapping, materials, units]);
}

/** What a handle moves first; locks stretch the other. */
const drivenBy = ({ id }: Handle): Driven | null =>
  id.endsWith('-tip') ? 'span' : id.endsWith('-chord') ? 'chord' : null;

interface SurfaceSheetProps {
  readonly design: Design;
  readonly roles: readonly SurfaceRole[];
  /** The stage's own sheet, which may be dragged by the same handles. */
  readonly own?: {
    readonly name: string;
    readonly Sheet: ComponentType<{
      readonly design: Design;
      readonly handles: readonly Handle[];
      readonly chosen: string | null;
    }>;
  };
}

/** The drawing with the chosen surface of some roles to be dragged. */
export function SurfaceSheet({ design, roles, own }: SurfaceSheetProps) {
  const locked = useAppSelector((state) => state.session.locked);
  const chosen = useChosenSurface(design, roles);
  const snap = useSnap(design.materials);
  const handles = useMemo((): Handle[] => {
    const withLocks = (surface: Surface, handle: Handle): Handle => {
      const driven = drivenBy(handle);
      if (driven === null || locked.length === 0 || !isWing(surface)) return handle;
      return {
        ...handle,
        edits: (dx, dy) => [...heldEdits(design, handle.edits(dx, dy), { locked, driven }).edits],
      };
    };
    return chosen
      ? surfaceHandles(chosen, snap).map((handle) => withLocks(chosen, handle))
      : itemHandles(design, false);
  }, [design, chosen, snap, locked]);
  const id = chosen?.id ?? null;
  return (
    <Drawing
      design={design}
      handles={handles}
      dimensioned={id}
      own={own && { name: own.name, sheet: <own.Sheet design={design} handles={handles} chosen={id} /> }}
    />
  );
}
