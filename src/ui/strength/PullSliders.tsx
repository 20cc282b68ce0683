import { useAppSelector } from '@/store/hooks';
import { decimal, formatValue } from '@/words/formatQuantity';
import { Slider } from '../fields/Slider';
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
