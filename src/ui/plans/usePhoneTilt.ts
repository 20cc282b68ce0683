import { useEffect, useEffectEvent, useState } from 'react';
import { type Seconds, secondsFromMilliseconds } from '@/core/1-base/units/convert';
import type { Shown } from '@/core/8-bench/steady';

/** Why a phone shows no tilt, in words for whoever holds it. */
export type TiltFault = 'insecure' | 'refused' | 'none' | 'silent';

/** A sensor that has said nothing for so long is not there, or has gone [ms]. */
const SILENT = 2500;

interface WithPermission {
  readonly requestPermission?: () => Promise<'granted' | 'denied'>;
}

/** Whether a hand holds this screen: only then is it laid on a wing. */
export const isHeldInHand = (): boolean => navigator.maxTouchPoints > 0;

/**
 * Asks for the sensor; some browsers want that from a press.
 * @returns why it is not to be had, or null
 */
export async function askForTilt(): Promise<TiltFault | null> {
  if (!('DeviceOrientationEvent' in globalThis)) return globalThis.isSecureContext ? 'none' : 'insecure';
  const { requestPermission } = DeviceOrientationEvent as unknown as WithPermission;
  if (!requestPermission) return null;
  const answer = await requestPermission.call(DeviceOrientationEvent).catch(() => 'denied' as const);
  return answer === 'granted' ? null : 'refused';
}

/**
 * How far the top edge of the phone points up [°], again and again while it is
 * wanted, whichever way it leans sideways: the front-to-back angle of the
 * device orientation is the elevation of that edge. Tells when nothing comes.
 * The screen stays awake meanwhile where the browser can do that.
 */
export function usePhoneTilt(isWanted: boolean, onShown: (shown: Shown) => void): TiltFault | null {
  const [fault, setFault] = useState<TiltFault | null>(null);
  const take = useEffectEvent(onShown);
  useEffect(() => {
    if (!isWanted) return undefined;
    let hasShown = false;
    let timer = 0;
    const wait = () => {
      clearTimeout(timer);
      timer = window.setTimeout(() => setFault(hasShown ? 'silent' : 'none'), SILENT);
    };
    const hear = ({ beta, timeStamp }: DeviceOrientationEvent) => {
      if (beta === null) return;
      hasShown = true;
      setFault(null);
      wait();
      take({ t: secondsFromMilliseconds(timeStamp) as Seconds, value: beta });
    };
    wait();
    window.addEventListener('deviceorientation', hear);
    // A screen that goes dark takes the sensor with it; where it cannot be held awake it is touched.
    let lock: WakeLockSentinel | null = null;
    let isGone = false;
    void navigator.wakeLock
      ?.request('screen')
      .then((held) => (isGone ? held.release() : void (lock = held)))
      .catch(() => undefined);
    return () => {
      isGone = true;
      setFault(null);
      clearTimeout(timer);
      window.removeEventListener('deviceorientation', hear);
      void lock?.release().catch(() => undefined);
    };
  }, [isWanted]);
  return fault;
}
