import { lastLevel } from '../catalog/levels.ts';
import { hasChoices } from '../catalog/profileAttributes.ts';
import { recordAt, spotAt } from '../index/postingArrays.ts';
import { isHidden } from '../index/recordMask.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { attributeAt } from '../index/spot.ts';
import type { PriceLimits } from '../query/priceLimits.ts';
import { knowsIn, readUnits } from '../query/readUnits.ts';
import type { Recognised } from '../query/recognise.ts';
import { allowedEdits } from '../query/spelling.ts';
import { corrected } from '../query/understand.ts';
import type { MatchKind } from '../scoring/formula.ts';
import { kindNumber } from '../scoring/gains.ts';
import { isNumberLike } from '../text/tokenize.ts';
import { hiddenProducts } from './hiddenProducts.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';
import type { Ranking } from './rank.ts';

/** Other terms told of one word, and products told that are hidden. */
const mostMeans = 6;
const mostHiddenShown = 3;
/** An attribute of more values is not looked through: so many are names, not choices. */
const mostValuesRead = 5000;

/** Why something was not done with a word that one might expect. */
export type WordNote =
  /** It is a value of an attribute whose values are not recognised. */
  | { readonly code: 'valueNotRecognised'; readonly attribute: string; readonly value: string }
  /** Values of the attribute are recognised, but only whole ones. */
  | { readonly code: 'partOfValue'; readonly attribute: string; readonly value: string }
  | { readonly code: 'bareNumber'; readonly attribute: string }
  | { readonly code: 'correctionsOff' | 'neverCorrected' | 'numberLike' | 'wordOfLanguage' | 'nothingNear' }
  | { readonly code: 'tooShort'; readonly from: number }
  /** It stands only in attributes that the search does not read. */
  | { readonly code: 'notRead'; readonly attributes: readonly string[] }
  /** Everything that says it is hidden from results. */
  | { readonly code: 'onlyHidden'; readonly products: number };

/** How one word of a search was taken. */
export interface ExplainedWord {
  readonly text: string;
  readonly as: 'word' | 'corrected' | 'recognised' | 'stopWord' | 'givenUp' | 'notRead';
  /** Products, hidden ones too, that say the word just so. */
  readonly products: number;
  /** What it was looked for as besides: the first few. */
  readonly means: readonly { readonly text: string; readonly how: MatchKind }[];
  /** As what it was recognised; null for a condition of the merchandiser's, or where it was not. */
  readonly value: { readonly attribute: string; readonly value: string } | null;
  readonly notes: readonly WordNote[];
}

export interface ExplainedSearch {
  readonly words: readonly ExplainedWord[];
  /** Products that the search would find and that are hidden from results: by part number, or by words only they say. */
  readonly hidden: readonly string[];
}

/** The records that say a term in an attribute that `reads` allows, and the attributes of the others. */
function whereIs(snapshot: Snapshot, term: number, reads: Uint8Array) {
  const { postings } = snapshot;
  const read = new Set<number>();
  const elsewhere = new Set<number>();
  for (let at = postings.start[term]!; at < postings.end[term]!; at++) {
    const attribute = attributeAt(spotAt(postings, at));
    if (reads[attribute] === 1) read.add(recordAt(postings, at));
    else elsewhere.add(attribute);
  }
  return { read, elsewhere };
}

function explainValue(saying: Recognised | undefined, price: PriceLimits | null): ExplainedWord['value'] {
  if (price) return { attribute: 'Price', value: price.text };
  return saying?.named ? { attribute: saying.named.label, value: saying.named.value } : null;
}

/** The first value of an attribute that is the word, or else has it among others. */
function valueWith(snapshot: Snapshot, attribute: string, token: string): { name: string; isWhole: boolean } | null {
  const column = snapshot.values.get(attribute);
  if (!column || column.size > mostValuesRead) return null;
  let part: string | null = null;
  for (let value = 0; value < column.size; value++) {
    const name = lastLevel(column.name(value));
    const tokens = readUnits(name, knowsIn(snapshot)).map((unit) => unit.token);
    if (!tokens.includes(token)) continue;
    if (tokens.length === 1) return { name, isWhole: true };
    part ??= name;
  }
  return part === null ? null : { name: part, isWhole: false };
}

function recognitionNotes({ snapshot }: Engine, { setup }: PreparedSetup, token: string): WordNote[] {
  const recognised = new Set(
    Object.values(setup.vocabulary).flatMap((entry) =>
      entry.what === 'recognised' ? Object.keys(entry.attributes ?? {}) : [],
    ),
  );
  const notes: WordNote[] = [];
  for (const profile of snapshot.attributes) {
    const { key, label } = profile;
    if (!hasChoices(profile)) continue;
    const found = valueWith(snapshot, key, token);
    if (!found) continue;
    if (!recognised.has(key)) {
      if (found.isWhole) notes.push({ code: 'valueNotRecognised', attribute: label, value: found.name });
    } else if (!found.isWhole) notes.push({ code: 'partOfValue', attribute: label, value: found.name });
    else if (/^[\p{N}.]+$/u.test(token)) notes.push({ code: 'bareNumber', attribute: label });
  }
  return notes;
}

function correctionNote({ isOfLanguage }: Engine, { spelling, vocabulary }: PreparedSetup, token: string): WordNote {
  if (isNumberLike(token)) return { code: 'numberLike' };
  if (!spelling.tolerance) return { code: 'correctionsOff' };
  if (vocabulary.neverCorrected.has(token)) return { code: 'neverCorrected' };
  if (allowedEdits(token.length, spelling) === 0) return { code: 'tooShort', from: spelling.oneEditFrom };
  return { code: isOfLanguage(token) ? 'wordOfLanguage' : 'nothingNear' };
}

/**
 * How each word of a search was taken, and why not otherwise. `ranking` is of the same search by the same setup. Cost: a
 * pass over the values of attributes with few of them, for each word: for one who asks, not for shoppers.
 */
export function explainWords(
  engine: Engine,
  prepared: PreparedSetup,
  query: string,
  ranking: Ranking,
): ExplainedSearch {
  const { snapshot } = engine;
  const { terms, recordFamily } = snapshot;
  const reads = prepared.gains.found[kindNumber.exact]!;
  const found = new Map(
    ranking.words.flatMap((word) => [word.text, word.typed ?? word.text].map((text) => [text, word])),
  );
  const recognised = [...ranking.understood.narrowing, ...ranking.understood.strong];
  const dropped = new Set(ranking.dropped);
  const { price } = ranking.understood;
  const ofPrice = new Set(price ? readUnits(price.text, knowsIn(snapshot)).map(({ text }) => text) : []);

  const explained = readUnits(query, knowsIn(snapshot)).map(({ text, token }): ExplainedWord => {
    const term = terms.find(token);
    const { read, elsewhere } =
      term < 0 ? { read: new Set<number>(), elsewhere: new Set<number>() } : whereIs(snapshot, term, reads);
    const families = new Set([...read].map((record) => recordFamily[record]!));
    const word = found.get(text);
    const ways = word?.expansions.filter(({ how }) => how !== 'exact' && how !== 'value') ?? [];
    const means = ways
      .slice(0, mostMeans)
      .map(({ term: other, how, phrase }) => ({ text: phrase?.text ?? terms.get(other), how }));
    const saying = recognised.find((each) => ` ${each.text} `.includes(` ${text} `));
    const isCorrected =
      word !== undefined && word.expansions.length > 0 && word.expansions.every(({ how }) => corrected.has(how));
    const as = ((): ExplainedWord['as'] => {
      if (saying || ofPrice.has(text)) return 'recognised';
      if (dropped.has(text)) return 'givenUp';
      if (!word) return prepared.vocabulary.stopWords.has(token) ? 'stopWord' : 'notRead';
      if (word.expansions.length === 0) return 'givenUp';
      return isCorrected || word.typed !== undefined ? 'corrected' : 'word';
    })();
    const notes: WordNote[] = as === 'recognised' || as === 'stopWord' ? [] : recognitionNotes(engine, prepared, token);
    if (as === 'givenUp' && term < 0) notes.push(correctionNote(engine, prepared, token));
    if (term >= 0 && read.size === 0 && elsewhere.size > 0)
      notes.push({ code: 'notRead', attributes: [...elsewhere].map((at) => snapshot.attributes[at]!.label) });
    if (read.size > 0 && [...read].every((record) => isHidden(prepared.at.results.hidden, record))) {
      notes.push({ code: 'onlyHidden', products: families.size });
    }
    return {
      text,
      as,
      products: families.size,
      means,
      value: explainValue(saying, ofPrice.has(text) ? price : null),
      notes,
    };
  });
  const hidden = hiddenProducts(engine, prepared, query).slice(0, mostHiddenShown);
  return { words: explained, hidden: hidden.map((family) => snapshot.familyId(family)) };
}
