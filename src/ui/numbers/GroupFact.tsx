import { useAppSelector } from '@/store/hooks';
import { formatValue } from '@/words/formatQuantity';
import type { UnitKind } from '@/core/1-base/units/unitKind';
import { Fact, Why } from './Derived';

interface GroupFactProps {
  readonly group: 'strength' | 'power' | 'sustained' | 'takeOff' | 'engineOut' | 'torque' | 'rubber' | 'mission';
  readonly label: string;
  /** Key of the group. */
  readonly id: string;
  readonly unit?: UnitKind;
  /** How the number is written where its unit alone does not say. */
  readonly format?: (value: number) => string;
}

/** One number of a group under its label, or why it is not there. */
export function GroupFact({ group, label, id, unit = 'ratio', format }: GroupFactProps) {
  const numbers = useAppSelector((state) => state.analysis.current?.[group]);
  const units = useAppSelector((state) => state.settings.units);
  if (!numbers) return null;
  const value = (numbers as unknown as Readonly<Record<string, number | null>>)[id];
  return (
    <Fact label={label}>
      {value == null ? <Why text={numbers.reasons[id]} /> : format ? format(value) : formatValue(value, unit, units)}
    </Fact>
  );
}
