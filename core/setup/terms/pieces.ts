/** Something that is made of pieces in an order, each of which is there or not. */
export type Pieces<Piece extends string> = readonly { readonly piece: Piece; readonly on: boolean }[];

/** Those that are there, in their order. */
export const piecesOn = <Piece extends string>(pieces: Pieces<Piece>): Piece[] =>
  pieces.flatMap(({ piece, on }) => (on ? [piece] : []));

/** The pieces with those that came after they were put in order, which are off until somebody wants them. */
export const withAllOf = <Piece extends string>(
  all: readonly Piece[],
  pieces: Pieces<Piece>,
): { piece: Piece; on: boolean }[] => [
  ...pieces,
  ...all.filter((piece) => pieces.every((each) => each.piece !== piece)).map((piece) => ({ piece, on: false })),
];
