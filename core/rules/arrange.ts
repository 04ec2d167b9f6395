/** What stands at one place of the results: a candidate's number, and whether a pin put it there. */
export interface Placed {
  readonly candidate: number;
  readonly pin: number | null;
}

/**
 * Places pins among the others. `pins` are (candidate, place from 1) by place; a pin whose place is taken by an
 * earlier one stands right after it, and one beyond the end stands at the end. `others` are candidates in order,
 * without the pinned ones; they fill the places left. Answers the first `wanted` places.
 */
export function arrange(
  pins: readonly { readonly candidate: number; readonly place: number }[],
  others: readonly number[],
  wanted: number,
): Placed[] {
  const placed: Placed[] = [];
  let nextPin = 0;
  let nextOther = 0;
  while (placed.length < wanted) {
    const pin = pins[nextPin];
    if (pin && (pin.place <= placed.length + 1 || nextOther >= others.length)) {
      placed.push({ candidate: pin.candidate, pin: nextPin++ });
    } else if (nextOther < others.length) {
      placed.push({ candidate: others[nextOther++]!, pin: null });
    } else break;
  }
  return placed;
}
