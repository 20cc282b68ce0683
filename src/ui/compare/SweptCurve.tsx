import type { ComponentProps } from 'react';
import { readField } from '@/core/2-document/edit/fieldPath';
import { unitOfField } from '@/core/2-document/fieldUnits';
import type { Design } from '@/core/2-document/schema/design';
import type { SweepAsked } from '@/store/compareSlice';
import { useAppSelector } from '@/store/hooks';
import type { SweepTold } from '@/workers/contract';
import type Chart from '../charts/Chart';
import { axisOf, documentAxis } from '../sheet/unitAxes';
import { late } from '../shell/Late';
import { sweptFields, SWEPT_OUTPUTS } from './compareWords';

const LateChart = late<ComponentProps<typeof Chart>>(() => import('../charts/Chart'), {
  place: 'the curve of a sweep',
  meanwhile: <p className="text-faint">Drawing…</p>,
});

interface SweptCurveProps {
  readonly of: Design;
  readonly asked: SweepAsked;
  readonly result: SweepTold;
  readonly isOlder: boolean;
}

/** What comes out over what was varied, with the drawing and the limits that it has. */
export function SweptCurve({ of, asked, result, isOlder }: SweptCurveProps) {
  const units = useAppSelector((state) => state.settings.units);
  const [, words = asked.output, unit = 'ratio'] = SWEPT_OUTPUTS.find(([name]) => name === asked.output) ?? [];
  const field = sweptFields(of).find(([path]) => path === asked.field)?.[1] ?? asked.field;
  const along = documentAxis(unitOfField(asked.field), units);
  const up = axisOf(unit, units);
  if (!result.ok) return <p className="max-w-md">{result.because}</p>;
  const known = result.at.flatMap((at, index) => {
    const { value } = result.values[index]!;
    return value === null ? [] : [{ at: along.to(at), value: up.to(value) }];
  });
  const missing = result.values.find(({ value }) => value === null);
  const now = readField(of, asked.field);
  const ups = known.map(({ value }) => value);
  const { minimumStaticMargin } = of.balance;
  return (
    <section aria-label="What a number does" className="max-w-2xl">
      <h2 className="font-semibold">
        {words} over {field}
      </h2>
      {isOlder && <p className="text-label text-faint">Swept before the last change: sweep it again.</p>}
      {missing && missing.value === null && (
        <p className="text-label text-faint">
          {result.values.length - known.length} of {result.values.length} places have none: {missing.because}
        </p>
      )}
      {known.length > 1 && (
        <LateChart
          caption={`${words} over ${field}`}
          x={along.unit === '' ? field : `${field} (${along.unit})`}
          y={up.unit === '' ? words : `${words} (${up.unit})`}
          lines={[
            { name: words, x: known.map(({ at }) => at), y: ups, look: 'strong' },
            ...(typeof now === 'number' && now >= Math.min(...result.at) && now <= Math.max(...result.at)
              ? [
                  {
                    name: 'as drawn',
                    x: [along.to(now), along.to(now)],
                    y: [Math.min(0, ...ups), Math.max(0, ...ups)],
                    look: 'dotted' as const,
                  },
                ]
              : []),
            ...(asked.output === 'pitch.staticMargin'
              ? [
                  {
                    name: 'least wanted',
                    x: [along.to(result.at[0]!), along.to(result.at.at(-1)!)],
                    y: [up.to(minimumStaticMargin), up.to(minimumStaticMargin)],
                    look: 'dashed' as const,
                  },
                ]
              : []),
          ]}
        />
      )}
    </section>
  );
}
