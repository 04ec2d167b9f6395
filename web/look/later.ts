import { useCallback, useEffect, useState } from 'react';

/** Code that comes when it is first shown, not as the page opens. */
export interface Later<Value> {
  /** Asks for it, once; what did not come is asked for again the next time. */
  load(): Promise<Value>;
  /** What has come. */
  readonly value: Value | null;
}

export function later<Value>(fetch: () => Promise<Value>): Later<Value> {
  let value: Value | null = null;
  let coming: Promise<Value> | null = null;
  return {
    load() {
      coming ??= fetch().then(
        (come) => {
          value = come;
          return come;
        },
        (problem) => {
          coming = null;
          throw problem;
        },
      );
      return coming;
    },
    get value() {
      return value;
    },
  };
}

/** Waits before it is asked for again by itself, in milliseconds: the last of them holds on. */
export const waits: readonly number[] = [2_000, 4_000, 8_000, 15_000, 30_000];

export interface Come<Value> {
  /** Null until it has come. */
  readonly value: Value | null;
  /** It was asked for and did not come: the server is gone, or has other code by now. */
  readonly hasFailed: boolean;
  again(): void;
}

/** What has come by now; it is asked for while it is wanted, also by itself after it did not come. */
export function useLater<Value>(from: Later<Value>, isWanted = true): Come<Value> {
  const [value, setValue] = useState(() => from.value);
  const [asked, setAsked] = useState({ turn: 0, waited: 0 });
  const [hasFailed, setFailed] = useState(false);
  const again = useCallback(() => setAsked(({ turn }) => ({ turn: turn + 1, waited: 0 })), []);
  const isMissing = value === null && isWanted;
  useEffect(() => {
    if (!isMissing) return;
    let isOver = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    from.load().then(
      // In a function: what comes may itself be one.
      (come) => !isOver && setValue(() => come),
      () => {
        if (isOver) return;
        setFailed(true);
        timer = setTimeout(
          () => setAsked(({ turn, waited }) => ({ turn: turn + 1, waited: waited + 1 })),
          waits[Math.min(asked.waited, waits.length - 1)],
        );
      },
    );
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [from, isMissing, asked]);
  return { value, hasFailed: isMissing && hasFailed, again };
}
