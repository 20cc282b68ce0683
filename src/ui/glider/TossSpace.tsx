import { Canvas } from '@react-three/fiber';
import { type ReactNode, useEffect, useMemo, useState } from 'react';
import { BufferAttribute, BufferGeometry, Matrix4 } from 'three';
import { metresFromMillimetres, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { extentsOf } from '@/core/3-shape/outline/extents';
import { quaternionOf, turnMatrix } from '@/core/7-flight/attitude';
import { type Samples, STALLED } from '@/core/7-flight/flightRecord';
import { type LaunchKind, terrainOf } from '@/core/7-flight/launches';
import type { Tossed } from '@/core/7-flight/toss/virtualToss';
import { useAppSelector } from '@/store/hooks';
import { decimal } from '@/words/formatQuantity';
import { Solid, solidsOf } from '../drawing/Solid';
import type { Triangles } from '../drawing/solids';
import { type Turn, TurnButtons, Viewpoint } from '../drawing/Viewpoint';
import { placeAt } from './placeAt';
import { didWords, far } from './tossWords';

const BALANCE = '#0b6568';
const GRAPHITE = '#2a2c30';
const CAUTION = '#a14a12';
const GROUND = '#cbbfa4';

/** Looked at from behind on the right: it flies from left to right. */
const FROM: Turn = { azimuth: Math.PI - 0.55, height: 0.42 };
/** Of what is seen, the model is at least that wide; its size is said where it is drawn larger. */
const LEAST_WIDTH = 0.14;
/** Spans that are seen beside the model. */
const ROUND_IT = 2.4;
/** Widths of the squares on the ground [m]; about so many across. */
const SQUARES = [0.5, 1, 2, 5, 10, 20, 50] as const;
const ACROSS = 14;

type Place = readonly [number, number, number];

/** Places in the axes of the document: x aft, y right, z up [m]. */
const placeOf = ({ x, y, z }: Samples, index: number): Place => [-x[index]!, y[index]!, z[index]!];

interface TossSpaceProps {
  readonly design: Design;
  readonly tossed: Extract<Tossed, { ok: true }>;
  readonly time: number;
  /** Beside the model all along; else the whole flight is seen. */
  readonly isFollowed: boolean;
}

/** A toss in space over a ground of squares, the model in its attitude. */
export default function TossSpace({ design, tossed: { own, changed, span }, time, isFollowed }: TossSpaceProps) {
  const units = useAppSelector((state) => state.settings.units);
  const scale = useAppSelector((state) => state.glider.asked.scale);
  const launch = useAppSelector((state) => state.glider.asked.launch);
  const balance = useAppSelector((state) => state.analysis.current?.mass.cg);
  const [turn, setTurn] = useState(FROM);
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const solids = useMemo(() => solidsOf(design, placed, 1), [design, placed]);
  const { xMin, xMax } = useMemo(() => extentsOf(design, placed), [design, placed]);
  const middleOfModel: Place = balance
    ? [millimetresFromMetres(balance[0]), 0, millimetresFromMetres(balance[2])]
    : [(xMin + xMax) / 2, 0, 0];
  const flights = changed ? [own, changed] : [own];
  const bounds = ['x', 'y', 'z'].map((key) => {
    const all = flights.flatMap(({ samples }) => samples[key as 'x']);
    return [Math.min(0, ...all), Math.max(...all, 0.5)] as const;
  }) as [readonly [number, number], readonly [number, number], readonly [number, number]];
  const middle = bounds.map(([low, high]) => (low + high) / 2) as [number, number, number];
  const whole = 1.15 * Math.max(...bounds.map(([low, high]) => high - low), 2 * span);
  const size = isFollowed ? ROUND_IT * span : whole;
  const larger = isFollowed ? 1 : Math.max(1, (LEAST_WIDTH * whole) / span);
  // Beside it several squares are still in sight.
  const square = squareOf(isFollowed ? 4 * size : whole);
  const at = placeAt(own.samples, time);
  const seen: Place = isFollowed ? placeOf(own.samples, at) : [-middle[0], middle[1], middle[2]];
  return (
    <div className="relative h-full w-full" data-testid="toss-space">
      <div
        role="img"
        aria-label={`The toss in space: as drawn it ${didWords(own)}, ${far(own.distance, units)}`}
        className="h-full w-full"
      >
        <Canvas frameloop="demand" orthographic camera={{ near: -20000, far: 20000 }} dpr={[1, 2]}>
          <ambientLight intensity={1.6} />
          <directionalLight position={[-1, -1, 2]} intensity={1.7} />
          <Viewpoint turn={turn} size={size} />
          <group position={[-seen[0], -seen[1], -seen[2]]}>
            <Ground bounds={bounds} square={square} launch={launch} />
            {flights.map(({ samples }, index) => (
              <Track key={index} samples={samples} color={index === 0 ? BALANCE : GRAPHITE} launch={launch} />
            ))}
            {flights.map(({ samples }, index) => (
              <Model
                key={index}
                {...{ samples, time, solids, launch, middle: middleOfModel, edge: index === 0 ? BALANCE : GRAPHITE }}
                scale={metresFromMillimetres(larger * scale)}
              />
            ))}
          </group>
        </Canvas>
      </div>
      <p className="absolute top-1 left-3 text-label text-faint">
        Squares of {far(square, units, 1)} on the ground
        {larger > 1.05 && `; the model drawn ${decimal(larger, 1)} times its size`}
      </p>
      <div className="absolute right-3 bottom-1 flex flex-wrap items-center gap-1 text-label">
        <TurnButtons onTurn={setTurn} />
      </div>
    </div>
  );
}

/** Lines from place to place, two places a line. */
function Lines({ places, color, opacity = 1 }: { places: readonly Place[]; color: string; opacity?: number }) {
  const geometry = useMemo(() => {
    const lines = new BufferGeometry();
    lines.setAttribute('position', new BufferAttribute(new Float32Array(places.flat()), 3));
    return lines;
  }, [places]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  return (
    <lineSegments geometry={geometry}>
      <lineBasicMaterial color={color} transparent opacity={opacity} />
    </lineSegments>
  );
}

/** Height of the ground so far ahead of the launch [m]. */
const groundAt = (launch: LaunchKind, ahead: number): number => terrainOf(launch)?.(ahead) ?? 0;

interface TrackProps {
  readonly samples: Samples;
  readonly color: string;
  readonly launch: LaunchKind;
}

/** Where it flew; stalled stretches in their own colour, and its shadow on the ground. */
function Track({ samples, color, launch }: TrackProps) {
  const { flown, stalled, shadow } = useMemo(() => {
    const steps = samples.t.slice(1).map((_, index) => [placeOf(samples, index), placeOf(samples, index + 1)] as const);
    const isStalled = (index: number) => samples.attached[index]! < STALLED;
    return {
      flown: steps.filter((_, index) => !isStalled(index)).flat(),
      stalled: steps.filter((_, index) => isStalled(index)).flat(),
      shadow: steps.flatMap((step) => step.map(([x, y]): Place => [x, y, groundAt(launch, -x)])),
    };
  }, [samples, launch]);
  return (
    <>
      <Lines places={shadow} color={color} opacity={0.3} />
      <Lines places={flown} color={color} />
      <Lines places={stalled} color={CAUTION} />
    </>
  );
}

/** Of the squares on the ground, for what is seen at once. */
const squareOf = (size: number): number => SQUARES.find((square) => size / square < ACROSS) ?? SQUARES.at(-1)!;

interface GroundProps {
  /** Ahead and to the right [m]. */
  readonly bounds: readonly (readonly [number, number])[];
  readonly square: number;
  readonly launch: LaunchKind;
}

function Ground({ bounds, square, launch }: GroundProps) {
  const [[back, ahead], [left, right]] = [bounds[0]!, bounds[1]!];
  const places = useMemo(() => {
    const range = (low: number, high: number) => {
      const [from, to] = [Math.floor(low / square) - 1, Math.ceil(high / square) + 1];
      return Array.from({ length: to - from + 1 }, (_, index) => (from + index) * square);
    };
    const [xs, ys] = [range(-ahead, -back), range(Math.min(left, -square), Math.max(right, square))];
    const at = (x: number, y: number): Place => [x, y, groundAt(launch, -x)];
    return [
      ...ys.flatMap((y) => xs.slice(1).flatMap((x, index) => [at(xs[index]!, y), at(x, y)])),
      ...xs.flatMap((x) => [at(x, ys[0]!), at(x, ys.at(-1)!)]),
    ];
  }, [ahead, back, left, right, square, launch]);
  return <Lines places={places} color={GROUND} />;
}

interface ModelProps {
  readonly samples: Samples;
  readonly time: number;
  readonly solids: readonly Triangles[];
  readonly middle: Place;
  /** Metres for each millimetre of the solids. */
  readonly scale: number;
  readonly edge: string;
  readonly launch: LaunchKind;
}

/** The model where it is and as it lies, with a line down to its shadow. */
function Model({ samples, time, solids, launch, middle, scale, edge }: ModelProps) {
  const at = placeAt(samples, time);
  const place = placeOf(samples, at);
  const matrix = useMemo(() => {
    const attitude = { roll: samples.roll[at]!, pitch: samples.pitch[at]!, yaw: samples.yaw[at]! };
    const [a, b, c] = turnMatrix(quaternionOf(attitude));
    // Half a turn about y from flight axes to those of the document.
    return new Matrix4().set(a[0], -a[1], a[2], 0, -b[0], b[1], -b[2], 0, c[0], -c[1], c[2], 0, 0, 0, 0, 1);
  }, [samples, at]);
  const drop = useMemo((): Place[] => {
    const [x, y, z] = placeOf(samples, at);
    return [
      [x, y, z],
      [x, y, groundAt(launch, -x)],
    ];
  }, [samples, at, launch]);
  return (
    <>
      <Lines places={drop} color={edge} opacity={0.4} />
      <group position={[place[0], place[1], place[2]]}>
        <group matrix={matrix} matrixAutoUpdate={false}>
          <group scale={scale}>
            <group position={[-middle[0], -middle[1], -middle[2]]}>{bodyOf(solids, edge)}</group>
          </group>
        </group>
      </group>
    </>
  );
}

const bodyOf = (solids: readonly Triangles[], edge: string): ReactNode =>
  solids.map((triangles, index) => <Solid key={index} triangles={triangles} edge={edge} />);
