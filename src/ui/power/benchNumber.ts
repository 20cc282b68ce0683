import { field, type FieldOf } from '@/core/2-document/edit/field';
import type { BenchTest, Propulsion } from '@/core/2-document/schema/propulsion';

/** A number of the bench test of a drive; the first that is typed begins the test. */
export function benchNumber({ id, benchTest }: Propulsion, key: keyof BenchTest): FieldOf<number | undefined> {
  const whole = field('propulsion', id, 'benchTest');
  const own = field('propulsion', id, 'benchTest', key);
  return benchTest
    ? own
    : { ...own, to: (value) => whole.to(value === undefined ? undefined : { [key]: value }) as never };
}
