import type { Analysis } from '@/core/analyse';
import type { Design } from '@/core/2-document/schema/design';
import { decimal } from '@/words/formatQuantity';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';

const KINDS: Record<Analysis['drag']['parts'][number]['kind'], string> = {
  induced: 'Lift (induced)',
  surface: 'sections',
  body: 'body',
  item: 'in the wind',
  wheel: 'wheel and leg',
  linkage: 'horn',
  equipment: 'outside',
  junction: 'corner, not rounded',
};
/** Shares below this are told together. */
const LEAST_SHARE = 0.005;

/** What drags how much at cruise, the greatest first. */
export function DragShares({ drag, design }: { readonly drag: Analysis['drag']; readonly design: Design | null }) {
  if (drag.parts.length === 0) return null;
  const named = new Map(
    [
      ...(design?.surfaces ?? []),
      ...(design?.bodies ?? []),
      ...(design?.dragItems ?? []),
      ...(design?.massItems ?? []),
      ...(design?.surfaces.flatMap(({ controls }) => controls) ?? []),
    ].map(({ id, name }) => [id, name || id]),
  );
  const shown = drag.parts.filter(({ share }) => share >= LEAST_SHARE);
  const rest = drag.parts.reduce((sum, { share }) => sum + share, 0) - shown.reduce((sum, { share }) => sum + share, 0);
  const percent = (share: number) => `${decimal(share * 100, 1)} %`;
  return (
    <Section title="Drag at cruise, by part" isRare>
      {shown.map(({ part, kind, share }) => (
        <Fact
          key={part + kind}
          label={kind === 'induced' ? KINDS.induced : `${named.get(part) ?? part}: ${KINDS[kind]}`}
        >
          {percent(share)}
        </Fact>
      ))}
      {rest > 1e-4 && <Fact label="All that is smaller">{percent(rest)}</Fact>}
      {drag.restingPropellers !== null && drag.restingPropellers > 0 && drag.total !== null && (
        <Fact label="Propeller without power, in a glide">+ {percent(drag.restingPropellers / drag.total)}</Fact>
      )}
    </Section>
  );
}
