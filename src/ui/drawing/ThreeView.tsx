import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo, useRef, useState } from 'react';
import { BufferAttribute, BufferGeometry, DoubleSide, EdgesGeometry } from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import type { Design } from '@/core/2-document/schema/design';
import { useAppSelector } from '@/store/hooks';
import { partChosenOf } from '@/store/plansSlice';
import { Button } from '../shell/buttons';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { extentsOf } from '@/core/3-shape/outline/extents';
import { PartInSpace } from './PartInSpace';
import { bodySolid, surfaceSolid, type Triangles } from './solids';

const STEEPER = [1, 3, 6] as const;
const PAPER = '#fdfbf6';
const GRAPHITE = '#2a2c30';
const BALANCE = '#0b6568';

/** The model in space: turn it with the mouse or the buttons; angles against the datum can be drawn steeper. */
export default function ThreeView({ design }: { readonly design: Design }) {
  const [steeper, setSteeper] = useState<number>(1);
  const [turn, setTurn] = useState({ azimuth: -0.9, height: 0.6 });
  const analysis = useAppSelector((state) => state.analysis.current);
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const { xMin, xMax, yMax } = useMemo(() => extentsOf(design, placed), [design, placed]);
  const solids = useMemo(
    () => [
      ...placed.flatMap((surface) =>
        (surface.mirrored ? ([1, -1] as const) : ([1] as const)).map((side) => surfaceSolid(surface, side, steeper)),
      ),
      ...design.bodies.flatMap((body) =>
        (body.mirrored ? ([1, -1] as const) : ([1] as const)).map((side) => bodySolid(body, side)),
      ),
    ],
    [placed, design.bodies, steeper],
  );
  const part = useAppSelector(({ plans: { laid, chosen: id } }) => laid && partChosenOf(laid.list, id));
  const chosen = steeper === 1 && part?.seat ? { ...part, seat: part.seat } : null;
  const middle = (xMin + xMax) / 2;
  const size = Math.max(xMax - xMin, 2 * yMax);
  const cg = analysis?.mass.cg;
  const neutral = analysis?.pitch.neutralPoint;
  const rotate = (azimuth: number, height: number) =>
    setTurn((before) => ({
      azimuth: before.azimuth + azimuth,
      height: Math.min(1.5, Math.max(-1.5, before.height + height)),
    }));
  return (
    <div className="relative h-full w-full" data-testid="drawing">
      <div
        role="img"
        aria-label={`${design.name} in space, angles against the datum drawn ${steeper} times as steep${chosen ? `, ${chosen.name} where it sits` : ''}`}
        className="h-full w-full"
      >
        <Canvas frameloop="demand" orthographic camera={{ near: -20000, far: 20000 }} dpr={[1, 2]}>
          <ambientLight intensity={1.6} />
          <directionalLight position={[-1, -1, 2]} intensity={1.7} />
          <Viewpoint turn={turn} size={size} />
          <group position={[-middle, 0, 0]}>
            {solids.map((triangles, index) => (
              <Solid key={index} triangles={triangles} />
            ))}
            {chosen && <PartInSpace part={chosen} />}
            <Datum from={xMin - 0.06 * size} to={xMax + 0.06 * size} />
            {cg && (
              <mesh position={[millimetresFromMetres(cg[0]), 0, millimetresFromMetres(cg[2])]} renderOrder={2}>
                <sphereGeometry args={[size * 0.012, 20, 14]} />
                <meshBasicMaterial color={BALANCE} depthTest={false} transparent />
              </mesh>
            )}
            {typeof neutral === 'number' && (
              <mesh position={[millimetresFromMetres(neutral), 0, millimetresFromMetres(cg?.[2] ?? 0)]} renderOrder={2}>
                <octahedronGeometry args={[size * 0.013]} />
                <meshBasicMaterial color={GRAPHITE} wireframe depthTest={false} transparent />
              </mesh>
            )}
          </group>
        </Canvas>
      </div>
      <div className="absolute bottom-2 left-3 flex flex-wrap items-center gap-1 text-label">
        <span className="text-faint">Angles drawn</span>
        {STEEPER.map((factor) => (
          <Button
            key={factor}
            look={steeper === factor ? 'plain' : 'quiet'}
            aria-pressed={steeper === factor}
            onClick={() => setSteeper(factor)}
          >
            {factor} ×
          </Button>
        ))}
        <span className="ml-3 text-faint">Turn</span>
        <Button look="quiet" aria-label="Turn left" onClick={() => rotate(-0.3, 0)}>
          ←
        </Button>
        <Button look="quiet" aria-label="Turn right" onClick={() => rotate(0.3, 0)}>
          →
        </Button>
        <Button look="quiet" aria-label="From higher up" onClick={() => rotate(0, 0.25)}>
          ↑
        </Button>
        <Button look="quiet" aria-label="From lower down" onClick={() => rotate(0, -0.25)}>
          ↓
        </Button>
      </div>
    </div>
  );
}

/** The datum line, against which every angle is measured. */
function Datum({ from, to }: { readonly from: number; readonly to: number }) {
  const geometry = useMemo(() => {
    const line = new BufferGeometry();
    line.setAttribute('position', new BufferAttribute(new Float32Array([from, 0, 0, to, 0, 0]), 3));
    return line;
  }, [from, to]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  return (
    <lineSegments geometry={geometry} renderOrder={1}>
      <lineBasicMaterial color={BALANCE} depthTest={false} transparent />
    </lineSegments>
  );
}

function Solid({ triangles }: { readonly triangles: Triangles }) {
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
        <lineBasicMaterial color={GRAPHITE} />
      </lineSegments>
    </>
  );
}

/** Looks at the middle of the model from a direction; the mouse turns on from there. */
function Viewpoint({
  turn,
  size,
}: {
  readonly turn: { readonly azimuth: number; readonly height: number };
  readonly size: number;
}) {
  const get = useThree((state) => state.get);
  const view = useThree((state) => state.size);
  const controls = useRef<OrbitControls | null>(null);
  useEffect(() => {
    const { camera, gl, invalidate } = get();
    const orbit = new OrbitControls(camera, gl.domElement);
    orbit.enableDamping = false;
    orbit.addEventListener('change', () => invalidate());
    controls.current = orbit;
    return () => orbit.dispose();
  }, [get]);
  useEffect(() => {
    const { camera, invalidate } = get();
    camera.up.set(0, 0, 1);
    const flat = Math.cos(turn.height);
    camera.position.set(
      2000 * flat * Math.sin(turn.azimuth),
      -2000 * flat * Math.cos(turn.azimuth),
      2000 * Math.sin(turn.height),
    );
    camera.lookAt(0, 0, 0);
    camera.zoom = (0.82 * Math.min(view.width, view.height * 1.5)) / size;
    camera.updateProjectionMatrix();
    controls.current?.update();
    invalidate();
  }, [get, turn, size, view.width, view.height]);
  return null;
}
