/** How many products stand beside each other: those as far up as the first. */
export function columnsOf(list: Element): number {
  const tops = [...list.children].map((child) => (child as HTMLElement).offsetTop);
  return Math.max(1, tops.filter((top) => top === tops[0]).length);
}

/** Where an arrow key moves what is at a place, from 0; null for keys that move nothing. */
export function placeAfterKey(
  key: string,
  at: number,
  { columns, count }: { readonly columns: number; readonly count: number },
): number | null {
  const step = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -columns, ArrowDown: columns, Home: -count, End: count }[key];
  return step === undefined ? null : Math.min(count - 1, Math.max(0, at + step));
}
