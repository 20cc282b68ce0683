import { GRAMS_PER_OUNCE, MILLIMETRES_PER_INCH } from '@/core/1-base/units/convert';
import { clsx } from 'clsx';
import { useEffect, useId, useRef, useState } from 'react';
import { toast } from 'sonner';
import { parseQuantity, type QuantityKind } from '@/words/parseQuantity';
import { decimal, type DisplayUnits, inchFraction } from '@/words/formatQuantity';
import { useAppSelector } from '@/store/hooks';
import type { EditOutcome } from '@/store/edit';
import { useSentence } from '../numbers/Say';
import { FieldFault } from './FieldFault';
import { useDraft } from './useDraft';

export interface QuantityFieldProps {
  readonly label: string;
  readonly kind: QuantityKind;
  /** In the unit of the document; undefined for nothing entered. */
  readonly value: number | undefined;
  /** Takes a value in the unit of the document; says why when it is refused. */
  readonly onCommit: (value: number) => EditOutcome;
  /** Called when the field is emptied; without it empty is an error. */
  readonly onClear?: () => EditOutcome;
  readonly hideLabel?: boolean;
  /** For narrow columns whose head names the unit. */
  readonly hideUnit?: boolean;
  readonly step?: number;
  readonly placeholder?: string;
  readonly digits?: number;
  /** Takes the focus at once; called when the number was taken or left alone. */
  readonly onLeave?: () => void;
}

const SPEED_FACTOR = { 'm/s': 1, 'km/h': 3.6, mph: 1 / 0.44704 } as const;

/** Unit of a bare number, how values are shown in it, and the step of the arrow keys in document units. */
function unitOf(kind: QuantityKind, units: DisplayUnits, digits: number | undefined) {
  switch (kind) {
    case 'length':
      return units.length === 'in'
        ? { unit: 'in', show: (value: number) => inchFraction(value), step: MILLIMETRES_PER_INCH / 16 }
        : { unit: 'mm', show: (value: number) => decimal(value, digits ?? 1), step: 1 };
    case 'mass':
      return units.mass === 'oz'
        ? {
            unit: 'oz',
            show: (value: number) => decimal(value / GRAMS_PER_OUNCE, 2),
            step: GRAMS_PER_OUNCE / 10,
          }
        : { unit: 'g', show: (value: number) => decimal(value, digits ?? 1), step: 1 };
    case 'speed':
      return {
        unit: units.speed,
        show: (value: number) => decimal(value * SPEED_FACTOR[units.speed], 1),
        step: 0.5 / SPEED_FACTOR[units.speed],
      };
    case 'angle':
      return { unit: '°', show: (value: number) => decimal(value, digits ?? 2), step: 0.5 };
    case 'percent':
      return { unit: '%', show: (value: number) => decimal(value, digits ?? 1), step: 1 };
    case 'number':
      return { unit: '', show: (value: number) => decimal(value, digits ?? 3), step: 0.01 };
  }
}

/** A number with its unit, as people type it. Enter takes it, Escape leaves it, arrows nudge it. */
export function QuantityField(props: QuantityFieldProps) {
  const {
    label,
    kind,
    value,
    onCommit,
    onClear,
    hideLabel = false,
    hideUnit = false,
    placeholder,
    digits,
    onLeave,
  } = props;
  const units = useAppSelector((state) => state.settings.units);
  const say = useSentence();
  const { unit, show, step } = unitOf(kind, units, digits);
  const id = useId();
  const [fault, setFault] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const takesFocus = onLeave !== undefined;
  useEffect(() => {
    if (takesFocus) input.current?.focus();
  }, [takesFocus]);
  const shown = value === undefined ? '' : show(value);

  /** Takes what was typed; says why when it cannot be taken. */
  const take = (text: string): string | null => {
    if (text === shown) return null;
    if (text.trim() === '' && onClear) return told(onClear());
    const parsed = parseQuantity(kind, text, unit);
    return parsed.ok ? told(onCommit(parsed.value)) : parsed.message;
  };
  const told = (outcome: EditOutcome) => (outcome ? `${label} ${say(outcome.message)}.` : null);
  const draft = useDraft((text) => {
    const because = take(text);
    if (because !== null) toast.error(`“${text}” was not taken: ${because}`);
  });
  const leave = () => {
    draft.type(null);
    setFault(null);
    onLeave?.();
  };
  const commit = () => {
    const text = draft.now();
    const because = text === null ? null : take(text);
    if (because === null) leave();
    else setFault(because);
  };
  const nudge = (direction: number) => {
    // From what stands in the field, typed or not.
    const typed = draft.text === null ? null : parseQuantity(kind, draft.text, unit);
    if (typed && !typed.ok) return setFault(typed.message);
    const from = typed ? typed.value : value;
    if (from === undefined) return;
    const because = told(onCommit(Math.round((from + direction * (props.step ?? step)) * 1e6) / 1e6));
    setFault(because);
    if (because === null) draft.type(null);
  };

  return (
    <div className="flex min-w-0 flex-col justify-end">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'block text-label leading-tight text-faint'}>
        {label}
      </label>
      <FieldFault id={`${id}-fault`} fault={fault}>
        <div
          className={clsx(
            'flex items-center rounded-sm border bg-white focus-within:border-balance focus-within:outline-2 focus-within:outline-balance',
            fault ? 'border-stop' : 'border-rule',
          )}
        >
          <input
            ref={input}
            id={id}
            inputMode="text"
            autoComplete="off"
            className="w-full min-w-0 bg-transparent px-1.5 py-1 text-right outline-none"
            value={draft.text ?? shown}
            placeholder={placeholder}
            aria-invalid={fault !== null}
            aria-describedby={fault ? `${id}-fault` : undefined}
            onFocus={(event) => event.target.select()}
            onChange={(event) => draft.type(event.target.value)}
            onBlur={commit}
            onKeyDown={(event) => {
              if (event.key === 'Enter') commit();
              if (event.key === 'Escape') leave();
              if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
                event.preventDefault();
                nudge((event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1));
              }
            }}
          />
          {unit !== '' && !hideUnit && (
            <span className="pr-1.5 text-note text-faint" aria-hidden="true">
              {unit}
            </span>
          )}
        </div>
      </FieldFault>
    </div>
  );
}
