import { Plus, Trash2 } from 'lucide-react';
import { ROD_STOCK } from '@/core/2-document/catalogue/rods';
import type { Brief } from '@/core/2-document/schema/brief';
import { type EditOutcome, editDesign } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { TextField } from '../fields/TextField';
import { Section } from '../numbers/Section';
import { Button, IconButton } from '../shell/buttons';

type Entry = Brief['drawer'][number];

const KINDS = [
  ['motor', 'Motor'],
  ['pack', 'Pack'],
  ['spar', 'Rod'],
] as const;
type Kind = (typeof KINDS)[number][0];

const kindOf = ({ kind }: Entry): Kind => KINDS.find(([known]) => known === kind)?.[0] ?? 'motor';

/** Rods that stock lists know; nothing can be computed of others. */
const RODS = ROD_STOCK.map(({ name }) => [name, name] as const);
const isStock = (name: string) => RODS.some(([known]) => known === name);

/** As another kind; a rod is one of the stock, and weighs as that says. */
const asKind = (entry: Entry, kind: Kind): Entry =>
  kind === 'spar' ? { kind, name: isStock(entry.name) ? entry.name : RODS[0]![0] } : { ...entry, kind };

/** What is at hand for this brief. */
export function InTheDrawer({ drawer }: Pick<Brief, 'drawer'>) {
  const dispatch = useAppDispatch();
  const put = (next: Brief['drawer']) =>
    dispatch(editDesign((current) => ({ ...current, brief: { ...current.brief, drawer: next } })));
  return (
    <Section
      title="In the drawer"
      isRare
      aside={
        <Button onClick={() => put([...drawer, { kind: 'motor', name: `Motor ${drawer.length + 1}`, mass: 30 }])}>
          <Plus size={14} aria-hidden="true" /> Add
        </Button>
      }
    >
      {drawer.length === 0 && (
        <p className="text-read text-faint">
          Empty: generic sizes are taken. Motors and packs that you enter are used instead; rods are tried first where
          something is to be stiffened.
        </p>
      )}
      <ul className="space-y-1.5">
        {drawer.map((entry, index) => (
          <EntryFields
            key={`${index}-${drawer.length}`}
            entry={entry}
            name={entry.name || `entry ${index + 1}`}
            onChange={(next) => put(drawer.map((other, place) => (place === index ? next : other)))}
            onRemove={() => put(drawer.filter((_, place) => place !== index))}
          />
        ))}
      </ul>
    </Section>
  );
}

interface EntryFieldsProps {
  readonly entry: Entry;
  readonly name: string;
  readonly onChange: (next: Entry) => EditOutcome;
  readonly onRemove: () => void;
}

function EntryFields({ entry, name, onChange, onRemove }: EntryFieldsProps) {
  const kind = kindOf(entry);
  const isRod = kind === 'spar';
  return (
    <li
      className={`grid items-center gap-1.5 ${isRod ? 'grid-cols-[84px_1fr_28px]' : 'grid-cols-[84px_1fr_72px_28px]'}`}
    >
      <SelectField
        hideLabel
        label={`Kind of ${name}`}
        value={kind}
        options={KINDS}
        onChange={(next) => onChange(asKind(entry, next))}
      />
      {isRod ? (
        <SelectField
          hideLabel
          label={`Name of ${name}`}
          value={entry.name}
          options={isStock(entry.name) ? RODS : [[entry.name, entry.name], ...RODS]}
          onChange={(next) => onChange({ ...entry, name: next })}
        />
      ) : (
        <>
          <TextField
            hideLabel
            label={`Name of ${name}`}
            value={entry.name}
            onCommit={(next) => void onChange({ ...entry, name: next })}
          />
          <QuantityField
            hideLabel
            label={`Mass of ${name}`}
            kind="mass"
            value={entry.mass}
            onCommit={(mass) => onChange({ ...entry, mass })}
          />
        </>
      )}
      <IconButton label={`Take ${name} out of the drawer`} icon={<Trash2 size={15} />} onClick={onRemove} />
    </li>
  );
}
