import type { BoxAnswer } from './boxAnswer.ts';
import { wordsOfPhrase } from './phrase.ts';

/** A search that shoppers make, and what they mostly bought after it. */
export interface SoughtSearch {
  readonly search: string;
  /** How often it is made. */
  readonly searches: number;
  /** A product's id, or null where nobody bought anything. */
  readonly product: string | null;
}

/** How soon the box has what shoppers are about to search for. */
export interface LettersNeeded {
  /** Searches looked at. */
  readonly looked: number;
  /** Those that the box has before they are typed to the end. */
  readonly sooner: number;
  /** Letters typed until then, by how often the searches are made: all of them where the box never has it; 0 without a search. */
  readonly letters: number;
  /** Letters of the searches themselves, likewise. */
  readonly ofLetters: number;
}

/** Whether the box has a search among its suggestions, or the product that is bought after it among its products. */
function hasIt({ blocks }: BoxAnswer, words: string, product: string | null): boolean {
  return blocks.some((block) => {
    if (block.kind === 'suggestions') return block.items.some(({ text }) => wordsOfPhrase(text) === words);
    return block.kind === 'products' && block.items.some(({ familyId }) => familyId === product);
  });
}

/**
 * Types each search letter by letter, from so many letters on, until the box has it. Cost: `ask` for every letter.
 */
export function lettersNeeded(
  ask: (typed: string) => BoxAnswer,
  sought: readonly SoughtSearch[],
  from: number,
): LettersNeeded {
  let [sooner, letters, ofLetters, times] = [0, 0, 0, 0];
  for (const { search, searches, product } of sought) {
    const words = wordsOfPhrase(search);
    let typed = from;
    while (typed < search.length && !hasIt(ask(search.slice(0, typed)), words, product)) typed++;
    if (typed < search.length) sooner++;
    letters += Math.min(typed, search.length) * searches;
    ofLetters += search.length * searches;
    times += searches;
  }
  const mean = (sum: number): number => (times === 0 ? 0 : sum / times);
  return { looked: sought.length, sooner, letters: mean(letters), ofLetters: mean(ofLetters) };
}
