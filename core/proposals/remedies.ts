import type { MessageKey } from '../messages/en.ts';
import { shippedMessages } from '../messages/messages.ts';
import { rank } from '../search/rank.ts';
import { shopperLanguage } from '../search/shopperLanguage.ts';
import { shelfMessages } from '../setup/terms/shopTexts.ts';
import { isNumberLike, tokenize } from '../text/tokenize.ts';
import { type DeadEnd, type DeadEndCause, nearWords } from './deadEnds.ts';
import type { Remedy, RemedyKind, WhatNext } from './remedy.ts';
import { correction, page, phrase, plan, quote, synonym } from './remedyEdits.ts';
import { changedRun, changedWord, type Looked, textsFor } from './remedyTexts.ts';

const mostBroughtIn = 4;
const bestSellersShown = 4;

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

const messageFor = (cause: DeadEndCause): MessageKey =>
  shelfMessages[cause === 'question' || cause === 'hidden' ? cause : 'notCarried'];

/** Neighbouring words that are tried as a phrase, at most. */
const mostPairs = 4;
/** Neighbouring words of a search, as phrases: what has them apart may be what nobody meant. */
const pairsIn = (search: string): string[] => {
  const tokens = tokenize(search);
  return tokens
    .slice(1)
    .flatMap((token, at) => (isNumberLike(token) || isNumberLike(tokens[at]!) ? [] : [`${tokens[at]} ${token}`]))
    .slice(0, mostPairs);
};

/** In which order remedies are offered, by what is wrong. */
const inOrder: Readonly<Record<DeadEndCause, readonly RemedyKind[]>> = {
  misspelt: ['correction', 'synonym', 'treatAs', 'phrase', 'bringIn', 'page'],
  otherWord: ['synonym', 'treatAs', 'phrase', 'page', 'bringIn', 'correction'],
  otherLanguage: ['synonym', 'correction', 'page', 'treatAs', 'bringIn'],
  hidden: ['page', 'treatAs', 'bringIn', 'synonym'],
  question: ['article', 'page', 'treatAs', 'bringIn'],
  tooManyWords: ['treatAs', 'phrase', 'bringIn', 'synonym', 'correction', 'page'],
  notCarried: ['phrase', 'page', 'correction', 'bringIn', 'synonym', 'treatAs', 'article'],
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
  if (deadEnd.total > 0) made.push(...pairsIn(search).map((text) => phrase(setup, text)));
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
          : cause === 'hidden'
            ? 'Say that it is not available now, with your best sellers'
            : 'Say that you do not carry it, with your best sellers',
      edits: [
        page(setup, deadEnd, {
          message: shippedMessages[shopperLanguage(engine, setup, undefined)][messageFor(cause)],
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
