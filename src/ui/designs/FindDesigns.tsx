import { useEffect, useRef } from 'react';
import type { DesignHead } from '@/storage/designLists';
import { Choices } from '../fields/Choices';
import { SelectField } from '../fields/SelectField';
import { Button } from '../shell/buttons';
import { ORDERS, tagsInUse, type Wanted } from './arrange';

interface FindDesignsProps {
  readonly heads: readonly DesignHead[];
  readonly wanted: Wanted;
  readonly onChange: (part: Partial<Wanted>) => void;
}

/** Words, tags and order of the list. */
export function FindDesigns({ heads, wanted: { words, tag, order }, onChange }: FindDesignsProps) {
  const tags = tagsInUse(heads);
  return (
    <div role="search" className="mt-4 flex flex-wrap items-center gap-x-3 gap-y-2">
      <input
        type="search"
        aria-label="Find by name or tag"
        placeholder={`Find among ${heads.length}`}
        value={words}
        onChange={(event) => onChange({ words: event.target.value })}
        className="w-56 rounded-sm border border-rule bg-white px-2 py-1"
      />
      {tags.length > 0 && (
        <Choices
          label="Tag"
          options={tags.map((name) => [name, name] as const)}
          value={tag}
          onChange={(next) => onChange({ tag: next })}
        />
      )}
      <div className="ml-auto flex items-center gap-2 text-read">
        <span aria-hidden="true" className="text-faint">
          Sorted by
        </span>
        <SelectField
          hideLabel
          label="Sorted by"
          value={order}
          options={ORDERS}
          onChange={(next) => onChange({ order: next })}
          className="w-44"
        />
      </div>
    </div>
  );
}

/** The rest of a long list: it comes when its end comes into sight, or when it is asked for. */
export function MoreDesigns({ left, onMore }: { readonly left: number; readonly onMore: () => void }) {
  const ref = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!ref.current || !('IntersectionObserver' in globalThis)) return undefined;
    const observer = new IntersectionObserver((seen) => seen.some(({ isIntersecting }) => isIntersecting) && onMore(), {
      rootMargin: '600px',
    });
    observer.observe(ref.current);
    return () => observer.disconnect();
  }, [onMore]);
  return (
    <div ref={ref} className="mt-2">
      <Button onClick={onMore}>Show more: {left} are left</Button>
    </div>
  );
}
