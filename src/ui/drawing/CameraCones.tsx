import { radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { coneIn } from '@/core/3-shape/outline/cameraView';
import type { PlanFrame } from './planFrame';

/** How far a cone is drawn [px]. */
const REACH = 150;

/** What each camera sees, as a cone in plan and from the side. */
export function CameraCones({ design, frame }: { readonly design: Design; readonly frame: PlanFrame }) {
  const { u, plan, side, sideOnly } = frame;
  const cones = design.massItems.flatMap(({ id, view, position }) =>
    view
      ? (sideOnly ? (['side'] as const) : (['plan', 'side'] as const)).map((of) => {
          const { towards, half } = coneIn(of, view);
          const [x, y] = [u(position.x), of === 'plan' ? plan(position.y) : side(position.z)];
          const at = (angle: number) => {
            const turned = radiansFromDegrees(angle);
            return `${x + REACH * Math.cos(turned)} ${y - REACH * Math.sin(turned)}`;
          };
          return {
            key: `${id}-${of}`,
            path: `M${x} ${y} L${at(towards - half)} A${REACH} ${REACH} 0 ${half > 90 ? 1 : 0} 0 ${at(towards + half)} Z`,
          };
        })
      : [],
  );
  return (
    <g
      aria-hidden="true"
      fill="var(--color-balance)"
      fillOpacity={0.1}
      stroke="var(--color-balance)"
      strokeDasharray="3 3"
    >
      {cones.map(({ key, path }) => (
        <path key={key} d={path} data-testid="camera-cone" pointerEvents="none" />
      ))}
    </g>
  );
}
