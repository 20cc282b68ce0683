import { useState } from 'react';
import type { Flight } from '@/core/8-field/sights';
import { dropFlight } from '@/store/field';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { Section } from '../numbers/Section';
import { RecordRow } from '../records/RecordRow';
import { UnreadableRecords } from '../records/UnreadableRecords';
import { Button } from '../shell/buttons';
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
  const newest = flights.map((flight, index) => ({ flight, number: index + 1 })).toReversed();
  return (
    <Section title="Flights">
      <ol data-testid="flights" className="divide-y divide-soft">
        {newest.slice(0, shown).map(({ flight, number }) => (
          <RecordRow
            key={flight.id}
            words={`${number}. ${flightWords(flight)}`}
            what="The flight"
            removeLabel={`Take flight ${number} out`}
            isOpen={opened === flight.id}
            onToggle={() => setOpened(opened === flight.id ? null : flight.id)}
            drop={() => dispatch(dropFlight(flight.id))}
          >
            <FlightFields flight={flight} />
          </RecordRow>
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
