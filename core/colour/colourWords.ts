import { tokenize } from '../text/tokenize.ts';
import { colourDistance, type OkLab, okLab } from './okLab.ts';

export interface NamedColour {
  readonly name: string;
  /** `#rrggbb`. */
  readonly hex: string;
}

/** Names that must end in a plain colour word ("… red") for it to be placed by them. */
const fewestExamples = 25;
/** The nearest such names that are asked, and the share of them that must agree. */
const asked = 21;
const leastShare = 0.7;
/** Nothing nearer than this looks alike. */
const furthest = 0.08;

export interface ColourWords {
  /** The words that enough names end in for colours to be placed by them. */
  readonly plain: readonly string[];
  /** The colour value of a name, folded; null where no colour is called so. */
  hexOf(name: string): string | null;
  /** Which of the plain colour words a colour is one of, and how many of the names nearest to it say so (0..1). */
  placeOf(hex: string): { readonly word: string; readonly share: number } | null;
  /** What people mostly call by a plain colour word: the example nearest to the middle of them all; null where it has none. */
  typicalOf(word: string): string | null;
}

/**
 * Places colours among plain colour words (`red`, `blue`) by what people call colours that look like them: the names of
 * the list that end in one of the words are its examples, and a colour is what most of the examples nearest to it are.
 * So "brick" is a red though pure red is far away. Cost of opening: a pass over the list; of placing: over the examples.
 */
export function openColourWords(list: readonly NamedColour[], plain: readonly string[]): ColourWords {
  const hexes = new Map<string, string>();
  const wanted = new Set(plain);
  const examples: { readonly word: string; readonly hex: string; readonly colour: OkLab }[] = [];
  for (const { name, hex } of list) {
    const tokens = tokenize(name);
    const said = tokens.join(' ');
    if (!hexes.has(said)) hexes.set(said, hex);
    const last = tokens.at(-1);
    const colour = last !== undefined && wanted.has(last) ? okLab(hex) : null;
    if (colour) examples.push({ word: last!, hex, colour });
  }
  const many = new Map<string, number>();
  for (const { word } of examples) many.set(word, (many.get(word) ?? 0) + 1);
  const usable = examples.filter(({ word }) => many.get(word)! >= fewestExamples);
  return {
    plain: plain.filter((word) => (many.get(word) ?? 0) >= fewestExamples),
    hexOf: (name) => hexes.get(tokenize(name).join(' ')) ?? null,
    typicalOf(word) {
      const own = usable.filter((example) => example.word === word);
      if (own.length === 0) return null;
      const sum = own.reduce((to, { colour }) => to.map((part, at) => part + colour[at]!), [0, 0, 0]);
      const middle = sum.map((part) => part / own.length) as unknown as OkLab;
      return own.reduce((a, b) => (colourDistance(b.colour, middle) < colourDistance(a.colour, middle) ? b : a)).hex;
    },
    placeOf(hex) {
      const colour = okLab(hex);
      if (!colour) return null;
      const nearest = usable
        .map(({ word, colour: other }) => ({ word, far: colourDistance(colour, other) }))
        .filter(({ far }) => far <= furthest)
        .sort((a, b) => a.far - b.far || (a.word < b.word ? -1 : 1))
        .slice(0, asked);
      if (nearest.length < 5) return null;
      const votes = new Map<string, number>();
      for (const { word } of nearest) votes.set(word, (votes.get(word) ?? 0) + 1);
      const [word, count] = [...votes].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))[0]!;
      const share = count / nearest.length;
      return share >= leastShare ? { word, share } : null;
    },
  };
}
