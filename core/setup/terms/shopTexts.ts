import type { MessageKey } from '../../messages/en.ts';
import { shippedMessages } from '../../messages/messages.ts';
import { type Language, languages } from '../../text/languages.ts';
import type { BlockKind } from './boxTerms.ts';

/** Messages of the empty shelf: the usual one, and those that mend a dead end by what is wrong with it. */
export const shelfMessages = {
  nothing: 'shelf.nothing',
  question: 'shelf.question',
  hidden: 'shelf.hidden',
  notCarried: 'shelf.notCarried',
} as const satisfies Readonly<Record<string, MessageKey>>;

/** Headings of the search box’s blocks; a message has none. */
const headings: Readonly<Record<Exclude<BlockKind, 'message'>, MessageKey>> = {
  recent: 'box.recent',
  popular: 'box.popular',
  suggestions: 'box.suggestions',
  lookIn: 'box.lookIn',
  products: 'box.products',
  collections: 'collections',
  articles: 'articles',
};
export const boxTitle = (kind: BlockKind, language: Language): string =>
  kind === 'message' ? '' : shippedMessages[language][headings[kind]];

/** Names of the sorting menu’s orders that come with the shop, by the order’s key. */
export const orderMessages = {
  relevance: 'sort.relevance',
  'price-up': 'sort.priceUp',
  'price-down': 'sort.priceDown',
  newest: 'sort.newest',
  'best-rated': 'sort.bestRated',
  'most-bought': 'sort.mostBought',
} as const satisfies Readonly<Record<string, MessageKey>>;

const among = (keys: readonly MessageKey[], text: string): MessageKey | undefined =>
  keys.find((key) => languages.some((language) => shippedMessages[language][key] === text));
const shippedAs = (message: string): MessageKey | undefined => among(Object.values(shelfMessages), message);
/** Whether a message of the empty shelf is one that comes with the shop. */
export const isShipped = (message: string): boolean => shippedAs(message) !== undefined;

/** A message in a shopper's language, where it is one that comes with the shop; one's own stays as it was written. */
export function messageIn(message: string, language: Language): string {
  const key = shippedAs(message);
  return key ? shippedMessages[language][key] : message;
}

/** The name of an order of the sorting menu, likewise. */
export function orderLabelIn(label: string, language: Language): string {
  const key = among(Object.values(orderMessages), label);
  return key ? shippedMessages[language][key] : label;
}
