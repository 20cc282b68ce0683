import { useState } from 'react';
import { useNavigate } from 'react-router';
import { readLinkPart } from '@/files/share/link';
import { Button } from '../shell/buttons';
import { told } from '../shell/told';
import { useSurroundings } from '../surroundings';

/** A design that came by a link: it is looked at, and taken in when someone says so. */
export function TakePage() {
  const navigate = useNavigate();
  const { designs } = useSurroundings();
  const [read] = useState(() => readLinkPart(window.location.hash.slice(1)));
  const take = async () => {
    if (!read.ok) return;
    const stored = await told('It was not taken in', () =>
      designs.create(read.design, { records: read.records, pictures: read.pictures }),
    );
    if (stored) navigate(`/design/${stored.id}/wing`, { replace: true });
  };
  const logged = read.ok ? read.records.flights.length + read.records.tosses.length : 0;
  return (
    <main className="mx-auto max-w-xl p-8">
      {read.ok ? (
        <>
          <h1 className="text-2xl font-semibold">{read.design.name}</h1>
          <p className="mt-3">
            A design that came by a link: {read.design.surfaces.length} surfaces, {read.design.massItems.length} things
            on board{logged > 0 ? `, ${logged} flights and tosses on record` : ''}. Nothing is kept in this browser
            until you take it in; no design that is here is changed.
          </p>
          <p className="mt-4 flex gap-2">
            <Button look="strong" className="min-h-11" onClick={() => void take()}>
              Take it in
            </Button>
            <Button className="min-h-11" onClick={() => navigate('/', { replace: true })}>
              To the designs
            </Button>
          </p>
        </>
      ) : (
        <>
          <h1 className="text-2xl font-semibold">This link cannot be taken</h1>
          <p role="alert" className="mt-3">
            {read.issues[0]?.message}
          </p>
          <p className="mt-4">
            <Button className="min-h-11" onClick={() => navigate('/', { replace: true })}>
              To the designs
            </Button>
          </p>
        </>
      )}
    </main>
  );
}
