import type { DeadEndRow, RemedyRow } from '../../../../api/deadEndEndpoints.ts';
import { count, counted } from '../../../look/price.ts';

/** What is wrong with searches, as a heading, and what that means. */
export const causeTexts: Readonly<Record<DeadEndRow['cause'], { readonly name: string; readonly says: string }>> = {
  misspelt: { name: 'Misspelt', says: 'Close to a word of the catalog, but not corrected.' },
  otherWord: { name: 'Another word', says: 'Shoppers call it something else than your catalog does.' },
  otherLanguage: { name: 'Another language', says: 'A word of another language.' },
  hidden: { name: 'Hidden or sold out', says: 'What it would find is not shown.' },
  question: { name: 'Questions', says: 'They ask about the shop, not for a product.' },
  tooManyWords: { name: 'Too many words', says: 'Some of the words are known, but nothing has them together.' },
  notCarried: { name: 'Not carried', says: 'Nothing in the catalog is near.' },
};

/** What shoppers saw, and how many they were. */
export function deadEndInWords({ kind, sessions, total }: DeadEndRow): string {
  const visits = counted(sessions, 'visit');
  if (kind === 'nothing') return `${visits}, nothing found`;
  const found = `${counted(total, 'product')} found`;
  return kind === 'unopened'
    ? `${visits}, ${found}, none ever opened`
    : `${visits}, ${found}, mostly asked again in other words`;
}

/** What a shopper would see once a remedy is taken. */
export function seenInWords({ total, titles, message }: RemedyRow): string {
  if (total === 0) return message ? `Shoppers read: “${message}”` : 'Shoppers still find nothing.';
  const more = total - titles.length;
  return `Finds ${counted(total, 'product')}: ${titles.join(', ')}${more > 0 ? ` and ${count(more)} more` : ''}.`;
}

/** What else a remedy does: other dead ends it mends, and other searches it changes. */
export function reachInWords({ mends, mendsTimes, others }: RemedyRow): string {
  const mended =
    mends === 0
      ? 'Mends nothing.'
      : mends === 1
        ? `Mends this one, made ${counted(mendsTimes, 'time')}.`
        : `Mends ${counted(mends, 'dead end')}, made ${counted(mendsTimes, 'time')} in all.`;
  const [first, second] = others.map((search) => `“${search}”`);
  if (first === undefined) return `${mended} Changes no other search of the 200 made most.`;
  const names = others.length === 1 ? first : `${first}, ${second}`;
  return `${mended} Also changes ${names}${others.length > 2 ? ` and ${count(others.length - 2)} more of the 200 searches made most` : ''}.`;
}
