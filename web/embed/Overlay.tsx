import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { type ReactNode, useEffect, useState } from 'react';
import { AroundIn, useAround } from '../look/around.tsx';
import { useTexts } from '../look/texts.tsx';
import { ShopPage } from '../shop/ShopPage.tsx';
import { useShopper } from '../shop/shopperHere.tsx';

/** The whole search, box and results, laid over the page. */
export function Overlay({
  box,
  isToType,
  close,
  goBack,
}: {
  readonly box: ReactNode;
  /** Whether it was opened to type: else what it shows is looked at. */
  readonly isToType: boolean;
  readonly close: () => void;
  /** Gives the focus back to what opened it: a root of its own hides that from the document. */
  readonly goBack: () => void;
}) {
  const shopper = useShopper();
  const around = useAround();
  const { say } = useTexts();
  const [room, setRoom] = useState<HTMLElement | null>(null);
  useEffect(() => shopper.begin(), [shopper]);
  return (
    <Dialog.Root open onOpenChange={(isOpen) => !isOpen && close()}>
      <Dialog.Portal container={around.container}>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          ref={setRoom}
          aria-describedby={undefined}
          onOpenAutoFocus={(event) => {
            // The document sees the root's host in focus whatever has it within: what is looked for there goes on to the last.
            event.preventDefault();
            const content = event.currentTarget as HTMLElement;
            (isToType ? content.querySelector('input') : content)?.focus();
          }}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            goBack();
          }}
          className="fixed inset-0 z-40 overflow-y-auto bg-surface p-4 text-ink shadow-2xl outline-none sm:inset-6 sm:rounded-xl sm:p-5"
        >
          <Dialog.Title className="sr-only">{say('box.says')}</Dialog.Title>
          <div className="mb-4 flex items-center gap-3">
            {box}
            <Dialog.Close aria-label={say('box.close')} className="rounded-md p-1 hover:bg-paper">
              <X size={20} aria-hidden />
            </Dialog.Close>
          </div>
          {room && (
            <AroundIn value={{ ...around, room }}>
              <ShopPage />
            </AroundIn>
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
