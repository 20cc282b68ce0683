import type { Design } from '@/core/2-document/schema/design';
import type { Glide } from '@/core/7-flight/toss/glideOf';
import { kilogramsFromGrams, metresFromMillimetres } from '@/core/1-base/units/convert';
import { enlarged, similar } from '@/core/7-flight/toss/similar';
import { compareScales } from '@/store/glider';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { planScaleSet } from '@/store/plansSlice';
import { decimal, formatValue } from '@/words/formatQuantity';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { useGoTo } from '../stages/useGoTo';
import { useTossesOf } from './TossLog';
import { far } from './tossWords';

/** What a small one of the scale of the throw has to weigh to fly alike, and what the same board makes of it. */
export function SmallGlider({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const { stage } = useGoTo();
  const scale = useAppSelector((state) => state.glider.asked.scale);
  const analysis = useAppSelector((state) => state.analysis.current);
  const units = useAppSelector((state) => state.settings.units);
  const mass = analysis?.mass.total;
  const span = analysis?.reference.span;
  if (mass == null || span == null) return null;
  if (scale === 1)
    return (
      <Section title="The small glider" isRare>
        <p className="text-label text-faint">
          Type a scale of the throw, such as 0.25, to see what a small one of the same shape has to weigh; the plans
          stage cuts it at that scale.
        </p>
      </Section>
    );
  const boardMass = analysis!.mass.parts
    .filter(({ kind }) => kind !== 'item')
    .reduce((sum, { mass: own }) => sum + own, 0);
  const small = similar({ mass, span, boardMass }, scale);
  const weight = (value: number) => formatValue(value, 'mass', units);
  return (
    <Section title={scale < 1 ? 'The small glider' : 'The enlarged one'}>
      <Fact label="Span">{formatValue(small.span, 'length', units)}</Fact>
      <Fact label="Flies alike at a mass of">{weight(small.mass)}</Fact>
      <Fact label="Cut of the same board it weighs">{weight(small.boardMass)}</Fact>
      {small.ballast >= 0 ? (
        <Fact label="Ballast at the balance point">{weight(small.ballast)}</Fact>
      ) : (
        <Fact label="Too heavy by">{weight(-small.ballast)}</Fact>
      )}
      <Fact label="At so much of the speed">{decimal(100 * small.speedRatio, 0)} %</Fact>
      <Fact label="And of the Reynolds number">{decimal(100 * small.reynoldsRatio, 0)} %</Fact>
      <p className="mt-1 text-label text-faint">
        {small.ballast >= 0
          ? 'Ballast makes up the mass, not how it is spread: it turns a little quicker than the large one.'
          : `Thinner board, or a larger one: as it is it flies ${decimal(
              100 * (Math.sqrt(small.boardMass / small.mass) - 1),
              0,
            )} % faster than alike.`}
      </p>
      <SideBySide design={design} scale={scale} />
      <Enlarged scale={scale} drawnMass={mass} />
      <Button
        className="mt-2"
        onClick={() => {
          dispatch(planScaleSet(scale));
          stage('plans');
        }}
      >
        Cut it at this scale
      </Button>
    </Section>
  );
}

/** The way up: what was measured of the tossed one, enlarged by its own numbers. */
function Enlarged({ scale, drawnMass }: { readonly scale: number; readonly drawnMass: number }) {
  const units = useAppSelector((state) => state.settings.units);
  const toss = useTossesOf(scale).findLast(({ mass, balance, launchSpeed, distance, time }) =>
    [mass, balance, launchSpeed, distance, time].some((value) => value !== undefined),
  );
  if (!toss) return null;
  const { mass, balance, launchSpeed, distance, time } = toss;
  const large = enlarged(
    {
      mass: mass === undefined ? undefined : kilogramsFromGrams(mass),
      balance: balance === undefined ? undefined : metresFromMillimetres(balance),
      launchSpeed,
      distance,
      time,
    },
    scale,
  );
  const rows: readonly (readonly [string, string | undefined])[] = [
    [
      'Weighs',
      large.mass && `${formatValue(large.mass, 'mass', units)}, drawn ${formatValue(drawnMass, 'mass', units)}`,
    ],
    ['Balances at', large.balance && formatValue(large.balance, 'length', units)],
    ['Out of the hand', large.launchSpeed && formatValue(large.launchSpeed, 'speed', units)],
    ['Comes as far as', large.distance && far(large.distance, units)],
    ['In', large.time && `${decimal(large.time, 1)} s`],
  ] as const;
  return (
    <div className="mt-2">
      <p className="text-label text-faint">
        The last toss, enlarged by its own numbers; a better Reynolds number adds to it:
      </p>
      {rows.map(
        ([name, value]) =>
          value && (
            <Fact key={name} label={name}>
              {value}
            </Fact>
          ),
      )}
    </div>
  );
}

/** What the low Reynolds number spoils, large and small beside one another. */
function SideBySide({ design, scale }: { readonly design: Design; readonly scale: number }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const { scales, progress } = useAppSelector((state) => state.glider);
  const isThere = scales?.of === design && scales.scale === scale;
  if (!isThere)
    return progress.scales ? (
      <p className="mt-2 text-label text-faint">Looking at both…</p>
    ) : (
      <Button className="mt-2" onClick={() => void dispatch(compareScales(design, scale))}>
        Glide of both
      </Button>
    );
  const { result } = scales;
  if (!result.ok) return <p className="mt-2 text-read">{result.because}</p>;
  const speed = (value: number) => formatValue(value, 'speed', units);
  const rows: readonly (readonly [string, (glide: Glide) => string])[] = [
    ['Most lift', ({ mostLift }) => decimal(mostLift, 2)],
    ['Stalls at', ({ stallSpeed }) => speed(stallSpeed)],
    ['Best glide', ({ bestRatio }) => decimal(bestRatio, 1)],
    ['At', ({ bestSpeed }) => speed(bestSpeed)],
    ['Sinks at least', ({ leastSink }) => `${decimal(leastSink, 2)} m/s`],
  ];
  return (
    <table className="mt-2 w-full text-label">
      <caption className="sr-only">Glide of the large and of the small one, each at its own Reynolds numbers</caption>
      <thead>
        <tr className="text-faint">
          <th scope="col" className="text-left font-normal">
            Without power
          </th>
          <th scope="col" className="text-right font-normal">
            large
          </th>
          <th scope="col" className="text-right font-normal">
            small
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, of]) => (
          <tr key={name} className="border-t border-soft">
            <th scope="row" className="py-1 text-left font-normal">
              {name}
            </th>
            <td className="text-right">{of(result.large)}</td>
            <td className="text-right">{of(result.small)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
