import { Pause, Play } from 'lucide-react';
import { useEffect, useState } from 'react';
import { degreesFromRadians, secondsFromMilliseconds } from '@/core/1-base/units/convert';
import type { Samples } from '@/core/7-flight/flightRecord';
import { forcesAt } from '@/core/7-flight/forcesAt';
import type { Tossed } from '@/core/7-flight/toss/virtualToss';
import type { Design } from '@/core/2-document/schema/design';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatValue } from '@/words/formatQuantity';
import { Slider } from '../fields/Slider';
import { CheckField } from '../fields/CheckField';
import { Choices } from '../fields/Choices';
import { IconButton } from '../shell/buttons';
import { late } from '../shell/Late';
import { placeAt } from './placeAt';
import { TossPaths } from './TossPaths';
import { far } from './tossWords';

type Seen = Extract<Tossed, { ok: true }>;

const TossSpace = late(() => import('./TossSpace'), {
  place: 'The toss in space',
  meanwhile: <p className="p-4 text-faint">Building the model…</p>,
});

const VIEWS = [
  ['flat', 'Side and above'],
  ['space', 'In space'],
  ['beside', 'Beside it'],
] as const;
type View = (typeof VIEWS)[number][0];

/** One toss from the side and from above, to scale; the model in its attitude at a time that can be moved and played. */
export function TossPlot({ tossed, design }: { readonly tossed: Seen; readonly design: Design }) {
  const { own, changed, span } = tossed;
  const [view, setView] = useState<View>('flat');
  const [withForces, setWithForces] = useState(false);
  const [reached, setTime] = useState(0);
  const [isPlaying, setPlaying] = useState(false);
  const longest = Math.max(own.samples.t.at(-1)!, changed?.samples.t.at(-1) ?? 0);
  // Another toss may be over sooner.
  const time = Math.min(reached, longest);
  useEffect(() => {
    if (!isPlaying) return undefined;
    let frame = 0;
    let before: number | null = null;
    const next = (now: number) => {
      const passed = before === null ? 0 : secondsFromMilliseconds(now - before);
      before = now;
      setTime((current) => {
        if (current + passed >= longest) {
          setPlaying(false);
          return longest;
        }
        return current + passed;
      });
      frame = requestAnimationFrame(next);
    };
    frame = requestAnimationFrame(next);
    return () => cancelAnimationFrame(frame);
  }, [isPlaying, longest]);
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="min-h-0 flex-1 pt-8 small:pt-9">
        {view === 'flat' ? (
          <TossPaths own={own} changed={changed} span={span} time={time} withForces={withForces} />
        ) : (
          <TossSpace design={design} tossed={tossed} time={time} isFollowed={view === 'beside'} />
        )}
      </div>
      <Readings samples={own.samples} time={time} withForces={withForces && view === 'flat'} />
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-soft px-3 py-2">
        <IconButton
          label={isPlaying ? 'Stop' : 'Play'}
          icon={isPlaying ? <Pause size={16} /> : <Play size={16} />}
          onClick={() => {
            if (!isPlaying && time >= longest) setTime(0);
            setPlaying(!isPlaying);
          }}
        />
        <Choices
          joined
          label="How it is seen"
          options={VIEWS}
          value={view}
          onChange={(next) => next && setView(next)}
        />
        {view === 'flat' && (
          <CheckField checked={withForces} onChange={setWithForces}>
            Forces
          </CheckField>
        )}
        <Slider
          label="Time"
          words={`${decimal(time, 1)} s`}
          range={[0, longest]}
          value={time}
          onChange={(next) => {
            setPlaying(false);
            setTime(next);
          }}
        />
      </div>
    </div>
  );
}

interface ReadingsProps {
  readonly samples: Samples;
  readonly time: number;
  readonly withForces: boolean;
}

/** How it flies at the time that is looked at. */
function Readings({ samples, time, withForces }: ReadingsProps) {
  const units = useAppSelector((state) => state.settings.units);
  const at = placeAt(samples, time);
  const forces = withForces ? forcesAt(samples, at) : null;
  const degrees = (value: number) => `${decimal(degreesFromRadians(value), 0)}°`;
  const read: readonly (readonly [string, string])[] = [
    ['Speed', formatValue(samples.speed[at]!, 'speed', units)],
    ['Height', far(samples.z[at]!, units)],
    ['Path', degrees(samples.path[at]!)],
    ['Angle of attack', degrees(samples.alpha[at]!)],
    ['Bank', degrees(samples.roll[at]!)],
    ['Wing flies', `${decimal(100 * samples.attached[at]!, 0)} %`],
    ...(forces
      ? ([
          ['Lift', `${decimal(forces.lift, 2)} of the weight`],
          ['Drag', `${decimal(forces.drag, 2)} of it`],
        ] as const)
      : []),
  ];
  return (
    <dl className="flex flex-wrap gap-x-4 gap-y-0.5 border-t border-soft px-3 py-1.5 text-label">
      {read.map(([name, value]) => (
        <div key={name} className="flex gap-1.5">
          <dt className="text-faint">{name}</dt>
          <dd className="font-medium">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
