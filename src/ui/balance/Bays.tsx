import { field } from '@/core/2-document/edit/field';
import { slidingItems } from '@/core/4-weight/placement';
import type { Design } from '@/core/2-document/schema/design';
import { setFields } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { useSet } from '../fields/useSet';

/** Room given to a part that begins to slide [mm each way]. */
const ROOM = 40;

/** What slides for balance, and from where to where. */
export function Bays({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const set = useSet();
  const fixed = design.massItems.filter(({ attachment }) => attachment.kind !== 'slides');
  const letSlide = (id: string) => {
    const item = design.massItems.find((candidate) => candidate.id === id);
    if (item)
      dispatch(
        setFields([
          field('massItems', id, 'attachment').to({
            kind: 'slides',
            from: item.position.x - ROOM,
            to: item.position.x + ROOM,
          }),
        ]),
      );
  };
  return (
    <Section title="What slides">
      {slidingItems(design).map((item) => (
        <div key={item.id} className="mb-1.5 grid grid-cols-[1.4fr_1fr_1fr] gap-x-2">
          <QuantityField
            label={`${item.name || item.id} at`}
            kind="length"
            value={item.position.x}
            onCommit={set(field('massItems', item.id, 'position', 'x'))}
          />
          {item.attachment.kind === 'slides' && (
            <>
              <QuantityField
                label="Bay from"
                kind="length"
                value={item.attachment.from}
                onCommit={set(field('massItems', item.id, 'attachment', 'from'))}
              />
              <QuantityField
                label="Bay to"
                kind="length"
                value={item.attachment.to}
                onCommit={set(field('massItems', item.id, 'attachment', 'to'))}
              />
            </>
          )}
        </div>
      ))}
      {fixed.length > 0 && (
        <SelectField
          label="Let another part slide"
          value=""
          options={[['', 'choose'], ...fixed.map(({ id, name }) => [id, name || id] as const)]}
          onChange={letSlide}
        />
      )}
      {design.massItems.length === 0 && <p className="text-label text-faint">There is no equipment yet.</p>}
    </Section>
  );
}
