import type { Ladder, Rung } from '../setup/terms/ladderTerms.ts';

/** What one attempt of a search may do, besides finding its words as they were typed and in other forms. */
export interface Attempt {
  readonly synonyms: boolean;
  readonly spelling: boolean;
  /** Whether words may be left out. */
  readonly words: boolean;
  /** Whether what was recognised may be taken as words again. */
  readonly filters: boolean;
  /** Whether searches near in meaning are tried. */
  readonly meaning: boolean;
  /** Whether it is asked in the whole shop, wherever it was asked. */
  readonly wholeShop: boolean;
  /** Whether the search itself is tried: not where only searches near in meaning are new. */
  readonly itself: boolean;
}

const nothing: Attempt = {
  ...{ synonyms: false, spelling: false, words: false, filters: false, meaning: false, wholeShop: false, itself: true },
};

/** Just what was typed. */
export const asTypedOnly: Attempt = nothing;

/** Steps that hold in every search where they stand before all others. */
const readings: readonly Rung[] = ['synonyms', 'spelling'];

/**
 * A ladder as the attempts of a search, each allowing what those before it do and more. Synonyms and corrections that stand
 * before all other steps belong to the first attempt; so does what a search does in this order by itself: leave words out
 * among what recognised values let through, and then take such values as words.
 */
export function attemptsOf({ order, off }: Ladder, correctsAtOnce: boolean): readonly Attempt[] {
  const isOn = (rung: Rung): boolean =>
    rung === 'spelling' ? correctsAtOnce : !(off as readonly Rung[]).includes(rung);
  const attempts: Attempt[] = [nothing];
  for (const rung of order.filter(isOn)) {
    const last = attempts.at(-1)!;
    const next = { ...last, [rung]: true };
    const isReading = readings.includes(rung) && attempts.length === 1 && !last.words && !last.filters;
    const isInside = rung === 'words' ? !last.filters : rung === 'filters';
    const joins = (isReading || isInside) && !last.meaning && !last.wholeShop;
    if (joins) attempts[attempts.length - 1] = next;
    else attempts.push({ ...next, itself: rung !== 'meaning' });
  }
  return attempts;
}
