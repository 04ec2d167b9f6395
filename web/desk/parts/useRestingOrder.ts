import { type FocusEvent, useRef, useState } from 'react';

interface Resting<Row> {
  readonly rows: readonly Row[];
  /** For the element around the rows. */
  readonly list: { onFocus(): void; onBlur(event: FocusEvent<HTMLElement>): void };
}

/**
 * Rows in the order given, except while somebody is among them: a row stays under the hand that changes it, and takes its
 * new place when the list is left.
 */
export function useRestingOrder<Row extends { readonly key: string }>(sorted: readonly Row[]): Resting<Row> {
  const [isHeld, setHeld] = useState(false);
  const kept = useRef<readonly string[]>([]);
  if (!isHeld) kept.current = sorted.map(({ key }) => key);
  const places = new Map(kept.current.map((key, at) => [key, at]));
  const placeOf = ({ key }: Row): number => places.get(key) ?? Number.POSITIVE_INFINITY;
  return {
    rows: isHeld ? [...sorted].sort((a, b) => (placeOf(a) === placeOf(b) ? 0 : placeOf(a) - placeOf(b))) : sorted,
    list: {
      onFocus: () => setHeld(true),
      onBlur: ({ currentTarget, relatedTarget }) => {
        if (!currentTarget.contains(relatedTarget)) setHeld(false);
      },
    },
  };
}
