import { type ComponentType, lazy, type ReactNode, Suspense, useMemo, useState } from 'react';
import { FaultBoundary } from './FaultBoundary';

interface LateOptions {
  /** Where it is, in words, for the report when it cannot be loaded. */
  readonly place: string;
  /** Shown until it is there. */
  readonly meanwhile: ReactNode;
}

type Loaded<Props> = { readonly default: ComponentType<Props> };

/**
 * Loads a part anew. Browsers keep a module that could not be fetched as failed
 * for as long as the page lives: it is then asked for under another address,
 * which the failure names.
 */
async function loadAgain<Props>(load: () => Promise<Loaded<Props>>, attempt: number): Promise<Loaded<Props>> {
  try {
    return await load();
  } catch (failure) {
    const address = /https?:\S+/.exec(String(failure))?.[0];
    if (address === undefined) throw failure;
    return (await import(/* @vite-ignore */ `${address}?attempt=${attempt}`)) as Loaded<Props>;
  }
}

/** A heavy part that is loaded when it is first shown. One that could not be loaded leaves what stands around it alone, and is loaded anew on demand. */
export function late<Props extends object>(
  load: () => Promise<Loaded<Props>>,
  { place, meanwhile }: LateOptions,
): ComponentType<Props> {
  return function Late(props: Props) {
    const [attempt, setAttempt] = useState(0);
    // A component that failed to load stays failed: each attempt needs one of its own.
    const Part = useMemo(
      () => ({ attempt, Shown: lazy(attempt === 0 ? load : () => loadAgain(load, attempt)) }),
      [attempt],
    ).Shown as unknown as ComponentType<Props>;
    return (
      <FaultBoundary place={place} onRetry={() => setAttempt(attempt + 1)}>
        <Suspense fallback={meanwhile}>
          <Part {...props} />
        </Suspense>
      </FaultBoundary>
    );
  };
}
