import { Plus, Trash2 } from 'lucide-react';
import type { TrialFold } from '@/core/2-document/records/recordKinds';
import type { Material } from '@/core/2-document/schema/airframe';
import type { Section as BuiltSection } from '@/core/2-document/schema/section';
import { bendCorrection, shortfallOf } from '@/core/3-shape/pattern/foldPattern';
import { useAppDispatch } from '@/store/hooks';
import { addTrialFold, changeTrialFold, dropTrialFold } from '@/store/trialFolds';
import { decimal } from '@/words/formatQuantity';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { UnreadableRecords } from '../records/UnreadableRecords';
import { useRecords } from '../records/useRecords';
import { Button, IconButton } from '../shell/buttons';
import { takenOut, told } from '../shell/told';

/** What trial folds of one board showed. */
function useFoldsOf(material: string | undefined): readonly TrialFold[] {
  return useRecords('trialFolds').filter((fold) => fold.material === material);
}

interface TrialFoldsProps {
  readonly material: Material;
  readonly section: BuiltSection;
}

/** What trial folds of this board showed: the next pattern takes it up. */
export function TrialFolds({ material, section }: TrialFoldsProps) {
  const dispatch = useAppDispatch();
  const folds = useFoldsOf(material.id);
  return (
    <Section
      title="Trial folds of this board"
      isRare
      aside={
        <Button onClick={() => void told('No trial fold was added', () => dispatch(addTrialFold(material.id)))}>
          <Plus size={14} aria-hidden="true" /> Add
        </Button>
      }
    >
      {folds.length === 0 && (
        <p className="text-label text-faint">
          Cut a strip for this section, fold it, and measure the chord it reached: the board remembers. Mind the knife:
          cut away from you.
        </p>
      )}
      <ul className="space-y-1.5">
        {folds.map((fold, index) => {
          const change = (part: Parameters<typeof changeTrialFold>[1]) => {
            void told('The trial fold was not changed', () => dispatch(changeTrialFold(fold, part)));
            return null;
          };
          return (
            <li key={fold.id} className="grid grid-cols-[1fr_1fr_1fr_28px] items-end gap-x-1.5 gap-y-1">
              <QuantityField
                label="Strip cut"
                kind="length"
                value={fold.stripCut}
                placeholder="mm"
                onCommit={(stripCut) => change(concluded(section, { ...fold, stripCut }))}
              />
              <QuantityField
                label="Chord reached"
                kind="length"
                value={fold.chordReached}
                placeholder="mm"
                onCommit={(chordReached) => change(concluded(section, { ...fold, chordReached }))}
              />
              <span className="col-span-2" />
              <QuantityField
                label="Short by"
                kind="length"
                value={fold.shortfall}
                onCommit={(shortfall) =>
                  Math.abs(shortfall) > MOST_SHORTFALL
                    ? { path: '', message: `must lie within ${MOST_SHORTFALL} mm` }
                    : change({ shortfall })
                }
              />
              <QuantityField
                label="Folded through"
                kind="angle"
                value={fold.angle}
                onCommit={(angle) =>
                  angle > 0 && angle <= 180
                    ? change({ angle })
                    : { path: '', message: 'must lie above 0° and up to 180°: half a turn' }
                }
              />
              <SelectField
                label="Scored"
                value={fold.scoredFace}
                options={[
                  ['inner', 'inside'],
                  ['outer', 'outside'],
                ]}
                onChange={(scoredFace) => change(concluded(section, { ...fold, scoredFace }))}
              />
              <IconButton
                label={`Take trial fold ${index + 1} out`}
                icon={<Trash2 size={15} />}
                onClick={() => void takenOut('The trial fold', () => dispatch(dropTrialFold(fold.id)))}
              />
            </li>
          );
        })}
      </ul>
      <UnreadableRecords kind="trialFolds" />
      {folds.length > 0 && (
        <p className="mt-1 text-label text-faint">
          Scored inside, this board takes {decimal(bendCorrection(folds, 'inner') * Math.PI, 1)} mm more for half a
          turn.
        </p>
      )}
    </Section>
  );
}

/** What a fold shows by the strip that was cut and the chord it reached; what was typed of it stands until both are known. */
function concluded(section: BuiltSection, fold: TrialFold): Parameters<typeof changeTrialFold>[1] {
  const { stripCut, chordReached, scoredFace } = fold;
  const known = {
    scoredFace,
    ...(stripCut === undefined ? {} : { stripCut }),
    ...(chordReached === undefined ? {} : { chordReached }),
  };
  if (stripCut === undefined || chordReached === undefined || section.kind !== 'foldedOverSpar') return known;
  const seen = shortfallOf(section, { stripCut, chordReached, scored: scoredFace });
  if (!seen || Math.abs(seen.shortfall) > MOST_SHORTFALL) return known;
  return {
    ...known,
    shortfall: (Math.round(seen.shortfall * 100) / 100) as TrialFold['shortfall'],
    angle: Math.min(HALF_A_TURN, seen.angle) as TrialFold['angle'],
  };
}

/** A fold is told up to half a turn; what the upper skin turns on behind the spar is little [°]. */
const HALF_A_TURN = 180;

/** A scrap is no longer than this [mm]. */
const MOST_SHORTFALL = 200;
