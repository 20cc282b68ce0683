import { Trash2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import type { Design } from '@/core/2-document/schema/design';
import { type CutTarget, cutTargets, type CutTold, goodBand } from '@/core/8-field/cutBack';
import { changeExperiment, designCutBack, dropExperiment, type Experiment, planRow, tellRow } from '@/store/field';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { decimal, type DisplayUnits, formatValue } from '@/words/formatQuantity';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { useRecords } from '../records/useRecords';
import { Button, IconButton } from '../shell/buttons';
import { told } from '../shell/told';

type CutBack = NonNullable<Experiment['cutBack']>;
type Step = CutBack['steps'][number];

const KINDS: Readonly<Record<CutTarget['what'], string>> = {
  fin: 'lower',
  tips: 'clip the tips',
  throw: 'less throw',
};
/** From the drawing down, a tenth each time. */
const SHARES = [0.9, 0.8, 0.7, 0.6] as const;
const VERDICTS: readonly (readonly [Step['verdict'], string])[] = [
  ['unknown', 'not flown'],
  ['better', 'better'],
  ['same', 'the same'],
  ['worse', 'worse'],
];

/** Rows of experiments that take a little more off each time: what each step is told to do, what it did, and how far it was good. */
export function CutBackTrials({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const rows = useRecords('experiments').filter(({ cutBack }) => cutBack);
  const targets = cutTargets(design);
  const [chosen, setChosen] = useState<string | null>(null);
  const keyOf = ({ what, of }: Pick<CutTarget, 'what' | 'of'>) => `${what} ${of}`;
  const target = targets.find((one) => keyOf(one) === chosen) ?? targets[0];
  if (!target) return null;
  return (
    <Section title="Cut-back trials" isRare>
      {rows.map((row) => (
        <Row key={row.id} row={row} design={design} />
      ))}
      <div className="flex items-end gap-2">
        <div className="min-w-0 flex-1">
          <SelectField
            label="What is cut back"
            value={keyOf(target)}
            options={targets.map((one) => [keyOf(one), `${one.name}: ${KINDS[one.what]}`] as const)}
            onChange={setChosen}
          />
        </div>
        <Button onClick={() => void told('The row was not planned', () => dispatch(planRow(target, SHARES)))}>
          Plan a row
        </Button>
      </div>
      <p className="mt-1 text-label text-faint">
        A tenth each time, one change between two flights. Fresh blade, cut away from the hand.
      </p>
    </Section>
  );
}

function Row({ row, design }: { readonly row: Experiment; readonly design: Design }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const known = useAppSelector((state) => state.field.rows[row.id]);
  const { cutBack } = row;
  const isOld = known?.of !== design;
  useEffect(() => {
    if (isOld) void dispatch(tellRow(design, row));
  }, [dispatch, design, row, isOld]);
  if (!cutBack) return null;
  const target = cutTargets(design).find(({ what, of }) => what === cutBack.what && of === cutBack.of);
  const { least, worse, open } = goodBand(cutBack.steps);
  const say = (index: number, verdict: Step['verdict']) =>
    void told('It was not kept', () =>
      dispatch(
        changeExperiment(row, {
          cutBack: { ...cutBack, steps: cutBack.steps.map((step, at) => (at === index ? { ...step, verdict } : step)) },
        }),
      ),
    );
  const takeOut = async () => {
    const back = await told('The row was not taken out', () => dispatch(dropExperiment(row.id)));
    if (back) toast('The row was taken out.', { action: { label: 'Undo', onClick: () => void back() } });
  };
  const start = async () => {
    const begun = await told('No design was started', async () => ({
      name: await dispatch(designCutBack(design, cutBack, least)),
    }));
    if (!begun) return;
    const { name } = begun;
    toast(name ? `“${name}” is among the designs.` : 'That cannot be drawn: it takes all of a control.');
  };
  return (
    <div className="mb-3 border-b border-soft pb-2">
      <div className="flex items-center justify-between gap-2">
        <p className="text-read font-medium">
          {target ? `${target.name}: ${KINDS[target.what]}` : 'A part that is no longer there'}
        </p>
        <IconButton label="Take this row out" icon={<Trash2 size={15} />} onClick={() => void takeOut()} />
      </div>
      <ul className="divide-y divide-soft">
        {cutBack.steps.map((step, index) => (
          <li key={step.share} className="grid grid-cols-[1fr_auto] items-center gap-2 py-1">
            <div className="text-read">
              <span className="font-medium">{decimal(100 * step.share, 0)} %</span>{' '}
              <span className="text-label text-faint">
                {known && !isOld
                  ? changesOf(known.told[0] ?? null, known.told[index + 1] ?? null, cutBack.what, units)
                  : 'computing…'}
              </span>
            </div>
            <div className="w-28">
              <SelectField
                label={`Verdict at ${decimal(100 * step.share, 0)} %`}
                hideLabel
                value={step.verdict}
                options={VERDICTS}
                onChange={(verdict) => say(index, verdict)}
              />
            </div>
          </li>
        ))}
      </ul>
      <p className="mt-1 text-read">
        Good from {decimal(100 * least, 0)} % to the drawing
        {worse === null
          ? open > 0
            ? `; ${open} steps are not flown yet.`
            : '.'
          : `, worse at ${decimal(100 * worse, 0)} %.`}
      </p>
      {least < 1 && target && (
        <Button className="mt-1" onClick={() => void start()}>
          New design at {decimal(100 * least, 0)} %
        </Button>
      )}
    </div>
  );
}

/** Less than that nobody reads [m]. */
const UNSEEN = 5e-5;

/** What a step changes against the drawing, in short. */
function changesOf(drawn: CutTold | null, step: CutTold | null, what: CutTarget['what'], units: DisplayUnits): string {
  if (!step) return 'cannot be drawn: it takes all of a control';
  if (!drawn) return '';
  const sign = (value: number) => (value > 0 ? '+' : '');
  const length = (a: number | null, b: number | null) =>
    a === null || b === null || Math.abs(b - a) < UNSEEN
      ? null
      : `${sign(b - a)}${formatValue(b - a, 'length', units)}`;
  const share = (a: number | null, b: number | null) =>
    a === null || b === null || a === 0 ? null : `${sign(b / a - 1)}${decimal(100 * (b / a - 1), 0)} %`;
  if (what === 'throw') return `answers with ${decimal(100 * step.effect, 0)} % at full stick`;
  const said: readonly (readonly [string, string | null])[] = [
    ['balance', length(drawn.balance, step.balance)],
    ['neutral point', length(drawn.neutralPoint, step.neutralPoint)],
    [
      what === 'fin' ? 'turns into the wind' : 'stalls at',
      what === 'fin' ? share(drawn.yawStiffness, step.yawStiffness) : share(drawn.stallSpeed, step.stallSpeed),
    ],
    ['drag', share(drawn.drag, step.drag)],
  ];
  return said.flatMap(([words, change]) => (change === null ? [] : [`${words} ${change}`])).join(', ');
}
