import { compile } from 'html-to-text';

/** What is worth a look: a tag, or a letter written as an entity. */
const marked = /<\/?[a-z!][^<>]*>|&(?:#\d{1,7}|#x[\da-f]{1,6}|[a-z][a-z\d]{1,31});/i;

/** Longest text that is read as markup, in characters; of a longer one the rest is left out. */
export const longestMarkup = 1_000_000;

/** Whether a text has tags or entities. */
export const isMarkedUp = (text: string): boolean => marked.test(text);

/** Markup as text, read once. Compiled once: that takes twenty times as long as reading a paragraph. */
export const textOfMarkup = compile({
  wordwrap: false,
  limits: { maxInputLength: longestMarkup, maxDepth: 64 },
  selectors: [
    { selector: 'a', options: { ignoreHref: true } },
    { selector: 'img', format: 'skip' },
    ...['h1', 'h2', 'h3', 'h4', 'h5', 'h6'].map((selector) => ({ selector, options: { uppercase: false } })),
    { selector: 'ul', options: { itemPrefix: '• ' } },
    { selector: 'table', format: 'dataTable', options: { uppercaseHeaderCells: false } },
  ],
});

/**
 * A text as people read it: tags and entities are taken out, scripts and styles with what is in them, and paragraphs, list
 * items and rows stand in lines of their own. A text without markup is answered as it is ("5 < 6", "AT&T"). Markup that was
 * itself written as entities is read once more. Cost: some 40 µs a paragraph of markup, next to nothing else.
 */
export function plainTextOf(text: string): string {
  if (!marked.test(text)) return text;
  const once = textOfMarkup(text);
  const plain = marked.test(once) ? textOfMarkup(once) : once;
  return plain.replaceAll('\u00a0', ' ').trim();
}
