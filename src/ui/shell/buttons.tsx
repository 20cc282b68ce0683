import { clsx } from 'clsx';
import type { ComponentProps, ReactNode } from 'react';

const BASE =
  'inline-flex items-center justify-center gap-1.5 rounded-sm border px-2.5 py-1 text-sm font-medium disabled:opacity-45 disabled:cursor-not-allowed cursor-pointer';

const LOOKS = {
  plain: 'border-rule bg-sheet hover:bg-soft',
  strong: 'border-balance bg-balance text-sheet hover:bg-graphite hover:border-graphite',
  quiet: 'border-transparent hover:bg-soft',
} as const;

interface ButtonProps extends ComponentProps<'button'> {
  readonly look?: keyof typeof LOOKS;
}

export function Button({ look = 'plain', className, type = 'button', ...rest }: ButtonProps) {
  return <button type={type} className={clsx(BASE, LOOKS[look], className)} {...rest} />;
}

interface IconButtonProps extends Omit<ButtonProps, 'children'> {
  readonly label: string;
  readonly icon: ReactNode;
}

/** A button that shows only an icon; its label is its name and its tip. */
export function IconButton({ label, icon, look = 'quiet', className, ...rest }: IconButtonProps) {
  return (
    <Button look={look} aria-label={label} title={label} className={clsx('size-8 !p-0', className)} {...rest}>
      {icon}
    </Button>
  );
}
