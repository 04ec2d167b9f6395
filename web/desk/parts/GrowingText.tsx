import { useEffect, useState } from 'react';
import { shelfRow } from './Screen.tsx';

/** A text that is taken with every letter, so that the shop window shows it as it grows. */
export function GrowingText({
  label,
  value,
  isChanged,
  rows,
  longest: atMost,
  isCode = false,
  change,
}: {
  readonly label: string;
  readonly value: string;
  readonly isChanged: boolean;
  readonly rows: number;
  readonly longest: number;
  /** Letters of one width, nothing corrected. */
  readonly isCode?: boolean;
  change(value: string): void;
}) {
  const [text, setText] = useState(value);
  const [isIn, setIn] = useState(false);
  // What is being typed stands as it is typed: a line that is begun is not there yet.
  useEffect(() => {
    if (!isIn) setText(value);
  }, [value, isIn]);
  return (
    <div className={shelfRow(isChanged)}>
      <textarea
        aria-label={label}
        className={`block w-full resize-y rounded-t-[7px] bg-transparent px-3 py-2 ${isCode ? 'font-mono text-[12.5px]' : ''}`}
        spellCheck={!isCode}
        rows={rows}
        maxLength={atMost}
        value={text}
        onFocus={() => setIn(true)}
        onBlur={() => setIn(false)}
        onChange={(event) => {
          setText(event.target.value);
          change(event.target.value);
        }}
      />
    </div>
  );
}
