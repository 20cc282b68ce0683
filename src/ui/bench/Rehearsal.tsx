import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import type { Design } from '@/core/2-document/schema/design';
import { bench } from '@/instruments/standIns';
import { rehearsed } from '@/store/benchSlice';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { meterChosen } from '@/store/settingsSlice';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { useSurroundings } from '../surroundings';
import { useRehearsed } from './useRehearsed';

/** Seeds of made-up errors. */
const MOST = 1_000_000;

/** A build against an airframe that nobody sees, on a copy: the instruments measure it, the gates tell what to do. */
export function Rehearsal({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { designs } = useSurroundings();
  const id = useAppSelector((state) => state.session.id);
  const isOn = useRehearsed();
  const [isBusy, setBusy] = useState(false);
  const begin = async () => {
    if (id === null) return;
    setBusy(true);
    const because = await bench.begin(
      JSON.stringify({ ...design, built: [] }),
      1 + Math.floor(Math.random() * (MOST - 1)),
    );
    const copy = because ? undefined : await designs.duplicate(id).catch(() => undefined);
    setBusy(false);
    if (because || !copy) {
      toast(because ?? 'No copy could be made: there is no room left in this browser.');
      return;
    }
    dispatch(meterChosen('standIn'));
    dispatch(rehearsed(copy.id));
    await navigate(`/design/${copy.id}/bench`);
  };
  const end = async () => {
    dispatch(rehearsed(null));
    dispatch(meterChosen('own'));
    const because = await bench.end();
    if (because) toast(because);
  };
  return (
    <Section title="Rehearsal">
      <p className="text-label text-faint">
        {isOn
          ? 'This copy is built against an airframe with errors of its own that only the made-up instruments see. Read every gate, put in the shims it asks for, glue what is green.'
          : 'Practise a whole build on a copy: somewhere wing, tail and tips come out wrong, and only the made-up instruments see it.'}
      </p>
      <Button className="mt-1.5" disabled={isBusy} onClick={() => void (isOn ? end() : begin())}>
        {isOn ? 'End the rehearsal' : 'Rehearse on a copy'}
      </Button>
    </Section>
  );
}
