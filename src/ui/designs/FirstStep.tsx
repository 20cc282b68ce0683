import { FilePlus2 } from 'lucide-react';
import { Button } from '../shell/buttons';
import { told } from '../shell/told';
import { useSurroundings } from '../surroundings';

/** Nothing is there yet: the ways to begin. */
export function FirstStep({ onStart }: { readonly onStart: () => void }) {
  const { designs } = useSurroundings();
  const bringFleet = async () => {
    const { DEMO_NAMES, demoFile } = await import('../../../demo');
    for (const { design, records } of DEMO_NAMES.map(demoFile).reverse()) await designs.create(design, { records });
  };
  return (
    <section aria-label="Begin" className="mt-6 grid max-w-2xl gap-3 border border-rule bg-sheet p-4">
      <h2 className="text-lg font-semibold">Begin with one of these</h2>
      <p className="text-read text-faint">
        Say in the brief what it is for, and layouts that meet it are drawn and sized for you to take; or look at the
        aircraft of a made-up school; or drop an exported design file anywhere on this page.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button look="strong" onClick={onStart}>
          <FilePlus2 size={15} aria-hidden="true" /> Start with the brief
        </Button>
        <Button onClick={() => void told('The fleet was not put here', bringFleet)}>Bring the sample fleet</Button>
      </div>
    </section>
  );
}
