import { useEffect, useState } from 'react';
import { BOARDS } from '@/core/2-document/catalogue/boards';
import type { Material } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import type { Glide } from '@/core/7-flight/toss/glideOf';
import { type Kilograms, kilogramsFromGrams, type Metres, metresFromMillimetres } from '@/core/1-base/units/convert';
import { enlarged, similar } from '@/core/7-flight/toss/similar';
import { type Bare, inertiaAlike } from '@/core/7-flight/toss/smallGlider';
import { askSmall, compareScales } from '@/store/glider';
import { tossAsked } from '@/store/gliderSlice';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { planScaleSet } from '@/store/plansSlice';
import { decimal, formatValue } from '@/words/formatQuantity';
import { SelectField } from '../fields/SelectField';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { useGoTo } from '../stages/useGoTo';
import { useTossesOf } from './TossLog';
import { far } from './tossWords';

/** Nothing has to change for so long before it is worked out anew [ms]. */
const SETTLES = 300;

const AS_DRAWN = '';

/** What a small one is made of, cut of a board; worked out in the worker whenever the design or the board is another. */
function useSmallMade(design: Design, board: Material | null) {
  const dispatch = useAppDispatch();
  const { small } = useAppSelector((state) => state.glider);
  const isThere = small?.of === design && small.board?.id === board?.id;
  useEffect(() => {
    if (isThere) return undefined;
    const timer = setTimeout(() => void dispatch(askSmall(design, board)), SETTLES);
    return () => clearTimeout(timer);
  }, [dispatch, design, board, isThere]);
  return isThere ? small.result : null;
}

/** What a small one of the scale of the throw has to weigh to fly alike, and what its board makes of it. */
export function SmallGlider({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const { stage } = useGoTo();
  const scale = useAppSelector((state) => state.glider.asked.scale);
  const analysis = useAppSelector((state) => state.analysis.current);
  const [chosen, setChosen] = useState<string>(AS_DRAWN);
  const board = BOARDS.find(({ id }) => id === chosen) ?? null;
  const made = useSmallMade(design, board);
  const mass = analysis?.mass.total;
  const span = analysis?.reference.span;
  if (mass == null || span == null) return null;
  const largest = made?.largest == null ? null : Math.floor(100 * made.largest) / 100;
  return (
    <Section title={scale > 1 ? 'The enlarged one' : 'The small glider'} isRare={scale === 1}>
      <SelectField
        label="Cut of"
        value={chosen}
        options={[[AS_DRAWN, 'the same board'], ...BOARDS.map(({ id, name }) => [id, name] as const)]}
        onChange={setChosen}
      />
      {largest !== null && largest > 0 && largest !== scale && (
        <Button className="mt-1.5" onClick={() => dispatch(tossAsked({ scale: Math.min(MOST_SCALE, largest) }))}>
          Largest on one sheet: {decimal(largest, 2)}
        </Button>
      )}
      {scale === 1 ? (
        <p className="mt-1.5 text-label text-faint">
          Type a scale of the throw, such as 0.25, to see what a small one of the same shape has to weigh; the plans
          stage cuts it at that scale.
        </p>
      ) : (
        <>
          {made?.bare && <Alike mass={mass} span={span} bare={made.bare} scale={scale} />}
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
        </>
      )}
    </Section>
  );
}

/** A throw is asked for at no larger scale. */
const MOST_SCALE = 2;

interface AlikeProps {
  readonly mass: Kilograms;
  readonly span: Metres;
  readonly bare: Bare;
  readonly scale: number;
}

/** Mass, ballast, speed and inertia of one that flies alike, and what the board makes of it. */
function Alike({ mass, span, bare, scale }: AlikeProps) {
  const units = useAppSelector((state) => state.settings.units);
  const small = similar({ mass, span, boardMass: bare.mass }, scale);
  const weight = (value: number) => formatValue(value, 'mass', units);
  const size = scale < 1 ? 'large' : 'drawn';
  return (
    <>
      <Fact label="Span">{formatValue(small.span, 'length', units)}</Fact>
      <Fact label="Flies alike at a mass of">{weight(small.mass)}</Fact>
      <Fact label="Cut of that board it weighs">{weight(small.boardMass)}</Fact>
      {small.ballast >= 0 ? (
        <Fact label="Ballast at the balance point">{weight(small.ballast)}</Fact>
      ) : (
        <Fact label="Too heavy by">{weight(-small.ballast)}</Fact>
      )}
      <Fact label="At so much of the speed">{decimal(100 * small.speedRatio, 0)} %</Fact>
      <Fact label="And of the Reynolds number">{decimal(100 * small.reynoldsRatio, 0)} %</Fact>
      <Fact label="Of the inertia that flies alike: roll, pitch, yaw">
        {inertiaAlike(bare, scale)
          .map((share) => `${decimal(100 * share, 0)} %`)
          .join(', ')}
      </Fact>
      <p className="mt-1 text-label text-faint">
        {small.ballast >= 0
          ? `Ballast makes up the mass, not how it is spread: it answers otherwise than the ${size} one, by the shares above.`
          : `Thinner board, or a larger one: as it is it flies ${decimal(
              100 * (Math.sqrt(small.boardMass / small.mass) - 1),
              0,
            )} % faster than alike.`}
      </p>
    </>
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
      <Button className="mt-2 mr-2" onClick={() => void dispatch(compareScales(design, scale))}>
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
