import { useMemo } from 'react';
import { placeOfFinding, type PointedAt } from '@/core/7-verdict/placeOfFinding';
import { useAppSelector } from '@/store/hooks';

/** Where the finding is that is pointed at in the list; null when there is none, or it is nowhere in particular. */
export function usePointedAt(): PointedAt | null {
  const pointed = useAppSelector((state) => state.session.pointed);
  const design = useAppSelector((state) => state.document.present);
  const analysis = useAppSelector((state) => state.analysis.current);
  return useMemo(() => {
    const finding = pointed === null ? undefined : analysis?.findings.find(({ id }) => id === pointed);
    return design && analysis && finding ? placeOfFinding(design, analysis, finding) : null;
  }, [pointed, design, analysis]);
}

/** A ring with four strokes around what a finding speaks of: ours in every view. */
export function FindingMark({ x, y }: { readonly x: number; readonly y: number }) {
  return (
    <g stroke="var(--color-stop)" fill="none" strokeWidth={2} data-mark="finding" aria-hidden="true">
      <circle cx={x} cy={y} r={17} stroke="var(--color-paper)" strokeWidth={6} />
      <circle cx={x} cy={y} r={17} />
      <path d={`M${x} ${y - 25} v8 m0 34 v8 M${x - 25} ${y} h8 m34 0 h8`} />
    </g>
  );
}
