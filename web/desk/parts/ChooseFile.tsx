import { type ReactNode, useRef } from 'react';

/** Lets a person choose one file by a button of the caller's, and hands it over; the same file may be chosen again. */
export function ChooseFile({
  label,
  accept,
  take,
  children,
}: {
  readonly label: string;
  readonly accept: string;
  take(file: File): void;
  readonly children: (choose: () => void) => ReactNode;
}) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={field}
        type="file"
        accept={accept}
        aria-label={label}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) take(file);
        }}
      />
      {children(() => field.current?.click())}
    </>
  );
}
