import type { Design } from '@/core/2-document/schema/design';
import { useAppSelector } from '@/store/hooks';
import { Button } from '../shell/buttons';
import { downloadCard } from '../shell/downloadCard';
import { fieldCard } from './fieldCard';

/** The field on paper, for where there is no screen. */
export function FieldCardButton({ design, items }: { readonly design: Design; readonly items: readonly string[] }) {
  const analysis = useAppSelector((state) => state.analysis.current);
  const units = useAppSelector((state) => state.settings.units);
  if (!analysis) return null;
  return (
    <Button className="mt-1.5" onClick={() => void downloadCard(fieldCard(design.name, items, analysis, units))}>
      Field card (PDF, one page)
    </Button>
  );
}
