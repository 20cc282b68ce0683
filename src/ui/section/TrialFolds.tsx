import { Plus, Trash2 } from 'lucide-react';
import type { Material } from '@/core/2-document/schema/airframe';
import { bendCorrection } from '@/core/3-shape/pattern/foldPattern';
import { decimal } from '@/words/formatQuantity';
import { editDesign } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { Button, IconButton } from '../shell/buttons';

type Trial = Material['trialFolds'][number];

/** What trial folds of this board showed: the next pattern takes it up. */
export function TrialFolds({ material }: { readonly material: Material }) {
  const dispatch = useAppDispatch();
  const setTrials = (trialFolds: Trial[]) =>
    dispatch(
      editDesign((design) => ({
        ...design,
        materials: design.materials.map((sheet) => (sheet.id === material.id ? { ...sheet, trialFolds } : sheet)),
      })),
    );
  const trials = material.trialFolds;
  const add = () =>
    setTrials([
      ...trials,
      {
        date: new Date().toISOString().slice(0, 10),
        noseRadius: 12,
        angle: 180,
        shortfall: 0,
        scoredFace: 'inner',
        notes: '',
      },
    ]);
  return (
    <Section
      title="Trial folds of this board"
      aside={
        <Button onClick={add}>
          <Plus size={14} aria-hidden="true" /> Add
        </Button>
      }
    >
      {trials.length === 0 && (
        <p className="text-[13px] text-faint">
          Fold a scrap through half a turn and measure how much shorter the upper skin came out: the board remembers.
          Mind the knife: cut away from you.
        </p>
      )}
      <ul className="space-y-1.5">
        {trials.map((trial, index) => {
          const change = (next: Partial<Trial>) =>
            setTrials(trials.map((other, place) => (place === index ? { ...other, ...next } : other)));
          return (
            <li key={`${index}-${trials.length}`} className="grid grid-cols-[1fr_1fr_1fr_28px] items-end gap-1.5">
              <QuantityField
                label="Short by"
                kind="length"
                value={trial.shortfall}
                onCommit={(shortfall) => change({ shortfall })}
              />
              <QuantityField
                label="Folded through"
                kind="angle"
                value={trial.angle}
                onCommit={(angle) => change({ angle })}
              />
              <SelectField
                label="Scored"
                value={trial.scoredFace}
                options={[
                  ['inner', 'inside'],
                  ['outer', 'outside'],
                ]}
                onChange={(scoredFace) => change({ scoredFace })}
              />
              <IconButton
                label={`Take trial fold ${index + 1} out`}
                icon={<Trash2 size={15} />}
                onClick={() => setTrials(trials.filter((_, place) => place !== index))}
              />
            </li>
          );
        })}
      </ul>
      {trials.length > 0 && (
        <p className="mt-1 text-[13px] text-faint">
          Scored inside, this board takes {decimal(bendCorrection(material, 'inner') * Math.PI, 1)} mm more for half a
          turn.
        </p>
      )}
    </Section>
  );
}
