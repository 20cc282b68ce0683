import { useId } from 'react';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatValue } from '@/words/formatQuantity';
import type { Pull } from './flexOf';

/** What may be chosen of a pull: load factors and speeds from the one to the other. */
export interface PullRange {
  readonly factors: readonly [number, number];
  readonly speeds: readonly [number, number];
}

interface PullSlidersProps {
  readonly range: PullRange;
  readonly pull: Pull;
  readonly onChange: (pull: Pull) => void;
}

/** Load factor and speed of the pull-up in which an aircraft is looked at. */
export function PullSliders({ range, pull, onChange }: PullSlidersProps) {
  const units = useAppSelector((state) => state.settings.units);
  return (
    <>
      <Slider
        label="Pulls"
        words={`${decimal(pull.factor, 1)} × its weight`}
        range={range.factors}
        value={pull.factor}
        onChange={(factor) => onChange({ ...pull, factor })}
      />
      <Slider
        label="Flies"
        words={formatValue(pull.speed, 'speed', units)}
        range={range.speeds}
        value={pull.speed}
        onChange={(speed) => onChange({ ...pull, speed })}
      />
    </>
  );
}

interface SliderProps {
  readonly label: string;
  readonly words: string;
  readonly range: readonly [number, number];
  readonly value: number;
  readonly onChange: (value: number) => void;
}

/** Steps from end to end. */
const STEPS = 100;

function Slider({ label, words, range: [from, to], value, onChange }: SliderProps) {
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
