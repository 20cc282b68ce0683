import { type ComponentType, lazy, type ReactNode, Suspense, useMemo, useState } from 'react';
import { FaultBoundary } from './FaultBoundary';

interface LateOptions {
  /** Where it is, in words, for the report when it cannot be loaded. */
  readonly place: string;
  /** Shown until it is there. */
  readonly meanwhile: ReactNode;
}

/** A heavy part that is loaded when it is first shown. One that could not be loaded leaves what stands around it alone, and is loaded anew on demand. */
export function late<Props extends object>(
  load: () => Promise<{ default: ComponentType<Props> }>,
  { place, meanwhile }: LateOptions,
): ComponentType<Props> {
  return function Late(props: Props) {
    const [attempt, setAttempt] = useState(0);
    // A component that failed to load stays failed: each attempt needs one of its own.
    const Part = useMemo(() => ({ attempt, Shown: lazy(load) }), [attempt]).Shown as unknown as ComponentType<Props>;
    return (
      <FaultBoundary place={place} onRetry={() => setAttempt(attempt + 1)}>
        <Suspense fallback={meanwhile}>
          <Part {...props} />
        </Suspense>
      </FaultBoundary>
    );
  };
}
