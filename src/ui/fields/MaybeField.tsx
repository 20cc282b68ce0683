import type { FieldOf } from '@/core/2-document/edit/field';
import { setFields } from '@/store/edit';
import { useAppDispatch } from '@/store/hooks';
import { QuantityField, type QuantityFieldProps } from './QuantityField';

interface MaybeFieldProps extends Pick<QuantityFieldProps, 'label' | 'step' | 'placeholder' | 'digits'> {
  readonly value: number | undefined;
  readonly of: FieldOf<number | undefined>;
  readonly kind?: QuantityFieldProps['kind'];
  /** What is shown is so many times what the document holds. */
  readonly times?: number;
}

/** A number that may be left out: emptied it is gone, and what stands in for it says so as a placeholder. */
export function MaybeField({ value, of, kind = 'number', times = 1, ...rest }: MaybeFieldProps) {
  const dispatch = useAppDispatch();
  return (
    <QuantityField
      kind={kind}
      value={value === undefined ? undefined : value * times}
      onCommit={(shown) => dispatch(setFields([of.to(shown / times)]))}
      onClear={() => dispatch(setFields([of.to(undefined)]))}
      {...rest}
    />
  );
}
