import { useLayoutEffect, useRef, useState } from 'react';

/** Size of an element in pixels, kept current. */
export function useSize<Element extends HTMLElement>() {
  const ref = useRef<Element>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return;
    const measure = () => setSize({ width: element.clientWidth, height: element.clientHeight });
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, size] as const;
}
