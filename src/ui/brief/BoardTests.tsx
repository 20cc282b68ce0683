import { field } from '@/core/2-document/edit/field';
import type { Material } from '@/core/2-document/schema/airframe';
import { layupOf, plateStiffness, plateStrength } from '@/core/5-strength/materials/board';
import { setFields } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { decimal } from '@/words/formatQuantity';
import { QuantityField } from '../fields/QuantityField';
import { useSet } from '../fields/useSet';
import { Button } from '../shell/buttons';

/** A strip to begin with: 300 mm free, 50 mm wide. */
const STRIP = { length: 300, width: 50, weight: 20 } as const;

/** What a strip of a board showed when it was bent and broken; what the board is taken for without that. */
export function BoardTests({ sheet }: { readonly sheet: Material }) {
  const dispatch = useAppDispatch();
  const set = useSet();
  const layup = layupOf(sheet, sheet.thickness);
  const of = ['materials', sheet.id] as const;
  return (
    <div className="col-span-3 space-y-1.5 border-t border-soft pt-1.5">
      <p className="text-label text-faint">
        Bends with {decimal(plateStiffness(layup).bending, 2)} N·m, breaks at {decimal(plateStrength(layup), 1)} N, each
        per metre of width.
      </p>
      {sheet.sagTest ? (
        <div className="grid grid-cols-4 gap-x-1.5" role="group" aria-label="Strip that was bent">
          {(['length', 'width', 'sag'] as const).map((key) => (
            <QuantityField
              key={key}
              label={{ length: 'Strip, free', width: 'Strip, wide', sag: 'It sank by' }[key]}
              kind="length"
              value={sheet.sagTest![key]}
              onCommit={set(field(...of, 'sagTest', key))}
            />
          ))}
          <QuantityField
            label="Under"
            kind="mass"
            value={sheet.sagTest.weight}
            onCommit={set(field(...of, 'sagTest', 'weight'))}
          />
        </div>
      ) : (
        <Button onClick={() => dispatch(setFields([field(...of, 'sagTest').to({ ...STRIP, sag: 6 })]))}>
          I bent a strip
        </Button>
      )}
      {sheet.breakTest ? (
        <div className="grid grid-cols-3 gap-x-1.5" role="group" aria-label="Strip that was broken">
          {(['length', 'width'] as const).map((key) => (
            <QuantityField
              key={key}
              label={{ length: 'Broken strip, free', width: 'Broken strip, wide' }[key]}
              kind="length"
              value={sheet.breakTest![key]}
              onCommit={set(field(...of, 'breakTest', key))}
            />
          ))}
          <QuantityField
            label="Gave way under"
            kind="mass"
            value={sheet.breakTest.weight}
            onCommit={set(field(...of, 'breakTest', 'weight'))}
          />
        </div>
      ) : (
        <Button onClick={() => dispatch(setFields([field(...of, 'breakTest').to({ ...STRIP, weight: 200 })]))}>
          I broke a strip
        </Button>
      )}
      {(sheet.sagTest || sheet.breakTest) && (
        <Button
          look="quiet"
          onClick={() =>
            dispatch(setFields([field(...of, 'sagTest').to(undefined), field(...of, 'breakTest').to(undefined)]))
          }
        >
          Forget what it showed
        </Button>
      )}
    </div>
  );
}
