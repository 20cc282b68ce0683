import type { Design } from '@/core/2-document/schema/design';
import { useAppSelector } from '@/store/hooks';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { downloadCard } from '../shell/downloadCard';
import { benchCard } from './benchCard';

/** The bench on paper: everything that is measured, with room to write. */
export function BenchCardButton({ design }: { readonly design: Design }) {
  const analysis = useAppSelector((state) => state.analysis.current);
  const units = useAppSelector((state) => state.settings.units);
  const judged = useAppSelector((state) => state.bench.judged);
  if (!analysis || judged?.of !== design) return null;
  return (
    <Section title="On paper">
      <Button onClick={() => void downloadCard(benchCard(design, judged.verdicts, analysis, units))}>
        Bench card (PDF, one page)
      </Button>
    </Section>
  );
}
