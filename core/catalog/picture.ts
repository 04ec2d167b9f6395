import { type CatalogRecord, textsOf } from './record.ts';

const far = /^(https?:)?\/\//i;

/** Whether a picture lies on another host, and must be fetched from there. */
export const isFarPicture = (said: string): boolean => far.test(said.trim());

/** A short mark of a text, by FNV-1a: another text nearly always has another. It protects nothing. */
export function markOf(text: string): string {
  let hash = 0x811c9dc5;
  for (let at = 0; at < text.length; at++) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193);
  return (hash >>> 0).toString(36);
}

/** Pictures of one record, at most. */
export const mostPictures = 12;

/**
 * Where a record's pictures are found, in its order: a path within the shop as it is; one on another host by the record it
 * belongs to, since this server fetches only what a catalog names. The mark changes with the picture, so that a browser may
 * keep it.
 */
export const picturesOf = ({ id, values }: Pick<CatalogRecord, 'id' | 'values'>): string[] => [
  ...new Set(
    textsOf(values.picture)
      .map((said) => said.trim())
      .filter((said) => said !== '')
      .slice(0, mostPictures)
      .map((said) => (isFarPicture(said) ? `/pictures/of/${encodeURIComponent(id)}?mark=${markOf(said)}` : said)),
  ),
];

/** The first of them; null where the record has none. */
export const pictureOf = (record: Pick<CatalogRecord, 'id' | 'values'>): string | null => picturesOf(record)[0] ?? null;

/** What names a picture besides a record: an article, a collection, or a banner, of which shoppers are not told whose plan it is. */
export type PictureOwner = `${'article' | 'collection'}:${string}` | 'banner';

/** The same for a picture that something else names; null where it names none. */
export function ownedPicture(owner: PictureOwner, named: string): string | null {
  const said = named.trim();
  if (said === '') return null;
  return isFarPicture(said) ? `/pictures/named/${encodeURIComponent(owner)}?mark=${markOf(said)}` : said;
}
