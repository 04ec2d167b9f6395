import type { Setup } from '../setup/schema.ts';
import { tokenize } from '../text/tokenize.ts';
import { meanTheSame, type Proposal } from './proposal.ts';

/** Two names that the catalog itself says are of one thing. */
export interface StatedNames {
  /** The longer or usual one first, as it is written first. */
  readonly names: readonly [string, string];
  /** Texts that say so. */
  readonly texts: number;
  /** One of them. */
  readonly example: string;
}

/** Letters and digits of a short form, at least and at most, and words of a name. */
const shortForm = /^(?=.*\p{Lu}.*\p{Lu})[\p{L}\d][\p{L}\d.&-]{1,8}[\p{L}\d]?$/u;
const mostWords = 4;
const longestText = 500;

/** What introduces another name, in the four languages. */
const alsoCalled =
  /\s*[([,;–—-]\s*(?:also\s+(?:known|sold)\s+as|also\s+called|a\.?k\.?a\.?|auch\s+(?:bekannt\s+als|genannt)|aussi\s+(?:appelée?s?|connue?s?\s+sous\s+le\s+nom\s+(?:de|d’|d'))|también\s+(?:conocid[oa]s?\s+como|llamad[oa]s?))\s+[“"„«]?([^)\],;.“”"«»]{2,50})/iu;

/**
 * The words before a short form in brackets that it may stand for, after Schwartz and Hearst (2003): read backwards, each of
 * its letters is found in order, and the first begins a word. Null where there are none.
 */
export function longFormOf(short: string, before: string): string | null {
  const letters = [...short.toLowerCase()].filter((letter) => /[\p{L}\d]/u.test(letter));
  const text = before.toLowerCase();
  let at = text.length - 1;
  for (let letter = letters.length - 1; letter >= 0; letter--) {
    const begins = (place: number): boolean => place === 0 || !/[\p{L}\d]/u.test(text[place - 1]!);
    while (at >= 0 && (text[at] !== letters[letter] || (letter === 0 && !begins(at)))) at--;
    if (at < 0) return null;
    at--;
  }
  const found = before.slice(at + 1).trim();
  const words = tokenize(found).length;
  const most = Math.min(letters.length + 2, letters.length * 2, mostWords + 1);
  return words >= 2 && words <= most ? found : null;
}

/** The last words that all of some texts end in, at most as many as names have. */
function commonEnd(texts: readonly string[]): string[] {
  const [first = [], ...others] = texts.map((text) => tokenize(text));
  let length = Math.min(first.length, mostWords);
  for (const other of others) {
    let same = 0;
    while (same < length && other.at(-1 - same) === first.at(-1 - same)) same++;
    length = same;
  }
  return length === 0 ? [] : first.slice(-length);
}

/**
 * Names that titles and other short values state for one thing: a short form in brackets behind what it stands for
 * (*polyvinyl acetate (PVA)*), and what is "also known as" something else. Of the latter, the name is what all texts end in
 * that say so, or the whole text where only one does. Most often stated first. Cost: two looks at each text.
 */
export function statedNames(texts: Iterable<string>): StatedNames[] {
  const stated = new Map<string, { names: [string, string]; texts: number; example: string }>();
  const called = new Map<string, { name: string; before: string[]; example: string }>();
  const add = (names: [string, string], example: string, times = 1): void => {
    const [a, b] = names.map((name) => tokenize(name).join(' '));
    if (!a || !b || a === b || ` ${a} `.includes(` ${b} `) || ` ${b} `.includes(` ${a} `)) return;
    const before = stated.get(`${a}=${b}`);
    if (before) before.texts += times;
    else stated.set(`${a}=${b}`, { names: [a, b], texts: times, example });
  };
  for (const text of texts) {
    if (text.length > longestText) continue;
    const other = alsoCalled.exec(text);
    if (other) {
      const name = tokenize(other[1]!).join(' ');
      const known = called.get(name) ?? { name, before: [], example: text };
      known.before.push(text.slice(0, other.index));
      called.set(name, known);
      continue;
    }
    for (const { 1: inside, index } of text.matchAll(/\s\(([^()]{2,60})\)/gu)) {
      const before = text.slice(0, index);
      const long = shortForm.test(inside!) ? longFormOf(inside!, before) : null;
      if (long) add([long, inside!], text);
      // The other way round: the short form stands before the brackets.
      const word = before.split(/\s+/).at(-1)!;
      if (!long && shortForm.test(word) && longFormOf(word, inside!) === inside) add([inside!, word], text);
    }
  }
  for (const { name, before, example } of called.values()) {
    const end = commonEnd(before);
    const whole = tokenize(before[0]!);
    const isName = before.length > 1 || whole.length <= mostWords;
    if (isName && end.length > 0 && tokenize(name).length <= mostWords)
      add([end.join(' '), name], example, before.length);
  }
  return [...stated.values()].sort((a, b) => b.texts - a.texts || (a.names[0] < b.names[0] ? -1 : 1));
}

const mostProposed = 30;

/** Proposes names that the catalog states for one thing as synonyms, where the vocabulary does not join them yet. */
export function proposeStated(stated: readonly StatedNames[], setup: Setup): Proposal[] {
  const joined = Object.values(setup.vocabulary).flatMap((entry) =>
    entry.what === 'synonyms' ? [new Set(entry.words.map((text) => tokenize(text).join(' ')))] : [],
  );
  return stated
    .filter(({ names }) => !joined.some((words) => names.every((name) => words.has(name))))
    .slice(0, mostProposed)
    .map(({ names, texts, example }) => {
      const many = texts === 1 ? 'Your catalog says' : `Your catalog says so ${texts} times, such as in`;
      return meanTheSame('stated', names, `${many} “${example.slice(0, 120)}”.`, names, true);
    });
}
