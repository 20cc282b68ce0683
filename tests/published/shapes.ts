import { designOf, type SurfaceInput, trapezoid } from '../designs';
import { solveSurfaces } from './solve';

/** A rectangular wing alone, chord in mm. */
export const rectangle = (aspectRatio: number, more: Partial<SurfaceInput> = {}, chord = 200) =>
  designOf([trapezoid((chord / 2) * aspectRatio, chord, chord, more)]);

/** A wing of constant chord swept by its leading edge [°]. */
export function sweptBoard(aspectRatio: number, sweep: number, chord = 200) {
  const halfSpan = (chord / 2) * aspectRatio;
  const offset = halfSpan * Math.tan((sweep * Math.PI) / 180);
  const stations = [
    { distanceFromRoot: 0, chord },
    { distanceFromRoot: halfSpan, chord, leadingEdgeOffset: offset },
  ];
  return designOf([trapezoid(halfSpan, chord, chord, { stations })]);
}

/** So long that the chord hardly matters: what a lifting line speaks of. */
export const longWing = () => solveSurfaces(rectangle(100, {}, 80), { strips: 60, chordwise: 4 });

/** Elliptic plan form with a straight quarter-chord line; half span and root chord in mm. */
export function ellipse(halfSpan: number, chord: number, more: Partial<SurfaceInput> = {}): SurfaceInput {
  const count = 30;
  const stations = Array.from({ length: count }, (_, index) => {
    const share = Math.sin((Math.PI / 2) * (index / (count - 0.4)));
    const local = chord * Math.sqrt(1 - share ** 2);
    return { distanceFromRoot: halfSpan * share, chord: Math.max(5, local), leadingEdgeOffset: (chord - local) / 4 };
  });
  return { id: 'wing', role: 'wing', stations, ...more };
}
