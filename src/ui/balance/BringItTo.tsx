import { gramsFromKilograms, metresFromMillimetres, millimetresFromMetres } from '@/core/1-base/units/convert';
import { useEffect, useMemo, useState } from 'react';
import { type BalanceWay, balanceWays } from '@/core/7-verdict/ways/ways';
import type { Analysis } from '@/core/analyse';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { keptOnTips } from '@/core/3-shape/geometry/keptOnTips';
import { decimal, formatMass, sentence } from '@/words/formatQuantity';
import { analyseVariant, previewRemedy, setFields } from '@/store/edit';
import { previewDropped } from '@/store/analysisSlice';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { Say } from '../numbers/Say';

type Goal = 'window' | 'margin' | 'place';

/** What each of these ways does; those of an earlier target are not shown. */
interface Found {
  readonly ways: readonly BalanceWay[];
  /** Each as it was mended until it meets what was asked for, and what it comes to. */
  readonly reached: Readonly<Record<string, { readonly way: BalanceWay; readonly analysis: Analysis }>>;
}

/** A way is computed and mended so often at most. */
const MOST_TURNS = 4;

/** Where to balance, and each way to get there with what it does to margin and weight. */
export function BringItTo({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const analysis = useAppSelector((state) => state.analysis.current);
  const dragging = useAppSelector((state) => state.session.dragging);
  const [goal, setGoal] = useState<Goal>('margin');
  const [margin, setMargin] = useState<number | null>(null);
  const [place, setPlace] = useState<number | null>(null);
  const [found, setFound] = useState<Found>({ ways: [], reached: {} });
  const wantedMargin =
    margin ?? (design.balance.minimumStaticMargin + Math.min(design.balance.maximumStaticMargin, 0.15)) / 2;
  const target = analysis && targetOf(analysis, goal, wantedMargin, place);
  const ways = useMemo(
    () => (analysis && target !== null && target !== undefined ? balanceWays(design, analysis, target) : []),
    [design, analysis, target],
  );

  useEffect(() => {
    // Each is a whole analysis: not while something is dragged, and a newer target ends those under way.
    if (dragging) return;
    const asking = new AbortController();
    const follow = async (first: BalanceWay) => {
      let way = first;
      for (let turn = 0; turn <= MOST_TURNS; turn++) {
        const analysis = await dispatch(analyseVariant(keptOnTips(design, withFields(design, way.change)), asking));
        if (!analysis || asking.signal.aborted) return;
        const better = turn < MOST_TURNS ? (way.mend?.(analysis) ?? null) : null;
        if (!better) {
          const reached = { way, analysis };
          setFound((before) => ({
            ways,
            reached: { ...(before.ways === ways ? before.reached : {}), [first.id]: reached },
          }));
          return;
        }
        way = better;
      }
    };
    for (const way of ways) void follow(way);
    return () => asking.abort();
  }, [ways, design, dragging, dispatch]);

  const reached = found.ways === ways ? found.reached : {};
  if (!analysis || analysis.mass.cg === null) return null;
  return (
    <Section title="Bring it to">
      <div className="grid grid-cols-[1fr_1fr] items-end gap-x-2">
        <SelectField
          label="Balance at"
          value={goal}
          options={[
            ['margin', 'a static margin'],
            ['window', 'the middle of the window'],
            ['place', 'a place'],
          ]}
          onChange={setGoal}
        />
        {goal === 'margin' && (
          <QuantityField
            label="Margin"
            kind="percent"
            value={wantedMargin * 100}
            onCommit={(value) => {
              if (!(value > -50 && value < 100)) return { path: '', message: 'must lie between −50 % and 100 %' };
              setMargin(value / 100);
              return null;
            }}
          />
        )}
        {goal === 'place' && (
          <QuantityField
            label="Aft of the datum"
            kind="length"
            value={millimetresFromMetres(place ?? analysis.mass.cg[0])}
            onCommit={(value) => {
              setPlace(metresFromMillimetres(value));
              return null;
            }}
          />
        )}
      </div>
      {ways.length === 0 && (
        <p className="mt-1.5 text-label text-faint">
          {target === null
            ? 'There is no such place: the limits cross, or the neutral point is not known.'
            : 'Nothing can be moved for it yet. Let a part slide in a bay, or add ballast.'}
        </p>
      )}
      <ul className="mt-1.5" data-testid="ways">
        {ways.map((first) => {
          const { way, analysis: effect } = reached[first.id] ?? { way: first, analysis: undefined };
          return (
            <Way
              key={way.id}
              way={way}
              effect={effect}
              before={analysis}
              units={units}
              onLook={(isLooking) =>
                dispatch(isLooking ? previewRemedy({ label: way.label, change: way.change }) : previewDropped())
              }
              onTake={() => dispatch(setFields(way.change))}
            />
          );
        })}
      </ul>
    </Section>
  );
}

function targetOf(analysis: Analysis, goal: Goal, margin: number, place: number | null): number | null {
  const { pitch, reference, window, mass } = analysis;
  if (goal === 'place') return place ?? mass.cg?.[0] ?? null;
  if (goal === 'margin')
    return pitch.neutralPoint === null || reference.meanChord === null
      ? null
      : pitch.neutralPoint - margin * reference.meanChord;
  return window.forward === null || window.aft === null || window.aft <= window.forward
    ? null
    : (window.forward + window.aft) / 2;
}

interface WayProps {
  readonly way: BalanceWay;
  readonly effect: Analysis | undefined;
  readonly before: Analysis;
  readonly units: Parameters<typeof formatMass>[1];
  /** Pointed at or focused: what it does is drawn before it is taken. */
  readonly onLook: (isLooking: boolean) => void;
  readonly onTake: () => void;
}

function Way({ way, effect, before, units, onLook, onTake }: WayProps) {
  const gained =
    effect && before.mass.total !== null && effect.mass.total !== null
      ? gramsFromKilograms(effect.mass.total - before.mass.total)
      : 0;
  return (
    <li className="flex items-start gap-2 border-t border-soft py-1 text-read">
      <span className="min-w-0 flex-1">
        <Say words={way.label} />
        <span className="block text-label text-faint">
          {effect?.pitch.staticMargin != null
            ? `then ${decimal(effect.pitch.staticMargin * 100, 1)} % margin${Math.abs(gained) >= 0.5 ? `, ${gained > 0 ? '+' : '−'}${formatMass(Math.abs(gained), units)}` : ', no heavier'}`
            : 'computing…'}
        </span>
        {way.because && (
          <span className="block text-label text-caution">
            <Say words={way.because} />
          </span>
        )}
      </span>
      <Button
        onClick={onTake}
        onPointerEnter={() => onLook(true)}
        onPointerLeave={() => onLook(false)}
        onFocus={() => onLook(true)}
        onBlur={() => onLook(false)}
        aria-label={`Take: ${sentence(way.label, units)}`}
      >
        Take
      </Button>
    </li>
  );
}
