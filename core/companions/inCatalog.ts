import { lastLevel } from '../catalog/levels.ts';
import { hasChoices } from '../catalog/profileAttributes.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { tokenize } from '../text/tokenize.ts';
import { areApart, type Kinds, kindsOf, soldOf } from './kinds.ts';
import { familiesSharing, type Shared } from './sharedWords.ts';

/** A product that the catalog alone says something of, and what. */
export interface Near {
  readonly family: number;
  /** 0 to 1. */
  readonly score: number;
  readonly words: readonly string[];
  /** What both have, by attribute. */
  readonly values: readonly { readonly key: string; readonly value: string }[];
}

/** Products of the same kind that are compared: those that share most words, and those that sell most. */
const mostCompared = 200;
/** What the likeness of two products is made of; the sum is 1. */
const likenessParts = { words: 0.5, values: 0.35, price: 0.15 } as const;
/** Attributes that say nothing of what a product is for. */
const noPurpose = new Set(['title', 'category', 'kind', 'sku', 'tags', 'availability', 'hidden', 'picture', 'link']);
const none: Shared = { share: 0, words: [] };

/** Attributes by which products of a kind are told apart. */
const purposeAttributes = ({ attributes, values }: Snapshot): readonly string[] =>
  attributes
    .filter((profile) => hasChoices(profile) && !noPurpose.has(profile.key) && values.has(profile.key))
    .map(({ key }) => key);

/** The values of one attribute a family's first variant has, and others' in common with them. */
function valuesOf(snapshot: Snapshot, key: string, family: number): ReadonlySet<number> {
  const own = new Set<number>();
  snapshot.values.get(key)!.each(snapshot.recordsOf(family)[0], (value) => own.add(value));
  return own;
}

/** How near two prices are: the lesser's share of the greater; a half where one of them is not known. */
function priceNearness({ numbers }: Snapshot, one: number, other: number): number {
  const [a, b] = [
    numbers.get('price')?.ofFamily(one) ?? Number.NaN,
    numbers.get('price')?.ofFamily(other) ?? Number.NaN,
  ];
  if (Number.isNaN(a) || Number.isNaN(b)) return 0.5;
  return a === b ? 1 : Math.min(a, b) / Math.max(a, b);
}

/** The best first; of as good ones what sells more, then the one that is earlier by its id. */
const bestFirst =
  (snapshot: Snapshot) =>
  (a: Near, b: Near): number =>
    b.score - a.score ||
    soldOf(snapshot, b.family) - soldOf(snapshot, a.family) ||
    snapshot.familyRank(a.family) - snapshot.familyRank(b.family);

/**
 * Products that serve the same purpose as one: of the same kind, by what their titles share, the values both have, and how
 * near their prices are (`likenessParts`). Without kinds all that share words of the title are compared. Cost: the places
 * its words stand in, and 400 products compared at most.
 */
export function standIns(snapshot: Snapshot, family: number, title: string): Near[] {
  const kinds = kindsOf(snapshot);
  const kind = kinds.ofFamily[family]!;
  const isSameKind = (other: number): boolean => other !== family && (kind < 0 || kinds.ofFamily[other] === kind);
  const shared = familiesSharing(snapshot, tokenize(title), ['title']);
  const sharing = [...shared]
    .filter(([other]) => isSameKind(other))
    .sort((a, b) => b[1].share - a[1].share || a[0] - b[0])
    .slice(0, mostCompared)
    .map(([other]) => other);
  const selling = kind < 0 ? [] : [...kinds.families[kind]!.subarray(0, mostCompared + 1)].filter(isSameKind);
  const said = purposeAttributes(snapshot)
    .map((key) => ({ key, own: valuesOf(snapshot, key, family) }))
    .filter(({ own }) => own.size > 0);
  return [...new Set([...sharing, ...selling])]
    .map((other): Near => {
      const { share, words } = shared.get(other) ?? none;
      const alike = said.flatMap(({ key, own }) => {
        const both = [...valuesOf(snapshot, key, other)].find((value) => own.has(value));
        return both === undefined ? [] : [{ key, value: snapshot.values.get(key)!.name(both) }];
      });
      const score =
        likenessParts.words * share +
        likenessParts.values * (said.length === 0 ? 0 : alike.length / said.length) +
        likenessParts.price * priceNearness(snapshot, family, other);
      return { family: other, score, words, values: alike };
    })
    .sort(bestFirst(snapshot));
}

/** The words a kind is called by, its highest level's left out: those say what it is sold under, and not what it is for. */
function kindWords(kinds: Kinds, kind: number): string[] {
  if (kind < 0) return [];
  const name = kinds.names[kind]!;
  const highest = new Set(tokenize(kinds.highest[kind]!));
  const words = tokenize(name);
  return name === kinds.highest[kind] ? words : words.filter((word) => !highest.has(word));
}

/**
 * Products that may go with one though nobody took both yet: of a kind that serves another purpose, by the words of the
 * product's own kind that their titles and kinds say (*watercolour* of a watercolour tube: paper and brushes for it). Without
 * kinds there are none. Cost: the places these words stand in.
 */
export function mayGoWith(snapshot: Snapshot, family: number): Near[] {
  const kinds = kindsOf(snapshot);
  const kind = kinds.ofFamily[family]!;
  if (kind < 0) return [];
  const shared = familiesSharing(snapshot, kindWords(kinds, kind), ['title', 'kind', 'category']);
  return [...shared]
    .filter(([other]) => areApart(kinds, kind, kinds.ofFamily[other]!))
    .map(([other, { share, words }]): Near => ({ family: other, score: share, words, values: [] }))
    .sort(bestFirst(snapshot));
}

/** What a kind is called. */
export const kindCalled = (kinds: Kinds, kind: number): string => lastLevel(kinds.names[kind]!);
