import type { Surface } from '@/core/document/schema/surface';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { Section } from '../numbers/Section';
import { SectionEditor } from './SectionEditor';

/** Sizes of one surface, grouped the way the hand works: whole, then station by station. */
export function SurfaceEditor({ surface }: { readonly surface: Surface }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const path = `/surfaces/${surface.id}`;
  const last = surface.stations.length - 1;
  const length = surface.stations[last]!.distanceFromRoot;
  const set = (field: string) => (value: number) => dispatch(setFields([{ field: `${path}${field}`, value }]));
  const sides = surface.mirrored ? 2 : 1;
  const setSpan = (span: number) => {
    const factor = span / sides / length;
    return dispatch(
      setFields(
        surface.stations.slice(1).map((station, index) => ({
          field: `${path}/stations/${index + 1}/distanceFromRoot`,
          value: index + 1 === last ? span / sides : station.distanceFromRoot * factor,
        })),
      ),
    );
  };
  const upright = !surface.mirrored;
  return (
    <>
      <Section title={surface.name || surface.id}>
        <div className="grid grid-cols-3 gap-x-2 gap-y-1.5">
          <QuantityField
            label={upright ? 'Height' : 'Span on the board'}
            kind="length"
            value={length * sides}
            onCommit={setSpan}
          />
          <QuantityField label="Incidence" kind="angle" value={surface.incidence} onCommit={set('/incidence')} />
          <QuantityField label="Aft of datum" kind="length" value={surface.position.x} onCommit={set('/position/x')} />
          <QuantityField label="Above datum" kind="length" value={surface.position.z} onCommit={set('/position/z')} />
          {surface.mirrored && (
            <QuantityField
              label="Off the centre"
              kind="length"
              value={surface.position.y}
              onCommit={set('/position/y')}
            />
          )}
        </div>
        <table className="mt-2 w-full table-fixed">
          <caption className="mb-1 text-left text-[13px] text-faint">
            Stations, root to tip: lengths in {units.length}, angles in degrees
          </caption>
          <thead>
            <tr className="text-left text-xs text-faint">
              <th scope="col" className="font-normal">
                From root
              </th>
              <th scope="col" className="font-normal">
                Chord
              </th>
              <th scope="col" className="font-normal">
                Swept
              </th>
              {!upright && (
                <th scope="col" className="font-normal">
                  Dihedral
                </th>
              )}
              <th scope="col" className="font-normal">
                Twist
              </th>
            </tr>
          </thead>
          <tbody>
            {surface.stations.map((station, index) => {
              const where = index === 0 ? 'root' : index === last ? 'tip' : `station ${index + 1}`;
              const at = `/stations/${index}`;
              return (
                <tr key={`${index}-${surface.stations.length}`} className="align-top">
                  <td className="pr-1">
                    {index === 0 ? (
                      <span className="block py-1 text-sm">root</span>
                    ) : (
                      <QuantityField
                        hideLabel
                        hideUnit
                        label={`${where} from root`}
                        kind="length"
                        value={station.distanceFromRoot}
                        onCommit={set(`${at}/distanceFromRoot`)}
                      />
                    )}
                  </td>
                  <td className="pr-1">
                    <QuantityField
                      hideLabel
                      hideUnit
                      label={`${where} chord`}
                      kind="length"
                      value={station.chord}
                      onCommit={set(`${at}/chord`)}
                    />
                  </td>
                  <td className="pr-1">
                    {index > 0 && (
                      <QuantityField
                        hideLabel
                        hideUnit
                        label={`${where} swept`}
                        kind="length"
                        value={station.leadingEdgeOffset}
                        onCommit={set(`${at}/leadingEdgeOffset`)}
                      />
                    )}
                  </td>
                  {!upright && (
                    <td className="pr-1">
                      {index < last && (
                        <QuantityField
                          hideLabel
                          hideUnit
                          label={`${where} dihedral`}
                          kind="angle"
                          value={station.dihedral}
                          onCommit={set(`${at}/dihedral`)}
                        />
                      )}
                    </td>
                  )}
                  <td>
                    {index > 0 && (
                      <QuantityField
                        hideLabel
                        hideUnit
                        label={`${where} twist`}
                        kind="angle"
                        value={station.twist}
                        onCommit={set(`${at}/twist`)}
                      />
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </Section>
      <SectionEditor surface={surface} />
    </>
  );
}
