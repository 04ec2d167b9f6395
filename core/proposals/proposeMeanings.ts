import type { ColourWords } from '../colour/colourWords.ts';
import type { Setup } from '../setup/schema.ts';
import { isNumberLike, tokenize } from '../text/tokenize.ts';
import type { Lexicon } from './lexicon.ts';
import { type Proposal, quoted } from './proposal.ts';

/** What a lexical database, a list of colours and the catalog say about the words shoppers use. */
export interface MeaningEvidence {
  readonly lexicon: Lexicon | null;
  readonly colours: ColourWords | null;
  readonly searches: readonly { readonly search: string; readonly searches: number; readonly clicked: number }[];
  isKnown(word: string): boolean;
  /** Whether the catalog has a text's words side by side, in any form where it is one word. */
  says(text: string): boolean;
  /** Whether products are called so: kinds or several titles end in the word ("Technical fineliner *pen*"). */
  isProduct(word: string): boolean;
  /** What a word is taken for now as misspelt; null where for nothing. */
  correctedTo(word: string): string | null;
  /** Words that other evidence speaks for already. */
  readonly explained: ReadonlySet<string>;
  /** The plain colours and the other shades among the catalog's values. */
  readonly plainColours: readonly string[];
  readonly shades: readonly string[];
}

const mostSenses = 3;
const mostTargets = 8;
const mostShades = 20;
const mostProposed = 30;
const fewestLetters = 3;

const oneWay = (id: string, from: string, to: readonly string[], reason: string, isSure = false): Proposal => ({
  id: `meaning:${id}`.slice(0, 200),
  kind: 'synonyms',
  title: `“${from}” finds ${quoted(to)}`,
  reason,
  edits: [
    {
      part: 'vocabulary',
      key: `way-${tokenize(from).join('-')}`.slice(0, 80),
      value: { what: 'oneWay', from: [from], to: [...to], on: true },
    },
  ],
  isSure,
  words: tokenize(from),
});

/** Words and pairs of neighbouring words that shoppers use and the catalog does not, with the searches they stand in. */
function unknownIn({ searches, isKnown, says, explained }: MeaningEvidence): Map<string, string[][]> {
  const found = new Map<string, string[][]>();
  const note = (text: string, tokens: string[]): void => {
    found.set(text, [...(found.get(text) ?? []), tokens]);
  };
  const isOdd = (token: string): boolean =>
    token.length >= fewestLetters && !isNumberLike(token) && !explained.has(token) && !isKnown(token);
  for (const { search } of searches) {
    const tokens = tokenize(search);
    for (const [at, token] of tokens.entries()) {
      if (isOdd(token)) note(token, tokens);
      const next = tokens[at + 1];
      if (next === undefined || !(isOdd(token) || isOdd(next))) continue;
      const pair = `${token} ${next}`;
      if (!says(pair)) note(pair, tokens);
    }
  }
  return found;
}

/** What the lexical database says a word or pair of words is called in the catalog. */
function byLexicon(text: string, { lexicon, says, isProduct }: MeaningEvidence): Proposal | null {
  for (const { same, broader, narrower, isThing } of (lexicon?.senses(text) ?? []).slice(0, mostSenses)) {
    if (!isThing) continue;
    const ends = (word: string): boolean => isProduct(tokenize(word).at(-1) ?? '');
    const named = same.filter((word) => says(word) && ends(word)).slice(0, mostTargets);
    if (named.length > 0)
      return oneWay(`${text}=${named[0]}`, text, named, `In English ${quoted([text, ...named])} are one thing.`, true);
    const kinds = narrower.filter((word) => says(word) && ends(word)).slice(0, mostTargets);
    // One kind of many is by chance there; several, or one that has the word in it (a sketchbook), are what is meant.
    if (kinds.length > 1 || kinds.some((kind) => kind.includes(text)))
      return oneWay(`${text}>${kinds[0]}`, text, kinds, `${quoted(kinds)}: kinds of what “${text}” names.`);
    const [wider] = broader.filter((word) => tokenize(word).length === 1 && says(word) && ends(word));
    if (wider) return oneWay(`${text}<${wider}`, text, [wider], `“${text}” is a kind of “${wider}”.`);
  }
  return null;
}

/** A shade that shoppers name before something the catalog has, and the plain colour it looks like. */
function byColour(text: string, searches: readonly string[][], evidence: MeaningEvidence): Proposal | null {
  const { colours, plainColours, isKnown, lexicon } = evidence;
  const hex = colours?.hexOf(text);
  if (!colours || !hex) return null;
  // Somebody has called a colour "powdered"; whoever writes "powdered graphite" says how it is, and names no colour.
  if (!text.includes(' ') && lexicon?.has(text) && lexicon.senses(text).length === 0) return null;
  const own = tokenize(text);
  // A colour stands before what has it: "brick acrylic", but not "gold leaf".
  const modifies = (tokens: readonly string[]): boolean => {
    const next = tokens[tokens.indexOf(own.at(-1)!) + 1];
    return next !== undefined && isKnown(next);
  };
  if (!searches.some(modifies)) return null;
  const placed = colours.placeOf(hex);
  if (!placed || !plainColours.includes(placed.word) || own.includes(placed.word)) return null;
  const share = Math.round(placed.share * 100);
  return oneWay(
    `${text}~${placed.word}`,
    text,
    [placed.word],
    `The colour “${text}” (${hex}) looks ${placed.word}: ${share}% of the named colours nearest to it are called so.`,
  );
}

/** Plain colours that find the catalog's shades which look like them. */
function shadesFound({ colours, plainColours, shades }: MeaningEvidence): Proposal[] {
  if (!colours) return [];
  // To place a colour is to look through all that have names, so each shade is placed once.
  const placed = shades.map((shade) => {
    const hex = colours.hexOf(shade);
    return { shade, plain: hex === null ? undefined : colours.placeOf(hex)?.word };
  });
  return plainColours.flatMap((plain): Proposal[] => {
    const alike = placed
      .filter((each) => each.plain === plain && !tokenize(each.shade).includes(plain))
      .map(({ shade }) => shade)
      .slice(0, mostShades);
    if (alike.length === 0) return [];
    return [
      oneWay(
        `${plain}=shades`,
        plain,
        alike,
        `By their colour values ${quoted(alike.slice(0, 4))}${alike.length > 4 ? ` and ${alike.length - 4} more` : ''} look ${plain}.`,
      ),
    ];
  });
}

/** Searches in which nobody has opened anything before a word's correction is doubted. */
const fewestFruitless = 5;

/** Words of the language that are taken for others of the catalog, in searches that never led anywhere. */
function leftAlone(
  { lexicon, correctedTo, searches }: MeaningEvidence,
  unknown: readonly string[],
  setup: Setup,
): Proposal[] {
  if (!lexicon) return [];
  const already = Object.values(setup.vocabulary).flatMap((entry) =>
    entry.what === 'neverCorrected' ? entry.words : [],
  );
  const made = new Map<string, { times: number; clicked: number }>();
  for (const { search, searches: times, clicked } of searches)
    for (const token of new Set(tokenize(search))) {
      const before = made.get(token) ?? { times: 0, clicked: 0 };
      made.set(token, { times: before.times + times, clicked: before.clicked + clicked });
    }
  const isFruitless = (word: string): boolean => {
    const { times, clicked } = made.get(word) ?? { times: 0, clicked: 0 };
    return times >= fewestFruitless && clicked === 0;
  };
  const chosen = unknown
    .filter((word) => !word.includes(' ') && !already.includes(word) && isFruitless(word) && lexicon.has(word))
    .flatMap((word) => {
      const to = correctedTo(word);
      // What one word is the beginning of is made from it: "european" is rightly taken for "europe".
      const isKin = to !== null && (word.startsWith(to) || to.startsWith(word));
      return to === null || isKin ? [] : [{ word, to }];
    })
    .slice(0, mostProposed);
  if (chosen.length === 0) return [];
  const words = chosen.map(({ word }) => word);
  const examples = chosen.slice(0, 4).map(({ word, to }) => `“${word}” for “${to}”`);
  return [
    {
      id: `neverCorrected:${words.join(' ')}`.slice(0, 200),
      kind: 'neverCorrected',
      title: `Never correct ${quoted(words.slice(0, 5))}${words.length > 5 ? ` and ${words.length - 5} more` : ''}`,
      reason: `They are English words, not typos, but are corrected to others (${examples.join(', ')}), and nobody who searched so opened a product.`,
      edits: [
        {
          part: 'vocabulary',
          key: 'never-corrected',
          value: { what: 'neverCorrected', words: [...already, ...words] },
        },
      ],
      isSure: true,
      words,
    },
  ];
}

/** What the meanings and colours of shoppers' words propose; each word once, by the first evidence there is. */
export function proposeMeanings(evidence: MeaningEvidence, setup: Setup): Proposal[] {
  const said = new Set(
    Object.values(setup.vocabulary).flatMap((entry) => {
      if (entry.what === 'synonyms') return entry.words.map((text) => tokenize(text).join(' '));
      return entry.what === 'oneWay' ? entry.from.map((text) => tokenize(text).join(' ')) : [];
    }),
  );
  const unknown = new Map([...unknownIn(evidence)].filter(([text]) => !said.has(text)));
  const meant: Proposal[] = [];
  const done = new Set<string>();
  // Two words that belong together say more than each by itself.
  for (const [text, searches] of [...unknown].sort((a, b) => b[0].split(' ').length - a[0].split(' ').length)) {
    if (text.split(' ').some((word) => done.has(word)) || meant.length >= mostProposed) continue;
    const proposal = byLexicon(text, evidence) ?? byColour(text, searches, evidence);
    if (!proposal) continue;
    meant.push(proposal);
    for (const word of text.split(' ')) done.add(word);
  }
  const shades = shadesFound(evidence).filter(({ words }) => !said.has(words!.join(' ')));
  const left = [...unknown.keys()].filter((text) => !done.has(text));
  return [...meant, ...shades, ...leftAlone(evidence, left, setup)];
}
