import type { Content } from '../content/decidedContent.ts';
import { climb } from '../search/climb.ts';
import { offersFor } from '../search/offers.ts';
import type { Engine, PreparedSetup } from '../search/prepareSetup.ts';
import { tokenize } from '../text/tokenize.ts';
import { type DeadEnd, divided, nearWords } from './deadEnds.ts';
import type { WhatNext } from './remedy.ts';

const mostTexts = 4;

/** What remedies are looked for in. */
export interface Looked {
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
export function textsFor(looked: Looked, { search, cause }: DeadEnd, { tried }: WhatNext): string[] {
  const { engine, prepared } = looked;
  const tokens = tokenize(search);
  const near = (words: string): string[] => engine.near(words, true).map(({ text }) => text);
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
export function changedWord(search: string, text: string): { readonly from: string; readonly to: string } | null {
  const [a, b] = [tokenize(search), tokenize(text)];
  if (a.length !== b.length) return null;
  const places = a.flatMap((token, at) => (token === b[at] ? [] : [at]));
  return places.length === 1 ? { from: a[places[0]!]!, to: b[places[0]!]! } : null;
}

/** The words that a text has in place of one word or a run of them; the whole of both where they differ more. */
export function changedRun(search: string, text: string): { readonly from: string; readonly to: string } {
  const [a, b] = [tokenize(search), tokenize(text)];
  let start = 0;
  while (start < Math.min(a.length, b.length) - 1 && a[start] === b[start]) start++;
  let end = 0;
  while (end < Math.min(a.length, b.length) - 1 - start && a.at(-1 - end) === b.at(-1 - end)) end++;
  return { from: a.slice(start, a.length - end).join(' '), to: b.slice(start, b.length - end).join(' ') };
}
