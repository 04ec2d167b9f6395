/**
 * The match percentage, kept in whole thousandths of a point: 100,000 where the heaviest attribute says just what the
 * shopper typed.
 *
 * For a search of n words:
 *
 *   score = Σ over words ( bestLine + alsoLine ) + Σ over neighbouring words ( closenessLine ) + wholeLine
 *
 * A *gain* (0..1) says how well a word was found in one attribute of a record:
 *
 *   gain = weight / heaviest weight × quality of the match × lengthFactor × placeFactor (where place counts)
 *
 * Each line is rounded by itself, so the lines of an explanation sum to the score.
 */
export const perfect = 100_000;

/** How a word was found; the number is the quality of the match. */
export const quality = {
  exact: 1,
  /** Another form of the word: the same stem, and little else between them (`curry`, `curries`). */
  form: 0.92,
  /** A word of the same stem that is more than a form (`bitter` for `bitterness`). */
  related: 0.84,
  /** The shopper's neighbouring words stand as one in the catalog. */
  joined: 0.9,
  /** The shopper's word stands as several, side by side. */
  split: 0.9,
  synonym: 0.88,
  /** The word is a part of a longer one (`Pinsel` of `Aquarellpinsel`). */
  compound: 0.85,
  /** The beginning of a longer word. */
  prefix: 0.8,
  /** One letter wrong, and the likeliest word of all that are so near. */
  oneEdit: 0.75,
  /** One letter wrong, where another word is likelier. */
  rivalEdit: 0.68,
  twoEdits: 0.55,
  /** Recognised as a value that the record has: as good as the whole of the heaviest attribute. */
  value: 1,
} as const;
export type MatchKind = keyof typeof quality;

/** Points, of 100, that are given for words standing together; a search of one word has none. */
const closenessShare = 0.12;
/** Points, of 100, that are given for how much of a value the search says. */
const wholeShare = 0.04;
/** What a word's second-best attribute adds, as a part of what its best attribute left open. */
const alsoShare = 0.25;
/** How fast a find loses worth with every doubling of the value's words beyond the words sought. */
const lengthSlope = 0.12;
/** The least a find is worth for standing late, where place counts, and after how many words half of that is lost. */
const leastPlace = 0.6;
const placeHalf = 3;

/** Points shared out among the words by rarity. */
export function wordPoints(words: number): number {
  return perfect * (1 - wholeShare - (words > 1 ? closenessShare : 0));
}

/**
 * How telling a word is: ln(1 + N / n) for a word in n of N records (inverse document frequency, Spärck Jones 1972,
 * smoothed so that a word in every record still counts).
 */
export function rarity(records: number, recordsWithWord: number): number {
  return Math.log(1 + records / Math.max(1, recordsWithWord));
}

/**
 * What a find is worth in a value of so many words, 1 where it has no more than were sought: 1 / (1 + 0.12 log2(length /
 * sought)). Length normalisation as in Robertson and Walker (1994), but by doublings, so that a long description is
 * not worth next to nothing. A word in a title of four is worth 0.81 to a search of one word, 0.89 to one of two.
 */
export function lengthFactor(words: number, sought: number): number {
  return words <= sought ? 1 : 1 / (1 + lengthSlope * Math.log2(words / sought));
}

/** What a find is worth that `before` words of its value stand before: 1 for the first word, falling towards 0.6. */
export function placeFactor(before: number): number {
  return leastPlace + (1 - leastPlace) / (1 + before / placeHalf);
}

/**
 * A line in whole thousandths. Lines are neither negative nor near 2^31, and for those this says what rounding says at a
 * tenth less of a search for several very common words.
 */
export const rounded = (points: number): number => (points + 0.5) | 0;

/** What the best attribute gives. `points` are the word's own, `gain` 0..1. */
export function bestLine(points: number, gain: number): number {
  return rounded(points * gain);
}

/** What the second-best attribute adds to the best: neutral (0) where there is none or the best left nothing open. */
export function alsoLine(points: number, best: number, second: number): number {
  return rounded(points * alsoShare * (1 - best) * second);
}

/** Points that one pair of neighbouring words can earn in a search of `words` words. */
export function pairPoints(words: number): number {
  return words > 1 ? (perfect * closenessShare) / (words - 1) : 0;
}

/**
 * What two neighbouring words give whose best finds are in the same attribute: their lesser gain, halved, thirded…
 * with every word between them (closeness as in Rasolofo and Savoy 2003, who take the square). Words in the wrong
 * order count as one further apart.
 */
export function closenessLine(points: number, firstGain: number, secondGain: number, gap: number): number {
  return rounded((points * Math.min(firstGain, secondGain)) / (1 + gap));
}

/** Words between two positions of one attribute: 0 for "first second", 1 for "second first". */
export function gapBetween(first: number, second: number): number {
  return second > first ? second - first - 1 : first - second;
}

/**
 * What is given for how much of a value the search says: by the least gain of the words best found there, times their
 * number over the value's. All of it where they are all that the value says.
 */
export function wholeLine(leastGain: number, found: number, words: number): number {
  return rounded(wholePoints(leastGain, saidShare(found, words)));
}

/** How much of a value of so many words is said by `found` of them, 0..1. */
export const saidShare = (found: number, words: number): number => Math.min(1, found / words);

/** What `wholeLine` rounds. */
export const wholePoints = (leastGain: number, said: number): number => perfect * wholeShare * leastGain * said;
