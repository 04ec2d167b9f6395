import { AlertDialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { Button } from './Button.tsx';

/** A question that comes before something is done; nothing is done where it is closed. */
export function Ask({
  title,
  description,
  children,
  answers,
  close,
}: {
  readonly title: string;
  readonly description: string;
  readonly children?: ReactNode;
  /** The last one is what is meant most often. */
  readonly answers: readonly { readonly label: string; answer(): void }[];
  close(): void;
}) {
  return (
    <AlertDialog.Root open onOpenChange={(isOpen) => !isOpen && close()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <AlertDialog.Content
          // The Enter that led here must not be taken for an answer: no button has the focus at first.
          onOpenAutoFocus={(event) => {
            event.preventDefault();
            (event.currentTarget as HTMLElement).focus();
          }}
          tabIndex={-1}
          className="fixed top-[20vh] left-1/2 z-50 w-[min(92vw,480px)] -translate-x-1/2 rounded-xl border bg-surface p-5 shadow-2xl outline-none"
        >
          <AlertDialog.Title className="font-display font-semibold text-lg">{title}</AlertDialog.Title>
          <AlertDialog.Description className="mt-1 text-soft">{description}</AlertDialog.Description>
          {children}
          <div className="mt-4 flex flex-wrap justify-end gap-2">
            <AlertDialog.Cancel asChild>
              <Button>Cancel</Button>
            </AlertDialog.Cancel>
            {answers.map(({ label, answer }, at) => (
              <Button
                key={label}
                tone={at === answers.length - 1 ? 'strong' : undefined}
                onClick={() => {
                  close();
                  answer();
                }}
              >
                {label}
              </Button>
            ))}
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
