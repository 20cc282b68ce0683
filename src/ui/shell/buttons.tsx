import { clsx } from 'clsx';
import { Tooltip } from 'radix-ui';
import type { ComponentProps, ReactNode } from 'react';
import { layer } from './layer';

const BASE =
  'inline-flex items-center justify-center gap-1.5 rounded-sm border px-2.5 py-1 text-read font-medium disabled:opacity-45 disabled:cursor-not-allowed cursor-pointer';

const LOOKS = {
  plain: 'border-rule bg-sheet hover:bg-soft',
  strong: 'border-balance bg-balance text-sheet hover:bg-graphite hover:border-graphite',
  quiet: 'border-transparent hover:bg-soft',
} as const;

interface ButtonProps extends ComponentProps<'button'> {
  readonly look?: keyof typeof LOOKS;
}

export function Button({ look = 'plain', className, type = 'button', ...rest }: ButtonProps) {
  return <button type={type} data-action="" className={clsx(BASE, LOOKS[look], className)} {...rest} />;
}

interface IconButtonProps extends Omit<ButtonProps, 'children'> {
  readonly label: string;
  readonly icon: ReactNode;
}

/** A button that shows only an icon; its label is its name and its tip. */
export function IconButton({ label, icon, look = 'quiet', className, ...rest }: IconButtonProps) {
  return (
    <Tooltip.Provider delayDuration={400}>
      <Tooltip.Root>
        <Tooltip.Trigger asChild>
          <Button look={look} aria-label={label} className={clsx('size-8 !p-0', className)} {...rest}>
            {icon}
          </Button>
        </Tooltip.Trigger>
        <Tooltip.Portal container={layer()}>
          <Tooltip.Content
            sideOffset={4}
            collisionPadding={8}
            aria-hidden="true"
            className="z-50 max-w-64 bg-graphite px-2 py-1 text-label text-sheet"
          >
            {label}
          </Tooltip.Content>
        </Tooltip.Portal>
      </Tooltip.Root>
    </Tooltip.Provider>
  );
}
