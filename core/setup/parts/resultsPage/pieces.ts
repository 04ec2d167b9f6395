import { z } from 'zod';
import { isEachOnce } from '../../../base/eachOnce.ts';
import { type Pieces, piecesOn } from '../../terms/pieces.ts';

/** Pieces in an order, each once. */
export const piecesOf = <const Piece extends string>(all: readonly Piece[]) =>
  z
    .array(z.strictObject({ piece: z.enum(all), on: z.boolean() }))
    .min(1)
    .max(all.length)
    .refine((pieces) => isEachOnce(pieces, ({ piece }) => piece), 'must have each piece once');

/** What a change of pieces means, in at most one sentence. */
export function piecesInWords<Piece extends string>(
  was: Pieces<Piece>,
  is: Pieces<Piece>,
  inOrder: (on: string) => string,
  names: Readonly<Record<Piece, string>>,
): string[] {
  const [before, after] = [was, is].map((pieces) =>
    piecesOn(pieces)
      .map((piece) => names[piece])
      .join(', '),
  );
  if (before !== after) return [inOrder(after!)];
  return JSON.stringify(was) === JSON.stringify(is)
    ? []
    : ['Pieces that are switched off stand elsewhere in their list'];
}
