import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { IconButton } from './Button.tsx';

/** Something chosen, with a way to take it off; `takeOff` says what that does, for screen readers. */
export function Chip({
  takeOff,
  remove,
  children,
}: {
  readonly takeOff: string;
  remove(): void;
  readonly children: ReactNode;
}) {
  return (
    <span className="inline-flex items-center rounded-full border bg-surface py-0.5 pl-2.5 text-[13px]">
      {children}
      <IconButton label={takeOff} className="p-1" onClick={remove}>
        <X size={12} aria-hidden />
      </IconButton>
    </span>
  );
}
