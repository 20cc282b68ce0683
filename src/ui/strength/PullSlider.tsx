import { useId } from 'react';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatValue } from '@/words/formatQuantity';
import type { Pull } from './flexOf';

interface PullSliderProps {
  /** 0 in level flight at cruise speed, 1 in the pull-up out of the dive. */
  readonly share: number;
  readonly pull: Pull;
  readonly onChange: (share: number) => void;
}

/** From level flight to the hardest pull-up: load factor and speed together. */
export function PullSlider({ share, pull, onChange }: PullSliderProps) {
  const id = useId();
  const units = useAppSelector((state) => state.settings.units);
  const words = `${decimal(pull.factor, 1)} × its weight at ${formatValue(pull.speed, 'speed', units)}`;
  return (
    <div className="flex min-w-0 flex-1 items-center gap-2 text-read">
      <label htmlFor={id} className="text-label text-faint">
        Pull-up
      </label>
      <input
        id={id}
        type="range"
        min={0}
        max={100}
        step={1}
        value={Math.round(share * 100)}
        aria-valuetext={words}
        onChange={(event) => onChange(Number(event.target.value) / 100)}
        className="min-w-24 flex-1 accent-balance"
      />
      <output htmlFor={id} className="whitespace-nowrap">
        {words}
      </output>
    </div>
  );
}
