import { field } from '@/core/2-document/edit/field';
import { SplitSquareVertical, Trash2 } from 'lucide-react';
import type { Surface } from '@/core/2-document/schema/surface';
import { joinPanels, splitPanel } from '@/core/3-shape/planform/panels';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { type Driven, editSurface, setSurfaceFields } from '@/store/surfaces';
import type { QuantityKind } from '@/words/parseQuantity';
import { QuantityField } from '../fields/QuantityField';
import { Section } from '../numbers/Section';
import { IconButton } from '../shell/buttons';

interface Column {
  readonly key: 'distanceFromRoot' | 'chord' | 'leadingEdgeOffset' | 'dihedral' | 'twist';
  readonly head: string;
  readonly words: string;
  readonly kind: QuantityKind;
  readonly driven: Driven | null;
  readonly isThere: (index: number, last: number) => boolean;
}

const outboard = (index: number) => index > 0;

const COLUMNS: readonly Column[] = [
  { key: 'distanceFromRoot', head: 'From root', words: 'from root', kind: 'length', driven: 'span', isThere: outboard },
  { key: 'chord', head: 'Chord', words: 'chord', kind: 'length', driven: 'chord', isThere: () => true },
  { key: 'leadingEdgeOffset', head: 'Swept', words: 'swept', kind: 'length', driven: null, isThere: outboard },
  {
    key: 'dihedral',
    head: 'Dihedral',
    words: 'dihedral',
    kind: 'angle',
    driven: 'span',
    isThere: (index, last) => index < last,
  },
  { key: 'twist', head: 'Twist', words: 'twist', kind: 'angle', driven: null, isThere: outboard },
];

/** Every station by its numbers; panels split and join. */
export function StationsTable({ surface }: { readonly surface: Surface }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const last = surface.stations.length - 1;
  const columns = COLUMNS.filter(({ key }) => surface.mirrored || key !== 'dihedral');
  return (
    <Section title="Stations">
      <table className="w-full table-fixed">
        <caption className="mb-1 text-left text-label text-faint">
          Root to tip along the board: lengths in {units.length}, angles in degrees
        </caption>
        <thead>
          <tr className="text-left text-note text-faint">
            {columns.map(({ key, head }) => (
              <th key={key} scope="col" className="font-normal">
                {head}
              </th>
            ))}
            <th scope="col" className="w-7">
              <span className="sr-only">Split or join</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {surface.stations.map((station, index) => {
            const where = index === 0 ? 'root' : index === last ? 'tip' : `station ${index + 1}`;
            return (
              <tr key={`${index}-${surface.stations.length}`} className="align-top">
                {columns.map(({ key, words, kind, driven, isThere }) => (
                  <td key={key} className="pr-1">
                    {isThere(index, last) ? (
                      <QuantityField
                        hideLabel
                        hideUnit
                        label={`${where} ${words}`}
                        kind={kind}
                        value={station[key]}
                        onCommit={(value) =>
                          dispatch(
                            setSurfaceFields(
                              surface.id,
                              [field('surfaces', surface.id, 'stations', index, key).to(value)],
                              driven,
                            ),
                          )
                        }
                      />
                    ) : (
                      key === 'distanceFromRoot' && <span className="block py-1 text-read">root</span>
                    )}
                  </td>
                ))}
                <td>
                  {index > 0 && index < last ? (
                    <IconButton
                      label={`Take ${where} out`}
                      className="!size-7"
                      icon={<Trash2 size={14} />}
                      onClick={() => dispatch(editSurface(surface.id, (current) => joinPanels(current, index)))}
                    />
                  ) : (
                    index === last && (
                      <IconButton
                        label="Split the outer panel"
                        className="!size-7"
                        icon={<SplitSquareVertical size={14} />}
                        onClick={() => dispatch(editSurface(surface.id, (current) => splitPanel(current, last - 1)))}
                      />
                    )
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </Section>
  );
}
