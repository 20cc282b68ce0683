import { toast } from 'sonner';
import type { InstrumentKind } from '@/core/8-bench/instruments/instrument';
import type { Driver, Lost } from '@/instruments/driver';
import { bench } from '@/instruments/standIns';
import { Button } from '../shell/buttons';

const PHONE: Readonly<Record<Lost, string>> = {
  insecure: 'A browser lends its tilt sensor only to a page of this machine or one over https. Type the reading.',
  refused: 'The tilt sensor was refused: allow it for this page in the browser, or type the reading.',
  none: 'This device shows no tilt. Type the reading.',
  silent: 'The page was left, and the tilt sensor went silent. Nothing was taken: begin again, or type the reading.',
  gone: 'The tilt sensor went silent. Nothing was taken: begin again, or type the reading.',
  empty: 'The battery of the phone is empty.',
};
const STAND_IN: Readonly<Record<Lost, string>> = {
  ...PHONE,
  none: 'This server has no made-up instruments: start Inclinar with npm start, or type the reading.',
  gone: 'The made-up instrument vanished in mid-reading. Nothing was taken: begin again when the server is back, or type the reading.',
  empty: 'The battery of the made-up instrument is empty. Nothing was taken: put a new one in and begin again.',
};
const SERIAL: Readonly<Record<Lost, string>> = {
  ...PHONE,
  insecure: 'A browser lends a serial line only to a page of this machine or one over https. Type the reading.',
  refused: 'No serial line was chosen. Choose the one that the instrument is on, or type the reading.',
  none: 'Nothing of that sort speaks on the line, or this browser lends none. Type the reading.',
  gone: 'The instrument was pulled off its line. Nothing was taken: plug it in and begin again, or type the reading.',
};
const WORDS: Readonly<Record<Driver['id'], Readonly<Record<Lost, string>>>> = {
  phone: PHONE,
  standIn: STAND_IN,
  serial: SERIAL,
};

interface GoneProps {
  readonly why: Lost;
  readonly driver: Driver;
  readonly kind: InstrumentKind;
  readonly onRenewed: () => void;
}

/** Why an instrument shows nothing, and what helps. */
export function Gone({ why, driver, kind, onRenewed }: GoneProps) {
  const renew = async () => {
    const because = await bench.newBattery(kind);
    if (because) toast(because);
    else onRenewed();
  };
  return (
    <div className="mt-1 border-l-4 border-caution bg-caution-soft px-2 py-1">
      <p role="alert">{WORDS[driver.id][why]}</p>
      {why === 'empty' && driver.id === 'standIn' && (
        <Button className="mt-1" onClick={() => void renew()}>
          New battery
        </Button>
      )}
    </div>
  );
}
