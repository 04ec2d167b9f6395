import type { Content } from '../content/decidedContent.ts';
import { climb } from '../search/climb.ts';
import { offersFor } from '../search/offers.ts';
import type { Engine, PreparedSetup } from '../search/prepareSetup.ts';
import { rank } from '../search/rank.ts';
import { freeKey } from '../setup/freeKey.ts';
import { idFor } from '../setup/idFor.ts';
import type { Setup } from '../setup/schema.ts';
import { longest, most } from '../setup/terms/limits.ts';
import { mostShelfWords } from '../setup/terms/shelfTerms.ts';
import type { EntryEdit } from '../setup/withEntry.ts';
import { isNumberLike, tokenize } from '../text/tokenize.ts';
import { type DeadEnd, type DeadEndCause, divided, nearWords } from './deadEnds.ts';

export const remedyKinds = ['correction', 'synonym', 'treatAs', 'bringIn', 'article', 'page'] as const;
export type RemedyKind = (typeof remedyKinds)[number];

/** Something that mends a dead end, not yet tried out. */
export interface Remedy {
  /** The same for the same remedy of a dead end. */
  readonly id: string;
  readonly kind: RemedyKind;
  /** What it does, as a sentence without a full stop. */
  readonly title: string;
  readonly edits: readonly EntryEdit[];
}

/** What happened after a search: what was tried next, and what was opened then. */
export interface WhatNext {
  readonly tried: readonly { readonly to: string; readonly sessions: number }[];
  /** Products opened by whoever had made the search, most often opened first. */
  readonly opened: readonly string[];
}

const mostTexts = 4;
const mostBroughtIn = 4;
const bestSellersShown = 4;

/** Under which key words that are always corrected stand. */
const corrections = 'fixed-corrections';

interface Looked {
  readonly engine: Engine;
  readonly prepared: PreparedSetup;
  readonly content: Content | null;
  /** A product's title. */
  titleOf(product: string): string;
}

/** Whether a text finds products with all of its words. */
function finds({ engine, prepared }: Looked, text: string): boolean {
  const { ranking, near } = climb(engine, prepared, { query: text, filters: {}, page: 1, limit: 1 }, 1);
  return ranking.foundByWords && ranking.dropped.length === 0 && near === null;
}

/** What a search may be led to, the best evidence first; each finds something. */
function textsFor(looked: Looked, { search, cause }: DeadEnd, { tried }: WhatNext): string[] {
  const { engine, prepared } = looked;
  const tokens = tokenize(search);
  const near = (words: string): string[] => engine.near(words).map(({ text }) => text);
  const isKnown = (token: string): boolean =>
    engine.snapshot.terms.find(token) >= 0 || engine.snapshot.formsOf(token).length > 0;
  const put = (at: number, text: string): string => [...tokens.slice(0, at), text, ...tokens.slice(at + 1)].join(' ');
  const slips = tokens.flatMap((token, at) =>
    isKnown(token) ? [] : nearWords(engine, token, 2).map((text) => put(at, text)),
  );
  const meant = tokens.flatMap((token, at) => (isKnown(token) ? [] : near(token).map((text) => put(at, text))));
  const apart = tokens.flatMap((token, at) =>
    isKnown(token) ? [] : divided(token, isKnown).map((text) => put(at, text)),
  );
  const offers = offersFor(engine, prepared, search, prepared.at.results.hidden, new Map());
  const next = tried.map(({ to }) => to);
  const all =
    cause === 'misspelt'
      ? [...offers, ...apart, ...slips, ...next, ...near(search), ...meant]
      : [...next, ...near(search), ...apart, ...meant, ...offers, ...slips];
  const known = new Set([tokens.join(' ')]);
  const found: string[] = [];
  for (const text of all) {
    const words = tokenize(text).join(' ');
    if (found.length >= mostTexts || known.has(words)) continue;
    known.add(words);
    if (finds(looked, text)) found.push(text);
  }
  return found;
}

/** The one word of a search that another text has differently, and what it has there. */
function changedWord(search: string, text: string): { readonly from: string; readonly to: string } | null {
  const [a, b] = [tokenize(search), tokenize(text)];
  if (a.length !== b.length) return null;
  const places = a.flatMap((token, at) => (token === b[at] ? [] : [at]));
  return places.length === 1 ? { from: a[places[0]!]!, to: b[places[0]!]! } : null;
}

/** The words that a text has in place of one word or a run of them; the whole of both where they differ more. */
function changedRun(search: string, text: string): { readonly from: string; readonly to: string } {
  const [a, b] = [tokenize(search), tokenize(text)];
  let start = 0;
  while (start < Math.min(a.length, b.length) - 1 && a[start] === b[start]) start++;
  let end = 0;
  while (end < Math.min(a.length, b.length) - 1 - start && a.at(-1 - end) === b.at(-1 - end)) end++;
  return { from: a.slice(start, a.length - end).join(' '), to: b.slice(start, b.length - end).join(' ') };
}

const quote = (text: string): string => `“${text}”`;

function correction(
  setup: Setup,
  { from, to }: { readonly from: string; readonly to: string },
  also: readonly string[],
): Remedy {
  const entry = setup.vocabulary[corrections];
  const all = [from, ...also.filter((text) => tokenize(text).length === 1 && text !== to)];
  const others = entry?.what === 'corrections' ? entry.pairs.filter((pair) => !all.includes(pair.from)) : [];
  return {
    id: `correction:${from}=${to}`,
    kind: 'correction',
    title: `Always correct ${quote(from)} to ${quote(to)}`,
    edits: [
      {
        part: 'vocabulary',
        key: corrections,
        value: { what: 'corrections', pairs: [...others, ...all.map((each) => ({ from: each, to }))] },
      },
    ],
  };
}

function synonym(
  setup: Setup,
  { from, to }: { readonly from: string; readonly to: string },
  also: readonly string[],
): Remedy {
  const key = `way-${tokenize(from).join('-')}`.slice(0, longest.key);
  const before = Object.hasOwn(setup.vocabulary, key) ? setup.vocabulary[key] : undefined;
  const known = before?.what === 'oneWay' ? before.to.filter((text) => text !== to) : [];
  return {
    id: `synonym:${from}=${to}`,
    kind: 'synonym',
    title: `${quote(from)} also finds ${quote(to)}`,
    edits: [
      {
        part: 'vocabulary',
        key,
        value: {
          what: 'oneWay',
          from: [...new Set([from, ...also])].slice(0, most.sayings),
          to: [...known, to],
          on: true,
        },
      },
    ],
  };
}

/** A plan for just this search. */
function plan(setup: Setup, { search, also }: DeadEnd, does: object): EntryEdit {
  const name = search.slice(0, longest.planName);
  return {
    part: 'plans',
    key: freeKey(
      setup.plans,
      idFor(search, () => false),
    ),
    value: {
      name,
      on: true,
      searches: [search, ...also].slice(0, most.searches),
      pins: [],
      pulls: [],
      how: 'meaning',
      ...does,
    },
  };
}

/** A special page for searches that have these words. */
function page(setup: Setup, { search, also }: DeadEnd, content: object): EntryEdit {
  const words = tokenize(search).join(' ') || search;
  const all = [words, ...also].map((text) => text.slice(0, longest.saying)).slice(0, mostShelfWords);
  return {
    part: 'specialShelves',
    key: idFor(words, (id) => Object.hasOwn(setup.specialShelves, id)),
    value: {
      ...{ name: words.slice(0, longest.planName), on: true, words: all, looks: [] },
      ...{ message: setup.emptyShelf.content.message, searches: [], products: [] },
      ...content,
    },
  };
}

/** The articles that say most of a search's words, at least one in their title or tags. */
function articlesFor({ content }: Looked, search: string): { readonly id: string; readonly title: string }[] {
  const tokens = tokenize(search).filter((token) => token.length > 2);
  return (content?.articles ?? [])
    .map(({ id, title, tags }) => {
      const own = new Set(tokenize(`${title} ${tags.join(' ')}`));
      return { id, title, words: tokens.filter((token) => own.has(token)).length };
    })
    .filter(({ words }) => words > 0 && words >= tokens.length / 2)
    .sort((a, b) => b.words - a.words || (a.id < b.id ? -1 : 1))
    .slice(0, 2);
}

/** In which order remedies are offered, by what is wrong. */
const inOrder: Readonly<Record<DeadEndCause, readonly RemedyKind[]>> = {
  misspelt: ['correction', 'synonym', 'treatAs', 'bringIn', 'page'],
  otherWord: ['synonym', 'treatAs', 'page', 'bringIn', 'correction'],
  otherLanguage: ['synonym', 'correction', 'page', 'treatAs', 'bringIn'],
  hidden: ['page', 'treatAs', 'bringIn', 'synonym'],
  question: ['article', 'page', 'treatAs', 'bringIn'],
  tooManyWords: ['treatAs', 'bringIn', 'synonym', 'correction', 'page'],
  notCarried: ['page', 'correction', 'bringIn', 'synonym', 'treatAs', 'article'],
};

/**
 * What may mend a dead end, by what is wrong with it; the likeliest of each kind before second ones. Pure but for the engine's
 * scratch memory. Cost: some searches for what it may be led to.
 */
export function remediesFor(looked: Looked, deadEnd: DeadEnd, next: WhatNext): Remedy[] {
  const { engine, prepared } = looked;
  const { setup } = prepared;
  const { search, cause } = deadEnd;
  const texts = textsFor(looked, deadEnd, next);
  const made: Remedy[] = [];
  for (const text of texts) {
    const word = changedWord(search, text);
    if (word && !isNumberLike(word.from) && nearWords(engine, word.from, 8).includes(word.to))
      made.push(correction(setup, word, word.from === search ? deadEnd.also : []));
    else {
      const run = changedRun(search, text);
      // What stands for the whole search stands for it with its slips too.
      made.push(synonym(setup, run, run.from === tokenize(search).join(' ') ? deadEnd.also : []));
    }
    made.push({
      id: `treatAs:${text}`,
      kind: 'treatAs',
      title: `Take the search for ${quote(text)}`,
      edits: [plan(setup, deadEnd, { treatAs: text })],
    });
  }
  const [best] = texts;
  const shown =
    best === undefined
      ? null
      : rank(engine, prepared, { query: best, filters: {}, page: 1, limit: mostBroughtIn }, mostBroughtIn);
  const products =
    next.opened.length > 0
      ? next.opened.filter((id) => engine.snapshot.findFamily(id) >= 0).slice(0, mostBroughtIn)
      : (shown?.placed ?? []).map(({ candidate }) => engine.snapshot.familyId(shown!.candidates.families[candidate]!));
  if (products.length > 0)
    made.push({
      id: 'bringIn',
      kind: 'bringIn',
      title: `Show ${products
        .slice(0, 2)
        .map((id) => quote(looked.titleOf(id)))
        .join(' and ')}${products.length > 2 ? ` and ${products.length - 2} more` : ''} for it`,
      edits: [plan(setup, deadEnd, { bringIn: products })],
    });
  // A page stands only where nothing is found.
  for (const { id, title } of deadEnd.total > 0 ? [] : articlesFor(looked, search))
    made.push({
      id: `article:${id}`,
      kind: 'article',
      title: `Show the article ${quote(title)} where nothing is found`,
      edits: [page(setup, deadEnd, { articles: [id] })],
    });
  if (deadEnd.total === 0)
    made.push({
      id: 'page',
      kind: 'page',
      title:
        cause === 'question'
          ? 'A page that answers it: write your answer into it'
          : 'Say that you do not carry it, with your best sellers',
      edits: [
        page(setup, deadEnd, {
          message:
            cause === 'question'
              ? `You asked about “{search}”. Our help pages answer it, or write to us.`
              : cause === 'hidden'
                ? `What you look for with “{search}” is not available now.`
                : `We do not carry “{search}”. This is what others buy from us.`,
          ...(texts.length > 0 && { searches: texts }),
          bestSellers: bestSellersShown,
        }),
      ],
    });
  const place = (kind: RemedyKind): number => (inOrder[cause].includes(kind) ? inOrder[cause].indexOf(kind) : 99);
  // Of each kind the first, then the second ones.
  const turn = (remedy: Remedy): number => made.filter(({ kind }) => kind === remedy.kind).indexOf(remedy);
  const turns = new Map(made.map((remedy) => [remedy, turn(remedy)]));
  return made.sort((a, b) => turns.get(a)! - turns.get(b)! || place(a.kind) - place(b.kind));
}
