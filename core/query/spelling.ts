import type { Setup } from '../setup/schema.ts';
import { usualSpelling } from '../setup/terms/usualValues.ts';
import { editDistance } from '../text/editDistance.ts';
import { mayBeTwoSlips } from '../text/slips.ts';
import { isNumberLike } from '../text/tokenize.ts';

/** What spelling may do, with everything the setup leaves unsaid filled in. */
export interface Spelling {
  readonly tolerance: boolean;
  /** Letters from which a word may be one edit, or two, away from what it is taken for. */
  readonly oneEditFrom: number;
  readonly twoEditsFrom: number;
  /** Whether a search that finds nothing as it is typed is corrected without asking. */
  readonly atOnce: boolean;
  /** Other ways of reading a misspelt search that are offered, at most. */
  readonly offers: number;
}

export function spellingOf({ relevance: { spelling } }: Setup): Spelling {
  return { ...usualSpelling, ...spelling };
}

/** Edits allowed for a word of so many letters. */
export function allowedEdits(
  length: number,
  { oneEditFrom, twoEditsFrom }: Pick<Spelling, 'oneEditFrom' | 'twoEditsFrom'> = usualSpelling,
): 0 | 1 | 2 {
  if (length < oneEditFrom) return 0;
  return length < twoEditsFrom ? 1 : 2;
}

/** Letters at the beginning that forms of one word share at least. */
const shortestStem = 4;

/**
 * Whether two words may be forms of one that no rule knows, as of names: one has letters more at its end, or one letter
 * differs among the last two.
 */
function mayBeForms(a: string, b: string, edits: number): boolean {
  const [short, long] = a.length < b.length ? [a, b] : [b, a];
  const same = edits === 1 ? Math.max(shortestStem, short.length - 2) : short.length;
  return same >= shortestStem && short.length >= same && long.startsWith(short.slice(0, same));
}

/**
 * Whether a word may be taken at once for another that is so many edits away. A form of it always may. A word of the language
 * was seldom meant as another: it is where one letter makes the difference and the rest of the search stands with what it is
 * taken for. First letters are seldom wrong (7 in 100 misspellings, Yannakoudakis and Fawthrop 1983), so of two edits none
 * may be there, and not both may put just any letter.
 */
export function mayBeMeant(
  typed: string,
  meant: string,
  edits: number,
  { isOfLanguage, fitsRest }: { readonly isOfLanguage: boolean; fitsRest(): boolean },
): boolean {
  if (mayBeForms(typed, meant, edits)) return true;
  if (isOfLanguage) return edits === 1 && fitsRest();
  return edits === 1 || (typed[0] === meant[0] && mayBeTwoSlips(typed, meant));
}

/** A word near another: 1 or 2 edits away. */
export interface Near {
  readonly token: string;
  readonly edits: number;
}

/** Which of 32 kinds of letters a word has, a bit each: words k edits apart differ in at most 2k bits. */
function lettersOf(word: string): number {
  let bits = 0;
  for (let at = 0; at < word.length; at++) bits |= 1 << (word.charCodeAt(at) & 31);
  return bits;
}

/** Bits set in a word of 32, added up side by side in pairs, fours and bytes. */
function bitsIn(bits: number): number {
  const pairs = bits - ((bits >>> 1) & 0x55555555);
  const fours = (pairs & 0x33333333) + ((pairs >>> 2) & 0x33333333);
  return Math.imul((fours + (fours >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}

const mostAsked = 500;

/**
 * Finds the nearest of some words: fewest edits, then the same first letter, then in order. Cost: a look at each word's
 * letters, and a distance for the few that could be near.
 */
export function openNearest(words: readonly string[]): (word: string, limit: number) => Near | null {
  const byLength = new Map<number, string[]>();
  for (const token of [...words].sort())
    if (token.length >= 3 && !isNumberLike(token)) {
      const alike = byLength.get(token.length);
      if (alike) alike.push(token);
      else byLength.set(token.length, [token]);
    }
  const groups = [...byLength.values()].map((tokens) => ({ tokens, letters: Int32Array.from(tokens, lettersOf) }));
  const measure = (word: string, limit: number): Near | null => {
    const own = lettersOf(word);
    const near: Near[] = [];
    for (const { tokens, letters } of groups) {
      if (Math.abs(tokens[0]!.length - word.length) > limit) continue;
      for (let at = 0; at < letters.length; at++) {
        if (bitsIn(letters[at]! ^ own) > limit * 2) continue;
        const edits = editDistance(word, tokens[at]!, limit);
        if (edits > 0 && edits <= limit) near.push({ token: tokens[at]!, edits });
      }
    }
    const otherStart = ({ token }: Near): number => (token[0] === word[0] ? 0 : 1);
    near.sort((a, b) => a.edits - b.edits || otherStart(a) - otherStart(b) || (a.token < b.token ? -1 : 1));
    return near[0] ?? null;
  };
  // One search asks for the same word several times: as it is, with more corrections, and for what is offered.
  const asked = new Map<string, Near | null>();
  return (word, limit) => {
    if (limit === 0 || isNumberLike(word)) return null;
    const question = `${limit} ${word}`;
    const known = asked.get(question);
    if (known !== undefined) return known;
    if (asked.size >= mostAsked) asked.clear();
    const answer = measure(word, limit);
    asked.set(question, answer);
    return answer;
  };
}
