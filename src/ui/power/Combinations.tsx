import { useState } from 'react';
import type { DriveParts } from '@/core/2-document/catalogue/driveParts';
import type { Combination, Failing } from '@/core/8-sizing/chooseDrive';
import { takeDrive } from '@/store/drives';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { decimal, formatValue } from '@/words/formatQuantity';
import { SelectField } from '../fields/SelectField';
import { Button } from '../shell/buttons';
import { formatDuration } from './formatDuration';

const FAILS: Readonly<Record<Failing, string>> = {
  data: 'too little is known of it',
  clearance: 'propeller strikes the ground',
  motorCurrent: 'motor carries too much',
  controllerCurrent: 'controller carries too much',
  packCurrent: 'pack carries too much',
  climb: 'climbs too slowly',
  throttle: 'too weak for cruise',
  duration: 'does not last',
  mass: 'heavier than the brief allows',
  balance: 'pack cannot slide to its balance',
};

const ORDERS = [
  ['duration', 'longest first'],
  ['climb', 'fastest climb first'],
  ['mass', 'lightest first'],
  ['price', 'cheapest first'],
] as const;
type Order = (typeof ORDERS)[number][0];

const SORTS: Readonly<Record<Order, (a: Combination, b: Combination) => number>> = {
  duration: (a, b) => (b.duration ?? 0) - (a.duration ?? 0),
  climb: (a, b) => (b.climbRate ?? 0) - (a.climbRate ?? 0),
  mass: (a, b) => a.own - b.own,
  price: (a, b) => (a.price ?? Infinity) - (b.price ?? Infinity),
};

/** Rows that are shown at a time. */
const PAGE = 40;

/** All combinations that were tried: those that do, then the others with what each fails first. */
export function Combinations() {
  const { tried, result, progress } = useAppSelector((state) => state.choice);
  const [order, setOrder] = useState<Order>('duration');
  const [shown, setShown] = useState(PAGE);
  if (!tried || !result)
    return (
      <p className="p-6 text-faint">
        {progress
          ? 'Trying…'
          : 'Every motor, propeller and pack of your drawer, or of the usual sizes, can be tried for this aircraft: press “Try all” beside.'}
      </p>
    );
  if (!result.ok) return <p className="p-6">{result.reason}</p>;
  const good = result.combinations.filter(({ failing }) => failing === null).toSorted(SORTS[order]);
  const rest = result.combinations.filter(({ failing }) => failing !== null);
  const rows = [...good, ...rest];
  return (
    <div className="h-full overflow-auto px-4 pt-10 pb-4" tabIndex={0} role="region" aria-label="Combinations">
      <div className="flex flex-wrap items-end justify-between gap-2">
        <p className="text-read">
          <strong>{good.length}</strong> of {result.combinations.length} do; the others stand below with what each fails
          first. {countsOf(rest)}
        </p>
        <SelectField label="Order" options={ORDERS} value={order} onChange={setOrder} className="w-44" />
      </div>
      <table className="mt-2 w-full text-read">
        <thead>
          <tr className="border-b border-graphite text-left text-label text-faint">
            {[
              'Motor',
              'Propeller',
              'Pack',
              'Weigh',
              'Lasts',
              'Climbs',
              'Throttle',
              'Current',
              'Price',
              'What of it',
            ].map((head) => (
              <th key={head} scope="col" className="px-1.5 py-1 font-normal">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, shown).map((one) => (
            <Row key={`${one.motor}/${one.propeller}/${one.pack}`} one={one} parts={tried.parts} drive={tried.drive} />
          ))}
        </tbody>
      </table>
      {rows.length > shown && (
        <Button className="mt-3" onClick={() => setShown(shown + 5 * PAGE)}>
          Show more ({rows.length - shown} left)
        </Button>
      )}
    </div>
  );
}

/** How many fail by what, the most first. */
function countsOf(rest: readonly Combination[]): string {
  const counts = new Map<Failing, number>();
  for (const { failing } of rest) if (failing) counts.set(failing, (counts.get(failing) ?? 0) + 1);
  const most = [...counts].toSorted((a, b) => b[1] - a[1]).slice(0, 3);
  return most.length === 0
    ? ''
    : `Most often: ${most.map(([failing, count]) => `${FAILS[failing]} (${count})`).join(', ')}.`;
}

/** A name without the kind that its column tells. */
const bare = (name: string) => name.replace(/^(Motor|Propeller|Pack), /, '');

interface RowProps {
  readonly one: Combination;
  readonly parts: DriveParts;
  readonly drive: string;
}

function Row({ one, parts, drive }: RowProps) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const motor = parts.motors[one.motor]!;
  const propeller = parts.propellers[one.propeller]!;
  const pack = parts.packs[one.pack]!;
  const cell = 'px-1.5 py-1 align-top';
  const number = (value: number | null, write: (value: number) => string) => (value === null ? '–' : write(value));
  return (
    <tr className={`border-b border-soft ${one.failing ? 'text-faint' : ''}`}>
      <th scope="row" className={`${cell} text-left font-normal`}>
        {bare(motor.name)}
      </th>
      <td className={cell}>{bare(propeller.name)}</td>
      <td className={cell}>{bare(pack.name)}</td>
      <td className={`${cell} whitespace-nowrap`}>{formatValue(one.own, 'mass', units)}</td>
      <td className={`${cell} whitespace-nowrap`}>{number(one.duration, formatDuration)}</td>
      <td className={`${cell} whitespace-nowrap`}>
        {number(one.climbRate, (rate) => formatValue(rate, 'speed', units))}
      </td>
      <td className={`${cell} whitespace-nowrap`}>{number(one.throttle, (share) => `${decimal(share * 100, 0)} %`)}</td>
      <td className={`${cell} whitespace-nowrap`}>
        {number(one.current, (current) => formatValue(current, 'current', units))}
      </td>
      <td className={`${cell} whitespace-nowrap`}>{number(one.price, (price) => decimal(price, 2))}</td>
      <td className={cell}>
        {one.failing ? (
          FAILS[one.failing]
        ) : (
          <Button
            aria-label={`Take ${motor.name}, ${propeller.name}, ${pack.name}`}
            onClick={() => dispatch(takeDrive(drive, { motor, propeller, pack }))}
          >
            Take
          </Button>
        )}
      </td>
    </tr>
  );
}
