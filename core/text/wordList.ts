import { tokenize } from './tokenize.ts';

/**
 * The words of a language, as a Bloom filter (Bloom 1970): it never denies a word it holds, and takes about one in a hundred
 * others for one. Layout: bytes of bits, a power of two of them, so that their number needs no header.
 */
export type WordList = (word: string) => boolean;

/** No word is known: for languages without a list. */
export const noWords: WordList = () => false;

/** Bits for a word at least, and places looked at for each: for one in a hundred, ten and seven; doubling adds room. */
const bitsForWord = 9.6;
const places = 7;

/** The places of a word among `bits` (a power of two), by double hashing: two FNV-1a hashes, added up. */
function eachPlace(word: string, bits: number, visit: (place: number) => boolean): boolean {
  let first = 0x811c9dc5;
  let second = 0x9747b28c;
  for (let at = 0; at < word.length; at++) {
    const code = word.charCodeAt(at);
    first = Math.imul(first ^ code, 0x01000193);
    second = Math.imul(second ^ code, 0x5bd1e995);
  }
  first ^= first >>> 15;
  second = (second ^ (second >>> 13)) | 1;
  for (let at = 0; at < places; at++) {
    if (!visit(((first + Math.imul(at, second)) >>> 0) & (bits - 1))) return false;
  }
  return true;
}

/** Packs words, in the form in which searches have them; what is not one word there is left out. */
export function packWordList(words: readonly string[]): Uint8Array {
  let bits = 1 << 16;
  while (bits < words.length * bitsForWord) bits *= 2;
  const bytes = new Uint8Array(bits / 8);
  for (const word of words) {
    const tokens = tokenize(word);
    if (tokens.length === 1)
      eachPlace(tokens[0]!, bits, (place) => {
        bytes[place >>> 3]! |= 1 << (place & 7);
        return true;
      });
  }
  return bytes;
}

/** Opens what was packed, in place. Cost of a question: a few steps a letter. */
export function openWordList(bytes: Uint8Array): WordList {
  const bits = bytes.length * 8;
  return (word) => eachPlace(word, bits, (place) => (bytes[place >>> 3]! & (1 << (place & 7))) !== 0);
}
