/**
 * The match percentage, kept in whole thousandths of a point: 100,000 is a perfect match.
 *
 * For a search of n words:
 *
 *   score = Σ over words ( bestLine + alsoLine ) + Σ over neighbouring words ( closenessLine )
 *
 * A *gain* (0..1) says how well a word was found in one attribute: the attribute's weight over the heaviest weight,
 * times the quality of the match. Each line is rounded by itself, so the lines of an explanation sum to the score.
 */
export const perfect = 100_000;

/** How a word was found; the number is the quality of the match. */
export const quality = {
  exact: 1,
  form: 0.92,
  synonym: 0.88,
  prefix: 0.8,
  oneEdit: 0.75,
  twoEdits: 0.55,
} as const;
export type MatchKind = keyof typeof quality;

/** Share of the score that several words can only earn by standing close together. One word has no such share. */
const closenessShare = 0.12;
/** What a word's second-best attribute adds, as a part of what its best attribute left open. */
const alsoShare = 0.25;

/** Points shared out among the words by rarity: all of them for one word. */
export function wordPoints(words: number): number {
  return words > 1 ? perfect * (1 - closenessShare) : perfect;
}

/**
 * How telling a word is: ln(1 + N / n) for a word in n of N records (inverse document frequency, Spärck Jones 1972,
 * smoothed so that a word in every record still counts).
 */
export function rarity(records: number, recordsWithWord: number): number {
  return Math.log(1 + records / Math.max(1, recordsWithWord));
}

/** What the best attribute gives. `points` are the word's own, `gain` 0..1. */
export function bestLine(points: number, gain: number): number {
  return Math.round(points * gain);
}

/** What the second-best attribute adds to the best: neutral (0) where there is none or the best left nothing open. */
export function alsoLine(points: number, best: number, second: number): number {
  return Math.round(points * alsoShare * (1 - best) * second);
}

/** Points that one pair of neighbouring words can earn in a search of `words` words. */
export function pairPoints(words: number): number {
  return words > 1 ? (perfect * closenessShare) / (words - 1) : 0;
}

/**
 * What two neighbouring words give whose best finds are in the same attribute: their lesser gain, halved, thirded…
 * with every word between them. Words in the wrong order count as one further apart.
 */
export function closenessLine(points: number, firstGain: number, secondGain: number, gap: number): number {
  return Math.round((points * Math.min(firstGain, secondGain)) / (1 + gap));
}

/** Words between two positions of one attribute: 0 for "first second", 1 for "second first". */
export function gapBetween(first: number, second: number): number {
  return second > first ? second - first - 1 : first - second;
}
