import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { Canvas } from '@react-three/fiber';
import { useEffect, useMemo, useState } from 'react';
import { BufferAttribute, BufferGeometry } from 'three';
import type { Design } from '@/core/2-document/schema/design';
import { useAppSelector } from '@/store/hooks';
import { partChosenOf } from '@/store/plansSlice';
import { Button } from '../shell/buttons';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { extentsOf } from '@/core/3-shape/outline/extents';
import { PartInSpace } from './PartInSpace';
import { Solid, solidsOf } from './Solid';
import { TurnButtons, Viewpoint } from './Viewpoint';

const STEEPER = [1, 3, 6] as const;
const GRAPHITE = '#2a2c30';
const BALANCE = '#0b6568';

/** The model in space: turn it with the mouse or the buttons; angles against the datum can be drawn steeper. */
export default function ThreeView({ design }: { readonly design: Design }) {
  const [steeper, setSteeper] = useState<number>(1);
  const [turn, setTurn] = useState({ azimuth: -0.9, height: 0.6 });
  const analysis = useAppSelector((state) => state.analysis.current);
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const { xMin, xMax, yMax } = useMemo(() => extentsOf(design, placed), [design, placed]);
  const solids = useMemo(() => solidsOf(design, placed, steeper), [design, placed, steeper]);
  const part = useAppSelector(({ plans: { laid, chosen: id } }) => laid && partChosenOf(laid.list, id));
  const chosen = steeper === 1 && part?.seat ? { ...part, seat: part.seat } : null;
  const middle = (xMin + xMax) / 2;
  const size = Math.max(xMax - xMin, 2 * yMax);
  const cg = analysis?.mass.cg;
  const neutral = analysis?.pitch.neutralPoint;
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
        <TurnButtons onTurn={setTurn} />
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
