import { DropdownMenu } from 'radix-ui';
import type { ComponentProps, ReactNode } from 'react';
import { useAround } from './around.tsx';

/** The list that a menu button opens. */
export function Menu({
  align = 'start',
  className = '',
  children,
}: {
  readonly align?: 'start' | 'end';
  /** Its width. */
  readonly className?: string;
  readonly children: ReactNode;
}) {
  const { container } = useAround();
  return (
    <DropdownMenu.Portal container={container}>
      <DropdownMenu.Content
        align={align}
        sideOffset={5}
        collisionPadding={8}
        className={`z-50 rounded-lg border bg-surface p-1.5 text-ink shadow-xl ${className}`}
      >
        {children}
      </DropdownMenu.Content>
    </DropdownMenu.Portal>
  );
}

/** One thing a menu does. */
export function MenuItem(props: Omit<ComponentProps<typeof DropdownMenu.Item>, 'className'>) {
  return (
    <DropdownMenu.Item
      className="flex cursor-pointer items-center gap-2.5 rounded px-2.5 py-1.5 outline-none data-[disabled]:text-soft data-[highlighted]:bg-press-soft"
      {...props}
    />
  );
}

export const MenuLine = () => <DropdownMenu.Separator className="my-1 border-t" />;
