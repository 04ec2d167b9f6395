import type { MessageKey } from '../../messages/en.ts';
import { isMessageKey, messageKeys } from '../../messages/messages.ts';
import { isLanguage, type Language, languages } from '../../text/languages.ts';

/** Of one's own text, in characters; and texts at most. */
export const longestWording = 400;
export const mostWordings = messageKeys.length * languages.length * 2;

/** A text of the shop in one language, as the setup knows it. */
export const wordingKey = (language: Language, key: MessageKey): string => `${language}/${key}`;
/** What a key of the setup is about; null where it is a text there is not any more. */
export function readWordingKey(text: string): { readonly language: Language; readonly key: MessageKey } | null {
  const [language = '', key = ''] = text.split('/', 2);
  return isLanguage(language) && isMessageKey(key) ? { language, key } : null;
}

/** Texts that are worded where they stand: headings of the search box, and messages of the empty shelf. */
const wordedElsewhere: ReadonlySet<MessageKey> = new Set([
  ...(['box.says', 'box.recent', 'box.popular', 'box.suggestions', 'box.lookIn', 'box.products'] as const),
  ...(['shelf.nothing', 'shelf.question', 'shelf.hidden', 'shelf.notCarried'] as const),
]);

/** Groups of texts by the beginning of their keys, each with its name at the desk. */
const groups = {
  results: 'Results',
  notice: 'What was done with the words',
  filters: 'Filters',
  card: 'Cards',
  product: 'Product page',
  price: 'Prices',
  basket: 'Basket',
  box: 'Search box',
  shelf: 'Empty shelf',
  collection: 'Collections',
  article: 'Articles',
  shop: 'The shop as a whole',
} as const;
const groupOf = (key: MessageKey): keyof typeof groups => {
  const [first = ''] = key.split('.', 1);
  if (first === 'collections') return 'collection';
  if (first === 'articles') return 'article';
  if (first === 'elsewhere') return 'notice';
  if (first === 'products' || first === 'pages' || first === 'more') return 'results';
  return Object.hasOwn(groups, first) ? (first as keyof typeof groups) : 'shop';
};
/** The texts that can be worded, in their groups. */
export const wordingGroups: readonly { readonly name: string; readonly keys: readonly MessageKey[] }[] = Object.entries(
  groups,
).map(([group, name]) => ({
  name,
  keys: messageKeys.filter((key) => !wordedElsewhere.has(key) && groupOf(key) === group),
}));
