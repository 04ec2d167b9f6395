import { ClipboardList } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { toast } from 'sonner';
import { mostIds } from '../../../../api/limits.ts';
import { call } from '../../../client/call.ts';
import { count, counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { DialogFrame } from '../../parts/DialogFrame.tsx';
import type { HidingLimits } from '../../parts/rule/LimitFields.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { act, step } from '../../state/edits.ts';
import { madeNow } from '../../state/whenNow.ts';
import { idsIn } from './idsIn.ts';

/** Hides a list of products pasted in, in one step. */
export function HideList({ limits }: { readonly limits: HidingLimits }) {
  const { setup } = useDeskState();
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState('');
  const ids = idsIn(text);
  const hide = async (): Promise<void> => {
    setOpen(false);
    const what = { act: 'hide' as const, ...madeNow(setup), ...limits };
    const answer = await act(
      (revision) => call('editProducts', { body: { revision, which: { ids }, what } }),
      (given) => given.state,
    );
    if (!answer) return;
    setText('');
    const unknown = ids.length - answer.products;
    toast(`Hidden: ${counted(answer.products, 'product')}`, {
      description:
        unknown > 0
          ? `${count(unknown)} of the ids are of no product of the catalog.`
          : 'In the draft, not yet published.',
      action: { label: 'Undo', onClick: () => void step('undo') },
    });
  };
  return (
    <Dialog.Root open={isOpen} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button>
          <ClipboardList size={15} aria-hidden /> Hide a list
        </Button>
      </Dialog.Trigger>
      <DialogFrame
        title="Hide a list of products"
        description="Paste their ids, or those of their variants, one a line or with commas between them. They are hidden in one step."
      >
        <form
          onSubmit={(event) => {
            event.preventDefault();
            void hide();
          }}
        >
          <textarea
            aria-label="Ids of the products"
            rows={8}
            className="w-full rounded-md border bg-surface p-2 font-mono text-[13px]"
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
          <div className="mt-2 flex items-center justify-end gap-2">
            <span className="mr-auto text-[13px] text-soft">
              {ids.length > mostIds ? `At most ${count(mostIds)} at once.` : counted(ids.length, 'id')}
            </span>
            <Button type="submit" tone="strong" disabled={ids.length === 0 || ids.length > mostIds}>
              Hide them
            </Button>
          </div>
        </form>
      </DialogFrame>
    </Dialog.Root>
  );
}
