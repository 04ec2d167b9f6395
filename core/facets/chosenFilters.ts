/** What the shopper chose, by filter key: value texts, or one range text. */
export type ChosenFilters = Readonly<Record<string, readonly string[]>>;

/** A chosen range, both ends included; an open end is infinite. */
export interface Range {
  readonly from: number;
  readonly to: number;
}

/** Reads `5..20`, `5..` or `..20`; null where the text is no range. */
export function readRange(text: string): Range | null {
  const found = /^(-?\d{1,12}(?:\.\d{1,4})?)?\.\.(-?\d{1,12}(?:\.\d{1,4})?)?$/.exec(text);
  if (!found || (found[1] === undefined && found[2] === undefined)) return null;
  return {
    from: found[1] === undefined ? Number.NEGATIVE_INFINITY : Number(found[1]),
    to: found[2] === undefined ? Number.POSITIVE_INFINITY : Number(found[2]),
  };
}
