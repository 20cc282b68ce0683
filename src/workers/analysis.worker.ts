import '@/core/1-base/zodSetup';
import { expose } from 'comlink';
import { analyse } from '@/core/analyse';
import { makeService } from './host';
import { makeRehearsal } from './rehearsal';

/**
 * As long as this worker lives it holds a lock of its own name; whoever asks
 * for the same lock learns of its end at once. Browsers tell of a thrown error
 * but not of a worker that ran out of memory.
 */
function holdLock(): Promise<void> {
  if (!('locks' in navigator)) return Promise.resolve();
  return new Promise((resolve) => {
    void navigator.locks.request(self.name, () => {
      resolve();
      return new Promise<void>(() => {});
    });
  });
}

const rehearsal = makeRehearsal((design) => void analyse(design, { quick: true, without: ['remedies'] }));

expose(makeService(holdLock(), rehearsal));
