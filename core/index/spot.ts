/**
 * Where a word stands, in 16 bits: `attribute << 8 | length << 4 | place`. Attribute 0 to 255; how many words the value
 * has that holds it, and how many of them stand before it, each as one of 16 steps. A word that stands in several
 * values of one attribute (two tags) stands for the shortest of them, in its earliest place.
 *
 * Up to eight words the steps are exact; above, a step says "at least so many", which is enough for a score that falls
 * ever more slowly. This is what lets the matcher find a posting's whole gain with one look into one table.
 */
const stepFrom = [1, 2, 3, 4, 5, 6, 7, 8, 9, 13, 17, 25, 49, 97, 193, 385] as const;
export const spotSteps = 256;
/** Values of up to so many words know their length, and their words' places, exactly. */
export const exactUpTo = 8;

/** The step for a count of 1 or more. */
function stepOf(count: number): number {
  if (count <= exactUpTo) return count - 1;
  let step = exactUpTo;
  while (step < stepFrom.length - 1 && count >= stepFrom[step + 1]!) step++;
  return step;
}

/** Length and place in one byte: smaller is a shorter value, then an earlier place. `place` counts from 0. */
export const standOf = (words: number, place: number): number => (stepOf(words) << 4) | stepOf(place + 1);

/** The least number of words a value may have whose words stand so. */
export const wordsAt = (spot: number): number => stepFrom[(spot >> 4) & 15]!;
/** The least number of words that may stand before it in its value. */
export const placeAt = (spot: number): number => stepFrom[spot & 15]! - 1;
export const attributeAt = (spot: number): number => spot >> 8;
export const spotOf = (attribute: number, stand: number): number => (attribute << 8) | stand;
