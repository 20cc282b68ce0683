import { useEffect, useMemo } from 'react';
import { BufferAttribute, BufferGeometry, DoubleSide, Path as ShapePath, Shape, ShapeGeometry, Vector2 } from 'three';
import { flattened, type Path } from '@/core/3-shape/outline/path';
import { type CutPart, hasOtherSide } from '@/core/4-parts/part';
import { flatPieces } from '@/core/4-parts/facets';
import { placeOnFacet, type Seat } from '@/core/4-parts/seat';

const BALANCE = '#0b6568';
/** How far an arc may be off in the drawing [mm]. */
const FINE = 0.2;

/** A part that is cut, where it sits in the aircraft; the other one of a pair beside it. */
export function PartInSpace({ part }: { readonly part: CutPart & { readonly seat: Seat } }) {
  const isPair = hasOtherSide(part);
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
    // A bent part is drawn flat piece by flat piece: none of its triangles spans a bend.
    const pieces = flatPieces(outline, seat);
    const triangles = pieces.flatMap(({ facet, edge, holes }) => {
      const shape = new Shape(corners(edge));
      shape.holes = holes.map((hole) => new ShapePath(corners(hole)));
      const flat = new ShapeGeometry(shape);
      const [at, order] = [flat.getAttribute('position'), flat.getIndex()!];
      const inSpace = Array.from(order.array, (index) => {
        const [a, b, c] = placeOnFacet(facet, [at.getX(index), at.getY(index)]);
        return [a, side * b, c];
      }).flat();
      flat.dispose();
      return inSpace;
    });
    const filled = new BufferGeometry();
    filled.setAttribute('position', new BufferAttribute(new Float32Array(triangles), 3));
    const lines = pieces.flatMap(({ facet, edge, holes }) =>
      [edge, ...holes].flatMap((path) => {
        const points = flattened(path, FINE).map((point) => placeOnFacet(facet, point));
        return points.flatMap(([a, b, c], index) => {
          const [nextA, nextB, nextC] = points[(index + 1) % points.length]!;
          return [a, side * b, c, nextA, side * nextB, nextC];
        });
      }),
    );
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
