import { Dialog } from 'radix-ui';
import type { Concern } from '../../../../core/catalog/replaceConcerns.ts';
import { Button } from '../../parts/Button.tsx';
import { DialogFrame } from '../../parts/DialogFrame.tsx';

/** Asks before a catalog is replaced where shoppers would miss something; open while there is something to ask about. */
export function ConfirmReplace({
  concerns,
  confirm,
  close,
}: {
  readonly concerns: readonly Concern[];
  confirm(): void;
  close(): void;
}) {
  return (
    <Dialog.Root open={concerns.length > 0} onOpenChange={(isOpen) => !isOpen && close()}>
      <DialogFrame
        title="Replace the live catalog?"
        description="Shoppers would notice this. The present catalog is kept, and you can put it back in one step."
      >
        <ul className="space-y-2">
          {concerns.map(({ code, message, examples }) => (
            <li key={code} className="border-l-[3px] border-wrong pl-2.5">
              <p>{message}</p>
              {examples.length > 0 && <p className="text-[13px] text-soft">Such as {examples.join(', ')}.</p>}
            </li>
          ))}
        </ul>
        <div className="mt-4 flex justify-end gap-2">
          <Button onClick={close}>Cancel</Button>
          <Button tone="strong" onClick={confirm}>
            Replace the live catalog
          </Button>
        </div>
      </DialogFrame>
    </Dialog.Root>
  );
}
