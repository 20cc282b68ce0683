import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import type { Flight } from '@/core/8-field/sights';
import { dropFlight } from '@/store/field';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { Section } from '../numbers/Section';
import { UnreadableRecords } from '../records/UnreadableRecords';
import { Button, IconButton } from '../shell/buttons';
import { told } from '../shell/told';
import { DEED_WORDS } from './fieldWords';
import { FlightFields } from './FlightFields';
import { useFlights } from './flightsHere';

/** So many are shown at first, and more at a press. */
const PAGE = 10;

const VERDICT_WORDS: Readonly<Record<Flight['verdict'], string>> = {
  better: 'better',
  same: 'the same',
  worse: 'worse',
  unknown: '',
};

function flightWords({ did, verdict, crash, changed }: Flight): string {
  const deeds = did.map((deed) => DEED_WORDS.find(([one]) => one === deed)![1]).join(', ');
  return [
    crash ? 'crashed' : '',
    deeds || (crash ? '' : 'flew'),
    VERDICT_WORDS[verdict],
    changed && `changed: ${changed}`,
  ]
    .filter(Boolean)
    .join('; ');
}

/** All flights, newest first; a press opens one. */
export function Flights() {
  const dispatch = useAppDispatch();
  const flights = useFlights();
  const name = useAppSelector((state) => state.session.id);
  const [opened, setOpened] = useState<string | null>(null);
  const [shown, setShown] = useState(PAGE);
  if (flights.length === 0 || name === null) return <UnreadableRecords kind="flights" />;
  const takeOut = async (flight: Flight) => {
    const putBack = await told('The flight was not taken out', () => dispatch(dropFlight(flight.id)));
    if (!putBack) return;
    toast('The flight was taken out.', {
      action: { label: 'Undo', onClick: () => void told('The flight was not put back', putBack) },
    });
  };
  const newest = flights.map((flight, index) => ({ flight, number: index + 1 })).toReversed();
  return (
    <Section title="Flights">
      <ol data-testid="flights" className="divide-y divide-soft">
        {newest.slice(0, shown).map(({ flight, number }) => (
          <li key={flight.id} className="py-1">
            <div className="flex items-center gap-2 text-read">
              <button
                type="button"
                className="min-h-8 flex-1 cursor-pointer text-left hover:underline pointer-coarse:min-h-11"
                aria-expanded={opened === flight.id}
                onClick={() => setOpened(opened === flight.id ? null : flight.id)}
              >
                {number}. {flightWords(flight)}
              </button>
              <IconButton
                label={`Take flight ${number} out`}
                icon={<Trash2 size={15} />}
                onClick={() => void takeOut(flight)}
              />
            </div>
            {opened === flight.id && <FlightFields flight={flight} />}
          </li>
        ))}
      </ol>
      {newest.length > shown && (
        <Button className="mt-1.5" onClick={() => setShown(shown + 5 * PAGE)}>
          Show older ones ({newest.length - shown})
        </Button>
      )}
      <UnreadableRecords kind="flights" />
    </Section>
  );
}
