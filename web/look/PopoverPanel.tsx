import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { useAround } from './around.tsx';

/** What opens beside a button: the panel that every popover of desk and shop stands in. */
export function PopoverPanel({
  label,
  align = 'start',
  className = '',
  children,
}: {
  readonly label: string;
  readonly align?: 'start' | 'end';
  /** Width, height and padding. */
  readonly className?: string;
  readonly children: ReactNode;
}) {
  const { container } = useAround();
  return (
    <Popover.Portal container={container}>
      <Popover.Content
        align={align}
        sideOffset={6}
        collisionPadding={12}
        aria-label={label}
        className={`z-50 max-w-[calc(100vw-24px)] overflow-auto rounded-lg border bg-surface text-ink shadow-xl ${className}`}
      >
        {children}
      </Popover.Content>
    </Popover.Portal>
  );
}
