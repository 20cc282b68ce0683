import { toast } from 'sonner';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import { field } from '@/core/2-document/edit/field';
import type { Design } from '@/core/2-document/schema/design';
import type { Correction } from '@/core/7-flight/toss/correction';
import type { Told } from '@/core/7-flight/toss/infer';
import { setFields } from '@/store/edit';
import { hearTosses, stopGlider } from '@/store/glider';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { decimal, formatValue } from '@/words/formatQuantity';
import type { TossesTell } from '@/workers/contract';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { useTossesOf } from './TossLog';

const SEEN_WORDS = {
  distance: 'its distance',
  time: 'its time',
  sideways: 'where it came down beside the line',
  result: 'what it did',
  endSpeed: 'its speed at the end',
} as const;

/** What the tosses of one size tell by now, and what to do about it. */
export function WhatTossesTell({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const { progress, told, asked } = useAppSelector((state) => state.glider);
  const tosses = useTossesOf(asked.scale);
  if (tosses.length === 0) return null;
  const isOld =
    told &&
    (told.of !== design || told.by.length !== tosses.length || told.by.some((toss, index) => toss !== tosses[index]));
  const work = progress.tell;
  return (
    <Section title="What tosses tell">
      {work ? (
        <div className="flex items-center gap-2">
          <Button onClick={() => dispatch(stopGlider('tell'))}>Stop</Button>
          <progress className="min-w-20 flex-1" aria-label="Tosses weighed" value={work.done} max={work.total} />
        </div>
      ) : (
        <Button onClick={() => void dispatch(hearTosses(design, asked.scale, tosses))}>
          {told ? 'Weigh them again' : 'Weigh them'}
        </Button>
      )}
      {told && !work && (
        <div className="mt-2">
          {isOld && <p className="text-label text-faint">Told before the last change: weigh them again.</p>}
          {told.result.ok ? (
            <Findings design={design} result={told.result} names={told.by.map(({ id }) => id)} />
          ) : (
            <p>{told.result.because}</p>
          )}
        </div>
      )}
    </Section>
  );
}

function Findings({
  design,
  result,
  names,
}: {
  readonly design: Design;
  readonly result: Extract<TossesTell, { ok: true }>;
  readonly names: readonly string[];
}) {
  const units = useAppSelector((state) => state.settings.units);
  const { inferred, correction, next, chord } = result;
  const { errors, handsOffLift, contradictions } = inferred;
  if (contradictions.length > 0)
    return (
      <div role="status">
        <p className="font-medium">These tosses do not go together:</p>
        <ul className="mt-1 list-disc pl-4 text-read">
          {contradictions.map(({ toss, what, sigmas }) => (
            <li key={toss}>
              toss {names.indexOf(toss) + 1}: {SEEN_WORDS[what]} lies {decimal(sigmas, 1)} standard deviations off what
              the drawing and the others let expect
            </li>
          ))}
        </ul>
        <p className="mt-1 text-label text-faint">
          Look at what was typed, at what was on the glider, and at its build; take a toss out that was thrown badly.
        </p>
      </div>
    );
  const degrees = ({ value, sigma }: Told) =>
    `${decimal(degreesFromRadians(value), 1)}° ±${decimal(degreesFromRadians(sigma), 1)}°`;
  const surface = design.surfaces.find(({ id }) => id === correction?.turn?.surface);
  const shim = correction?.turn;
  const ballast = correction?.ballast;
  return (
    <>
      <Fact label="Settles hands off at a lift of">
        {handsOffLift
          ? `${decimal(handsOffLift.value, 2)} ±${decimal(handsOffLift.sigma, 2)}`
          : 'none: it does not settle'}
      </Fact>
      {correction && <Fact label="Level flight at cruise speed asks">{decimal(correction.aim, 2)}</Fact>}
      <Fact label="Trimming surface is off, nose up">{degrees(errors.decalage)}</Fact>
      <Fact label="Balances aft of the drawing by">
        {formatValue(errors.balance.value * chord, 'length', units)} ±
        {formatValue(errors.balance.sigma * chord, 'length', units)}
      </Fact>
      <Fact label="Drags more by">
        {decimal(100 * errors.drag.value, 0)} % ±{decimal(100 * errors.drag.sigma, 0)} %
      </Fact>
      <Fact label="Warped tip to tip, left nose up">{degrees(errors.warp)}</Fact>
      {shim && surface && (
        <p className="mt-1.5 text-read">
          Turn {(surface.name || surface.id).toLowerCase()} nose {shim.angle >= 0 ? 'up' : 'down'} by{' '}
          {decimal(Math.abs(degreesFromRadians(shim.angle)), 1)}° from where it is drawn, in all: a shim of{' '}
          <strong>{formatValue(shim.shim, 'length', units)}</strong> under its{' '}
          {shim.angle >= 0 ? 'leading' : 'trailing'} edge.
        </p>
      )}
      {ballast && (
        <p className="mt-1 text-read">
          Or <strong>{formatValue(ballast.mass, 'mass', units)}</strong> of ballast{' '}
          {formatValue(ballast.at, 'length', units)} aft of the datum, which moves the balance point by{' '}
          {formatValue(ballast.moves, 'length', units)}.
        </p>
      )}
      {!shim && !ballast && correction && (
        <p className="mt-1 text-read">No shim and no ballast that is worth it sets that right: look at the drawing.</p>
      )}
      {correction && <CarriedOver design={design} correction={correction} />}
      {next && (
        <p className="mt-1.5 text-read">
          Most would be learned from a toss at {formatValue(next.launchSpeed, 'speed', units)} with a shim of{' '}
          {decimal(next.shim, 1)}°: hands-off lift would then be known to ±{decimal(next.sigma, 2)}.
        </p>
      )}
      <p className="mt-1 text-label text-faint">
        Bands are one standard deviation; before the first toss they are those of hand building. Change one thing at a
        time.
      </p>
    </>
  );
}

/** The same for the aircraft itself, whatever the scale of the tossed one: angle and balance with their bands, and the angle to be taken over. */
function CarriedOver({ design, correction }: { readonly design: Design; readonly correction: Correction }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const scale = useAppSelector((state) => state.glider.asked.scale);
  const drawn = useAppSelector((state) => state.analysis.current?.mass.cg?.[0]);
  const { turn, balance } = correction;
  const surface = design.surfaces.find(({ id }) => id === turn?.surface);
  if (!(turn && surface) && !(balance && drawn !== undefined)) return null;
  const incidence = turn && surface ? surface.incidence + degreesFromRadians(turn.angle) : null;
  return (
    <div className="mt-2 border-t border-soft pt-1.5 text-read">
      <p>
        For the large one that is{' '}
        {turn && surface && incidence !== null && (
          <>
            {(surface.name || surface.id).toLowerCase()} at{' '}
            <strong>
              {decimal(incidence, 1)}° ±{decimal(degreesFromRadians(turn.sigma), 1)}°
            </strong>{' '}
            (drawn {decimal(surface.incidence, 1)}°)
          </>
        )}
        {turn && surface && balance && drawn !== undefined && ', or '}
        {balance && drawn !== undefined && (
          <>
            balanced at{' '}
            <strong>
              {formatValue(drawn + balance.moves / scale, 'length', units)} ±
              {formatValue(balance.sigma / scale, 'length', units)}
            </strong>{' '}
            (drawn {formatValue(drawn, 'length', units)})
          </>
        )}
        . That holds as far as both are built alike: check its angles and its balance again.
      </p>
      {surface && incidence !== null && (
        <Button
          className="mt-1"
          onClick={() => {
            const at = Math.round(incidence * 10) / 10;
            dispatch(setFields([field('surfaces', surface.id, 'incidence').to(at)]));
            toast(
              `${surface.name || surface.id} is drawn at ${decimal(at, 1)}° now. Tosses count from the new drawing.`,
            );
          }}
        >
          Draw it at this angle
        </Button>
      )}
    </div>
  );
}
