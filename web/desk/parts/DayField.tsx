import { useEffect, useState } from 'react';

/** A day chosen or typed, as `2026-12-01`; empty where none is. Years that are still being typed are not taken. */
export function DayField({
  label,
  value,
  change,
}: {
  readonly label: string;
  readonly value: string;
  change(day: string): void;
}) {
  const [text, setText] = useState(value);
  useEffect(() => setText(value), [value]);
  return (
    <input
      type="date"
      aria-label={label}
      className="rounded-md border bg-surface px-2 py-[2px] text-ink hover:border-edge"
      value={text}
      onChange={({ target }) => {
        setText(target.value);
        if (target.value === '' || target.value >= '1970') change(target.value);
      }}
      onBlur={() => setText(value)}
    />
  );
}
