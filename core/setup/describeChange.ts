import type { AttributeValue } from '../catalog/record.ts';
import { languageNames } from '../text/languages.ts';
import { filterChange, layoutChange, valueGroupsChange } from './describeFilters.ts';
import { type EntryChange, isChange } from './entries.ts';
import type { FilterLayout, FilterSetting, ValueGroups } from './filterSchema.ts';
import { unsetAttribute } from './normalEntry.ts';
import type {
  AttributeSetting,
  ContentEntry,
  Decision,
  EmptyShelf,
  Hiding,
  Setup,
  ShelfPlan,
  TieBreaker,
  VocabularyEntry,
} from './schema.ts';
import { stockPlaces } from './schema.ts';
import type { Shop } from './shop.ts';
import { usualSpelling } from './usualSpelling.ts';

/** Names for what a change refers to by key; a missing name is shown as its key. */
export interface NamesForChanges {
  attribute(key: string): string;
  product(id: string): string;
}

type Relevance = Setup['relevance'];
const list = (items: readonly string[]): string => (items.length === 0 ? 'none' : items.join(', '));

/** How words are found in an attribute: what holds unless it is said otherwise, and what is told of a change. */
const attributeWays = [
  ['early', false, 'early words count more', 'early words count no more than late ones'],
  ['whole', false, 'only whole values count', 'parts of values count too'],
  ['forms', true, 'other forms of words are found', 'other forms of words are not found'],
  ['prefixes', true, 'beginnings of words are found', 'beginnings of words are not found'],
  ['corrections', true, 'typos are corrected', 'typos are not corrected'],
] as const;

function attributeChange(name: string, before: AttributeSetting | null, after: AttributeSetting | null): string[] {
  const was: AttributeSetting = before ?? unsetAttribute;
  const is: AttributeSetting = after ?? unsetAttribute;
  const said: string[] = [];
  if (was.searchable !== is.searchable)
    said.push(`${name} is ${is.searchable ? 'now' : 'no longer'} read by the search`);
  if (was.weight !== is.weight) said.push(`${name} counts ${is.weight} instead of ${was.weight}`);
  if ((was.wins ?? 'here') !== (is.wins ?? 'here'))
    said.push(
      is.wins === 'file'
        ? `${name} is what the file says, whatever was set here`
        : `${name} is what was set here, whatever the file says`,
    );
  for (const [way, usual, on, off] of attributeWays)
    if ((was[way] ?? usual) !== (is[way] ?? usual)) said.push(`${name}: ${(is[way] ?? usual) ? on : off}`);
  if (was.onCard !== is.onCard) said.push(`${name} is ${is.onCard ? 'now' : 'no longer'} shown on the card`);
  return said;
}

function spellingChange(before: Relevance['spelling'] | null, after: Relevance['spelling']): string[] {
  const was = { ...usualSpelling, tolerance: true, ...before };
  const is = { ...usualSpelling, ...after };
  const said: string[] = [];
  if (before === null || was.tolerance !== is.tolerance)
    said.push(`Spelling tolerance is ${is.tolerance ? 'on' : 'off'}`);
  if (was.oneEditFrom !== is.oneEditFrom || was.twoEditsFrom !== is.twoEditsFrom)
    said.push(`Words may have one typo from ${is.oneEditFrom} letters, two from ${is.twoEditsFrom}`);
  if (was.atOnce !== is.atOnce)
    said.push(
      is.atOnce
        ? 'A misspelt search is corrected at once where it finds nothing'
        : 'A misspelt search is not corrected, but told what may be meant',
    );
  if (was.offers !== is.offers) said.push(`Up to ${is.offers} other readings of a misspelt search are offered`);
  return said;
}

function relevanceChange(key: string, before: unknown, after: unknown, names: NamesForChanges): string[] {
  if (key === 'spelling') return spellingChange(before as Relevance['spelling'] | null, after as Relevance['spelling']);
  if (key === 'closeCall') {
    const widths = [before, after].map((value) => (value as Relevance['closeCall'] | null)?.width ?? 0);
    return [`Close calls are ${widths[1]} points wide instead of ${widths[0]}`];
  }
  if (key === 'soldOut') return soldOutChange(before as Relevance['soldOut'] | null, after as Relevance['soldOut']);
  if (key === 'partNumbers')
    return [
      (after as Relevance['partNumbers']).lead
        ? 'A part number leads straight to its product'
        : 'A part number is searched for like any word',
    ];
  if (key === 'sorting') {
    const labels = (value: unknown) => (value as Relevance['sorting'] | null)?.orders.map(({ label }) => label) ?? [];
    const [was, is] = [list(labels(before)), list(labels(after))];
    return [was === is ? 'An order of the sorting menu sorts otherwise' : `Shoppers may sort by: ${is}`];
  }
  return tieBreakerChange(before as Relevance['tieBreakers'] | null, after as Relevance['tieBreakers'], names);
}

const stockPlaceNames = { results: 'search results', box: 'the search box', collections: 'collection pages' } as const;
const soldOutWays = {
  asItIs: 'stands where it is',
  last: 'stands after everything in stock',
  notAtAll: 'does not show',
};

function soldOutChange(before: Relevance['soldOut'] | null, after: Relevance['soldOut']): string[] {
  return stockPlaces
    .filter((place) => (before?.[place] ?? 'asItIs') !== after[place])
    .map((place) => `What is sold out ${soldOutWays[after[place]]} in ${stockPlaceNames[place]}`);
}

function tieBreakerChange(
  before: Relevance['tieBreakers'] | null,
  after: Relevance['tieBreakers'],
  names: NamesForChanges,
): string[] {
  const nameOf = ({ attribute, lowBelow }: TieBreaker) =>
    lowBelow === undefined ? names.attribute(attribute) : 'Enough stock';
  const [was, is] = [before?.signals.map(nameOf) ?? [], after.signals.map(nameOf)];
  if (list(was) !== list(is)) return [`Tie-breakers are now: ${list(is)}`];
  return after.signals.flatMap((signal, at): string[] => {
    const old = before!.signals[at]!;
    const name = nameOf(signal);
    const said: string[] = [];
    if (old.direction !== signal.direction)
      said.push(`Tie-breaker ${name} puts ${signal.direction === 'high' ? 'high' : 'low'} first`);
    if (old.pulledBy !== signal.pulledBy)
      said.push(`${name}: ${signal.pulledBy ?? 0} ratings at the average are added to each product’s own`);
    if (old.halfLife !== signal.halfLife) said.push(`${name}: newness halves every ${signal.halfLife} days`);
    if (old.lowBelow !== signal.lowBelow) said.push(`${name}: at least ${signal.lowBelow}`);
    return said;
  });
}

function planChange(before: ShelfPlan | null, after: ShelfPlan | null, names: NamesForChanges): string[] {
  if (!before) return [`Shelf plan “${after!.name}” is added`];
  if (!after) return [`Shelf plan “${before.name}” is removed`];
  const said: string[] = [];
  const plan = `Shelf plan “${after.name}”`;
  if (before.name !== after.name) said.push(`Shelf plan “${before.name}” is now called “${after.name}”`);
  if (before.on !== after.on) said.push(`${plan} is switched ${after.on ? 'on' : 'off'}`);
  if (before.searches.join('\n') !== after.searches.join('\n')) said.push(`${plan} holds for: ${list(after.searches)}`);
  const pinsBefore = new Map(before.pins.map((pin) => [pin.product, pin.place]));
  for (const pin of after.pins)
    if (pinsBefore.get(pin.product) !== pin.place)
      said.push(`${plan} pins ${names.product(pin.product)} at place ${pin.place}`);
  for (const pin of before.pins)
    if (!after.pins.some(({ product }) => product === pin.product))
      said.push(`${plan} no longer pins ${names.product(pin.product)}`);
  const pullsBefore = new Map(before.pulls.map((pull) => [pull.product, pull.pull]));
  for (const { product, pull } of after.pulls)
    if (pullsBefore.get(product) !== pull)
      said.push(`${plan} ${pull >= 1 ? 'boosts' : 'lowers'} ${names.product(product)} (pull ${pull})`);
  for (const { product } of before.pulls)
    if (!after.pulls.some((pull) => pull.product === product))
      said.push(`${plan} no longer pulls ${names.product(product)}`);
  return said;
}

export const placeNames = {
  results: 'search results',
  collections: 'collection pages',
  emptyShelf: 'the empty shelf',
} as const;

function hidingChange(before: Hiding | null, after: Hiding | null, names: NamesForChanges): string[] {
  const hiding = (after ?? before)!;
  const what = hiding.what === 'product' ? names.product(hiding.product) : `Every product tagged “${hiding.tag}”`;
  const where = hiding.from ? ` from ${hiding.from.map((place) => placeNames[place]).join(' and ')}` : '';
  return [`${what} is ${after ? 'hidden' : 'no longer hidden'}${where}`];
}

function emptyShelfChange(before: EmptyShelf, after: EmptyShelf): string[] {
  const said: string[] = [];
  if (before.message !== after.message) said.push('The empty shelf has a new message');
  if (before.searches.join('\n') !== after.searches.join('\n'))
    said.push(`The empty shelf suggests: ${list(after.searches)}`);
  if (before.products.join('\n') !== after.products.join('\n'))
    said.push(`The empty shelf shows ${after.products.length} chosen products`);
  return said;
}

type RecognisedEntry = Extract<VocabularyEntry, { what: 'recognised' }>;

function recognisedChange(
  before: RecognisedEntry | null,
  after: RecognisedEntry | null,
  names: NamesForChanges,
): string[] {
  const said: string[] = [];
  if ((before?.price ?? false) !== (after?.price ?? false))
    said.push(
      after?.price
        ? 'Limits of price in a search narrow its results'
        : 'Limits of price in a search are words like any other',
    );
  const ways = { strong: 'count as strong matches', filter: 'narrow its results' } as const;
  for (const key of new Set([...Object.keys(before?.attributes ?? {}), ...Object.keys(after?.attributes ?? {})])) {
    const way = after?.attributes?.[key];
    if (way !== before?.attributes?.[key])
      said.push(`Values of ${names.attribute(key)} named in a search ${way ? ways[way] : 'are words like any other'}`);
  }
  const sayings = (of: RecognisedEntry | null) =>
    new Map((of?.conditions ?? []).map(({ words, condition }) => [words, JSON.stringify(condition)]));
  const [was, is] = [sayings(before), sayings(after)];
  for (const [words, condition] of is)
    if (was.get(words) !== condition) said.push(`“${words}” in a search stands for a condition`);
  for (const words of was.keys()) if (!is.has(words)) said.push(`“${words}” is a word like any other`);
  return said;
}

function vocabularyChange(
  before: VocabularyEntry | null,
  after: VocabularyEntry | null,
  names: NamesForChanges,
): string[] {
  const quoted = (words: readonly string[]): string => words.map((word) => `“${word}”`).join(', ');
  if ((after ?? before)!.what === 'stopWords') {
    const wordsOf = (of: VocabularyEntry | null) => (of?.what === 'stopWords' ? of.words : []);
    const [was, is] = [wordsOf(before), wordsOf(after)];
    const [more, less] = [is.filter((word) => !was.includes(word)), was.filter((word) => !is.includes(word))];
    return [
      ...(more.length > 0 ? [`Stop words added: ${quoted(more)}`] : []),
      ...(less.length > 0 ? [`Stop words removed: ${quoted(less)}`] : []),
    ];
  }
  const entry = (after ?? before)!;
  switch (entry.what) {
    case 'synonyms':
      if (!after) return [`${quoted(entry.words)} are no longer synonyms`];
      return [`${quoted(entry.words)} ${entry.on ? 'are synonyms' : 'are switched off as synonyms'}`];
    case 'oneWay':
      return [
        `${quoted(entry.from)} ${after ? (entry.on ? 'finds' : 'is switched off for') : 'no longer finds'} ${quoted(entry.to)}`,
      ];
    case 'corrections': {
      const pairs = (of: VocabularyEntry | null) => (of?.what === 'corrections' ? of.pairs : []);
      const has = (list: readonly { from: string; to: string }[], { from, to }: { from: string; to: string }) =>
        list.some((pair) => pair.from === from && pair.to === to);
      const [was, is] = [pairs(before), pairs(after)];
      return [
        ...is.filter((pair) => !has(was, pair)).map(({ from, to }) => `“${from}” is always corrected to “${to}”`),
        ...was
          .filter((pair) => !has(is, pair))
          .map(({ from, to }) => `“${from}” is no longer always corrected to “${to}”`),
      ];
    }
    case 'recognised':
      return recognisedChange(
        before?.what === 'recognised' ? before : null,
        after?.what === 'recognised' ? after : null,
        names,
      );
    case 'spoken':
      return [
        after?.what === 'spoken'
          ? `Of equally near corrections ${after.words.length} words shoppers search for come first`
          : 'Of equally near corrections the commonest in the catalog come first',
      ];
    case 'phrases': {
      const of = (value: VocabularyEntry | null) => (value?.what === 'phrases' ? value.phrases : []);
      const [was, is] = [of(before), of(after)];
      const [more, less] = [is.filter((text) => !was.includes(text)), was.filter((text) => !is.includes(text))];
      return [
        ...(more.length > 0 ? [`Phrases added: ${quoted(more)}`] : []),
        ...(less.length > 0 ? [`Phrases removed: ${quoted(less)}`] : []),
      ];
    }
    case 'neverCorrected':
      return [
        `Never corrected: ${list(after?.what === 'neverCorrected' ? after.words.map((word) => `“${word}”`) : [])}`,
      ];
    default:
      return [
        `Never suggested as a correction: ${list(after?.what === 'neverOffered' ? after.words.map((word) => `“${word}”`) : [])}`,
      ];
  }
}

function contentChange(key: string, before: ContentEntry | null, after: ContentEntry | null): string[] {
  const entry = (after ?? before)!;
  if (entry.what === 'leftOut')
    return [`The ${entry.kind} “${entry.id}” is ${after ? 'left out of the search' : 'found by the search again'}`];
  const kind = key === 'article' ? 'Articles' : 'Collections';
  const is = after?.what === 'kind' ? after : null;
  const was = before?.what === 'kind' ? before : null;
  const said: string[] = [];
  if ((is?.found ?? true) !== (was?.found ?? true))
    said.push(`${kind} are ${(is?.found ?? true) ? 'found by the search' : 'not found by the search any more'}`);
  for (const attribute of new Set([...Object.keys(is?.weights ?? {}), ...Object.keys(was?.weights ?? {})]))
    if (is?.weights[attribute] !== was?.weights[attribute])
      said.push(`${kind}: ${attribute} counts ${is?.weights[attribute] ?? 'as usual'}`);
  return said;
}

function shopChange(before: Shop | null, after: Shop): string[] {
  return [
    ...(before?.name === after.name ? [] : [`The shop is called “${after.name}”`]),
    ...(before?.currency === after.currency ? [] : [`Prices are in ${after.currency}`]),
  ];
}

const valueTold = (value: AttributeValue): string => {
  const text = typeof value === 'object' ? value.join(', ') : String(value);
  return `“${text.length > 60 ? `${text.slice(0, 60)}…` : text}”`;
};

/** What a decision about a product says, without naming the product. */
export function decisionTold(decision: Decision, isGivenUp: boolean, names: NamesForChanges): string {
  const attribute = names.attribute(decision.attribute);
  if (isGivenUp) return `${attribute} is the file’s again`;
  if (decision.act === 'set') return `${attribute} is set to ${valueTold(decision.value)}`;
  if (decision.act === 'clear') return `${attribute} is emptied`;
  const said = [
    ...(decision.add.length > 0 ? [`tagged ${decision.add.map(valueTold).join(', ')}`] : []),
    ...(decision.remove.length > 0 ? [`no longer tagged ${decision.remove.map(valueTold).join(', ')}`] : []),
  ];
  return said.length > 0
    ? said.join(' and ').replace(/^./, (letter) => letter.toUpperCase())
    : 'Tags are as in the file';
}

/** What a change means, in plain sentences without a full stop; none where it means nothing. */
export function describeChange({ part, key, before, after }: EntryChange, names: NamesForChanges): string[] {
  const sentences = (() => {
    switch (part) {
      case 'attributes':
        return attributeChange(names.attribute(key), before as AttributeSetting, after as AttributeSetting);
      case 'relevance':
        return relevanceChange(key, before, after, names);
      case 'filters':
        return filterChange(before as FilterSetting | null, after as FilterSetting | null);
      case 'valueGroups':
        return valueGroupsChange(before as ValueGroups | null, after as ValueGroups | null);
      case 'storefront':
        if (key === 'filters') return layoutChange(before as FilterLayout | null, after as FilterLayout);
        if (key === 'shop') return shopChange(before as Shop | null, after as Shop);
        return [
          `Shoppers may choose from ${list((after as Setup['storefront']['languages']).list.map((code) => languageNames[code]))}`,
        ];
      case 'plans':
        return planChange(before as ShelfPlan, after as ShelfPlan, names);
      case 'hiding':
        return hidingChange(before as Hiding, after as Hiding, names);
      case 'emptyShelf':
        return emptyShelfChange(before as EmptyShelf, after as EmptyShelf);
      case 'vocabulary':
        return vocabularyChange(before as VocabularyEntry | null, after as VocabularyEntry | null, names);
      case 'content':
        return contentChange(key, before as ContentEntry | null, after as ContentEntry | null);
      case 'products':
        return [
          `${decisionTold((after ?? before) as Decision, after === null, names)} for ${names.product(((after ?? before) as Decision).product)}`,
        ];
    }
  })();
  const change = { part, key, before, after };
  return sentences.length > 0 || !isChange(change) ? sentences : [`“${key}” of ${part} is different`];
}
