import { useId } from 'react';

interface SliderProps {
  readonly label: string;
  readonly words: string;
  readonly range: readonly [number, number];
  readonly value: number;
  readonly onChange: (value: number) => void;
}

/** Steps from end to end. */
const STEPS = 100;

/** A value between two ends, told in words. */
export function Slider({ label, words, range: [from, to], value, onChange }: SliderProps) {
  const id = useId();
  return (
    <div className="flex min-w-44 flex-1 items-center gap-2 text-read">
      <label htmlFor={id} className="text-label text-faint">
        {label}
      </label>
      <input
        id={id}
        type="range"
        min={0}
        max={STEPS}
        step={1}
        disabled={to <= from}
        value={to > from ? Math.round(((value - from) / (to - from)) * STEPS) : 0}
        aria-valuetext={words}
        onChange={(event) => onChange(from + (Number(event.target.value) / STEPS) * (to - from))}
        className="min-w-16 flex-1 accent-balance"
      />
      <output htmlFor={id} className="whitespace-nowrap">
        {words}
      </output>
    </div>
  );
}
