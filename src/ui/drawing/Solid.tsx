import { useEffect, useMemo } from 'react';
import { BufferAttribute, BufferGeometry, DoubleSide, EdgesGeometry } from 'three';
import type { Design } from '@/core/2-document/schema/design';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import { bodySolid, surfaceSolid, type Triangles } from './solids';

const PAPER = '#fdfbf6';
const GRAPHITE = '#2a2c30';

/** Everything of a design that has a shape, both sides. @param steeper how much steeper than drawn angles against the datum are */
export const solidsOf = (design: Design, placed: readonly PlacedSurface[], steeper: number): Triangles[] => [
  ...placed.flatMap((surface) =>
    (surface.mirrored ? ([1, -1] as const) : ([1] as const)).map((side) => surfaceSolid(surface, side, steeper)),
  ),
  ...design.bodies.flatMap((body) =>
    (body.mirrored ? ([1, -1] as const) : ([1] as const)).map((side) => bodySolid(body, side)),
  ),
];

/** A solid of paper with its edges drawn. */
export function Solid({ triangles, edge = GRAPHITE }: { readonly triangles: Triangles; readonly edge?: string }) {
  const { geometry, edges } = useMemo(() => {
    const shape = new BufferGeometry();
    shape.setAttribute('position', new BufferAttribute(triangles, 3));
    shape.computeVertexNormals();
    return { geometry: shape, edges: new EdgesGeometry(shape, 30) };
  }, [triangles]);
  useEffect(
    () => () => {
      geometry.dispose();
      edges.dispose();
    },
    [geometry, edges],
  );
  return (
    <>
      <mesh geometry={geometry}>
        <meshLambertMaterial
          color={PAPER}
          side={DoubleSide}
          polygonOffset
          polygonOffsetFactor={1}
          polygonOffsetUnits={1}
        />
      </mesh>
      <lineSegments geometry={edges}>
        <lineBasicMaterial color={edge} />
      </lineSegments>
    </>
  );
}
