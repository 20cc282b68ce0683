import { stopComparing } from '@/store/compare';
import type { CompareWork } from '@/store/compareSlice';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { Button } from '../shell/buttons';

interface WorksProps {
  readonly work: CompareWork;
  readonly words: string;
  readonly start: () => void;
}

/** A button, or the progress of what it started. */
export function Works({ work, words, start }: WorksProps) {
  const dispatch = useAppDispatch();
  const progress = useAppSelector((state) => state.compare.progress[work]);
  return (
    <div className="mt-1.5 flex flex-wrap items-center gap-2">
      {progress ? (
        <>
          <Button onClick={() => dispatch(stopComparing(work))}>Stop</Button>
          <progress className="min-w-20 flex-1" aria-label={words} value={progress.done} max={progress.total} />
        </>
      ) : (
        <Button onClick={start}>{words}</Button>
      )}
    </div>
  );
}
