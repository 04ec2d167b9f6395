import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { longestNote } from '../../../api/limits.ts';
import { counted } from '../../look/price.ts';
import { Button } from '../parts/Button.tsx';
import { DialogFrame } from '../parts/DialogFrame.tsx';
import { useDeskState } from '../state/deskState.ts';
import { publish } from '../state/edits.ts';
import { useReach } from '../state/following.ts';
import { bringUpTo } from './BehindNotice.tsx';
import { ChangeList } from './ChangeList.tsx';
import { Reaches } from './Reaches.tsx';

/** Publish: shows what would go live, in words, and makes it live in one step. */
export function PublishButton() {
  const { changes, release, draft, storefront } = useDeskState();
  const [isOpen, setOpen] = useState(false);
  const [note, setNote] = useState('');
  const [isBusy, setBusy] = useState(false);
  const [heldBack, setHeldBack] = useState<ReadonlySet<string>>(new Set());
  const reached = useReach(isOpen).data?.storefronts ?? [];
  const confirm = async (): Promise<void> => {
    setBusy(true);
    const isLive = await publish(note, [...heldBack]);
    setBusy(false);
    if (!isLive) return;
    setNote('');
    setHeldBack(new Set());
    setOpen(false);
  };
  const go = useNavigate();
  if (draft.isBehind)
    return (
      <Button tone="strong" onClick={() => void go(bringUpTo(storefront.id))}>
        Bring up to date
      </Button>
    );
  return (
    <Dialog.Root open={isOpen} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button tone="strong" disabled={changes.length === 0}>
          Publish…
        </Button>
      </Dialog.Trigger>
      <DialogFrame
        title={`Publish ${counted(changes.length, 'change')}`}
        description={`${changes.length === 1 ? 'It goes live' : 'They go live together'} as release ${(release?.number ?? 0) + 1}. One step on the Releases screen takes ${changes.length === 1 ? 'it' : 'them'} back.`}
      >
        <div className="max-h-[46vh] overflow-auto">
          <ChangeList changes={changes} />
        </div>
        {reached.length > 0 && <Reaches reached={reached} heldBack={heldBack} hold={setHeldBack} />}
        <label className="mt-3 block text-[13px]">
          A note for your colleagues, if you like
          <input
            className="mt-1 w-full rounded-md border bg-surface px-2.5 py-1.5 text-[14px]"
            maxLength={longestNote}
            value={note}
            onChange={(event) => setNote(event.target.value)}
          />
        </label>
        <div className="mt-4 flex justify-end gap-2">
          <Dialog.Close asChild>
            <Button>Cancel</Button>
          </Dialog.Close>
          <Button tone="strong" disabled={isBusy || changes.length === 0} onClick={() => void confirm()}>
            {isBusy ? 'Publishing …' : 'Publish to shoppers'}
          </Button>
        </div>
      </DialogFrame>
    </Dialog.Root>
  );
}
