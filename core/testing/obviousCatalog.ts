import { longestIndexed } from '../catalog/limits.ts';
import type { AttributeProfile } from '../catalog/profileAttributes.ts';
import { isIndexedAsText } from '../catalog/profileAttributes.ts';
import { type CatalogRecord, textsOf } from '../catalog/record.ts';
import { valueGap } from '../index/postings.ts';
import { lengthFactor, type MatchKind, placeFactor, quality } from '../scoring/formula.ts';
import type { Setup } from '../setup/schema.ts';
import type { Language } from '../text/languages.ts';
import { normalizeCode, readWords } from '../text/tokenize.ts';
import { stem } from '../text/wordForms.ts';

/** A record as the obvious search reads it: no index, only what stands where. */
export interface ReadRecord {
  readonly record: CatalogRecord;
  /** By attribute number, then by token: how it stands there. */
  readonly texts: readonly ReadonlyMap<string, Occurrences>[];
}
export interface Occurrences {
  readonly positions: readonly number[];
  /** Words of the shortest value that holds it, and how many of them stand before it there. */
  readonly words: number;
  readonly before: number;
}

/** Lengths above eight are told in steps. */
const asStep = (count: number): number => [385, 193, 97, 49, 25, 17, 13, 9].find((least) => count >= least) ?? count;

function readTexts(record: CatalogRecord, attributes: readonly AttributeProfile[]): ReadRecord['texts'] {
  return attributes.map((profile) => {
    const byToken = new Map<string, Occurrences>();
    if (!isIndexedAsText(profile)) return byToken;
    const all = profile.key === 'sku' ? [record.sku] : textsOf(record.values[profile.key]);
    let position = 0;
    for (const text of profile.kind === 'path' ? all.slice(-1) : all) {
      const { tokens, quantities } =
        profile.kind === 'code'
          ? { tokens: [normalizeCode(text)].filter(Boolean), quantities: [] }
          : readWords(text.slice(0, longestIndexed));
      const stand = (token: string, at: number) => {
        const here: Occurrences = {
          positions: [position + at],
          words: asStep(tokens.length),
          before: asStep(at + 1) - 1,
        };
        const known = byToken.get(token);
        const positions = [...(known?.positions ?? []), position + at].sort((a, b) => a - b);
        const isBetter =
          !known || here.words < known.words || (here.words === known.words && here.before < known.before);
        byToken.set(token, { ...(isBetter ? here : known), positions });
      };
      for (const [at, token] of tokens.entries()) stand(token, at);
      for (const { token, at } of quantities) stand(token, at);
      position += tokens.length + valueGap;
    }
    return byToken;
  });
}

/** What was read of each record, by the attributes it was read with: one catalog is searched under many setups. */
const textsRead = new WeakMap<readonly AttributeProfile[], WeakMap<CatalogRecord, ReadRecord['texts']>>();
function textsOnce(record: CatalogRecord, attributes: readonly AttributeProfile[]): ReadRecord['texts'] {
  const byRecord = textsRead.get(attributes) ?? new WeakMap<CatalogRecord, ReadRecord['texts']>();
  textsRead.set(attributes, byRecord);
  const texts = byRecord.get(record) ?? readTexts(record, attributes);
  byRecord.set(record, texts);
  return texts;
}

/** The same answers again without working them out again: the searches are many and the catalogs small. */
export function remembered<Answer>(work: (text: string) => Answer): (text: string) => Answer {
  const known = new Map<string, Answer>();
  return (text) => {
    if (!known.has(text)) known.set(text, work(text));
    return known.get(text)!;
  };
}

export const inStock = ({ record }: ReadRecord): boolean => record.values.availability !== 'Sold out';

/** A catalog under a setup, looked through record by record. */
export type ObviousCatalog = ReturnType<typeof readCatalog>;

export function readCatalog(
  records: readonly CatalogRecord[],
  attributes: readonly AttributeProfile[],
  setup: Setup,
  language: Language,
) {
  const stemOf = remembered((token) => stem(token, language));
  const all = records.map((record): ReadRecord => ({ record, texts: textsOnce(record, attributes) }));
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
  const gainOf = (attribute: number, how: MatchKind, occurrences: Occurrences, sought: number): number => {
    const setting = setup.attributes[attributes[attribute]!.key]!;
    const weight = heaviest === 0 ? 0 : setting.weight / heaviest;
    const place = setting.early ? placeFactor(occurrences.before) : 1;
    return weight * quality[how] * lengthFactor(occurrences.words, sought) * place;
  };
  const holding = new Map<string, Set<ReadRecord>>();
  const standsIn = new Map<string, Set<number>>();
  const inPlainText = new Set<string>();
  for (const read of all)
    for (const [attribute, byToken] of read.texts.entries())
      for (const token of byToken.keys()) {
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

  /** Whether a word of the catalog is another form of one: part numbers have none. */
  const isFormOf = (token: string, text: string): boolean => inPlainText.has(token) && stemOf(token) === stemOf(text);
  /** A word and all its forms in the catalog. */
  const allForms = remembered((text) => vocabulary.filter((token) => token === text || isFormOf(token, text)));
  /** Where in a record some tokens stand one after another: by attribute, as the first of them stands there. */
  const phraseIn = (read: ReadRecord, tokens: readonly string[], how: MatchKind): Map<number, Occurrences> =>
    new Map(
      [...read.texts.entries()].flatMap(([attribute, byToken]): [number, Occurrences][] => {
        const all = tokens.map((token) => byToken.get(token));
        const first = all[0];
        if (!first || all.includes(undefined)) return [];
        const stands = first.positions.some((at) => all.every((each, place) => each!.positions.includes(at + place)));
        return stands && isFound(attribute, how) ? [[attribute, first]] : [];
      }),
    );
  const ofTitle = setup.attributes.title;
  const isTitleRead = ofTitle?.searchable && attributes.some(({ key }) => key === 'title');
  return {
    /** The title's weight beside the heaviest; 1 where titles are not read, null where nothing is. */
    titleShare: heaviest === 0 ? null : (isTitleRead ? ofTitle.weight : heaviest) / heaviest,
    records,
    attributes,
    setup,
    all,
    vocabulary,
    inPlainText,
    stemOf,
    isFound,
    gainOf,
    reaches,
    isFormOf,
    allForms,
    phraseIn,
    isGerman: language === 'de',
    isKnown: (token: string): boolean => holding.has(token),
    /** Records that hold a word of the catalog. */
    heldBy: (token: string): number => holding.get(token)!.size,
  };
}
