import { useThree } from '@react-three/fiber';
import { useEffect, useRef } from 'react';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { Button } from '../shell/buttons';

/** From where something is looked at: round it, and from how high up [rad]. */
export interface Turn {
  readonly azimuth: number;
  readonly height: number;
}

/** Turns what is seen without a mouse. */
export function TurnButtons({ onTurn }: { readonly onTurn: (change: (before: Turn) => Turn) => void }) {
  const rotate = (azimuth: number, height: number) =>
    onTurn((before) => ({
      azimuth: before.azimuth + azimuth,
      height: Math.min(1.5, Math.max(-1.5, before.height + height)),
    }));
  return (
    <>
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
    </>
  );
}

/** Looks at the middle of the model from a direction; the mouse turns on from there. */
export function Viewpoint({ turn, size }: { readonly turn: Turn; readonly size: number }) {
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
