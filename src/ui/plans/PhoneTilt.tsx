import { Smartphone } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import type { Degrees } from '@/core/1-base/units/convert';
import { START, type TwoWay, withShown } from '@/core/8-bench/twoWay';
import { decimal } from '@/words/formatQuantity';
import { Button } from '../shell/buttons';
import { askForTilt, isHeldInHand, type TiltFault, usePhoneTilt } from './usePhoneTilt';

const FAULTS: Readonly<Record<TiltFault, string>> = {
  insecure: 'A browser lends its tilt sensor only to a page of this machine or one over https. Type the reading.',
  refused: 'The tilt sensor was refused: allow it for this page in the browser, or type the reading.',
  none: 'This device shows no tilt. Type the reading.',
  silent: 'The page was left, and the tilt sensor went silent. Nothing was taken: begin again, or type the reading.',
};

const PHASES: Readonly<Record<Exclude<TwoWay['phase'], 'done'>, string>> = {
  forward: 'Lay the phone flat on the face, its top edge to the nose, and leave it alone.',
  turning: 'Now turn it end for end, top edge to the rear, and lay it on the same place.',
  turned: 'Leave it alone.',
};

interface PhoneTiltProps {
  /** What it is for: said on the button. */
  readonly of: string;
  readonly onRead: (slope: Degrees) => void;
}

/** Reads a slope with the phone itself, twice and turned between, so that its own zero falls out. */
export function PhoneTilt({ of, onRead }: PhoneTiltProps) {
  const [state, setState] = useState<TwoWay | null>(null);
  const [last, setLast] = useState<number | null>(null);
  const [refused, setRefused] = useState<TiltFault | null>(null);
  const fault = usePhoneTilt(state !== null, (shown) => {
    setLast(shown.value);
    if (!state) return;
    const next = withShown(state, shown);
    if (next.phase !== 'done') {
      setState(next);
      return;
    }
    setState(null);
    onRead(Math.round(100 * next.slope) / 100);
    toast(`Read ${decimal(next.slope, 2)}°; the phone shows ${decimal(next.zero, 2)}° when level.`);
  });
  if (!isHeldInHand()) return null;
  const begin = async () => {
    const why = await askForTilt();
    setRefused(why);
    setLast(null);
    setState(why ? null : START);
  };
  const why = refused ?? (state && fault);
  return (
    <div className="col-span-2 mt-1">
      {state && !why ? (
        <div role="group" aria-label={`Reading ${of}`} className="border-l-4 border-balance bg-sheet p-2">
          <p className="text-3xl font-semibold tabular-nums" aria-hidden="true">
            {last === null ? '–' : `${decimal(last, 1)}°`}
          </p>
          <p role="status">{PHASES[state.phase as keyof typeof PHASES]}</p>
          <Button className="mt-1 min-h-11" onClick={() => setState(null)}>
            Stop
          </Button>
        </div>
      ) : (
        <Button className="min-h-11" onClick={() => void begin()}>
          <Smartphone size={15} aria-hidden="true" /> Read {of} by this phone
        </Button>
      )}
      {why && (
        <p role="alert" className="mt-1 border-l-4 border-caution bg-caution-soft px-2 py-1">
          {FAULTS[why]}
        </p>
      )}
    </div>
  );
}
