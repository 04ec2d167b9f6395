import type { AttributeProfile } from '../catalog/profileAttributes.ts';
import { isIndexedAsText } from '../catalog/profileAttributes.ts';
import { type CatalogRecord, textsOf } from '../catalog/record.ts';
import type { ChosenFilters } from '../facets/chosenFilters.ts';
import { positionsLookedAt, valueGap } from '../index/postings.ts';
import { compoundParts } from '../query/compounds.ts';
import { doubted, givingUp } from '../query/findMatches.ts';
import { findPriceLimits } from '../query/priceLimits.ts';
import { weak } from '../query/understand.ts';
import {
  alsoLine,
  bestLine,
  closenessLine,
  gapBetween,
  lengthFactor,
  type MatchKind,
  pairPoints,
  placeFactor,
  quality,
  rarity,
  wholeLine,
  wordPoints,
} from '../ranking/formula.ts';
import type { Setup, TieBreaker } from '../setup/schema.ts';
import { editDistance } from '../text/editDistance.ts';
import type { Language } from '../text/languages.ts';
import { readableToken } from '../text/quantity.ts';
import { slipLikelihood } from '../text/slips.ts';
import { isNumberLike, normalizeCode, readWords, tokenize } from '../text/tokenize.ts';
import { areForms, stem } from '../text/wordForms.ts';
import { obviousFilters } from './obviousFilters.ts';
import { obviousRuns } from './obviousRecognition.ts';

/**
 * The obvious search: no index, no typed array, every record looked at for every word. It is what the fast path is
 * held to, so it is written from the definitions and shares only the formula's lines with it.
 */
interface ReadRecord {
  readonly record: CatalogRecord;
  /** By attribute number, then by token: how it stands there. */
  readonly texts: readonly ReadonlyMap<string, Standing>[];
}
interface Standing {
  readonly positions: readonly number[];
  /** Words of the shortest value that holds it, and how many of them stand before it there. */
  readonly words: number;
  readonly before: number;
}

export interface ObviousResult {
  readonly familyId: string;
  readonly recordId: string;
  readonly score: number;
}
export interface ObviousAnswer {
  readonly total: number;
  /** Whether anything is found, before filters are chosen. */
  readonly foundAny: boolean;
  readonly results: readonly ObviousResult[];
  readonly dropped: readonly string[];
  /** By filter key and value: products. */
  readonly counts: Readonly<Record<string, Readonly<Record<string, number>>>>;
}

interface Sought {
  readonly text: string;
  readonly token: string;
  /** Whether the merchandiser says that what was typed means this. */
  readonly isFixed?: boolean;
}

/** Word by word: where a quantity begins it is taken whole, unless its unit is doubtful and the amount unknown. */
function unitsIn(query: string, isKnown: (token: string) => boolean): Sought[] {
  const { tokens, quantities } = readWords(query);
  const taken = quantities.filter(({ token, isDoubtful }) => !isDoubtful || isKnown(token));
  return tokens.flatMap((text, at): Sought[] => {
    const here = taken.filter((quantity) => quantity.at === at);
    if (here.length > 0) return here.map(({ token }) => ({ text: readableToken(token), token }));
    return taken.some((quantity) => quantity.at < at && at < quantity.to) ? [] : [{ text, token: text }];
  });
}

function soughtIn(query: string, isKnown: (token: string) => boolean, fixed: ReadonlyMap<string, string>): Sought[] {
  const meant = unitsIn(query, isKnown).map((sought): Sought => {
    const to = fixed.get(sought.token);
    return to === undefined ? sought : { text: to, token: to, isFixed: true };
  });
  return meant.filter(({ token }, at) => meant.findIndex((other) => other.token === token) === at);
}

interface Way {
  readonly token: string;
  readonly how: MatchKind;
  /** The tokens that must stand side by side, where the word stands as several. */
  readonly phrase?: readonly string[];
  /** The attribute it is a recognised value of, and whether a record has that. */
  readonly ofValue?: { readonly attribute: number; has(record: CatalogRecord): boolean };
}
interface Word {
  readonly text: string;
  readonly ways: readonly Way[];
  readonly rarity: number;
}

function readTexts(record: CatalogRecord, attributes: readonly AttributeProfile[]): ReadRecord['texts'] {
  return attributes.map((profile) => {
    const standings = new Map<string, Standing>();
    if (!isIndexedAsText(profile)) return standings;
    const all = profile.key === 'sku' ? [record.sku] : textsOf(record.values[profile.key]);
    let position = 0;
    for (const text of profile.kind === 'path' ? all.slice(-1) : all) {
      const { tokens, quantities } =
        profile.kind === 'code' ? { tokens: [normalizeCode(text)].filter(Boolean), quantities: [] } : readWords(text);
      const stand = (token: string, at: number) => {
        const here: Standing = { positions: [position + at], words: asStep(tokens.length), before: asStep(at + 1) - 1 };
        const known = standings.get(token);
        const positions = [...(known?.positions ?? []), position + at].sort((a, b) => a - b);
        const isBetter =
          !known || here.words < known.words || (here.words === known.words && here.before < known.before);
        standings.set(token, { ...(isBetter ? here : known), positions });
      };
      for (const [at, token] of tokens.entries()) stand(token, at);
      for (const { token, at } of quantities) stand(token, at);
      position += tokens.length + valueGap;
    }
    return standings;
  });
}

/** A text that is one word; what is several, as an amount with its unit, is none. */
const singleWord = (text: string): string[] => (tokenize(text).length === 1 ? tokenize(text) : []);

/** Lengths above eight are told in steps. */
const asStep = (count: number): number => [385, 193, 97, 49, 25, 17, 13, 9].find((least) => count >= least) ?? count;

/** What a search may ask for besides its words. */
export interface ObviousRequest {
  readonly filters?: ChosenFilters;
  readonly typing?: boolean;
  readonly sort?: string;
  readonly box?: boolean;
  /** Of the catalog. */
  readonly language?: Language;
  /** Not to be recognised. */
  readonly asWords?: readonly string[];
}

/** The same answers again without working them out again: the searches are many and the catalogs small. */
function remembered<Answer>(work: (text: string) => Answer): (text: string) => Answer {
  const known = new Map<string, Answer>();
  return (text) => {
    if (!known.has(text)) known.set(text, work(text));
    return known.get(text)!;
  };
}

export function obviousSearch(
  records: readonly CatalogRecord[],
  attributes: readonly AttributeProfile[],
  setup: Setup,
  typed: string,
  request: ObviousRequest = {},
  today = 0,
  mode: 'fewer' | 'all' | 'none' = 'fewer',
): ObviousAnswer {
  const { filters: chosen = {}, typing = false, sort = '', box = false, language = 'en', asWords = [] } = request;
  const recognises = Object.values(setup.vocabulary).some((entry) => entry.what === 'recognised' && entry.price);
  const limits = recognises ? findPriceLimits(typed) : null;
  const said = limits?.rest ?? typed;
  const stemOf = remembered((token) => stem(token, language));
  const all = records.map((record): ReadRecord => ({ record, texts: readTexts(record, attributes) }));
  const heaviest = Math.max(
    0,
    ...attributes
      .filter(isIndexedAsText)
      .map(({ key }) => (setup.attributes[key]?.searchable ? setup.attributes[key].weight : 0)),
  );
  const isFound = (attribute: number, how: MatchKind): boolean => {
    const profile = attributes[attribute]!;
    const setting = setup.attributes[profile.key];
    if (!setting?.searchable || !isIndexedAsText(profile)) return false;
    const isCode = profile.kind === 'code';
    if (how === 'prefix') return setting.prefixes !== false;
    if (how === 'form' || how === 'related' || how === 'compound') return !isCode && setting.forms !== false;
    if (how === 'oneEdit' || how === 'rivalEdit' || how === 'twoEdits') return !isCode && setting.corrections !== false;
    return !isCode || how === 'exact' || how === 'joined';
  };
  const gainOf = (attribute: number, how: MatchKind, standing: Standing, sought: number): number => {
    const setting = setup.attributes[attributes[attribute]!.key]!;
    const weight = heaviest === 0 ? 0 : setting.weight / heaviest;
    const place = setting.early ? placeFactor(standing.before) : 1;
    return weight * quality[how] * lengthFactor(standing.words, sought) * place;
  };
  const holding = new Map<string, Set<ReadRecord>>();
  const standsIn = new Map<string, Set<number>>();
  const inPlainText = new Set<string>();
  for (const read of all)
    for (const [attribute, standings] of read.texts.entries())
      for (const token of standings.keys()) {
        if (attributes[attribute]!.kind !== 'code') inPlainText.add(token);
        if (!holding.has(token)) {
          holding.set(token, new Set());
          standsIn.set(token, new Set());
        }
        holding.get(token)!.add(read);
        standsIn.get(token)!.add(attribute);
      }
  const vocabulary = [...holding.keys()].sort((a, b) => (a < b ? -1 : 1));
  const reaches = (token: string, how: MatchKind): boolean =>
    [...standsIn.get(token)!].some((attribute) => isFound(attribute, how));

  const isGerman = language === 'de';
  const isKnownWord = (text: string): boolean => holding.has(text);
  const { tolerance: mayCorrect, atOnce, oneEditFrom, twoEditsFrom } = setup.relevance.spelling;
  const tolerance = mayCorrect && atOnce !== false;
  const entries = Object.values(setup.vocabulary);
  const stopWords = new Set(
    entries.flatMap((entry) => (entry.what === 'stopWords' ? entry.words.flatMap(singleWord) : [])),
  );
  const spoken = entries.flatMap((entry) => (entry.what === 'spoken' ? entry.words.flatMap(singleWord) : []));
  const placeSpoken = (token: string): number => (spoken.includes(token) ? spoken.indexOf(token) : spoken.length);
  const listed = (what: 'neverCorrected' | 'neverOffered') =>
    new Set(entries.flatMap((entry) => (entry.what === what ? entry.words.flatMap(singleWord) : [])));
  const neverCorrected = listed('neverCorrected');
  const neverOffered = listed('neverOffered');
  const fixed = new Map(
    entries.flatMap((entry) =>
      entry.what === 'corrections' ? entry.pairs.map(({ from, to }): [string, string] => [from, to]) : [],
    ),
  );
  /** What is said and what it means besides, pair by pair. */
  const pairs = Object.keys(setup.vocabulary)
    .sort()
    .map((key) => setup.vocabulary[key]!)
    .flatMap((entry): [string, string][] => {
      if (entry.what === 'oneWay' && entry.on)
        return entry.from.flatMap((a) => entry.to.map((b): [string, string] => [a, b]));
      if (entry.what !== 'synonyms' || !entry.on) return [];
      return entry.words.flatMap((a) => entry.words.map((b): [string, string] => [a, b]));
    })
    .map(([a, b]) => [tokenize(a), tokenize(b)] as const);
  /** What each word means besides, alone or with its neighbours: as lists of tokens that must stand side by side. */
  const synonymsAt = (texts: readonly Sought[], place: number): string[][] => {
    const tokens = texts.map(({ token }) => token);
    const found: { at: number; said: string[]; meant: string[] }[] = [];
    for (let at = 0; at <= place; at++)
      for (const [said, meant] of pairs)
        if (
          at + said.length > place &&
          said.join(' ') === tokens.slice(at, at + said.length).join(' ') &&
          said.join(' ') !== meant.join(' ')
        )
          found.push({ at, said, meant });
    return found.map(({ meant }) => meant);
  };
  /** The single words that mean something else, in order. */
  const saidAlone = [...new Set(pairs.flatMap(([said, meant]) => (said.join(' ') === meant.join(' ') ? [] : [said])))]
    .flatMap((said) => (said.length === 1 ? said : []))
    .filter((token) => token.length >= 3 && !isNumberLike(token) && !neverOffered.has(token))
    .sort();
  /** The words as one with their neighbours: two of any kind, up to four where they make a code of letters and digits. */
  const joinedWith = (texts: readonly Sought[], at: number): string[] => {
    const found: string[] = [];
    for (let from = 0; from <= at; from++)
      for (let to = at + 1; to <= Math.min(texts.length, from + 4); to++) {
        const tokens = texts.slice(from, to).map(({ token }) => token);
        const text = tokens.join('');
        const isWord =
          text.length >= 4 && text.length <= 40 && [...text].every((letter) => /[\p{L}\p{N}]/u.test(letter));
        const isCode = /\d/.test(text) && /\p{L}/u.test(text);
        if (tokens.length >= 2 && isWord && (tokens.length === 2 || isCode)) found.push(text);
      }
    return found;
  };
  /** Where in a record some tokens stand one after another: by attribute, as the first of them stands there. */
  const phraseIn = (read: ReadRecord, tokens: readonly string[], how: MatchKind): Map<number, Standing> =>
    new Map(
      [...read.texts.entries()].flatMap(([attribute, standings]): [number, Standing][] => {
        const all = tokens.map((token) => standings.get(token));
        const first = all[0];
        if (!first || all.includes(undefined)) return [];
        const stands = first.positions.some((at) => all.every((each, place) => each!.positions.includes(at + place)));
        return stands && isFound(attribute, how) ? [[attribute, first]] : [];
      }),
    );
  const waysToSplit = (word: string): string[][] => {
    if (/^\p{L}+$/u.test(word))
      return [...word]
        .map((_, at) => [word.slice(0, at), word.slice(at)])
        .filter(([a, b]) => a!.length >= 3 && b!.length >= 3);
    if (!/^[\p{L}\p{N}]+$/u.test(word)) return [];
    const borders = [...word].flatMap((_, at) =>
      at > 0 && /\p{L}/u.test(word[at]!) !== /\p{L}/u.test(word[at - 1]!) ? [at] : [],
    );
    const cuts = borders.slice(0, 3);
    return Array.from({ length: 2 ** cuts.length - 1 }, (_, number) => {
      const chosen = cuts.filter((__, bit) => ((number + 1) >> bit) & 1);
      return [0, ...chosen].map((from, at) => word.slice(from, chosen[at] ?? word.length));
    });
  };
  const expand = (
    sought: Sought,
    last: boolean,
    widen: boolean,
    joined: readonly string[],
    synonyms: readonly string[][],
    named: readonly Way[] = [],
  ): Word => {
    const text = sought.token;
    const ways: Way[] = [];
    const add = (tokens: readonly string[], how: MatchKind) => {
      for (const token of tokens)
        if (reaches(token, how) && !ways.some((way) => !way.phrase && !way.ofValue && way.token === token))
          ways.push({ token, how });
    };
    add(
      vocabulary.filter((token) => token === text),
      'exact',
    );
    for (const token of vocabulary)
      if (token !== text && inPlainText.has(token) && stemOf(token) === stemOf(text))
        add([token], areForms(token, text) ? 'form' : 'related');
    for (const one of joined)
      add(
        vocabulary.filter(
          (token) => token !== text && (token === one || (inPlainText.has(token) && stemOf(token) === stemOf(one))),
        ),
        'joined',
      );
    if (isGerman)
      add(
        vocabulary.filter((token) =>
          compoundParts(token, isKnownWord).some((parts) => parts.some((part) => stemOf(part) === stemOf(text))),
        ),
        'compound',
      );
    const divided = text.startsWith('=')
      ? []
      : waysToSplit(text)
          .filter((parts) => parts.every((part) => holding.has(part)))
          .sort((a, b) => {
            const commonness = (parts: string[]) => Math.min(...parts.map((part) => holding.get(part)!.size));
            return commonness(b) - commonness(a) || (a[0]! < b[0]! ? -1 : 1);
          })
          .slice(0, 3)
          .filter((parts) => all.some((read) => phraseIn(read, parts, 'split').size > 0));
    for (const parts of divided) ways.push({ token: parts[0]!, how: 'split', phrase: parts });
    for (const meant of synonyms) {
      const [synonym] = meant;
      if (meant.length === 1)
        add(
          vocabulary.filter(
            (token) =>
              token !== text && (token === synonym || (inPlainText.has(token) && stemOf(token) === stemOf(synonym!))),
          ),
          'synonym',
        );
      else if (
        !ways.some(({ phrase }) => phrase?.join(' ') === meant.join(' ')) &&
        all.some((read) => phraseIn(read, meant, 'synonym').size > 0)
      )
        ways.push({ token: synonym!, how: 'synonym', phrase: meant });
    }
    ways.push(...named);
    if (last && text.length >= 2 && !text.startsWith('=') && (typing || ways.length === 0))
      add(
        vocabulary.filter((token) => token !== text && token.startsWith(text)),
        'prefix',
      );
    const isWeak = !typing && ways.every(({ how }) => weak.has(how));
    if (
      tolerance &&
      !isNumberLike(text) &&
      !neverCorrected.has(text) &&
      !sought.isFixed &&
      (widen || ways.length === 0 || isWeak)
    ) {
      const limit = text.length < (oneEditFrom ?? 4) ? 0 : text.length < (twoEditsFrom ?? 7) ? 1 : 2;
      const near = vocabulary
        .filter((token) => token !== text && token.length >= 3 && !isNumberLike(token) && inPlainText.has(token))
        .map((token) => ({ token, edits: editDistance(text, token, limit) }))
        .filter(({ token }) => !neverOffered.has(token))
        .filter(({ token, edits }) => edits <= limit && reaches(token, edits === 1 ? 'oneEdit' : 'twoEdits'));
      const fewest = Math.min(...near.map(({ edits }) => edits));
      const likelihood = ({ token, edits }: { token: string; edits: number }): number =>
        holding.get(token)!.size * (edits === 1 ? slipLikelihood(text, token) : 1);
      const order = near
        .filter(({ edits }) => widen || edits === fewest)
        .sort(
          (a, b) =>
            a.edits - b.edits ||
            Number(a.token[0] !== text[0]) - Number(b.token[0] !== text[0]) ||
            placeSpoken(a.token) - placeSpoken(b.token) ||
            likelihood(b) - likelihood(a) ||
            (a.token < b.token ? -1 : 1),
        );
      const [said] = saidAlone
        .map((token) => ({ token, edits: editDistance(text, token, limit) }))
        .filter(({ edits }) => edits > 0 && edits <= limit)
        .sort((a, b) => a.edits - b.edits || Number(a.token[0] !== text[0]) - Number(b.token[0] !== text[0]));
      if (ways.length === 0 && limit > 0 && said && (order.length === 0 || said.edits < order[0]!.edits)) {
        const meant: Sought = { text: said.token, token: said.token, isFixed: true };
        return expand(meant, false, false, [], synonymsAt([meant], 0));
      }
      const isWay = (token: string) => ways.some((way) => way.token === token);
      const held = ways.reduce((sum, { token }) => sum + holding.get(token)!.size, 0);
      const [first] = order;
      const isLikelier = first?.edits === 1 && holding.get(first.token)!.size > held;
      order.slice(0, widen || ways.length === 0 || isLikelier ? 6 : 0).forEach(({ token, edits }, at) => {
        if (isWay(token)) return;
        ways.push({ token, how: edits > 1 ? 'twoEdits' : at > 0 ? 'rivalEdit' : 'oneEdit' });
      });
    }
    const asWords = ways.filter(({ ofValue }) => !ofValue);
    const found = (asWords.length > 0 ? asWords : ways).reduce((sum, { token, how, phrase, ofValue }) => {
      if (ofValue)
        return sum + all.filter((read) => read.texts[ofValue.attribute]!.has(token) && ofValue.has(read.record)).length;
      if (phrase) return sum + all.filter((read) => phraseIn(read, phrase, how).size > 0).length;
      return sum + holding.get(token)!.size;
    }, 0);
    return { text: sought.text, ways, rarity: rarity(records.length, Math.min(found, records.length)) };
  };

  interface Find {
    readonly attribute: number;
    readonly gain: number;
    readonly standing: Standing;
    readonly token: string;
  }
  /** How one way of a word stands in a record, by attribute in which it is found so. */
  const standingsOf = (read: ReadRecord, { token, how, phrase, ofValue }: Way): [number, Standing][] => {
    if (phrase) return [...phraseIn(read, phrase, how)];
    if (ofValue) {
      const standing = read.texts[ofValue.attribute]!.get(token);
      return standing && ofValue.has(read.record) ? [[ofValue.attribute, standing]] : [];
    }
    return [...read.texts.entries()].flatMap(([attribute, standings]): [number, Standing][] => {
      const standing = standings.get(token);
      return standing && isFound(attribute, how) ? [[attribute, standing]] : [];
    });
  };
  /**
   * Whether a find holds in an attribute that counts only where its whole value is found: the value is that one word,
   * or some word of the search stands at each of its places.
   */
  const isHeld = (read: ReadRecord, words: readonly Word[], attribute: number, standing: Standing): boolean => {
    const { words: size, before, positions } = standing;
    if (!setup.attributes[attributes[attribute]!.key]?.whole || size === 1) return true;
    if (size > words.length || size > 8) return false;
    const others = words.flatMap((word) =>
      word.ways
        .filter(({ ofValue }) => !ofValue)
        .flatMap((way) => standingsOf(read, way).filter(([own]) => own === attribute)),
    );
    return positions.some((at) =>
      Array.from({ length: size }, (_, place) => place).every((place) =>
        others.some(
          ([, other]) =>
            other.words === size && other.before === place && other.positions.includes(at - before + place),
        ),
      ),
    );
  };
  const finds = (read: ReadRecord, word: Word, words: readonly Word[]): Find[] => {
    const best = new Map<number, Find>();
    for (const way of word.ways)
      for (const [attribute, standing] of standingsOf(read, way)) {
        if (!way.ofValue && !isHeld(read, words, attribute, standing)) continue;
        const gain = way.ofValue ? 1 : gainOf(attribute, way.how, standing, words.length);
        if (gain > (best.get(attribute)?.gain ?? -1))
          best.set(attribute, { attribute, gain, standing, token: way.token });
      }
    return [...best.values()].sort((a, b) => b.gain - a.gain || a.attribute - b.attribute);
  };
  const scoreOf = (read: ReadRecord, words: readonly Word[]): number | null => {
    const rarities = words.reduce((sum, word) => sum + word.rarity, 0);
    const lists = words.map((word) => finds(read, word, words));
    if (lists.some((list) => list.length === 0)) return null;
    let score = 0;
    for (const [index, [best, second]] of lists.entries()) {
      const points = (wordPoints(words.length) * words[index]!.rarity) / rarities;
      score += bestLine(points, best!.gain) + (second ? alsoLine(points, best!.gain, second.gain) : 0);
      const next = lists[index + 1]?.[0];
      if (!next || next.attribute !== best!.attribute) continue;
      const looked = ({ standing }: Find) => standing.positions.slice(0, positionsLookedAt);
      const gap = Math.min(...looked(best!).flatMap((a) => looked(next).map((b) => gapBetween(a, b))));
      score += closenessLine(pairPoints(words.length), best!.gain, next.gain, gap);
    }
    const bests = lists.map(([best]) => best!);
    const said = bests.map(({ attribute, standing }) => {
      const there = bests.filter((other) => other.attribute === attribute);
      return wholeLine(Math.min(...there.map(({ gain }) => gain)), there.length, standing.words);
    });
    return score + Math.max(...said);
  };

  const inStock = (read: ReadRecord): boolean => read.record.values.availability !== 'Sold out';
  const soldOut = setup.relevance.soldOut[box ? 'box' : 'results'];
  const hidden = ({ record }: ReadRecord): boolean =>
    record.values.hidden !== undefined ||
    (soldOut === 'notAtAll' && record.values.availability === 'Sold out') ||
    Object.values(setup.hiding).some((hiding) =>
      hiding.what === 'product' ? hiding.product === record.familyId : textsOf(record.values.tags).includes(hiding.tag),
    );
  const visible = all.filter((read) => !hidden(read));
  const find = (words: readonly Word[]): Map<ReadRecord, number> => {
    const found = new Map<ReadRecord, number>();
    for (const read of visible) {
      if (!narrowing.every(({ allows }) => allows(read.record))) continue;
      const score = scoreOf(read, words);
      if (score !== null) found.set(read, score);
    }
    return found;
  };

  const allForms = remembered((token) =>
    vocabulary.filter((own) => own === token || (inPlainText.has(own) && stemOf(own) === stemOf(token))),
  );
  const waysOf = remembered((text) =>
    text
      .split(' ')
      .reduce<string[][]>(
        (before, token) => before.flatMap((way) => allForms(token).map((form) => [...way, form])),
        [[]],
      ),
  );
  /** Whether some words stand side by side in a record, in any of their forms, or as one word. */
  const hasTogether = (own: ReadRecord, tokens: readonly string[]): boolean => {
    const isIn = (token: string): boolean =>
      [...own.texts.entries()].some(([attribute, standings]) => standings.has(token) && isFound(attribute, 'exact'));
    if (tokens.length === 1) return allForms(tokens[0]!).some(isIn);
    if (allForms(tokens.join('')).some(isIn)) return true;
    return waysOf(tokens.join(' ')).some((way) => phraseIn(own, way, 'exact').size > 0);
  };
  const phrases = entries.flatMap((entry) =>
    entry.what === 'phrases' ? entry.phrases.map((text) => tokenize(text)) : [],
  );
  /** What has the phrases of a search together, if anything does. */
  const together = (words: readonly Word[], texts: readonly Sought[]): Map<ReadRecord, number> => {
    const wanted: string[][] = [];
    for (let at = 0; at < texts.length; ) {
      const like = (phrase: readonly string[]): boolean =>
        phrase.length > 1 &&
        phrase.every((token, place) => texts[at + place] && stemOf(texts[at + place]!.token) === stemOf(token));
      const [phrase] = phrases.filter(like).sort((a, b) => b.length - a.length);
      if (phrase) wanted.push(phrase);
      at += phrase?.length ?? 1;
    }
    if (wanted.length === 0) return new Map();
    const means = (phrase: readonly string[]): (readonly string[])[] => [
      phrase,
      ...pairs
        .filter(([from, to]) => from.join(' ') === phrase.join(' ') && to.join(' ') !== phrase.join(' '))
        .map(([, to]) => to),
    ];
    return new Map(
      [...find(words)].filter(([own]) =>
        wanted.every((phrase) => means(phrase).some((tokens) => hasTogether(own, tokens))),
      ),
    );
  };
  const isKnown = (token: string): boolean => holding.has(token);
  const tools = { stemOf, unitsOf: remembered((text) => unitsIn(text, isKnown).map(({ token }) => token)), fixed };
  const textOf = (query: string, from: number, to: number): string =>
    unitsIn(query, isKnown)
      .slice(from, to)
      .map(({ text }) => text)
      .join(' ');
  const runsIn = (query: string) =>
    obviousRuns(records, attributes, setup, tools.unitsOf(query), {
      ...tools,
      isLeft: ({ from, to }) => asWords.includes(textOf(query, from, to)),
    });
  const narrowing = mode !== 'none' ? runsIn(said).filter(({ as }) => as === 'filter') : [];
  const isTaken = (at: number): boolean => narrowing.some(({ from, to }) => from <= at && at < to);
  const query =
    narrowing.length === 0
      ? said
      : unitsIn(said, isKnown)
          .filter((_, at) => !isTaken(at))
          .map(({ text }) => text)
          .join(' ');
  const strong = runsIn(query).filter(({ as }) => as === 'strong');
  const namedBy = ({ token }: Sought): Way[] =>
    strong.flatMap(({ to, attribute, units }) =>
      units.flatMap((list, unit) => {
        const typedThere = tools.unitsOf(query)[to - units.length + unit]!;
        if ((fixed.get(typedThere) ?? typedThere) !== token) return [];
        const stands = list.filter(({ token: own, has }) =>
          all.some((read) => read.texts[attribute]!.has(own) && has(read.record)),
        );
        return stands.map(({ token: own, has }): Way => ({ token: own, how: 'value', ofValue: { attribute, has } }));
      }),
    );
  const read = soughtIn(query, isKnown, fixed);
  const telling = read.filter(({ token }) => !stopWords.has(token));
  const given = telling.length > 0 ? telling : read;
  const isWord = (text: string): boolean =>
    isKnown(text) || vocabulary.some((token) => inPlainText.has(token) && stemOf(token) === stemOf(text));
  const parted = given.flatMap((sought): Sought[] => {
    const [parts] = isGerman && !isWord(sought.token) ? compoundParts(sought.token, isWord) : [];
    return parts ? parts.map((part) => ({ ...sought, text: part, token: part })) : [sought];
  });
  const texts = parted
    .filter(({ token }, at) => parted.findIndex((other) => other.token === token) === at)
    .slice(0, 12);
  const code = normalizeCode(query);
  const skuOn = (setup.attributes.sku?.searchable ?? false) && setup.relevance.partNumbers.lead;
  const skuOwner =
    query.trim() && skuOn && code.length >= 3
      ? all.find(({ record }) => normalizeCode(record.sku) === code)
      : undefined;
  const isLetThrough = ({ record }: ReadRecord): boolean => narrowing.every(({ allows }) => allows(record));
  const skuRead = skuOwner && visible.includes(skuOwner) && isLetThrough(skuOwner) ? skuOwner : undefined;
  let dropped: string[] = [];
  let found: Map<ReadRecord, number>;
  if (query.trim() === '')
    found = new Map(
      visible.filter(({ record }) => narrowing.every(({ allows }) => allows(record))).map((read) => [read, 0]),
    );
  else if (texts.length === 0) found = new Map();
  else {
    const wordsFor = (widen: boolean): Word[] =>
      texts.map((text, at) =>
        expand(text, at === texts.length - 1, widen, joinedWith(texts, at), synonymsAt(texts, at), namedBy(text)),
      );
    const words = wordsFor(false);
    const attempt = (tried: readonly Word[], own: readonly Sought[]): Map<ReadRecord, number> => {
      const side = together(tried, own);
      return side.size > 0 ? side : find(tried);
    };
    found = attempt(words, texts);
    if (found.size === 0 && !skuRead) {
      if (tolerance) found = attempt(wordsFor(true), texts);
      const rounds = (found.size > 0 ? [] : doubted).flatMap((doubts) => {
        const isKnown = ({ ways }: Word): boolean => ways.some(({ how }) => !doubts.includes(how));
        const order = [...words].sort(
          (a, b) =>
            Number(isKnown(a)) - Number(isKnown(b)) || a.rarity - b.rarity || words.indexOf(b) - words.indexOf(a),
        );
        const givable = order.map((word) => ({ isKnown: isKnown(word), rarity: word.rarity }));
        return [...givingUp(givable)].map((gone) => ({ gone, order }));
      });
      for (const { gone, order } of rounds.sort((a, b) => a.gone.length - b.gone.length)) {
        const given = gone.map((place) => order[place]!);
        found = attempt(
          words.filter((word) => !given.includes(word)),
          texts.filter((_, at) => !given.includes(words[at]!)),
        );
        if (found.size === 0) continue;
        dropped = given.map(({ text }) => text);
        break;
      }
    }
  }

  const key = texts.length > 0 ? tokenize(typed).join(' ') : null;
  const plans = Object.keys(setup.plans)
    .sort()
    .map((id) => setup.plans[id]!)
    .filter((plan) => plan.on && key && plan.searches.some((text) => tokenize(text).join(' ') === key));
  const pins: { product: string; place: number }[] = [];
  for (const pin of plans.flatMap((plan) => plan.pins))
    if (!pins.some(({ product }) => product === pin.product)) pins.push(pin);
  pins.sort((a, b) => a.place - b.place);
  for (const { product } of pins)
    if (![...found.keys()].some(({ record }) => record.familyId === product))
      for (const read of visible) if (read.record.familyId === product) found.set(read, 0);
  if (skuRead) found.set(skuRead, 100_000);

  for (const read of limits ? [...found.keys()] : []) {
    const { price } = read.record.values;
    const isAllowed = typeof price === 'number' && price >= (limits!.from ?? price) && price <= (limits!.to ?? price);
    if (!isAllowed) found.delete(read);
  }
  if (narrowing.length > 0) {
    for (const each of [...found.keys()]) if (!narrowing.every(({ allows }) => allows(each.record))) found.delete(each);
    if (found.size === 0 && mode === 'fewer') {
      const tried = (narrowing.length > 1 ? narrowing.slice(0, 4) : [])
        .map(({ from, to }) => ({ ...request, asWords: [...asWords, textOf(said, from, to)] }))
        .map((fewer) => obviousSearch(records, attributes, setup, typed, fewer, today, 'all'))
        .filter(({ foundAny }) => foundAny)
        .sort((a, b) => a.dropped.length - b.dropped.length);
      return tried[0] ?? obviousSearch(records, attributes, setup, typed, request, today, 'none');
    }
  }

  const filters = obviousFilters({
    setup,
    records: [...found.keys()].map(({ record }) => record),
    chosen,
    isSaid: (search: string) => tokenize(typed).length > 0 && tokenize(search).join(' ') === tokenize(typed).join(' '),
    today,
  });
  const { counts } = filters;

  const best = new Map<string, { read: ReadRecord; score: number }>();
  for (const read of all) {
    const score = found.get(read);
    if (score === undefined || !filters.passes(read.record)) continue;
    const before = best.get(read.record.familyId);
    const better =
      !before || score > before.score || (score === before.score && !inStock(before.read) && inStock(read));
    if (better) best.set(read.record.familyId, { read, score });
  }
  const familyAmount = (familyId: string, attribute: string): number | null => {
    const amounts = records
      .filter((record) => record.familyId === familyId)
      .flatMap((record) => (typeof record.values[attribute] === 'number' ? [record.values[attribute]] : []));
    if (amounts.length === 0) return null;
    const adds = attribute === 'units_sold' || attribute === 'stock';
    return adds ? amounts.reduce((a, b) => a + b, 0) : Math.max(...amounts);
  };
  const meanRating = remembered((): number | null => {
    let [sum, count] = [0, 0];
    for (const familyId of new Set(records.map((record) => record.familyId))) {
      const [rating, ratings] = [familyAmount(familyId, 'rating'), familyAmount(familyId, 'ratings')];
      if (rating === null || ratings === null || ratings <= 0) continue;
      sum += rating * ratings;
      count += ratings;
    }
    return count === 0 ? null : sum / count;
  });
  const amountOf = (familyId: string, { record }: ReadRecord, signal: TieBreaker): number | null => {
    const { attribute, pulledBy, halfLife, lowBelow } = signal;
    const own = (key: string): number | null => (typeof record.values[key] === 'number' ? record.values[key] : null);
    if (attribute === 'availability') return record.values.availability === 'Sold out' ? 0 : 1;
    if (attribute === 'margin') {
      const [price, cost] = [own('price'), own('cost')];
      return price === null || cost === null || price <= 0 ? null : (price - cost) / price;
    }
    if (lowBelow !== undefined) return (own(attribute) ?? lowBelow) >= lowBelow ? 1 : 0;
    if (attribute === 'price') return own('price');
    if (attribute === 'date_added') {
      const days = records
        .filter((other) => other.familyId === familyId && typeof other.values.date_added === 'string')
        .map((other) => Date.parse(`${other.values.date_added}T00:00:00Z`) / 86_400_000);
      if (days.length === 0) return null;
      const latest = Math.max(...days);
      return halfLife === undefined ? latest : Math.round(100 * 2 ** (-Math.max(0, today - latest) / halfLife));
    }
    const mean = attribute === 'rating' && pulledBy !== undefined ? meanRating('') : null;
    if (mean === null) return familyAmount(familyId, attribute);
    const rating = familyAmount(familyId, 'rating');
    const count = rating === null ? 0 : (familyAmount(familyId, 'ratings') ?? 0);
    return count + pulledBy! === 0
      ? mean
      : ((count === 0 ? 0 : rating! * count) + mean * pulledBy!) / (count + pulledBy!);
  };
  const boostOf = (familyId: string): number => {
    const amount = query.trim() === '' ? null : familyAmount(familyId, 'boost');
    return amount === null ? 1 : Math.min(10, Math.max(0.1, amount));
  };
  const candidates = [...best].map(([familyId, { read, score }]) => {
    const pull = plans
      .flatMap((plan) => plan.pulls)
      .filter(({ product }) => product === familyId)
      .reduce((total, each) => total * each.pull, boostOf(familyId));
    const bounded = Math.min(10, Math.max(0.1, pull));
    return {
      familyId,
      recordId: read.record.id,
      score: bounded === 1 ? score : Math.round(score * bounded),
      read,
    };
  });
  type Candidate = (typeof candidates)[number];
  const amounts = new Map<TieBreaker, Map<string, number | null>>();
  const amountFor = (signal: TieBreaker, { familyId, read }: Candidate): number | null => {
    const known = amounts.get(signal) ?? new Map<string, number | null>();
    amounts.set(signal, known);
    if (!known.has(familyId)) known.set(familyId, amountOf(familyId, read, signal));
    return known.get(familyId)!;
  };
  const bySignals = (signals: readonly TieBreaker[], a: Candidate, b: Candidate): number => {
    for (const signal of signals) {
      const x = amountFor(signal, a);
      const y = amountFor(signal, b);
      if (x === y) continue;
      if (x === null) return 1;
      if (y === null) return -1;
      return signal.direction === 'high' ? y - x : x - y;
    }
    return 0;
  };
  const tie = (a: Candidate, b: Candidate): number =>
    bySignals(setup.relevance.tieBreakers.signals, a, b) || b.score - a.score || (a.familyId < b.familyId ? -1 : 1);
  const chosenOrder = setup.relevance.sorting.orders.find((order) => order.key === sort && order.signals.length > 0);
  if (chosenOrder) pins.length = 0;
  const pinned = pins.flatMap(({ product, place }) => {
    const candidate = candidates.find(({ familyId }) => familyId === product);
    return candidate ? [{ candidate, place }] : [];
  });
  const unplaced = candidates.filter((candidate) => !pinned.some((pin) => pin.candidate === candidate));
  const first = chosenOrder ? undefined : unplaced.find(({ familyId }) => familyId === skuRead?.record.familyId);
  const ordered: Candidate[] = first ? [first] : [];
  const width = Math.round(setup.relevance.closeCall.width * 1000);
  const take = (some: readonly Candidate[]): void => {
    let left = some.filter((candidate) => candidate !== first);
    if (chosenOrder) {
      const compare = (a: Candidate, b: Candidate) =>
        bySignals(chosenOrder.signals, a, b) || b.score - a.score || tie(a, b);
      ordered.push(...left.sort(compare));
      return;
    }
    while (left.length > 0) {
      const leader = Math.max(...left.map(({ score }) => score));
      const group = left.filter(({ score }) => score >= leader - width);
      ordered.push(...group.sort(tie));
      left = left.filter((candidate) => !group.includes(candidate));
    }
  };
  if (soldOut === 'last') {
    take(unplaced.filter(({ read }) => inStock(read)));
    take(unplaced.filter(({ read }) => !inStock(read)));
  } else take(unplaced);
  for (const [at, { candidate, place }] of pinned.entries()) {
    const earlier = at === 0 ? 0 : ordered.indexOf(pinned[at - 1]!.candidate) + 1;
    ordered.splice(Math.max(place - 1, earlier), 0, candidate);
  }
  return {
    total: candidates.length,
    foundAny: found.size > 0,
    results: ordered.map(({ familyId, recordId, score }) => ({ familyId, recordId, score })),
    dropped,
    counts,
  };
}
