import { X } from 'lucide-react';
import { useState } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { tickedOff } from '@/store/fieldSlice';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { ownCheckAdded, ownCheckDropped } from '@/store/settingsSlice';
import { CheckField } from '../fields/CheckField';
import { Section } from '../numbers/Section';
import { Button, IconButton } from '../shell/buttons';
import { FieldCardButton } from './FieldCardButton';
import { preflightItems } from './preflightItems';

/** What is ticked before a flight; it goes into the log with it. */
export function Preflight({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const ownChecks = useAppSelector((state) => state.settings.ownChecks);
  const ticked = useAppSelector((state) => state.field.ticked);
  const items = preflightItems(design, ownChecks);
  const [typed, setTyped] = useState('');
  const count = items.filter((item) => ticked.includes(item)).length;
  const add = () => {
    const item = typed.trim();
    if (item) dispatch(ownCheckAdded(item));
    setTyped('');
  };
  return (
    <Section
      title="Before it flies"
      aside={
        <span className="text-label text-faint">
          {count} of {items.length}
        </span>
      }
    >
      <ul className="space-y-0.5">
        {items.map((item) => (
          <li key={item} className="flex items-center justify-between gap-1">
            <CheckField
              className="pointer-coarse:min-h-11"
              checked={ticked.includes(item)}
              onChange={(isTicked) =>
                dispatch(tickedOff(isTicked ? [...ticked, item] : ticked.filter((one) => one !== item)))
              }
            >
              {item}
            </CheckField>
            {ownChecks.includes(item) && (
              <IconButton
                label={`Take “${item}” off the list`}
                icon={<X size={14} />}
                onClick={() => dispatch(ownCheckDropped(item))}
              />
            )}
          </li>
        ))}
      </ul>
      <form
        className="mt-1.5 flex gap-1.5"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <input
          aria-label="Own item"
          placeholder="Own item"
          className="min-w-0 flex-1 rounded-sm border border-rule bg-sheet px-2 py-1 text-read"
          maxLength={120}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <Button type="submit" disabled={typed.trim() === ''}>
          Add
        </Button>
      </form>
      <FieldCardButton design={design} items={items} />
      <p className="mt-1 text-label text-faint">
        A list ticked off does not make it safe: rules of the place and of the club come first.
      </p>
    </Section>
  );
}
