import { useLayoutEffect, useRef, useState } from 'react';

/** What is being typed and was not taken yet; null while nothing is. */
interface Draft {
  readonly text: string | null;
  readonly type: (text: string | null) => void;
  /** The same as it is at this moment: leaving a field may follow on a key before anything was drawn anew. */
  readonly now: () => string | null;
}

/**
 * Keeps what is being typed. A browser tells nobody that a field with the
 * focus was taken off the page, as by going back: what was typed there is then
 * taken all the same. @param takeLast called with it once, as the field goes away
 */
export function useDraft(takeLast: (text: string) => void): Draft {
  const [text, setText] = useState<string | null>(null);
  const pending = useRef<string | null>(null);
  const latest = useRef(takeLast);
  useLayoutEffect(() => {
    latest.current = takeLast;
  });
  useLayoutEffect(
    () => () => {
      const last = pending.current;
      pending.current = null;
      if (last !== null) latest.current(last);
    },
    [],
  );
  return {
    text,
    now: () => pending.current,
    type: (typed) => {
      pending.current = typed;
      setText(typed);
    },
  };
}
