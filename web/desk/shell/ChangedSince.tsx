import { AlertDialog } from 'radix-ui';
import { Button } from '../parts/Button.tsx';
import { useAskedAboutOthers } from '../state/edits.ts';

/** Asked where undo or redo would go over what somebody else changed since. */
export function ChangedSince() {
  const { asked } = useAskedAboutOthers();
  if (!asked) return null;
  const { who, sentences } = asked;
  const close = (): void => useAskedAboutOthers.setState({ asked: null });
  const answer = (changedSince: 'keep' | 'take'): void => {
    close();
    asked.answer(changedSince);
  };
  return (
    <AlertDialog.Root open onOpenChange={(isOpen) => !isOpen && close()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <AlertDialog.Content className="fixed top-[20vh] left-1/2 z-50 w-[min(92vw,480px)] -translate-x-1/2 rounded-xl border bg-surface p-5 shadow-2xl">
          <AlertDialog.Title className="font-display font-semibold text-lg">
            {who.join(' and ') || 'Somebody'} changed this since
          </AlertDialog.Title>
          <AlertDialog.Description className="mt-1 text-soft">
            Nothing is done yet. As it is now, against what it would be:
          </AlertDialog.Description>
          <ul className="mt-2 max-h-[40vh] space-y-1 overflow-y-auto">
            {sentences.map((sentence) => (
              <li key={sentence}>{sentence}.</li>
            ))}
          </ul>
          <div className="mt-4 flex flex-wrap justify-end gap-2">
            <AlertDialog.Cancel asChild>
              <Button>Cancel</Button>
            </AlertDialog.Cancel>
            <Button onClick={() => answer('take')}>Do it all the same</Button>
            <Button tone="strong" onClick={() => answer('keep')}>
              Leave it
            </Button>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
