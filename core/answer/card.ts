import { own } from '../base/named.ts';
import { deepestLevels, lastLevel } from '../catalog/levels.ts';
import { picturesOf } from '../catalog/picture.ts';
import { type CatalogRecord, firstText, heldBy, textsOf } from '../catalog/record.ts';
import { availability, labelOfKey } from '../catalog/standardColumns.ts';
import type { CardArrangement } from '../setup/parts/resultsPage/card.ts';
import type { Setup } from '../setup/schema.ts';
import { longestCardText } from '../setup/terms/cardTerms.ts';
import type { Card } from './answer.ts';

/** Attributes with a place of their own on a card; others chosen for it become lines below. */
const placed = new Set(['title', 'brand', 'price', 'former_price', 'rating', 'picture', 'link', availability.key]);

const amount = (record: CatalogRecord, key: string): number | null => {
  const value = heldBy(record, key);
  return typeof value === 'number' ? value : null;
};

/** The first words of a text, no more than a card has room for. */
function beginningOf(text: string): string {
  const whole = text.replace(/\s+/g, ' ').trim();
  if (whole.length <= longestCardText) return whole;
  const cut = whole.slice(0, longestCardText + 1);
  return `${cut.slice(0, Math.max(cut.lastIndexOf(' '), longestCardText / 2)).replace(/[\s,;:.–-]+$/, '')}…`;
}

/** What a card says of the product as a whole. */
export interface CardFamily {
  readonly variants: number;
  /** Whether at least one of them is in stock. */
  readonly isInStock: boolean;
}

/** A record as a shopper sees it on a results page, with the attributes that the setup puts on cards, arranged as the usual card or as another; badges are for whoever knows what it meets. */
export function cardOf(
  record: CatalogRecord,
  { variants, isInStock }: CardFamily,
  setup: Setup,
  arrangement: CardArrangement = setup.resultsPage.card,
): Card {
  const shows = (key: string): boolean => own(setup.attributes, key)?.onCard ?? false;
  const details = Object.keys(setup.attributes)
    .filter((key) => shows(key) && !placed.has(key))
    .map((key) => ({
      key,
      label: labelOfKey(key),
      value:
        key === 'sku'
          ? record.sku
          : deepestLevels(textsOf(heldBy(record, key)))
              .map(lastLevel)
              .join(', '),
    }))
    .filter(({ value }) => value !== '');
  const hasText = arrangement.pieces.some(({ piece, on }) => piece === 'text' && on);
  const text = hasText ? beginningOf(firstText(record.values.description)) : '';
  const pictures = shows('picture') ? picturesOf(record) : [];
  const second = arrangement.second ? pictures[1] : undefined;
  const rating = shows('rating') ? amount(record, 'rating') : null;
  const ratings = arrangement.ratings && rating !== null ? amount(record, 'ratings') : null;
  const price = amount(record, 'price');
  const former = amount(record, 'former_price');
  return {
    id: record.id,
    familyId: record.familyId,
    sku: record.sku,
    title: firstText(record.values.title),
    brand: shows('brand') ? firstText(record.values.brand) || null : null,
    price,
    currency: setup.storefront.shop.currency,
    formerPrice: shows('former_price') && former !== null && price !== null && former > price ? former : null,
    rating,
    ...(ratings !== null && ratings > 0 && { ratings }),
    available: isInStock,
    variantAvailable: record.values[availability.key] !== availability.soldOut,
    showsPicture: shows('picture'),
    picture: pictures[0] ?? null,
    ...(second !== undefined && { second }),
    link: firstText(record.values.link) || null,
    variants,
    details,
    ...(hasText && text !== '' && { text }),
    badges: [],
  };
}
