import { createContext, type ReactNode, useContext, useEffect, useMemo } from 'react';
import { Provider } from 'react-redux';
import type { Design } from '@/core/2-document/schema/design';
import { useAppSelector, useAppStore } from '@/store/hooks';
import { drawingPace, numbersPace, pacedStore } from './pacedStore';

interface PacedProviderProps {
  readonly children: ReactNode;
}

/** Numbers beside a drawing: while something is dragged they follow three times a second, or about once while its frames come late. */
export function PacedProvider({ children }: PacedProviderProps) {
  const store = useAppStore();
  const paced = useMemo(() => pacedStore(store, numbersPace(store)), [store]);
  useEffect(() => paced.start(), [paced]);
  return <Provider store={paced.store}>{children}</Provider>;
}

const Places = createContext<readonly string[]>([]);

/** The drawings that a handle lies in, from the outside inwards. */
export const usePlaces = () => useContext(Places);

interface DrawnBesideProps {
  /** Its name, by which a handle in it is known to lie there. */
  readonly place: string;
  /** What is drawn, or how the open design is drawn as it is known there. */
  readonly children: ReactNode | ((design: Design) => ReactNode);
}

/** A drawing that follows later than the one in hand on a machine that is late. */
export function DrawnBeside({ place, children }: DrawnBesideProps) {
  const store = useAppStore();
  const outer = usePlaces();
  const places = useMemo(() => [...outer, place], [outer, place]);
  const paced = useMemo(() => pacedStore(store, drawingPace(store, place)), [store, place]);
  useEffect(() => paced.start(), [paced]);
  return (
    <Places value={places}>
      <Provider store={paced.store}>
        {typeof children === 'function' ? <OpenDesignAs drawn={children} /> : children}
      </Provider>
    </Places>
  );
}

/** Such drawings are shown only while a design is open. */
const OpenDesignAs = ({ drawn }: { readonly drawn: (design: Design) => ReactNode }) =>
  drawn(useAppSelector((state) => state.document.present!));
