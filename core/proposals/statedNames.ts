import type { Setup } from '../setup/schema.ts';
import { fold } from '../text/fold.ts';
import { isNumberLike, tokenize } from '../text/tokenize.ts';
import { meanTheSame, type Proposal } from './proposal.ts';

/** Two names that the catalog itself says are of one thing. */
export interface StatedNames {
  /** The longer or usual one first, as it is written first. */
  readonly names: readonly [string, string];
  /** Texts that say so. */
  readonly texts: number;
  /** One of them. */
  readonly example: string;
  /** Words that say what it is, or only two words where one is as likely meant: keywords, and what stands beside a slash. */
  readonly by: 'words' | 'keyword' | 'slash';
}

/** A keyword of a product, or another name that an attribute of such names has. */
export interface SaidName {
  readonly title: string;
  readonly name: string;
}

/** Names of attributes that hold other names of a product. */
const otherNames =
  /(^|[ _])(keywords?|alias(es)?|synonyms?|synonyme|aka|also known as|also called|other names?|alternative names?|search terms?|suchbegriffe?|stichworte?|stichwoerter|schlagworte?|schlagwoerter|mots cles|autres noms|palabras clave|otros nombres|parole chiave|trefwoorden)($|[ _])/;
/** Whether an attribute holds other names of its products, by what it is called. */
export const holdsOtherNames = (key: string): boolean => otherNames.test(fold(key).replaceAll('_', ' '));

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

/** A description's sentences that may state a name; one that begins with "also known as" speaks of what the title names. */
export function sentencesStating(title: string, description: string): string[] {
  return description
    .slice(0, longestProse)
    .split(/(?<=[.!?])\s+|\n+/)
    .flatMap((sentence) => {
      const text = `${title}, ${sentence}`;
      if (alsoCalled.exec(text)?.index === title.length) return [text];
      return /\([^()]{2,60}\)/.test(sentence) || alsoCalled.test(sentence) ? [sentence] : [];
    });
}
const longestProse = 5000;

const slashed = /(?<![\p{L}\d/])(\p{L}{4,20})\/(\p{L}{4,20})(?![\p{L}\d/])/gu;
const fewestSlashed = 2;

/**
 * Words that texts put on either side of a slash, where they are not two values of one thing (*black/white*: each stands
 * alone elsewhere) and no text has both otherwise.
 */
function slashedNames(texts: readonly string[]): StatedNames[] {
  const found = new Map<string, StatedNames & { texts: number }>();
  for (const text of texts)
    for (const [, first, second] of text.matchAll(slashed)) {
      const names = [first!, second!].map((word) => tokenize(word).join(' ')) as [string, string];
      if (names[0] === names[1]) continue;
      const key = [...names].sort().join('=');
      const before = found.get(key);
      if (before) before.texts++;
      else found.set(key, { names, texts: 1, example: text, by: 'slash' });
    }
  const often = new Set([...found.values()].filter((each) => each.texts >= fewestSlashed));
  // Text by text, so that the words of one are all that is kept.
  for (const text of often.size === 0 ? [] : texts) {
    const whole = tokenize(text).join(' ');
    const apart = new Set(tokenize(text.replace(slashed, ' ')));
    for (const each of often) {
      const [a, b] = each.names;
      if (whole === a || whole === b || (apart.has(a) && apart.has(b))) often.delete(each);
    }
  }
  return [...often];
}

/** Share of the products called so that must have a keyword for it to be another name of them, and how many. */
const leastNamed = 0.8;
const fewestNamed = 2;

/** Keywords that nearly all products of a kind have and no others: what all their titles end in is called so, too. */
function keywordNames(said: readonly SaidName[]): StatedNames[] {
  const byName = new Map<string, Set<string>>();
  for (const { name, title } of said) {
    const key = tokenize(name).join(' ');
    if (key === '' || key.split(' ').length > mostWords) continue;
    byName.set(key, (byName.get(key) ?? new Set()).add(title));
  }
  const titles = [...new Set(said.map(({ title }) => title))];
  const ends = titles.map((title) => ` ${tokenize(title).join(' ')}`);
  return [...byName].flatMap(([name, of]): StatedNames[] => {
    if (of.size < fewestNamed || of.size > titles.length / 2) return [];
    const end = commonEnd([...of]).join(' ');
    if (end === '' || ` ${end} `.includes(` ${name} `) || ` ${name} `.includes(` ${end} `)) return [];
    const called = ends.filter((title) => title.endsWith(` ${end}`)).length;
    if (of.size < called * leastNamed) return [];
    return [{ names: [end, name], texts: of.size, example: [...of][0]!, by: 'keyword' }];
  });
}

/**
 * Names that titles and other short values state for one thing: a short form in brackets behind what it stands for
 * (*polyvinyl acetate (PVA)*), and what is "also known as" something else. Of the latter, the name is what all texts end in
 * that say so, or the whole text where only one does. Then words on either side of a slash, and what keywords call them:
 * less sure, and none that is stated already. Most often stated first. Cost: a few looks at each text.
 */
export function statedNames(texts: Iterable<string>, said: readonly SaidName[] = []): StatedNames[] {
  const stated = new Map<string, StatedNames & { texts: number }>();
  const looked: string[] = [];
  const called = new Map<string, { name: string; before: string[]; example: string }>();
  const add = (names: [string, string], example: string, times = 1): void => {
    const [a, b] = names.map((name) => tokenize(name).join(' '));
    if (!a || !b || a === b || ` ${a} `.includes(` ${b} `) || ` ${b} `.includes(` ${a} `)) return;
    const before = stated.get(`${a}=${b}`);
    if (before) before.texts += times;
    else stated.set(`${a}=${b}`, { names: [a, b], texts: times, example, by: 'words' });
  };
  for (const text of texts) {
    if (text.length > longestText) continue;
    looked.push(text);
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
    // One product of a certain size or number is not all that are called so.
    const isName = before.length > 1 || (whole.length <= mostWords && !whole.some(isNumberLike));
    if (isName && end.length > 0 && tokenize(name).length <= mostWords)
      add([end.join(' '), name], example, before.length);
  }
  for (const each of [...slashedNames(looked), ...keywordNames(said)]) {
    const keys = [each.names.join('='), [...each.names].reverse().join('=')];
    if (!keys.some((key) => stated.has(key))) stated.set(keys[0]!, each);
  }
  const isSure = ({ by }: StatedNames): number => (by === 'words' ? 1 : 0);
  return [...stated.values()].sort(
    (a, b) => isSure(b) - isSure(a) || b.texts - a.texts || (a.names[0] < b.names[0] ? -1 : 1),
  );
}

function reasonFor({ names, texts, example, by }: StatedNames): string {
  const such = `“${example.slice(0, 120)}”`;
  if (by === 'keyword') return `“${names[1]}” is a keyword of ${texts} products called ${names[0]}, such as ${such}.`;
  if (by === 'slash') return `Your catalog writes them with a slash ${texts} times, such as in ${such}.`;
  return texts === 1 ? `Your catalog says ${such}.` : `Your catalog says so ${texts} times, such as in ${such}.`;
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
    .map((each) => meanTheSame('stated', each.names, reasonFor(each), each.names, each.by === 'words'));
}
