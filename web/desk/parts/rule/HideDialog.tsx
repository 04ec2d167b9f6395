import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useDeskState } from '../../state/deskState.ts';
import { madeNow } from '../../state/whenNow.ts';
import { Button } from '../Button.tsx';
import { DialogFrame } from '../DialogFrame.tsx';
import { AboutRule } from './AboutRule.tsx';
import { type HidingLimits, LimitFields } from './LimitFields.tsx';

type Hidden = HidingLimits & { readonly note?: string | undefined; readonly owner?: string | undefined };

/** Asks from where and until when something is to be hidden; `what` is it, null while nobody asks. */
export function HideDialog({
  what,
  close,
  hide,
}: {
  readonly what: string | null;
  close(): void;
  hide(limits: Hidden): void;
}) {
  return (
    <Dialog.Root open={what !== null} onOpenChange={(isOpen) => !isOpen && close()}>
      {what !== null && (
        <DialogFrame
          title={`Hide ${what}`}
          description="From where, and until when. A product’s own page keeps working."
        >
          <HideForm
            hide={(limits) => {
              close();
              hide(limits);
            }}
          />
        </DialogFrame>
      )}
    </Dialog.Root>
  );
}

function HideForm({ hide }: { hide(limits: Hidden): void }) {
  const { setup } = useDeskState();
  const [hidden, setHidden] = useState<Hidden>(() => madeNow(setup));
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        hide(hidden);
      }}
    >
      <LimitFields of="this" value={hidden} change={(limits) => setHidden({ ...hidden, ...limits })} />
      <div className="mt-3">
        <AboutRule value={hidden} change={(about) => setHidden({ ...hidden, ...about })} />
      </div>
      <div className="mt-4 flex justify-end">
        <Button type="submit" tone="strong">
          Hide
        </Button>
      </div>
    </form>
  );
}
