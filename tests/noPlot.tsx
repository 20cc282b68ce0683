import { act } from '@testing-library/react';
import { useEffect, useRef } from 'react';

interface Plotted {
  readonly data: readonly object[];
  readonly onClick?: (pressed: { readonly points: readonly object[] }) => void;
}

/** What would be drawn, as words, and where a press is heard. */
function Plot({ data, onClick }: Plotted) {
  const drawn = useRef<HTMLPreElement>(null);
  useEffect(() => {
    const plot = drawn.current!;
    const heard = ({ detail }: CustomEvent<object>) => onClick?.({ points: [detail] });
    plot.addEventListener(PRESSED, heard as EventListener);
    return () => plot.removeEventListener(PRESSED, heard as EventListener);
  });
  return (
    <pre data-testid="plot" ref={drawn}>
      {JSON.stringify(data)}
    </pre>
  );
}

const PRESSED = 'pointpressed';

/** Presses a point of a plot. */
export const pressPoint = (plot: HTMLElement, point: { readonly x: number; readonly y?: number }) =>
  act(async () => void plot.dispatchEvent(new CustomEvent(PRESSED, { detail: point })));

/** Charts are drawn by a library that wants a real page: here what they are given is what counts. Stands for it and for what makes a component of it. */
export default () => Plot;
