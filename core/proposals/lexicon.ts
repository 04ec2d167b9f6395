/** One meaning of a word in a lexical database: what else is called so, what it is a kind of, and its kinds. */
export interface Sense {
  readonly same: readonly string[];
  readonly broader: readonly string[];
  readonly narrower: readonly string[];
  /** Whether it is a thing that can be made or sold: an artefact, a substance, food, a plant. */
  readonly isThing: boolean;
}

export interface Lexicon {
  /** Whether it is a word of the language, in this form or as a plural. */
  has(word: string): boolean;
  /** The meanings of a word, or of several that belong together, as a noun; the commonest first. */
  senses(text: string): Sense[];
}

/** One part of speech of a database in the format of WordNet's `index.POS` and `data.POS` files, as bytes. */
export interface LexiconPart {
  readonly index: Uint8Array;
  readonly data: Uint8Array;
}

const newline = 10;
/** Kinds of one meaning that are looked at. */
const mostNarrower = 60;
/** Lexicographers' files of nouns that are things: artefact, food, plant, substance. */
const things = new Set(['06', '13', '20', '27']);

const space = 32;

const endOfLine = (bytes: Uint8Array, from: number): number => {
  const end = bytes.indexOf(newline, from);
  return end < 0 ? bytes.length : end;
};

function lineAt(bytes: Uint8Array, from: number): string {
  const end = endOfLine(bytes, from);
  let line = '';
  for (let at = from; at < end; at += 4096)
    line += String.fromCharCode(...bytes.subarray(at, Math.min(end, at + 4096)));
  return line;
}

/** Whether the lemma that begins at `from` stands before (below 0), is (0) or stands behind (above 0) another one. */
function compareLemma(index: Uint8Array, from: number, lemma: string): number {
  for (let at = 0; at <= lemma.length; at++) {
    const byte = index[from + at] ?? newline;
    // A lemma ends with a space.
    const own = byte === newline ? space : byte;
    const other = at === lemma.length ? space : lemma.charCodeAt(at);
    if (own !== other) return own - other;
  }
  return 0;
}

/** The line of a sorted index that begins with a lemma, or null. Bisection over bytes; only that line becomes a text. */
function findLine(index: Uint8Array, lemma: string): string | null {
  // The lines of licence at the top begin with a space.
  if (lemma === '') return null;
  let low = 0;
  let high = index.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    const start = middle === 0 ? 0 : index.lastIndexOf(newline, middle - 1) + 1;
    const order = compareLemma(index, start, lemma);
    if (order === 0) return lineAt(index, start);
    if (order < 0) low = endOfLine(index, start) + 1;
    else high = start;
  }
  return null;
}

const readable = (lemma: string): string =>
  lemma
    .replace(/\(\w+\)$/, '')
    .replaceAll('_', ' ')
    .toLowerCase();

interface Synset {
  readonly file: string;
  readonly words: readonly string[];
  readonly pointers: readonly { readonly symbol: string; readonly offset: number; readonly part: string }[];
}

/** Reads a line of a data file: offset, file, type, words in hexadecimal count, pointers in decimal count. */
function readSynset(line: string): Synset {
  const fields = line.split(' | ', 1)[0]!.split(' ');
  const count = Number.parseInt(fields[3]!, 16);
  const words = Array.from({ length: count }, (_, at) => readable(fields[4 + at * 2]!));
  const first = 4 + count * 2;
  const pointers = Array.from({ length: Number(fields[first]) }, (_, at) => {
    const [symbol, offset, part] = fields.slice(first + 1 + at * 4);
    return { symbol: symbol!, offset: Number(offset), part: part! };
  });
  return { file: fields[1]!, words, pointers };
}

/**
 * Opens a lexical database in place: words are found by bisection, meanings read where they stand, nothing is kept.
 * `nouns` tell meanings; all parts tell whether something is a word.
 */
export function openLexicon(nouns: LexiconPart, others: readonly LexiconPart[] = []): Lexicon {
  const forms = (text: string): string[] => {
    const lemma = text.toLowerCase().replaceAll(' ', '_');
    const plural = /(?:ies|ches|shes|xes|s)$/.exec(lemma);
    if (!plural || lemma.length < 4) return [lemma];
    const ending = plural[0];
    const cut = ending === 'ies' ? `${lemma.slice(0, -3)}y` : lemma.slice(0, ending === 's' ? -1 : -2);
    return [lemma, cut];
  };
  const lineOf = ({ index }: LexiconPart, text: string): string | null => {
    for (const lemma of forms(text)) {
      const line = findLine(index, lemma);
      if (line !== null) return line;
    }
    return null;
  };
  const synsetAt = (offset: number): Synset => readSynset(lineAt(nouns.data, offset));
  return {
    has: (word) => [nouns, ...others].some((part) => lineOf(part, word) !== null),
    senses(text) {
      const line = lineOf(nouns, text);
      if (line === null) return [];
      const fields = line.trim().split(' ');
      const count = Number(fields[2]);
      return fields.slice(-count).map((offset): Sense => {
        const { file, words, pointers } = synsetAt(Number(offset));
        const through = (...symbols: string[]): string[] =>
          pointers
            .filter(({ symbol, part }) => symbols.includes(symbol) && part === 'n')
            .slice(0, mostNarrower)
            .flatMap(({ offset: other }) => synsetAt(other).words);
        const own = new Set(forms(text).map(readable));
        return {
          same: words.filter((word) => !own.has(word)),
          broader: through('@', '@i'),
          narrower: through('~', '~i'),
          isThing: things.has(file),
        };
      });
    },
  };
}
