import { elidesBefore, longestElided } from './writtenForms.ts';

/** Longest token kept, in UTF-16 units. What is longer is cut: no shopper types it, and nothing is trusted for size. */
export const longestToken = 40;

/**
 * The words of a text of plain letters (printable ASCII without a digit or a sign that `writtenForms.ts` reads in a way of
 * its own, which most texts are), folded as `tokenize` folds them: runs of letters in lower case, an apostrophe inside a
 * word dropped. One walk over the text; the general way by patterns takes several times as long.
 *
 * Owns `units` (the letters of all words end to end) and `start` (by word where its letters begin, one more for the end).
 * Both hold what was read last, as far as `words` says, and grow when they must.
 */
export class PlainText {
  units = new Uint16Array(1024);
  start = new Uint32Array(256);
  words = 0;

  /** Reads a text; answers false for one that is not plain, of which nothing is known then. Linear in its length. */
  read(text: string): boolean {
    this.makeRoom(text.length);
    const { units, start } = this;
    let words = 0;
    let end = 0;
    let isInWord = false;
    for (let at = 0; at < text.length; at++) {
      let unit = text.charCodeAt(at);
      if (unit >= 65 && unit <= 90) unit += 32;
      if (unit >= 97 && unit <= 122) {
        if (!isInWord) {
          isInWord = true;
          start[words++] = end;
        }
        if (end - start[words - 1]! < longestToken) units[end++] = unit;
      } else if (unit !== 39) {
        if (unit < 32 || unit > 126 || (unit >= 48 && unit <= 57)) return false;
        // What may be `AT&T`, `B & W`, `C++` or `N.Y.C.` is read by the patterns.
        if (isInWord && (unit === 38 || unit === 43 || unit === 35)) return false;
        if (words > 0 && (unit === 38 || unit === 46)) {
          const letters = end - start[words - 1]!;
          if (unit === 38 ? letters <= 2 : isInWord && letters === 1) return false;
        }
        isInWord = false;
      } else if (isInWord && end - start[words - 1]! <= longestElided && elidesBefore.has(text.charCodeAt(at + 1)))
        return false;
    }
    start[words] = end;
    this.words = words;
    return true;
  }

  /** The words that were read. */
  tokens(): string[] {
    const { units, start } = this;
    return Array.from({ length: this.words }, (_, at) =>
      String.fromCharCode(...units.subarray(start[at]!, start[at + 1]!)),
    );
  }

  private makeRoom(length: number): void {
    if (length > this.units.length) this.units = new Uint16Array(length * 2);
    // At most every other letter begins a word.
    if (length + 2 > this.start.length * 2) this.start = new Uint32Array(length + 2);
  }
}
