import { Dialog } from 'radix-ui';
import { useState } from 'react';
import type { StorefrontRow } from '../../../../api/storefrontEndpoints.ts';
import { call } from '../../../client/call.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { DialogFrame } from '../../parts/DialogFrame.tsx';
import { arrange } from '../../state/storefronts.ts';

/** Removes a storefront for good, after its name was typed. */
export function RemoveStorefront({ storefront }: { readonly storefront: StorefrontRow }) {
  const { id, name, families, drafts } = storefront;
  const [isOpen, setOpen] = useState(false);
  const [typed, setTyped] = useState('');
  const remove = async (): Promise<void> => {
    const done = await arrange(() => call('removeStorefront', { body: { id, typed } }), 'It was not removed');
    if (done) setOpen(false);
  };
  return (
    <Dialog.Root
      open={isOpen}
      onOpenChange={(opens) => {
        setOpen(opens);
        setTyped('');
      }}
    >
      <Dialog.Trigger asChild>
        <Button tone="quiet" className="px-2 py-1">
          Remove …<span className="sr-only"> {name}</span>
        </Button>
      </Dialog.Trigger>
      <DialogFrame
        title={`Remove ${name} for good?`}
        description={`Its catalog of ${counted(families, 'product')}, ${counted(drafts, 'draft')}, releases, history and shopper log are gone with it, and nothing brings them back. To keep them, close it instead.`}
      >
        <form
          onSubmit={(event) => {
            event.preventDefault();
            void remove();
          }}
        >
          <label className="block text-[13px]">
            Type “{name}” to remove it
            <input
              className="mt-1 w-full rounded-md border bg-surface px-2.5 py-1.5 text-[14px]"
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
            />
          </label>
          <div className="mt-4 flex justify-end gap-2">
            <Dialog.Close asChild>
              <Button>Cancel</Button>
            </Dialog.Close>
            <Button type="submit" tone="danger" disabled={typed.trim() !== name}>
              Remove it for good
            </Button>
          </div>
        </form>
      </DialogFrame>
    </Dialog.Root>
  );
}
