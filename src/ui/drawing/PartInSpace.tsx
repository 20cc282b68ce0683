import { useEffect, useMemo } from 'react';
import { BufferAttribute, BufferGeometry, DoubleSide, Path as ShapePath, Shape, ShapeGeometry, Vector2 } from 'three';
import { flattened, type Path } from '@/core/3-shape/outline/path';
import type { CutPart } from '@/core/4-parts/part';
import { placeIn, type Seat } from '@/core/4-parts/seat';

const BALANCE = '#0b6568';
/** How far an arc may be off in the drawing [mm]. */
const FINE = 0.2;

/** A part that is cut, where it sits in the aircraft; the other one of a pair beside it. */
export function PartInSpace({ part }: { readonly part: CutPart & { readonly seat: Seat } }) {
  const isPair = part.count > 1 && part.seat[0].origin[1] > 1;
  return (
    <>
      <PartFace part={part} side={1} />
      {isPair && <PartFace part={part} side={-1} />}
    </>
  );
}

function PartFace({
  part: { outline, seat },
  side,
}: {
  readonly part: CutPart & { readonly seat: Seat };
  readonly side: 1 | -1;
}) {
  const { face, rim } = useMemo(() => {
    const corners = (path: Path) => flattened(path, FINE).map(([x, y]) => new Vector2(x, y));
    const shape = new Shape(corners(outline.edge));
    shape.holes = outline.holes.map((hole) => new ShapePath(corners(hole)));
    const place = (x: number, y: number) => {
      const [a, b, c] = placeIn(seat, [x, y]);
      return [a, side * b, c];
    };
    const filled = new ShapeGeometry(shape);
    const flat = filled.getAttribute('position');
    const inSpace = Array.from({ length: flat.count }, (_, index) => place(flat.getX(index), flat.getY(index))).flat();
    filled.setAttribute('position', new BufferAttribute(new Float32Array(inSpace), 3));
    const lines = [outline.edge, ...outline.holes].flatMap((path) => {
      const points = flattened(path, FINE);
      return points.flatMap(([x, y], index) => {
        const [nextX, nextY] = points[(index + 1) % points.length]!;
        return [...place(x, y), ...place(nextX, nextY)];
      });
    });
    const drawn = new BufferGeometry();
    drawn.setAttribute('position', new BufferAttribute(new Float32Array(lines), 3));
    return { face: filled, rim: drawn };
  }, [outline, seat, side]);
  useEffect(
    () => () => {
      face.dispose();
      rim.dispose();
    },
    [face, rim],
  );
  return (
    <>
      <mesh geometry={face} renderOrder={3}>
        <meshBasicMaterial color={BALANCE} side={DoubleSide} depthTest={false} transparent opacity={0.35} />
      </mesh>
      <lineSegments geometry={rim} renderOrder={4}>
        <lineBasicMaterial color={BALANCE} depthTest={false} transparent />
      </lineSegments>
    </>
  );
}
