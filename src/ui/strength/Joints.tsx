import { field } from '@/core/2-document/edit/field';
import type { Surface } from '@/core/2-document/schema/surface';
import { CheckField } from '../fields/CheckField';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { useSet } from '../fields/useSet';
import { Section } from '../numbers/Section';

const JOINTS = [
  ['onePiece', 'one piece'],
  ['braced', 'butted, with a brace'],
  ['taped', 'butted, taped on both faces'],
  ['glued', 'butted and glued'],
  ['joiner', 'pushed over rods'],
] as const;
const MOUNTS = [
  ['glued', 'glued'],
  ['taped', 'taped'],
  ['bands', 'rubber bands'],
  ['screws', 'screws'],
] as const;

/** How both halves of a wing are joined, and how it sits on its body. */
export function Joints({ surface }: { readonly surface: Surface }) {
  const set = useSet();
  const of = ['surfaces', surface.id] as const;
  const { joint, mount } = surface;
  return (
    <Section title={`Joint of ${surface.name || surface.id}`} remembered="Joint of a wing" isRare>
      <div className="grid grid-cols-2 gap-x-2 gap-y-1.5">
        {surface.mirrored && (
          <SelectField
            label="Left and right are"
            value={joint}
            options={JOINTS}
            onChange={set(field(...of, 'joint'))}
          />
        )}
        <SelectField
          label="On the body by"
          value={mount.kind}
          options={MOUNTS}
          onChange={set(field(...of, 'mount', 'kind'))}
        />
        {mount.kind === 'bands' && (
          <>
            <QuantityField
              label="Bands"
              kind="number"
              step={1}
              value={mount.bands}
              onCommit={set(field(...of, 'mount', 'bands'))}
            />
            <QuantityField
              label="One strand pulls (N)"
              kind="number"
              step={1}
              value={mount.bandPull}
              onCommit={set(field(...of, 'mount', 'bandPull'))}
            />
            <QuantityField
              label="Strand, wide"
              kind="length"
              value={mount.bandWidth}
              onCommit={set(field(...of, 'mount', 'bandWidth'))}
            />
            <CheckField checked={mount.hasEdgeGuard} onChange={set(field(...of, 'mount', 'hasEdgeGuard'))}>
              edges are guarded
            </CheckField>
          </>
        )}
      </div>
    </Section>
  );
}
