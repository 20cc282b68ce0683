import { Copy, Download, Pencil, Tag, Trash2 } from 'lucide-react';
import { type ReactNode, useRef, useState } from 'react';
import { Link } from 'react-router';
import { millimetresFromMetres } from '@/core/1-base/units/convert';
import type { DesignSummary } from '@/core/7-verdict/designSummary';
import type { StoredDesign } from '@/storage/database';
import { useAppSelector } from '@/store/hooks';
import { balanceWords } from '@/words/balanceWords';
import { decimal, formatLength, formatValue } from '@/words/formatQuantity';
import { CheckField } from '../fields/CheckField';
import { TextField } from '../fields/TextField';
import { LOOK } from '../findings/look';
import { IconButton } from '../shell/buttons';
import { exportDesign } from '../shell/exportDesign';
import { told } from '../shell/told';
import { useSurroundings } from '../surroundings';
import { tagsFrom } from './arrange';
import { PlanThumbnail } from './PlanThumbnail';

interface DesignRowProps {
  readonly entry: StoredDesign;
  /** Null while it is computed. */
  readonly summary: DesignSummary | null;
  readonly isChosen: boolean;
  readonly onChoose: (isChosen: boolean) => void;
  readonly onRemove: () => void;
}

/** One design of the list: what it is and how it stands; open, rename, tag, copy, export, remove, choose. */
export function DesignRow({ entry, summary, isChosen, onChoose, onRemove }: DesignRowProps) {
  const { designs } = useSurroundings();
  const [writing, setWriting] = useState<'name' | 'tags' | null>(null);
  const pencil = useRef<HTMLButtonElement>(null);
  const label = useRef<HTMLButtonElement>(null);
  const end = () => {
    setWriting(null);
    (writing === 'tags' ? label : pencil).current?.focus();
  };
  const { tags, notes } = entry.design;
  const toggle = (what: 'name' | 'tags') => ({
    // Leaving the field by this press ends the writing: it must not begin again.
    onPointerDown: (event: React.PointerEvent) => writing === what && event.preventDefault(),
    onClick: () => setWriting(writing === what ? null : what),
  });
  return (
    <li
      className="flex items-center gap-4 py-2 [contain-intrinsic-size:auto_84px] [content-visibility:auto] small:flex-wrap small:gap-x-2"
      data-design={entry.name}
    >
      <CheckField checked={isChosen} onChange={onChoose}>
        <span className="sr-only">Choose {entry.name}</span>
      </CheckField>
      <PlanThumbnail design={entry.design} />
      <div className="min-w-0 flex-1 basis-64">
        {writing === 'name' ? (
          <TextField
            label={`New name of ${entry.name}`}
            value={entry.name}
            onCommit={(name) => void told(`${entry.name} keeps its name`, () => designs.rename(entry.id, name))}
            onLeave={end}
          />
        ) : (
          <Link
            to={`/design/${entry.id}/wing`}
            className="text-lg font-medium underline decoration-rule underline-offset-4 hover:decoration-graphite"
          >
            {entry.name}
          </Link>
        )}
        {writing === 'tags' ? (
          <TextField
            label={`Tags of ${entry.name}, between commas`}
            value={tags.join(', ')}
            onCommit={(line) =>
              void told(`${entry.name} keeps its tags`, () => designs.retag(entry.id, tagsFrom(line)))
            }
            onLeave={end}
          />
        ) : (
          <p className="text-read leading-tight text-faint">
            {tags.length > 0 && <span className="font-medium text-graphite">{tags.join(', ')} · </span>}
            {notes || 'No notes'} · changed{' '}
            {new Date(entry.updatedAt).toLocaleDateString(undefined, { dateStyle: 'medium' })}
          </p>
        )}
      </div>
      <Standing summary={summary} />
      <div className="flex">
        <IconButton ref={pencil} label={`Rename ${entry.name}`} icon={<Pencil size={16} />} {...toggle('name')} />
        <IconButton ref={label} label={`Tag ${entry.name}`} icon={<Tag size={16} />} {...toggle('tags')} />
        <IconButton
          label={`Copy ${entry.name}`}
          icon={<Copy size={16} />}
          onClick={() => void told(`${entry.name} was not copied`, () => designs.duplicate(entry.id))}
        />
        <IconButton
          label={`Export ${entry.name}`}
          icon={<Download size={16} />}
          onClick={() =>
            void told(`${entry.name} was not exported`, () => exportDesign(designs, entry.id, entry.design))
          }
        />
        <IconButton label={`Remove ${entry.name}`} icon={<Trash2 size={16} />} onClick={onRemove} />
      </div>
    </li>
  );
}

/** Span, mass and how it stands, in columns that line up. */
function Standing({ summary }: { readonly summary: DesignSummary | null }) {
  const units = useAppSelector((state) => state.settings.units);
  if (!summary) return <p className="w-80 text-read text-faint">Computing…</p>;
  const { span, mass, staticMargin, balance, findings } = summary;
  const worst = (['stop', 'caution', 'note'] as const).find((severity) => findings[severity] > 0);
  return (
    <dl className="grid w-80 shrink-0 grid-cols-[84px_72px_1fr] gap-x-2 text-read leading-tight">
      <Told name="Span">{span === null ? '–' : formatLength(millimetresFromMetres(span), units, 0)}</Told>
      <Told name="Mass">{mass === null ? '–' : formatValue(mass, 'mass', units)}</Told>
      <div>
        <dt className="sr-only">Verdict</dt>
        <dd
          className={
            balance.kind === 'inside' ? 'text-balance' : balance.kind === 'unknown' ? 'text-faint' : 'text-stop'
          }
        >
          {balanceWords(balance, units)}
          {staticMargin !== null && <span className="text-faint">, {decimal(staticMargin * 100, 0)} % margin</span>}
        </dd>
        {worst && (
          <dd className={`inline-flex items-center gap-1 text-label ${LOOK[worst].head}`}>
            {LOOK[worst].icon} {findings[worst]} {LOOK[worst].word.toLowerCase()}
            {findings[worst] > 1 && 's'}
          </dd>
        )}
      </div>
    </dl>
  );
}

function Told({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <div>
      <dt className="text-note text-faint">{name}</dt>
      <dd className="font-medium whitespace-nowrap">{children}</dd>
    </div>
  );
}
