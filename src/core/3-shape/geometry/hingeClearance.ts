import { millimetresFromMetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Body } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { sliceAt } from './bodySlice';
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

const PLACES = 6;

/** True when the body is there at the hinge line, with some of it above and below. */
function crosses(body: Body, x: number, z: number): boolean {
  const at = sliceAt(body, x);
  return at !== null && at.half > 0 && z > at.bottom && z < at.top;
}

/**
 * Level controls whose hinge line runs into a body: along the control's own
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
          if (!crosses(body, millimetresFromMetres(root.x + hinge * root.chord), millimetresFromMetres(root.z)))
            continue;
          for (let place = 1; place <= PLACES; place++) {
            const aft = (millimetresFromMetres((1 - hinge) * root.chord) * place) / PLACES;
            const at = sliceAt(body, millimetresFromMetres(root.x + hinge * root.chord) + aft);
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
