import { GrowingArray } from './growingArray.ts';

/** Positions are kept in 16 bits: a word further on stands at the last. */
export const lastPosition = 65_535;
/** A gathered position, and above it how the word stands in its value. */
export const positionOf = (position: number, stand: number): number => Math.min(position, lastPosition) | (stand << 16);

/**
 * The words of a catalog as they are gathered while an index is built. A text is read once, though all variants of a
 * family and half the catalog have it: what stands once for each text are its words, and a record only says which text
 * it has where.
 *
 * Owns by word of a text `terms` and `standings` (a position from 0 in the low 16 bits, above it how the word stands in
 * its value, `standOf`); by text `start` (one more for the end: where its words begin) and `words` (how many it has);
 * by use of a text `useTexts`, `usePlaces` (`placeOf(record, attribute)`, ascending) and `useBases` (by how much its
 * positions are moved on).
 */
export class GatheredTexts {
  private readonly terms = new GrowingArray();
  private readonly occurrences = new GrowingArray();
  private readonly start = new GrowingArray();
  private readonly words = new GrowingArray();
  private readonly useTexts = new GrowingArray();
  private readonly usePlaces = new GrowingArray();
  private readonly useBases = new GrowingArray();

  constructor() {
    this.start.push(0);
  }

  /** A word of the text that is being read. */
  addWord(term: number, position: number, stand: number): void {
    this.terms.push(term);
    this.occurrences.push(positionOf(position, stand));
  }

  /** Ends the text that is being read: so many words, besides quantities. Answers the text's number. */
  end(words: number): number {
    this.words.push(words);
    this.start.push(this.terms.length);
    return this.words.length - 1;
  }

  wordsOf(text: number): number {
    return this.words.get(text);
  }

  /** Says where a text stands, its positions `base` further on. Places must ascend. */
  use(text: number, place: number, base: number): void {
    this.useTexts.push(text);
    this.usePlaces.push(place);
    this.useBases.push(base);
  }

  view(): TextUses {
    return {
      terms: this.terms.view(),
      occurrences: this.occurrences.view(),
      start: this.start.view(),
      useTexts: this.useTexts.view(),
      usePlaces: this.usePlaces.view(),
      useBases: this.useBases.view(),
    };
  }
}

/** The arrays of `GatheredTexts`, for the one pass that lays postings. */
export interface TextUses {
  readonly terms: Uint32Array;
  readonly occurrences: Uint32Array;
  readonly start: Uint32Array;
  readonly useTexts: Uint32Array;
  readonly usePlaces: Uint32Array;
  readonly useBases: Uint32Array;
}
