import type { Design } from '@/core/2-document/schema/design';
import { type BuildStep, buildOrder } from '@/core/4-parts/build/buildOrder';
import type { CutList } from '@/core/4-parts/part';
import { editDesign } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { Say } from '../numbers/Say';

const KINDS: Readonly<Record<BuildStep['kind'], string>> = {
  test: 'try',
  cut: 'cut',
  shape: 'shape',
  gate: 'measure',
  glue: 'glue',
  fit: 'fit',
  check: 'check',
};

/** The build step by step, ticks kept with the design. */
export function BuildOrder({ design, list }: { readonly design: Design; readonly list: CutList }) {
  const dispatch = useAppDispatch();
  const steps = buildOrder(design, list);
  const done = new Set(design.built);
  const left = steps.filter(({ id }) => !done.has(id)).reduce((sum, { minutes }) => sum + minutes, 0);
  const tick = (id: string) =>
    dispatch(
      editDesign((current) => ({
        ...current,
        built: current.built.includes(id) ? current.built.filter((one) => one !== id) : [...current.built, id],
      })),
    );
  return (
    <div className="h-full overflow-y-auto px-5 pt-10 pb-4" tabIndex={0} role="region" aria-label="Build order">
      <p className="text-read">
        {steps.length} steps, about {Math.round(left / 6) / 10} hours left. Measure before you glue: what a gate asks is
        read first, dry.
      </p>
      <ol className="mt-2">
        {steps.map((step, index) => (
          <Step key={step.id} step={step} number={index + 1} isDone={done.has(step.id)} onTick={() => tick(step.id)} />
        ))}
      </ol>
    </div>
  );
}

interface StepProps {
  readonly step: BuildStep;
  readonly number: number;
  readonly isDone: boolean;
  readonly onTick: () => void;
}

function Step({
  step: { id, kind, title, parts, gauge, reading, minutes, caution },
  number,
  isDone,
  onTick,
}: StepProps) {
  return (
    <li className="flex gap-3 border-b border-soft py-2 text-read">
      <input
        id={`step-${id}`}
        type="checkbox"
        className="mt-1 size-4 shrink-0 accent-balance"
        checked={isDone}
        onChange={onTick}
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
        {parts.length > 0 && <p className="text-label text-faint">{parts.join(', ')}</p>}
        {caution !== null && (
          <p className="text-label text-caution">
            <Say words={caution} />
          </p>
        )}
      </div>
      <span className="shrink-0 text-right text-label text-faint">
        {KINDS[kind]}
        <br />
        {minutes} min
      </span>
    </li>
  );
}
