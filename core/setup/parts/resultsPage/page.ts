import { z } from 'zod';
import { fieldsOf, listBy } from '../../terms/inside.ts';
import { alwaysOnPage, pagePieceNames, pagePieces, usualPage } from '../../terms/pageTerms.ts';
import { fixedEntry } from '../../terms/part.ts';
import { piecesInWords, piecesOf } from './pieces.ts';

const pageSchema = z.strictObject({
  pieces: piecesOf(pagePieces).refine(
    (pieces) => alwaysOnPage.every((always) => pieces.some(({ piece, on }) => piece === always && on)),
    `must have ${alwaysOnPage.map((piece) => pagePieceNames[piece]).join(', ')}`,
  ),
});
export type PageArrangement = z.infer<typeof pageSchema>;
const usuallyOnPage: PageArrangement = usualPage;

/** What the page of results is made of, in order. */
export const page = fixedEntry({
  value: pageSchema,
  usual: usuallyOnPage,
  inside: fieldsOf({ pieces: listBy('piece') }),
  describe({ before, after }) {
    const [was, is] = [before ?? usuallyOnPage, after ?? usuallyOnPage];
    return piecesInWords(
      was.pieces,
      is.pieces,
      (on) => `On the results page stand, in this order: ${on}`,
      pagePieceNames,
    );
  },
});
