import { useEffect, useState } from 'react';
import { useAskedToOwn } from '../state/following.ts';

/** Several lines of text, taken on leaving. */
export function TextArea({
  label,
  value,
  change,
  maxLength,
  rows = 3,
  placeholder,
}: {
  readonly label: string;
  readonly value: string;
  change(value: string): void;
  readonly maxLength: number;
  readonly rows?: number;
  readonly placeholder?: string;
}) {
  const [text, setText] = useState(value);
  const { declined } = useAskedToOwn();
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was declined is not what holds
  useEffect(() => setText(value), [value, declined]);
  return (
    <textarea
      aria-label={label}
      className="w-full rounded-md border bg-surface px-2 py-1.5 placeholder:text-soft hover:border-edge"
      rows={rows}
      maxLength={maxLength}
      placeholder={placeholder}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => text.trim() !== value && change(text.trim())}
    />
  );
}
