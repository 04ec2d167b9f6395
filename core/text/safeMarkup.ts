import sanitize from 'sanitize-html';
import { isMarkedUp, longestMarkup, textOfMarkup } from './plainTextOf.ts';

const headings = ['h1', 'h2', 'h4', 'h5', 'h6'] as const;

/** What a description may be made of; anything else is left out, its text kept. Pictures come from other hosts, so none. */
const allowed: sanitize.IOptions = {
  allowedTags: [
    ...['p', 'br', 'ul', 'ol', 'li', 'dl', 'dt', 'dd', 'h3', 'blockquote', 'hr'],
    ...['b', 'strong', 'i', 'em', 'u', 's', 'sub', 'sup', 'small', 'a'],
    ...['table', 'caption', 'thead', 'tbody', 'tr', 'th', 'td'],
  ],
  allowedAttributes: { a: ['href', 'rel', 'target'], th: ['colspan', 'rowspan'], td: ['colspan', 'rowspan'] },
  allowedSchemes: ['http', 'https', 'mailto'],
  allowProtocolRelative: false,
  disallowedTagsMode: 'discard',
  // The page has headings of its own above.
  transformTags: {
    ...Object.fromEntries(headings.map((heading) => [heading, 'h3'])),
    a: (_, { href = '' }) => ({ tagName: 'a', attribs: { href, rel: 'nofollow noopener', target: '_blank' } }),
  },
};

/**
 * A text's markup, safe to show on a page; null where it has none that would show (entities alone do not). Markup that was
 * itself written as entities is read once more, as `plainTextOf` does.
 */
export function safeMarkup(text: string): string | null {
  if (!isMarkedUp(text)) return null;
  const source = text.slice(0, longestMarkup);
  const once = textOfMarkup(source);
  const safe = sanitize(isMarkedUp(once) ? once : source, allowed).trim();
  return /<[a-z]/.test(safe) ? safe : null;
}
