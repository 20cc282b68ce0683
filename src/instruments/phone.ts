import { secondsFromMilliseconds } from '@/core/1-base/units/convert';
import type { Driver, Hearing, Lost } from './driver';

/** A sensor that has said nothing for so long is not there [ms]. */
const SILENT = 2500;
/** Browsers tell of a change only: what stands still is taken so often as it was last shown [ms]. */
const AGAIN = 100;
/** Unless it was moving as it was last shown: by more than that from one to the next [°]. */
const CALM = 0.5;

interface WithPermission {
  readonly requestPermission?: () => Promise<'granted' | 'denied'>;
}

/** Whether a hand holds this screen: only then is it laid on a wing. */
export const isHeldInHand = (): boolean => navigator.maxTouchPoints > 0;

/** Asks for the sensor; some browsers want that from a press. */
async function ask(): Promise<Lost | null> {
  if (!('DeviceOrientationEvent' in globalThis)) return globalThis.isSecureContext ? 'none' : 'insecure';
  const { requestPermission } = DeviceOrientationEvent as unknown as WithPermission;
  if (!requestPermission) return null;
  const answer = await requestPermission.call(DeviceOrientationEvent).catch(() => 'denied' as const);
  return answer === 'granted' ? null : 'refused';
}

/**
 * How far the top edge of the phone points up [°], again and again, whichever
 * way it leans sideways: the front-to-back angle of the device orientation is
 * the elevation of that edge. The screen stays awake meanwhile where the
 * browser can do that.
 */
function open(_kind: 'tilt' | string, { shown, lost }: Hearing): () => void {
  let [before, last]: [number | null, number | null] = [null, null];
  let count = 0;
  const show = (value: number) =>
    shown({ count: count++, t: secondsFromMilliseconds(performance.now()), values: [value], battery: 1 });
  const hear = ({ beta }: DeviceOrientationEvent) => {
    if (beta === null) return;
    [before, last] = [last ?? beta, beta];
    show(beta);
  };
  const again = window.setInterval(() => {
    if (last !== null && before !== null && Math.abs(last - before) <= CALM) show(last);
  }, AGAIN);
  const timer = window.setTimeout(() => last === null && lost('none'), SILENT);
  // In the background no sensor speaks, and what stood still there is not known.
  const hide = () => {
    if (document.visibilityState !== 'hidden') return;
    [before, last] = [null, null];
    lost('silent');
  };
  window.addEventListener('deviceorientation', hear);
  document.addEventListener('visibilitychange', hide);
  // A screen that goes dark takes the sensor with it; where it cannot be held awake it is touched.
  let lock: WakeLockSentinel | null = null;
  let isGone = false;
  void navigator.wakeLock
    ?.request('screen')
    .then((held) => (isGone ? held.release() : void (lock = held)))
    .catch(() => undefined);
  return () => {
    isGone = true;
    clearTimeout(timer);
    clearInterval(again);
    window.removeEventListener('deviceorientation', hear);
    document.removeEventListener('visibilitychange', hide);
    void lock?.release().catch(() => undefined);
  };
}

/** The tilt sensor of the phone that the page runs on. */
export const phone: Driver = { id: 'phone', ask, open };
