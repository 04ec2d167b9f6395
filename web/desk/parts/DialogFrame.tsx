import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

/** The frame every dialog of the desk has: a title, what it is about, and a way out. */
export function DialogFrame({
  title,
  description,
  wide,
  children,
}: {
  readonly title: string;
  readonly description: string;
  readonly wide?: boolean;
  readonly children: ReactNode;
}) {
  return (
    <Dialog.Portal>
      <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
      <Dialog.Content
        className="fixed top-[12vh] left-1/2 z-50 max-h-[80vh] -translate-x-1/2 overflow-auto rounded-xl border bg-surface p-5 shadow-2xl"
        style={{ width: `min(92vw, ${wide ? 640 : 520}px)` }}
      >
        <Dialog.Title className="pr-8 font-display font-semibold text-lg">{title}</Dialog.Title>
        <Dialog.Description className="mt-0.5 mb-3 text-soft">{description}</Dialog.Description>
        {children}
        <Dialog.Close aria-label="Close" className="absolute top-4 right-4 rounded p-1 text-soft hover:text-ink">
          <X size={18} aria-hidden />
        </Dialog.Close>
      </Dialog.Content>
    </Dialog.Portal>
  );
}
