import { z } from 'zod';
import {
  alwaysOnCard,
  cardPieces,
  pieceNames,
  ratingForms,
  ratingNames,
  stockForms,
  stockNames,
  usualCard,
} from '../../terms/cardTerms.ts';
import { fieldsOf, listBy } from '../../terms/inside.ts';
import { fixedEntry } from '../../terms/part.ts';
import { key } from '../../terms/texts.ts';
import { piecesInWords, piecesOf } from './pieces.ts';

/** How a product's card is made. */
export const cardArrangementSchema = z.strictObject({
  pieces: piecesOf(cardPieces).refine(
    (pieces) => pieces.some(({ piece, on }) => piece === alwaysOnCard && on),
    'must have the title',
  ),
  rating: z.enum(ratingForms),
  stock: z.enum(stockForms),
  /** Whether it is told how much less a product costs than before. */
  saving: z.boolean(),
  /** Whether an attribute's name stands before its value. */
  labels: z.boolean(),
  /** The filter by which variants are told apart on a card; absent: the first one that tells them apart. */
  variantsBy: key.optional(),
  /** Whether a shopper says how many go into the basket; absent: no. */
  quantity: z.boolean().optional(),
  /** Whether a second picture shows when a card is pointed at; absent: no. */
  second: z.boolean().optional(),
  /** Whether a rating is told with how many there are; absent: no. */
  ratings: z.boolean().optional(),
});
export type CardArrangement = z.infer<typeof cardArrangementSchema>;
const usual: CardArrangement = { ...usualCard, pieces: [...usualCard.pieces] };
export const insideCard = fieldsOf({ pieces: listBy('piece') });

/** The card that products usually have. */
export const card = fixedEntry({
  value: cardArrangementSchema,
  usualFields: { quantity: false, second: false, ratings: false },
  usual,
  inside: insideCard,
  describe: ({ before, after }) => cardInWords(before ?? usual, after ?? usual),
});

/** What a change of a card means. */
export function cardInWords(was: CardArrangement, is: CardArrangement): string[] {
  const said = piecesInWords(was.pieces, is.pieces, (on) => `On cards stand, in this order: ${on}`, pieceNames);
  if (was.rating !== is.rating) said.push(`Ratings are shown as ${ratingNames[is.rating]}`);
  if ((was.ratings ?? false) !== (is.ratings ?? false))
    said.push(is.ratings ? 'Ratings are told with how many there are' : 'How many ratings there are is not told');
  if (was.stock !== is.stock) said.push(`Availability is told ${stockNames[is.stock]}`);
  if (was.saving !== is.saving)
    said.push(is.saving ? 'What is saved is told with a former price' : 'What is saved is not told');
  if (was.variantsBy !== is.variantsBy)
    said.push(
      is.variantsBy === undefined
        ? 'Variants on cards are told apart by the first filter that does'
        : `Variants on cards are told apart by the filter “${is.variantsBy}”`,
    );
  if ((was.second ?? false) !== (is.second ?? false))
    said.push(is.second ? 'A second picture shows when a card is pointed at' : 'Cards show one picture');
  if ((was.quantity ?? false) !== (is.quantity ?? false))
    said.push(is.quantity ? 'On cards it is said how many go into the basket' : 'Cards put one into the basket');
  if (was.labels !== is.labels)
    said.push(is.labels ? 'Attributes have their name before them' : 'Attributes stand without their name');
  return said;
}
