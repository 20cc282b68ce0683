import { Camera } from 'lucide-react';
import { useEffect, useId, useState } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { type BuildStep, buildOrder } from '@/core/4-parts/build/buildOrder';
import type { CutList } from '@/core/4-parts/part';
import type { GateVerdict } from '@/core/8-bench/judgeGate';
import { judgeGatesOf, overrideId, passAllTheSame } from '@/store/bench';
import { editDesign } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { Choices } from '../fields/Choices';
import { Say } from '../numbers/Say';
import { useRecords } from '../records/useRecords';
import { RecordPhotos } from '../records/RecordPhotos';
import { Button, IconButton } from '../shell/buttons';
import { useAwake } from '../shell/useAwake';
import { told } from '../shell/told';
import { GateReadings } from './GateReadings';

const KINDS: Readonly<Record<BuildStep['kind'], string>> = {
  test: 'try',
  cut: 'cut',
  shape: 'shape',
  gate: 'measure',
  glue: 'glue',
  fit: 'fit',
  check: 'check',
};

type Shown = 'all' | 'left' | 'gates';
const SHOWN: readonly (readonly [Shown, string])[] = [
  ['all', 'All steps'],
  ['left', 'Left to do'],
  ['gates', 'Gates'],
];

/** The build step by step, ticks kept with the design. */
export function BuildOrder({ design, list }: { readonly design: Design; readonly list: CutList }) {
  const dispatch = useAppDispatch();
  const steps = buildOrder(design, list);
  const done = new Set(design.built);
  const { verdictOf, isOld } = useVerdicts(design);
  // A gate that waits is looked at again and again with glue on the fingers.
  useAwake([...verdictOf.values()].some(({ state }) => state !== 'ok'));
  const [shown, setShown] = useState<Shown>('all');
  const pictured = new Set(useRecords('photos').map(({ part }) => part));
  const left = steps.filter(({ id }) => !done.has(id)).reduce((sum, { minutes }) => sum + minutes, 0);
  const tick = (id: string) =>
    dispatch(
      editDesign((current) => ({
        ...current,
        built: current.built.includes(id) ? current.built.filter((one) => one !== id) : [...current.built, id],
      })),
    );
  return (
    <div className="h-full overflow-y-auto px-5 pb-4" tabIndex={0} role="region" aria-label="Build order">
      <p className="text-read">
        {steps.length} steps, about {Math.round(left / 6) / 10} hours left. Measure before you glue: what a gate asks is
        read first, dry.
      </p>
      <Choices
        joined
        className="mt-1.5 w-fit"
        label="Steps that are shown"
        options={SHOWN}
        value={shown}
        onChange={(next) => next && setShown(next)}
      />
      <ol className="mt-2">
        {steps
          .map((step, index) => ({ step, index }))
          .filter(({ step }) => shown === 'all' || (shown === 'left' ? !done.has(step.id) : verdictOf.has(step.id)))
          .map(({ step, index }) => (
            <Step
              key={step.id}
              {...{ step, design, isOld }}
              number={index + 1}
              isDone={done.has(step.id)}
              isPictured={pictured.has(photosOf(step.id))}
              onTick={() => tick(step.id)}
              gate={verdictOf.get(step.id)}
              before={verdictOf.get(`before ${step.id}`)}
            />
          ))}
      </ol>
    </div>
  );
}

/** Nothing has to change for so long before the gates are judged anew [ms]. */
const SETTLES = 250;

/** Verdicts by the step that asks for the reading, and, after `before `, by the step that makes it stay. */
function useVerdicts(design: Design) {
  const dispatch = useAppDispatch();
  const judged = useAppSelector((state) => state.bench.judged);
  const isOld = judged?.of !== design;
  useEffect(() => {
    if (!isOld) return undefined;
    const timer = setTimeout(() => void dispatch(judgeGatesOf(design)), SETTLES);
    return () => clearTimeout(timer);
  }, [dispatch, design, isOld]);
  const verdictOf = new Map(
    (judged?.verdicts ?? []).flatMap((verdict) => [
      [verdict.gate.step, verdict] as const,
      [`before ${verdict.gate.glue}`, verdict] as const,
    ]),
  );
  return { verdictOf, isOld };
}

/** What photographs of a step are kept under. */
const photosOf = (step: string): string => `step-${step}`;

interface StepProps {
  readonly design: Design;
  /** What is measured at this step, and what has to be green before it. */
  readonly gate: GateVerdict | undefined;
  readonly before: GateVerdict | undefined;
  readonly isOld: boolean;
  readonly step: BuildStep;
  readonly number: number;
  readonly isDone: boolean;
  /** Whether photographs of it are kept. */
  readonly isPictured: boolean;
  readonly onTick: () => void;
}

function Step({
  step: { id, kind, title, parts, gauge, reading, minutes, caution },
  number,
  isDone,
  isPictured,
  onTick,
  design,
  gate,
  before,
  isOld,
}: StepProps) {
  const [isAsking, setAsking] = useState(false);
  const [isTaking, setTaking] = useState(false);
  const passed = useRecords('benchReadings').find((record) => before && record.id === overrideId(before.gate.step));
  // Glue only when its gate is green: else it asks why.
  const isHeld = before !== undefined && before.state !== 'ok' && !passed;
  return (
    <li className="flex gap-3 border-b border-soft py-2 text-read">
      <input
        id={`step-${id}`}
        type="checkbox"
        className="mt-1 size-4 shrink-0 accent-balance"
        checked={isDone}
        onChange={() => (isHeld && !isDone ? setAsking(true) : onTick())}
      />
      <div className="min-w-0 flex-1">
        <label htmlFor={`step-${id}`} className={isDone ? 'text-faint line-through' : 'font-medium'}>
          {number}. <Say words={title} />
        </label>
        {reading !== null && (
          <p className={kind === 'gate' ? 'font-medium text-balance' : 'text-faint'}>
            {gauge !== null && `Gauge “${gauge}”: `}
            <Say words={reading} />
          </p>
        )}
        {gate && <GateReadings design={design} verdict={gate} isOld={isOld} />}
        {before && isAsking && isHeld && !isDone && (
          <AllTheSame
            verdict={before}
            onPassed={() => {
              setAsking(false);
              onTick();
            }}
            onLeave={() => setAsking(false)}
          />
        )}
        {passed && <p className="text-label text-caution">Passed though its gate was not green: {passed.notes}</p>}
        {parts.length > 0 && <p className="text-label text-faint">{parts.join(', ')}</p>}
        {caution !== null && (
          <p className="text-label text-caution">
            <Say words={caution} />
          </p>
        )}
        {(isPictured || isTaking) && <RecordPhotos of={photosOf(id)} />}
      </div>
      <span className="shrink-0 text-right text-label text-faint">
        {KINDS[kind]}
        <br />
        {minutes} min
        <br />
        <IconButton
          label={`Photo of step ${number}`}
          icon={<Camera size={15} />}
          aria-expanded={isPictured || isTaking}
          onClick={() => setTaking(!isTaking)}
        />
      </span>
    </li>
  );
}

interface AllTheSameProps {
  readonly verdict: GateVerdict;
  readonly onPassed: () => void;
  readonly onLeave: () => void;
}

/** A gate that is not green holds up the glue; whoever goes on says why, and that is kept. */
function AllTheSame({ verdict: { gate, state }, onPassed, onLeave }: AllTheSameProps) {
  const dispatch = useAppDispatch();
  const [reason, setReason] = useState('');
  const field = useId();
  const pass = async () => {
    const kept = await told('The reason was not kept', async () => {
      await dispatch(passAllTheSame(gate, reason.trim()));
      return true;
    });
    if (kept) onPassed();
  };
  return (
    <form
      className="my-1 max-w-md border-l-4 border-caution bg-caution-soft p-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() !== '') void pass();
      }}
    >
      <label htmlFor={field} className="block">
        {state === 'open' ? `Nobody has read the gate of ${gate.name} yet.` : `The gate of ${gate.name} is not green.`}{' '}
        Fit it dry, set it right and read again first. Why go on all the same?
      </label>
      <input
        id={field}
        className="mt-1 w-full rounded-sm border border-rule bg-sheet px-2 py-1 text-graphite"
        value={reason}
        maxLength={500}
        onChange={(event) => setReason(event.target.value)}
      />
      <div className="mt-1.5 flex gap-2">
        <Button type="submit" disabled={reason.trim() === ''}>
          Go on all the same
        </Button>
        <Button look="quiet" type="button" onClick={onLeave}>
          Not yet
        </Button>
      </div>
    </form>
  );
}
