import { millimetresFromMetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Body } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { developedLength, placeSurface, planformAt } from './layout';

/** Room between the inboard end of a control and the nearest body, at full throw. */
export interface HingeClearance {
  readonly surface: string;
  readonly control: string;
  readonly body: string;
  /** Sideways gap [mm]; negative when the control would run into the body. */
  readonly gap: number;
}

/** Gap that a board edge needs so as not to rub [mm]. */
export const LEAST_GAP = 2;

function widthAt({ frames, position }: Body, x: number): { half: number; top: number; bottom: number } | null {
  const along = x - position.x;
  const next = frames.findIndex((frame) => frame.x >= along);
  if (next < 0 || along < frames[0]!.x) return null;
  const b = frames[next]!;
  const a = frames[Math.max(0, next - 1)]!;
  const share = a === b ? 0 : (along - a.x) / (b.x - a.x);
  const between = (key: 'width' | 'top' | 'bottom') => a[key] + (b[key] - a[key]) * share;
  return { half: between('width') / 2, top: position.z + between('top'), bottom: position.z + between('bottom') };
}

const PLACES = 6;

/**
 * Level controls that sweep up and down past a body: along the control's own
 * chord, the body's half width there against the control's inboard end, where
 * the sweep of its trailing edge meets the body's height. Millimetres.
 */
export function hingeClearances({ surfaces, bodies }: Pick<Design, 'surfaces' | 'bodies'>): HingeClearance[] {
  return surfaces
    .filter(({ mirrored }) => mirrored)
    .flatMap((surface) => {
      const placed = placeSurface(surface);
      return surface.controls.flatMap((control) => {
        const root = planformAt(placed, control.from * developedLength(placed));
        const hinge = control.allMoving ? 0 : control.hingeInboard;
        const inboard = millimetresFromMetres(root.y);
        let tightest: HingeClearance | null = null;
        for (const body of bodies) {
          for (let place = 1; place <= PLACES; place++) {
            const aft = (millimetresFromMetres((1 - hinge) * root.chord) * place) / PLACES;
            const at = widthAt(body, millimetresFromMetres(root.x + hinge * root.chord) + aft);
            if (!at) continue;
            const z = millimetresFromMetres(root.z);
            const up = aft * Math.sin(radiansFromDegrees(control.throwUp));
            const down = aft * Math.sin(radiansFromDegrees(control.throwDown));
            // A body that the board lies wholly above or below is not in the way.
            if (z - down > at.top || z + up < at.bottom) continue;
            const gap = inboard - (Math.abs(body.position.y) + at.half);
            if (body.position.y !== 0 && inboard < body.position.y) continue;
            if (!tightest || gap < tightest.gap)
              tightest = { surface: surface.id, control: control.id, body: body.id, gap };
          }
        }
        return tightest ? [tightest] : [];
      });
    });
}
